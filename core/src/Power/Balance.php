<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use Closure;

/**
 * Amps behind a resistance: as many as are drawn at volts − amps × resistance. One is put into the other until
 * they stand still; where two moves show how they shrink, the rest of them is leapt over (Aitken's Δ² process,
 * Proc. R. Soc. Edinburgh 46, 1926).
 */
final class Balance
{
    /** Steps after which volts and amps that still move count as having no balance. */
    private const MOST_STEPS = 200;

    /** Share of the amps within which they stand still. */
    private const STILL = 1e-9;

    /** A leap of this share lands so close that it need not be looked at: it errs by the change of the shrinking only. */
    private const SMALL_LEAP = 1e-6;

    /** Moves that shrink less than this at a step are no ground to leap from. */
    private const SHRINKS = 0.5;

    /**
     * @param  float  $volts  before the resistance
     * @param  float  $ohm  of it
     * @param  float  $start  amps to begin with, as they were found close by
     * @param  Closure(float): float  $drawn  amps at these volts
     * @return ?float amps; null where there is no balance
     *
     * @throws NoBalance when the drawn amps have none themselves
     */
    public static function amps(float $volts, float $ohm, float $start, Closure $drawn): ?float
    {
        // What was found at other volts may be no start here.
        $amps = $start * $ohm < $volts / 2 ? $start : 0.0;
        $before = null;
        for ($step = 0; $step < self::MOST_STEPS; $step++) {
            $at = $volts - $amps * $ohm;
            if ($at <= 0.0) {
                return null;
            }
            $next = $drawn($at);
            $move = $next - $amps;
            if (abs($move) <= 1e-10 + self::STILL * $next) {
                return $next;
            }
            $shrinks = $before === null ? 1.0 : $move / $before;
            if (abs($shrinks) < self::SHRINKS) {
                $leap = $move * $shrinks / (1.0 - $shrinks);
                $next += $leap;
                if (abs($leap) <= self::SMALL_LEAP * $next) {
                    return $next;
                }
                $move = null;
            }
            $before = $move;
            $amps = $next;
        }

        return null;
    }
}
