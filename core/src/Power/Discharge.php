<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Line;
use PocketPlot\Quantity\Number;

/**
 * From full to the moment at which the first of all gives up.
 *
 * At any charge the balance of volts and amps is found for every state of play; the time each takes is its
 * share. The state that has to be survived (the peak, where it is known) decides when the play ends.
 */
final class Discharge
{
    /** Halvings of the charge in search of the end: 1 in 8,000. */
    private const HALVINGS = 13;

    /** Largest share of the charge that one step may take, and how far the current may move in it. */
    private const MOST_STEP = 0.02;

    private const MOST_MOVE = 0.01;

    private const MOST_STEPS = 4000;

    /** Gauss's three points and weights on 0 to 1 (Abramowitz and Stegun, table 25.4). */
    private const GAUSS = [[0.1127016653792583, 0.2777777777777778], [0.5, 0.4444444444444444], [0.8872983346207417, 0.2777777777777778]];

    /** @var list<array{h: float, charge: float, volts: float, heavyVolts: float, openCircuitVolts: float, amps: float, watts: float}> */
    private array $rows = [];

    /** @var list<Moment> */
    private array $moments = [];

    /** @var array<string, true> moments that have come already */
    private array $seen = [];

    /** @var list<float> share of the charge left, by pack */
    private array $charge;

    private readonly float $coulombs;

    private function __construct(private readonly Circuit $circuit, float $start)
    {
        $this->charge = array_fill(0, count($circuit->cells), $start);
        $this->coulombs = array_sum(array_map(static fn (PackModel $cells): float => $cells->coulombs, $circuit->cells));
    }

    /**
     * Hours and who gives up, without the story: the charge at the end by halving, then the time as the
     * integral of charge over current. Where packs in parallel differ, the whole run is made.
     */
    public static function hours(Circuit $circuit): RunEnd
    {
        if (count($circuit->cells) > 1) {
            $run = self::run($circuit);

            return new RunEnd($run->hours, $run->end, $run->chargeLeft);
        }
        $cells = $circuit->cells[0];
        $low = 0.0;
        $end = new EndCause(EndCause::EMPTY, $cells->line, $circuit->heaviest, $cells->openCircuitVolts(0.0), $cells->openCircuitVolts(0.0));
        foreach ($circuit->toSurvive() as $state) {
            // Only a state that does not last as long as those before it brings the end forward.
            $one = self::endsAt($circuit, $low, $state);
            if ($one !== null) {
                [$low, $end] = self::lastsTo($circuit, $state, $low, $one);
            }
        }
        if ($low >= 1.0) {
            return new RunEnd(0.0, $end, 1.0);
        }
        // The top and the bottom of the charge bend most: three stretches, three points each.
        $seconds = 0.0;
        foreach ([[$low, $low + (1 - $low) * 0.15], [$low + (1 - $low) * 0.15, $low + (1 - $low) * 0.85], [$low + (1 - $low) * 0.85, 1.0]] as [$from, $to]) {
            foreach (self::GAUSS as [$place, $weight]) {
                $drain = self::drainAt($circuit, $cells, $from + $place * ($to - $from));
                $seconds += $drain > 0.0 ? $weight * ($to - $from) * $cells->coulombs / $drain : INF;
            }
        }

        return new RunEnd($seconds / 3600, $end, $low);
    }

    /** The whole story, step by step. */
    public static function run(Circuit $circuit, float $start = 1.0): Run
    {
        return (new self($circuit, $start))->play();
    }

    private static function drainAt(Circuit $circuit, PackModel $cells, float $charge): float
    {
        $drain = 0.0;
        $rest = $cells->openCircuitVolts($charge);
        foreach ($circuit->shares as $state => $share) {
            $drain += $share * $cells->drain($circuit->balance($rest, $cells->ohm, $state)[1]);
        }

        return $drain;
    }

    /**
     * The charge down to which a state lasts, and who gives up there.
     *
     * @param  float  $low  a charge at which it does not last
     * @return array{float, EndCause} 1 where even the full pack is not enough
     */
    private static function lastsTo(Circuit $circuit, int $state, float $low, EndCause $end): array
    {
        $full = self::endsAt($circuit, 1.0, $state);
        if ($full !== null) {
            return [1.0, $full];
        }
        $high = 1.0;
        for ($step = 0; $step < self::HALVINGS; $step++) {
            $middle = ($low + $high) / 2;
            $one = self::endsAt($circuit, $middle, $state);
            if ($one === null) {
                $high = $middle;
            } else {
                [$low, $end] = [$middle, $one];
            }
        }

        return [$high, $end];
    }

