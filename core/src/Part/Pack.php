<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** Cells as they stand in the build: `series` and `parallel` as in 2S3P, the capacity (mAh) being that of one cell times `parallel`. */
final readonly class Pack
{
    public function __construct(
        public string $chemistry,
        public int $series,
        public int $parallel,
        public Figure $capacityMah,
        public Figure $cellFullV,
        public Figure $cellNominalV,
        public Figure $cellEmptyV,
        public Figure $usableShare,
        public Figure $maxDischargeMa,
        public Figure $maxChargeMa,
        public Figure $internalResistanceMohm,
        public Protection $protection,
        /** Volts of the whole row at which its own protection cuts off. */
        public Figure $cutOffV,
        /** Watts that all sockets of a sealed bank give together. */
        public Figure $totalW,
        public YesNo $canSplit,
        /** Round cells that are taken out and charged elsewhere. */
        public bool $loose,
        /** A ready-made bank: its raw cells cannot be reached, only its outputs. */
        public bool $sealed,
        /** Full charges it has been through; its usable share is then that of a new one. */
        public Figure $cycles,
        /** Recovery voltage: volts at which its protection switches on again by itself. */
        public Figure $recoveryV,
        /** Once tripped, its protection stays off until a charger is plugged in. */
        public YesNo $latches,
        /** Watt-hours that a bank's maker says come out at its sockets. */
        public Figure $energyOutWh,
    ) {}

    public function isRechargeable(): bool
    {
        return $this->chemistry !== 'alkaline';
    }

    /** Lithium of any kind can burn when shorted or emptied too far. */
    public function isLithium(): bool
    {
        return in_array($this->chemistry, ['Li-ion', 'LiPo', 'LiFePO4'], true);
    }

    /** Volts by which cells in parallel may differ when full: less than a charger's own tolerance. */
    public const FULL_APART_V = 0.02;

    /** Whether the two may be in parallel: one kind, one number in series, charged to the same volts. */
    public function mayJoin(self $other): bool
    {
        if ($this->chemistry !== $other->chemistry || $this->series !== $other->series) {
            return false;
        }
        [$mine, $its] = [$this->cellFullV->most, $other->cellFullV->most];

        return $mine === null || $its === null || abs($mine - $its) <= self::FULL_APART_V;
    }

    /** Empty, nominal and full volts of the whole row. */
    public function volts(): Figure
    {
        if (! $this->cellEmptyV->isKnown() || ! $this->cellNominalV->isKnown() || ! $this->cellFullV->isKnown()) {
            return Figure::unknown('V');
        }

        return Figure::band(
            $this->cellEmptyV->least() * $this->series,
            $this->cellNominalV->usual() * $this->series,
            $this->cellFullV->most() * $this->series,
            'V',
            $this->cellNominalV->source,
        );
    }

    /**
     * Watt-hours = cells in series × nominal cell volts × amp-hours. Capacity counts at the cell,
     * for a power bank, too: what is printed on it is not what its socket gives.
     */
    public function wattHours(): Figure
    {
        return $this->cellNominalV->isKnown()
            ? $this->capacityMah->times($this->series * $this->cellNominalV->usual() / 1000, 'Wh')
            : Figure::unknown('Wh');
    }
}
