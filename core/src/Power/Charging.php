<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Part\Charger;

/**
 * A charge from empty to full: constant current until the terminals stand at the cells' full volts, then
 * constant volts with the current falling off, until it is a tenth of what it was. Nickel cells, which
 * have no such volts, get their current until full; what they turn to warmth counts.
 */
final class Charging
{
    /** The charger ends when the current has fallen to this share: the usual setting of charging chips. */
    public const ENDS_AT = 0.1;

    private const STEPS = 200;

    /** @var list<array{h: float, share: float, volts: float, amps: float, heat: ?float}> */
    public array $rows = [];

    public ?float $hoursTo80 = null;

    /** Null when it never gets there. */
    public ?float $hoursToFull = null;

    /** Watts that the charger burns at the worst moment; null while nobody knows how it works. */
    public ?float $mostHeatW = null;

    public ?float $hoursAtFullVolts = null;

    /** Whether the supply holds the charger back. */
    public bool $heldBack = false;

    /**
     * @param  float  $amps  what the charger gives
     * @param  ?float  $inputV  volts at its input; null when nobody knows what feeds it
     * @param  ?float  $inputA  amps that its supply can give; null when that sets no limit
     * @param  float  $takesW  watts that the play takes meanwhile from the supply (with a power path) or from the pack
     * @param  bool  $pastPack  whether the play is fed past the pack
     */
    public function __construct(
        private readonly PackModel $cells,
        private readonly Charger $charger,
        private readonly float $amps,
        private readonly ?float $inputV,
        private readonly ?float $inputA,
        private readonly float $takesW = 0.0,
        private readonly bool $pastPack = false,
        float $from = 0.0,
    ) {
        $this->run($from);
    }

    /** Amps into the pack at these terminal volts, supply and play taken into account; below nought when it empties. */
    public function ampsAt(float $volts): float
    {
        $own = $this->amps;
        $input = $this->inputWatts();
        $load = $this->takesW / max(0.1, $volts);
        // While nobody knows what the supply gives, the play is taken from what the charger gives: the careful figure.
        if (! $this->pastPack || $input === null) {
            return min($own, $this->reach($input, $volts)) - $load;
        }
        $spare = $input - $this->takesW;

        return $spare >= 0.0 ? min($own, $this->reach($spare, $volts)) : $spare / max(0.1, $volts);
    }

    /** Hours from one share of the charge to another; null where the charge does not get there. */
    public function hoursBetween(float $from, float $to): ?float
    {
        $at = function (float $share): ?float {
            $last = null;
            foreach ($this->rows as $row) {
                if ($row['share'] >= $share - 1e-6) {
                    return $last === null || $row['share'] === $last['share'] ? $row['h']
                        : $last['h'] + ($row['h'] - $last['h']) * ($share - $last['share']) / ($row['share'] - $last['share']);
                }
                $last = $row;
            }

            // The charger ends a little short of the whole; that counts as full.
            return $share >= 0.999 ? $this->hoursToFull : null;
        };
        $begin = $at($from);
        $end = $at($to);

        return $begin === null || $end === null ? null : $end - $begin;
    }

    private function inputWatts(): ?float
    {
        return $this->inputV === null || $this->inputA === null ? null : $this->inputV * $this->inputA;
    }

    /** Amps that so many watts at the input become at the pack. */
    private function reach(?float $watts, float $volts): float
    {
        if ($watts === null || $this->inputV === null) {
            return INF;
        }
        if ($this->charger->topology === 'linear') {
            return $watts / $this->inputV;
        }
        // Nobody's charger gives more watts than it gets.
        $efficiency = $this->charger->efficiency->isKnown() ? min(1.0, $this->charger->efficiency->usual()) : 1.0;

        return $watts * $efficiency / max(0.1, $volts);
    }

    /** Watts the charger turns into warmth while it passes these amps on. */
    private function heat(float $volts, float $amps): ?float
    {
        if ($this->charger->topology === 'linear') {
            return $this->inputV === null ? null : max(0.0, $this->inputV - $volts) * $amps;
        }
        if ($this->charger->topology === 'switching' && $this->charger->efficiency->isKnown() && $this->charger->efficiency->usual() > 0.0) {
            return $volts * $amps * (1 / $this->charger->efficiency->usual() - 1);
        }

        return null;
    }

    private function run(float $from): void
    {
        $full = $this->cells->openCircuitVolts(1.0);
        $ohm = $this->cells->ohm * Chemistry::slowOhm($this->cells->chemistry);
        $takesIn = Chemistry::takesIn($this->cells->chemistry);
        $hasFullVolts = $this->cells->chemistry !== 'NiMH';
        $seconds = 0.0;
        $atFullVolts = null;
        $share = $from;
        $step = (1.0 - $from) / self::STEPS;
        $asked = $this->amps;
        while ($share < 1.0 - 1e-9 && $takesIn > 0.0) {
            $next = min(1.0, $share + $step);
            $middle = ($share + $next) / 2;
            $rest = $this->cells->openCircuitVolts($middle);
            $amps = $this->ampsAt($rest + $asked * $ohm);
            $volts = $rest + $amps * $ohm;
            if ($hasFullVolts && $volts > $full) {
                $atFullVolts ??= $seconds / 3600;
                $limit = $ohm > 0.0 ? ($full - $rest) / $ohm : $amps;
                $amps = min($amps, $limit);
                $volts = $full;
                if ($amps < self::ENDS_AT * $this->amps) {
                    break;
                }
            }
            if ($amps <= 1e-4) {
                $this->note($seconds, $share, $rest, $amps);

                return;
            }
            $this->heldBack = $this->heldBack || ($this->takesW <= 0.0 && $amps < $this->amps - 1e-6 && $volts < $full);
            $asked = $amps;
            $this->note($seconds, $share, $volts, $amps);
            $seconds += ($next - $share) * $this->cells->coulombs / ($amps * $takesIn);
            $share = $next;
            if ($share >= 0.8 - 1e-9) {
                $this->hoursTo80 ??= $seconds / 3600;
            }
        }
        $this->note($seconds, $share, $full, 0.0);
        $this->hoursToFull = $takesIn > 0.0 ? $seconds / 3600 : null;
        $this->hoursAtFullVolts = $atFullVolts;
    }

    private function note(float $seconds, float $share, float $volts, float $amps): void
    {
        $heat = $this->heat($volts, max(0.0, $amps));
        $this->mostHeatW = $heat === null ? $this->mostHeatW : max($heat, $this->mostHeatW ?? 0.0);
        $this->rows[] = ['h' => $seconds / 3600, 'share' => $share, 'volts' => $volts, 'amps' => $amps, 'heat' => $heat];
    }
}