    private static function endsAt(Circuit $circuit, float $charge, int $state): ?EndCause
    {
        $cells = $circuit->cells[0];
        try {
            [$volts, $amps] = $circuit->balance($cells->openCircuitVolts($charge), $cells->ohm, $state);

            return $circuit->givesUp($volts, [$amps], $state);
        } catch (NoBalance $none) {
            return new EndCause(EndCause::NO_BALANCE, $none->where ?? $cells->line, PlayState::from($state), 0.0, 0.0);
        }
    }

    private function play(): Run
    {
        $used = new EnergyUsed;
        $seconds = 0.0;
        $end = $this->endNow($this->charge);
        if ($end !== null) {
            // Even the full pack is not enough, and there may be no balance to look at.
            return new Run(0.0, $end, $this->left(), [], [new Moment(0.0, 'end', $end->line, $end->says())], $used, $this->circuit);
        }
        $now = $this->look($this->charge);
        if ($now->drain() <= 0.0) {
            return new Run(INF, null, $this->left(), $this->rows, $this->moments, $used, $this->circuit);
        }
        $this->note(0.0, $now);
        $step = self::MOST_STEP * $this->coulombs / $now->drain();
        for ($count = 0; $end === null && $count < self::MOST_STEPS; $count++) {
            $step = min($step, self::MOST_STEP * $this->coulombs / $now->drain(), $this->untilEmpty($now));
            $next = $this->take($now, $now, $step);
            try {
                $then = $this->look($next);
                $move = abs($then->drain() - $now->drain()) / $now->drain();
            } catch (NoBalance) {
                $then = null;
                $move = 1.0;
            }
            if ($move > self::MOST_MOVE && $step * $now->drain() > 1e-5 * $this->coulombs) {
                $step /= 2;

                continue;
            }
            if ($then !== null) {
                // The mean of both ends (Heun): the same for the charge and for every watt-hour.
                $next = $this->take($now, $then, $step);
            }
            $end = $this->endNow($next);
            if ($end !== null) {
                [$step, $next, $end] = $this->findEnd($now, $step, $end);
            }
            $then = $this->lookOr($next, $now);
            $used->add($now, $then, $step);
            $seconds += $step;
            $this->charge = $next;
            $now = $then;
            $this->note($seconds / 3600, $now);
            if ($end === null && $this->left() <= 1e-9) {
                $cells = $this->circuit->cells[0];
                $end = new EndCause(EndCause::EMPTY, $cells->line, $this->circuit->heaviest, $now->openCircuitVolts, $now->openCircuitVolts);
            }
            $step *= $move < self::MOST_MOVE / 3 ? 1.5 : 1.0;
        }
        // Reported, never hidden: the steps ran out before anything gave up.
        $end ??= new EndCause(EndCause::NO_BALANCE, $this->circuit->source, $this->circuit->heaviest, $now->volts, 0.0);
        $this->moments[] = new Moment($seconds / 3600, 'end', $end->line, $end->says());

        return new Run($seconds / 3600, $end, $this->left(), $this->rows, $this->moments, $used, $this->circuit);
    }

    /**
     * The step that reaches the end just so.
     *
     * @return array{float, list<float>, EndCause}
     */
    private function findEnd(OperatingPoint $now, float $step, EndCause $end): array
    {
        $low = 0.0;
        $high = $step;
        for ($halving = 0; $halving < self::HALVINGS; $halving++) {
            $middle = ($low + $high) / 2;
            $one = $this->endNow($this->take($now, $now, $middle));
            if ($one === null) {
                $low = $middle;
            } else {
                [$high, $end] = [$middle, $one];
            }
        }

        return [$low, $this->take($now, $now, $low), $end];
    }

    /**
     * @param  list<float>  $charge
     *
     * @throws NoBalance
     */
    private function look(array $charge): OperatingPoint
    {
        return new OperatingPoint($this->circuit, $charge);
    }

    /** @param  list<float>  $charge */
    private function lookOr(array $charge, OperatingPoint $last): OperatingPoint
    {
        try {
            return $this->look($charge);
        } catch (NoBalance) {
            return $last;
        }
    }

