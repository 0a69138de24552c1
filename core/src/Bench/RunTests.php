<?php

declare(strict_types=1);

namespace PocketPlot\Bench;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Build\Profile;
use PocketPlot\Build\Reading;
use PocketPlot\Build\Reading\Run;
use PocketPlot\Power\Assumption;
use PocketPlot\Power\BadSupply;
use PocketPlot\Power\Circuit;
use PocketPlot\Power\Discharge;
use PocketPlot\Power\Gaps;
use PocketPlot\Power\NoBalance;
use PocketPlot\Power\SupplyTree;

/** Lays every run test of a build beside the discharge that is predicted for it. */
final readonly class RunTests
{
    /** Tests that are compared, the latest ones: each is a discharge of its own. */
    private const MOST = 40;

    /** @param  array<string, float>  $leadOhms  by Feed::key() */
    public function __construct(private Build $build, private SupplyTree $tree, private array $leadOhms = []) {}

    /** @return list<Compared> in the order in which they were written down */
    public function compared(): array
    {
        $runs = array_values(array_filter($this->build->readings, static fn (Reading $reading): bool => $reading instanceof Run));

        return array_map($this->of(...), array_slice($runs, -self::MOST));
    }

    public function of(Run $reading): Compared
    {
        $line = $this->build->line($reading->line);
        $run = $least = $most = null;
        if ($line !== null) {
            try {
                $usual = $this->circuit($line, $reading, Assumption::usual());
                $run = $usual === null ? null : Discharge::run($usual);
                $worst = $this->circuit($line, $reading, Assumption::worst());
                $best = $this->circuit($line, $reading, Assumption::best());
                $least = $worst === null ? null : Discharge::hours($worst)->hours;
                $most = $best === null ? null : Discharge::hours($best)->hours;
            } catch (BadSupply|NoBalance) {
                $run = $least = $most = null;
            }
        }
        $predicted = $run !== null && is_finite($run->hours) ? $run->hours : null;

        return new Compared(
            $reading,
            $reading->hours,
            $predicted,
            $predicted === null ? null : $least,
            $predicted === null ? null : $most,
            $run,
            LogTally::sumsOf($reading->log),
            $reading->wattHours,
        );
    }

    private function circuit(Line $line, Run $reading, Assumption $at): ?Circuit
    {
        $circuit = Circuit::of(
            $this->build,
            $this->tree,
            $line,
            $this->profile($reading),
            $at,
            $this->leadOhms,
            $reading->airC ?? $this->build->brief->roomC,
            new Gaps,
        );
        $now = $line->part->pack?->wattHours();
        if ($circuit === null || $circuit->cells === [] || $now === null) {
            // What is no pack is never emptied.
            return null;
        }
        if (! $now->isKnown() || $now->usual() <= 0.0 || $reading->wattHours === null) {
            return $circuit;
        }
        // The test may have been made with a smaller or larger pack of the same kind than the list holds now.
        $times = $reading->wattHours / ($now->usual() * $line->quantity);

        return abs($times - 1.0) < 0.01 ? $circuit : $circuit->on($circuit->cells[0]->times($times));
    }

    private function profile(Run $reading): Profile
    {
        $profiles = $this->build->profilesOrDefaults();
        $found = $profiles[0];
        foreach ($profiles as $profile) {
            if ($profile->name === $reading->profile) {
                $found = $profile;
            }
        }

        return $reading->brightness === null ? $found : $found->with(brightness: $reading->brightness);
    }
}
