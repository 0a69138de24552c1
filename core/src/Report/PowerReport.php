<?php

declare(strict_types=1);

namespace PocketPlot\Report;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Build\Profile;
use PocketPlot\Facts\Facts;
use PocketPlot\File\BuildWriter;
use PocketPlot\Fit\PackRoom;
use PocketPlot\Part\Part;
use PocketPlot\Power\Assumption;
use PocketPlot\Power\BadSupply;
use PocketPlot\Power\ChargePlan;
use PocketPlot\Power\Chemistry;
use PocketPlot\Power\Circuit;
use PocketPlot\Power\Discharge;
use PocketPlot\Power\Gaps;
use PocketPlot\Power\NoBalance;
use PocketPlot\Power\PowerBudget;
use PocketPlot\Power\ProfileRunTimes;
use PocketPlot\Power\Sampling;
use PocketPlot\Power\Scatter;
use PocketPlot\Power\Sizing;
use PocketPlot\Power\TreeView;
use PocketPlot\Power\TripBehaviour;
use PocketPlot\WhatIf\PackChoices;

/** Everything about a build's power for one way of playing: the second front door, beside Appraisal. */
final class PowerReport
{
    private readonly Facts $facts;

    private readonly Profile $profile;

    private readonly float $celsius;

    /** @var list<SourceReport>|null worked out once */
    private ?array $sources = null;

    /**
     * @param  int  $way  which of the build's ways of playing; the first when there is no such
     * @param  ?float  $celsius  the air; the brief's when null
     */
    public function __construct(private readonly Build $build, int $way = 0, ?float $celsius = null)
    {
        $this->facts = new Facts($build);
        $ways = $build->profilesOrDefaults();
        $this->profile = $ways[$way] ?? $ways[0];
        $this->celsius = $celsius ?? $build->brief->roomC;
    }

    /** @return list<SourceReport> every pack and wall supply that feeds something */
    public function sources(): array
    {
        return $this->sources ??= array_map($this->source(...), $this->facts->supplyTree()->sources());
    }

    /** @return array<string, mixed> the shape that the API answers (contract/openapi.json, "Power") */
    public function toArray(): array
    {
        $tree = $this->facts->supplyTree();
        $id = static fn (Line $line): string => $line->id;

        return [
            'profiles' => array_map(
                static fn (Profile $profile): array => [
                    'off' => 0.0,
                    'idle' => 0.0,
                    'usual' => 0.0,
                    'heavy' => 0.0,
                    'brightness' => null,
                    'volume' => null,
                    'fan' => null,
                    'radio' => null,
                    ...BuildWriter::profile($profile),
                ],
                $this->build->profilesOrDefaults(),
            ),
            'profilesAreDefaults' => $this->build->profiles === [],
            'profile' => (int) array_search($this->profile, $this->build->profilesOrDefaults(), true),
            'celsius' => $this->celsius,
            'wantedHours' => $this->build->brief->runTimeHours,
            'sources' => array_map(static fn (SourceReport $source): array => $source->toArray(), $this->sources()),
            'unfed' => array_map($id, $tree->unfed),
            'inCircles' => array_map($id, $tree->inCircles),
            'curves' => Chemistry::SOURCE,
        ];
    }

    /**
     * The seeded sampling of the pack that gives up first, and what each figure is worth.
     *
     * @param  (callable(int): void)|null  $after  told after each run how many are done
     * @return ?Scatter null without a pack that feeds something, or while a figure is missing
     */
    public function scatter(int $runs = Sampling::SAMPLES, int $seed = Sampling::SEED, ?callable $after = null): ?Scatter
    {
        $source = $this->firstPack();
        if ($source === null || $this->circuit($source, $this->profile, Assumption::usual(), new Gaps) === null) {
            return null;
        }
        $sampling = new Sampling($this->build, $this->facts->supplyTree(), $source, $this->profile, $this->facts->leadOhms(), $this->celsius);
        try {
            return new Scatter(array_values(array_filter($sampling->sample($runs, $seed, $after), is_finite(...))), $seed, $sampling->sensitivities());
        } catch (NoBalance|BadSupply) {
            return null;
        }
    }

    /**
     * Packs for the wish, and the longest run for a room.
     *
     * @param  float  $hours  wished
     * @param  list<Part>  $library
     * @param  ?float  $cm3  room for the pack; what the body leaves when null
     * @return ?SizingReport null without a pack that feeds something, or while a figure is missing
     */
    public function sizing(float $hours, array $library, ?float $cm3 = null): ?SizingReport
    {
        $source = $this->firstPack();
        $circuit = $source === null ? null : $this->circuit($source, $this->profile, Assumption::usual(), new Gaps);
        if ($source === null || $circuit === null) {
            return null;
        }
        $packs = new PackChoices($this->build, $source, $this->profile, $this->celsius);
        $choices = $packs->among($library, $hours);
        $left = PackRoom::of(
            $this->facts->bodyLine(),
            $this->facts->inBody(),
            $source->id,
            $this->facts->margin('packing-easy'),
            $this->build->brief->largestMm,
        );
        $room = $cm3 ?? $left->cm3;

        return new SizingReport(
            $hours, $source, $this->budget($circuit)->mean ?? 0.0, Sizing::needs($circuit, $hours, $library), $choices, $left, $room,
            $room === null ? [] : $packs->within($choices, $room, $cm3 === null),
        );
    }

    private function firstPack(): ?Line
    {
        return $this->facts->runTime()->pack;
    }

    private function source(Line $source): SourceReport
    {
        $gaps = new Gaps;
        $circuit = $this->circuit($source, $this->profile, Assumption::usual(), $gaps);
        $pack = $source->part->pack;
        $run = $circuit === null || $pack === null ? null : Discharge::run($circuit);

        return new SourceReport(
            $source, $gaps->allMissing(), $gaps->allAssumed(),
            TreeView::of($this->facts->supplyTree(), $source, $this->build, $circuit),
            $circuit === null ? null : $this->budget($circuit),
            $pack === null ? [] : array_map(fn (Profile $profile): ProfileRunTimes => $this->ends($source, $profile), $this->build->profilesOrDefaults()),
            $run,
            $pack === null ? null : TripBehaviour::of($this->build, $source, $pack, $run),
            ChargePlan::of($this->build, $source, $circuit, $this->celsius),
        );
    }

    private function ends(Line $source, Profile $profile): ProfileRunTimes
    {
        $ends = array_map(function (Assumption $at) use ($source, $profile) {
            $circuit = $this->circuit($source, $profile, $at, new Gaps);

            return $circuit === null ? null : Discharge::hours($circuit);
        }, [Assumption::worst(), Assumption::usual(), Assumption::best()]);

        return new ProfileRunTimes($profile->name, ...$ends);
    }

    private function budget(Circuit $circuit): ?PowerBudget
    {
        try {
            return PowerBudget::of($circuit, $this->facts->supplyTree());
        } catch (NoBalance) {
            return null;
        }
    }

    private function circuit(Line $source, Profile $profile, Assumption $at, Gaps $gaps): ?Circuit
    {
        try {
            return Circuit::of($this->build, $this->facts->supplyTree(), $source, $profile, $at, $this->facts->leadOhms(), $this->celsius, $gaps);
        } catch (BadSupply $bad) {
            $gaps->missing($bad->where, $bad->figure);

            return null;
        }
    }
}