    /** @param  list<float>  $charge */
    private function endNow(array $charge): ?EndCause
    {
        [$rest, $ohm] = OperatingPoint::together($this->circuit, $charge);
        foreach ($this->circuit->toSurvive() as $state) {
            try {
                [$volts, $amps] = $this->circuit->balance($rest, $ohm, $state);
                $end = $this->circuit->givesUp($volts, OperatingPoint::split($this->circuit, $charge, $volts, $amps), $state);
            } catch (NoBalance $none) {
                $end = new EndCause(EndCause::NO_BALANCE, $none->where ?? $this->circuit->source, PlayState::from($state), 0.0, 0.0);
            }
            if ($end !== null) {
                return $end;
            }
        }

        return null;
    }

    /**
     * Charges after so many seconds, by the mean of two currents.
     *
     * @return list<float>
     */
    private function take(OperatingPoint $from, OperatingPoint $to, float $seconds): array
    {
        $next = [];
        foreach ($this->circuit->cells as $index => $cells) {
            $next[] = max(0.0, $this->charge[$index] - ($from->drains[$index] + $to->drains[$index]) / 2 * $seconds / $cells->coulombs);
        }

        return $next;
    }

    private function untilEmpty(OperatingPoint $now): float
    {
        $least = INF;
        foreach ($this->circuit->cells as $index => $cells) {
            if ($now->drains[$index] > 0.0 && $this->charge[$index] > 0.0) {
                $least = min($least, $this->charge[$index] * $cells->coulombs / $now->drains[$index]);
            }
        }

        return max($least, 1e-3);
    }

    private function left(): float
    {
        $left = 0.0;
        foreach ($this->circuit->cells as $index => $cells) {
            $left += $this->charge[$index] * $cells->coulombs;
        }

        return $left / $this->coulombs;
    }

    private function note(float $hours, OperatingPoint $now): void
    {
        $this->rows[] = [
            'h' => $hours, 'charge' => $this->left(), 'volts' => $now->volts, 'heavyVolts' => $now->leastVolts, 'openCircuitVolts' => $now->openCircuitVolts,
            'amps' => $now->amps, 'watts' => $now->volts * $now->amps,
        ];
        try {
            foreach ($this->circuit->branches as $branch) {
                $this->noteWarning($hours, $branch, $now->leastVolts);
            }
            foreach ($this->circuit->stages as $stage) {
                $this->noteStage($hours, $stage, $now->leastVolts);
            }
        } catch (NoBalance) {
            // So low that a converter gives nothing any more: its moment has been noted on the way there.
        }
    }

    private function noteWarning(float $hours, Branch $branch, float $railVolts): void
    {
        $state = $this->circuit->heaviest->value;
        $volts = $branch->voltsAt($railVolts, $state);
        if ($branch->warnV !== null && $volts < $branch->warnV) {
            $this->moment(
                "warns {$branch->key}",
                $hours,
                'warns',
                $branch->line,
                "{$branch->line->name()} shows its low-voltage warning: less than ".Number::says($branch->warnV).' V arrive.',
            );
        }
        foreach ($branch->stages as $stage) {
            if (! $stage->holds($volts)) {
                $this->moment(
                    "headroom {$stage->railId}",
                    $hours,
                    'headroom',
                    $stage->line,
                    "{$stage->line->name()} has no headroom left; its output begins to fall with its input.",
                );
            }
            $this->noteStage($hours, $stage, $volts);
        }
    }

    private function noteStage(float $hours, OutputStage $stage, float $volts): void
    {
        $lightest = array_key_first($this->circuit->shares);
        if ($stage->switchOffA > 0.0 && $lightest !== null && $stage->load($stage->voltsOut($volts), $lightest)[0] < $stage->switchOffA) {
            $this->moment(
                "sleeps {$stage->railId}",
                $hours,
                'sleeps',
                $stage->line,
                "Left idle, {$stage->line->name()} switches itself off: less than ".Number::says($stage->switchOffA * 1000).' mA are taken.',
            );
        }
        foreach ($stage->branches as $branch) {
            $this->noteWarning($hours, $branch, $stage->voltsOut($volts));
        }
    }

    private function moment(string $key, float $hours, string $kind, Line $line, string $says): void
    {
        if (! isset($this->seen[$key])) {
            $this->seen[$key] = true;
            $this->moments[] = new Moment($hours, $kind, $line, $says);
        }
    }
}
