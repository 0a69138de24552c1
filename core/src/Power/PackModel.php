<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Line;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Pack;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Source;

/** A pack as the discharge sees it, every figure taken at its place in the band. */
final class PackModel
{
    /** @var array<string, non-empty-list<float>> open-circuit volts of one cell, worked out once for each kind */
    private static array $curves = [];

    /** @var non-empty-list<float> open-circuit volts of one cell, empty to full */
    private array $rest;

    /** How far ordinary cells of one size and chemistry lie apart in resistance, as shares of the usual one. */
    private const RESISTANCE_SPREAD = [0.6, 1.8];

    private readonly int $last;

    private readonly float $gentleA;

    private readonly float $exponent;

    public function __construct(
        public readonly Line $line,
        public readonly string $chemistry,
        public readonly int $series,
        /** Coulombs that these cells give, drawn gently. */
        public readonly float $coulombs,
        /** Coulombs as printed: what the rate is reckoned by. */
        private readonly float $ratedCoulombs,
        public readonly float $ohm,
        private readonly float $cellFullV,
        private readonly float $cellNominalV,
        private readonly float $cellEmptyV,
        /** Volts of the whole row at which protection cuts off; null without any. */
        public readonly ?float $cutOffV,
        /** Amps above which protection trips; null when it has no such limit. */
        public readonly ?float $tripA,
    ) {
        $this->rest = self::$curves["{$chemistry} {$cellFullV} {$cellNominalV} {$cellEmptyV}"] ??= Chemistry::openCircuitVolts(
            $chemistry,
            $cellFullV,
            $cellNominalV,
            $cellEmptyV);
        $this->last = count($this->rest) - 1;
        [$hours, $this->exponent] = Chemistry::rate($chemistry);
        $this->gentleA = $ratedCoulombs / 3600 / $hours;
    }

    /**
     * @param  ?Figure  $cutOff  of the protection that guards it, in volts of the whole row; null without any
     *
     * @throws BadSupply when a figure is missing or impossible
     */
    public static function of(Line $line, Pack $pack, Assumption $at, float $celsius, ?Figure $cutOff, ?Figure $trip, Gaps $gaps): ?self
    {
        foreach ([
            'capacityMah' => $pack->capacityMah,
            'cellNominalV' => $pack->cellNominalV,
            'cellFullV' => $pack->cellFullV,
            'cellEmptyV' => $pack->cellEmptyV,
            'usableShare' => $pack->usableShare,
        ] as $field => $figure) {
            if (! $figure->isKnown()) {
                $gaps->missing($line, $field === 'cellFullV' || $field === 'cellEmptyV' ? 'pack.volts' : "pack.{$field}");

                return null;
            }
        }
        $resistance = $pack->internalResistanceMohm;
        if (! $resistance->isKnown()) {
            $cell = Chemistry::cellOhm($pack->chemistry, $pack->capacityMah->usual() / 1000);
            $typical = $cell * $pack->series * 1000;
            $resistance = Figure::band($typical * self::RESISTANCE_SPREAD[0], $typical, $typical * self::RESISTANCE_SPREAD[1], 'mΩ', Source::Typical);
            // A pack that may give its largest current still stands above empty then: that bounds its resistance.
            if ($pack->maxDischargeMa->isKnown() && $pack->maxDischargeMa->least() > 0.0) {
                $bound = $pack->series * max(0.0, $pack->cellNominalV->usual() - $pack->cellEmptyV->usual()) / $pack->maxDischargeMa->least() * 1e6;
                $resistance = Figure::band(min($resistance->least(), $bound), min($typical, $bound), min($resistance->most(), $bound), 'mΩ', Source::Typical);
            }
        }
        $ohm = $at->of("{$line->id} resistance", $resistance, false) / 1000 / $line->quantity;
        $rated = $pack->capacityMah->usual() * 3.6 * $line->quantity;
        $age = $pack->cycles->isKnown() ? Chemistry::ageShare($pack->chemistry, $at->of("{$line->id} cycles", $pack->cycles, false)) : 1.0;
        $coulombs = $at->of("{$line->id} capacity", $pack->capacityMah, true) * 3.6 * $line->quantity
            * $at->of("{$line->id} share", $pack->usableShare, true) * $age * Chemistry::coldShare($pack->chemistry, $celsius);
        if ($coulombs <= 0.0) {
            throw BadSupply::at($line, FigureRef::of('pack', 'capacityMah'), 'is nought; write what is printed on the pack');
        }
        if ($ohm < 0.0) {
            throw BadSupply::at($line, FigureRef::of('pack', 'internalResistanceMohm'), 'is below nought; write the ohms as they were measured');
        }

        return new self(
            $line, $pack->chemistry, $pack->series, $coulombs, $rated, $ohm * Chemistry::coldResistance($pack->chemistry, $celsius),
            $pack->cellFullV->usual(), $pack->cellNominalV->usual(), $pack->cellEmptyV->usual(),
            $cutOff === null ? null : $at->of("{$line->id} cut-off", $cutOff, false),
            $trip === null ? null : $at->of("{$line->id} trip", $trip, true) / 1000,
        );
    }

    /** So many of them in parallel, or that much more of the same. */
    public function times(float $count): self
    {
        return new self(
            $this->line, $this->chemistry, $this->series, $this->coulombs * $count, $this->ratedCoulombs * $count, $this->ohm / $count,
            $this->cellFullV, $this->cellNominalV, $this->cellEmptyV, $this->cutOffV, $this->tripA === null ? null : $this->tripA * $count,
        );
    }

    /** Volts of the rested pack with this share of the charge left. */
    public function openCircuitVolts(float $charge): float
    {
        if ($charge <= 0.0) {
            return $this->rest[0] * $this->series;
        }
        if ($charge >= 1.0) {
            return $this->rest[$this->last] * $this->series;
        }
        $place = $charge * $this->last;
        $at = (int) $place;

        return ($this->rest[$at] + ($place - $at) * ($this->rest[$at + 1] - $this->rest[$at])) * $this->series;
    }

    /** Amps that leave the store while these amps leave the terminals: more when it is drawn in a hurry. */
    public function drain(float $amps): float
    {
        return $amps <= $this->gentleA ? $amps : $amps * ($amps / $this->gentleA) ** ($this->exponent - 1.0);
    }

    /** Watt-hours stored between two shares of charge, exact for the table. */
    public function wattHours(float $from, float $to): float
    {
        $sum = 0.0;
        $here = max(0.0, $from);
        $to = min(1.0, $to);
        while ($here < $to - 1e-12) {
            $next = min($to, (floor($here * $this->last + 1e-9) + 1) / $this->last);
            $sum += ($this->openCircuitVolts($here) + $this->openCircuitVolts($next)) / 2 * ($next - $here);
            $here = $next;
        }

        return $sum * $this->coulombs / 3600;
    }
}
