<?php

declare(strict_types=1);

namespace PocketPlot;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Build\Profile;
use PocketPlot\Check\Facts;
use PocketPlot\Check\Measuring;
use PocketPlot\Check\PackChoices;
use PocketPlot\File\BuildWriter;
use PocketPlot\Part\Part;
use PocketPlot\Power\Assumption;
use PocketPlot\Power\BadSupply;
use PocketPlot\Power\Band;
use PocketPlot\Power\Budget;
use PocketPlot\Power\ChargePlan;
use PocketPlot\Power\Charging;
use PocketPlot\Power\Chemistry;
use PocketPlot\Power\Circuit;
use PocketPlot\Power\Discharge;
use PocketPlot\Power\Gaps;
use PocketPlot\Power\Guard;
use PocketPlot\Power\Missing;
use PocketPlot\Power\Moment;
use PocketPlot\Power\NoBalance;
use PocketPlot\Power\PackNeed;
use PocketPlot\Power\Run;
use PocketPlot\Power\RunEnd;
use PocketPlot\Power\Sensitivity;
use PocketPlot\Power\Sizing;
use PocketPlot\Power\TreeView;

/** Everything about a build's power for one way of playing: the second front door, beside Appraisal. */
final readonly class PowerReport
{
    private Facts $facts;

    private Profile $profile;

    private float $celsius;

    /** @param  int  $way  which of the build's ways of playing */
    public function __construct(private Build $build, int $way = 0, ?float $celsius = null)
    {
        $this->facts = new Facts($build);
        $ways = $build->waysOfPlaying();
        $this->profile = $ways[$way] ?? $ways[0];
        $this->celsius = $celsius ?? $build->brief->roomC;
    }

    /** @return array<string, mixed> the shape that the API answers (contract/openapi.json, "Power") */
    public function toArray(): array
    {
        $tree = $this->facts->supplyTree();

        return [
            'ways' => array_map(static fn (Profile $profile): array => ['off' => 0.0, 'idle' => 0.0, 'usual' => 0.0, 'heavy' => 0.0, 'brightness' => null, 'volume' => null, 'fan' => null, 'radio' => null, ...BuildWriter::profile($profile)], $this->build->waysOfPlaying()),
            'waysAreHouse' => $this->build->profiles === [],
            'way' => (int) array_search($this->profile, $this->build->waysOfPlaying(), true),
            'celsius' => $this->celsius,
            'wantedHours' => $this->build->brief->runTimeHours,
            'sources' => array_map($this->source(...), $tree->sources()),
            'unfed' => array_map(static fn (Line $line): string => $line->id, $tree->unfed),
            'inCircles' => array_map(static fn (Line $line): string => $line->id, $tree->inCircles),
            'curves' => Chemistry::SOURCE,
        ];
    }

    /**
     * The seeded sampling of the first pack, and what each figure is worth.
     *
     * @param  (callable(int): void)|null  $after  told after each run how many are done
     * @return array{runs: int, seed: int, middle: array{float, float, float, float, float}, histogram: list<array{from: float, to: float, runs: int}>, sensitivities: list<array<string, mixed>>}|null null while a figure is missing
     */
    public function band(int $runs = Band::SAMPLES, int $seed = Band::SEED, ?callable $after = null): ?array
    {
        $source = $this->firstPack();
        if ($source === null || $this->circuit($source, $this->profile, Assumption::usual(), new Gaps) === null) {
            return null;
        }
        $band = new Band($this->build, $this->facts->supplyTree(), $source, $this->profile, $this->facts->leadOhms(), $this->celsius);
        try {
            $hours = array_values(array_filter($band->sample($runs, $seed, $after), is_finite(...)));
        } catch (NoBalance|BadSupply) {
            return null;
        }

        return [
            'runs' => count($hours), 'seed' => $seed,
            'middle' => array_map(static fn (float $one): float => round($one, 3), Band::middle($hours)),
            'histogram' => self::histogram($hours),
            'sensitivities' => array_map(static fn (Sensitivity $one): array => $one->toArray(), $band->sensitivities()),
        ];
    }

    /**
     * Packs for the wish, and the wish for a room.
     *
     * @param  list<Part>  $library
     * @param  ?float  $cm3  room for the pack; null when nobody asks
     * @return array{hours: float, packLine: string, meanW: float, needs: list<array<string, mixed>>, packs: list<array<string, mixed>>, within: list<array{part: string, name: string, count: int, hours: float}>}|null null while a figure is missing
     */
    public function sizing(float $hours, array $library, ?float $cm3 = null): ?array
    {
        $source = $this->firstPack();
        $circuit = $source === null ? null : $this->circuit($source, $this->profile, Assumption::usual(), new Gaps);
        if ($source === null || $circuit === null) {
            return null;
        }
        $choices = PackChoices::of($this->build, $source, $this->profile, $hours, $library);
        try {
            $budget = Budget::of($circuit, [])->mean;
        } catch (NoBalance) {
            $budget = 0.0;
        }

        return [
            'hours' => $hours, 'packLine' => $source->id, 'meanW' => round($budget, 3),
            'needs' => array_map(static fn (PackNeed $need): array => $need->toArray(), Sizing::needs($circuit, $hours, $library)),
            'packs' => array_map(static fn ($choice): array => $choice->toArray(), $choices),
            'within' => $cm3 === null ? [] : array_map(static fn (array $one): array => ['part' => $one['part']->id, 'name' => $one['part']->name, 'count' => $one['count'], 'hours' => round($one['hours'], 3)], array_slice(PackChoices::within($choices, $cm3), 0, 5)),
        ];
    }

    public function firstPack(): ?Line
    {
        return $this->facts->runTime()->pack ?? $this->facts->with('pack')[0] ?? null;
    }

    /** @return array<string, mixed> */
    private function source(Line $source): array
    {
        $gaps = new Gaps;
        $tree = $this->facts->supplyTree();
        $circuit = $this->circuit($source, $this->profile, Assumption::usual(), $gaps);
        $pack = $source->part->pack;
        $run = $circuit === null || $pack === null ? null : Discharge::run($circuit);
        try {
            $budget = $circuit === null ? null : $this->budget(Budget::of($circuit, $this->startWatts()));
        } catch (NoBalance) {
            $budget = null;
        }
        $charge = ChargePlan::of($this->build, $source, $circuit);

        return [
            'line' => $source->id, 'name' => $source->name(), 'isPack' => $pack !== null,
            'missing' => array_map($this->missing(...), $gaps->allMissing()),
            'assumed' => array_map($this->missing(...), $gaps->allAssumed()),
            'nodes' => TreeView::of($tree, $source, $this->build, $circuit),
            'budget' => $budget,
            'ends' => $pack === null ? [] : array_map(fn (Profile $profile): array => $this->ends($source, $profile), $this->build->waysOfPlaying()),
            'run' => $run === null ? null : self::run($run),
            'guard' => $pack === null ? null : $this->guard(Guard::of($this->build, $source, $pack, $run)),
            'charge' => $charge === null ? null : $this->charge($charge),
        ];
    }

    /** @return array{profile: string, leastHours: ?float, usualHours: ?float, mostHours: ?float, says: string} */
    private function ends(Line $source, Profile $profile): array
    {
        $ends = [];
        foreach ([Assumption::worst(), Assumption::usual(), Assumption::best()] as $at) {
            $circuit = $this->circuit($source, $profile, $at, new Gaps);
            $ends[] = $circuit === null ? null : Discharge::hours($circuit);
        }
        $hours = static fn (?RunEnd $end): ?float => $end === null || ! is_finite($end->hours) ? null : round($end->hours, 3);

        return ['profile' => $profile->name, 'leastHours' => $hours($ends[0]), 'usualHours' => $hours($ends[1]), 'mostHours' => $hours($ends[2]), 'says' => $ends[1]?->end?->says() ?? ''];
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

    /** @return array<string, ?float> start-up watts of each fed input, by feed key */
    private function startWatts(): array
    {
        $watts = [];
        foreach ($this->facts->supplyTree()->feeds as $key => $feed) {
            $input = $feed->input;
            $amps = $input->startUpMa->isKnown() ? $input->startUpMa : $input->peakMa;
            $watts[$key] = $amps->isKnown() && $input->drawAtV->isKnown() ? $amps->most() / 1000 * $input->drawAtV->usual() * $feed->line->quantity : null;
        }

        return $watts;
    }

    /** @return array{line: string, figure: string, says: string, how: string} */
    private function missing(Missing $missing): array
    {
        return ['line' => $missing->line->id, 'figure' => $missing->figure, 'says' => Measuring::name($missing->figure)." of {$missing->line->name()}", 'how' => Measuring::how($missing->figure)];
    }

    /** @return array<string, mixed> */
    private static function run(Run $run): array
    {
        $round = static fn (float $value): float => round($value, 4);

        return [
            'hours' => is_finite($run->hours) ? $round($run->hours) : null,
            'end' => $run->end?->toArray(),
            'chargeLeft' => $round($run->chargeLeft), 'leftWh' => $round($run->leftWh()),
            'rows' => array_map(static fn (array $row): array => array_map($round, $row), self::thinned($run->rows)),
            'moments' => array_map(static fn (Moment $moment): array => $moment->toArray(), $run->moments),
            'used' => $run->used->toArray(),
        ];
    }

    /**
     * @param  list<array{h: float, charge: float, volts: float, heavyVolts: float, restVolts: float, amps: float, watts: float}>  $rows
     * @return list<array{h: float, charge: float, volts: float, heavyVolts: float, restVolts: float, amps: float, watts: float}>
     */
    private static function thinned(array $rows): array
    {
        $every = max(1, intdiv(count($rows), 120));

        return array_values(array_filter($rows, static fn (int $index): bool => $index % $every === 0 || $index === count($rows) - 1, ARRAY_FILTER_USE_KEY));
    }

    /** @return array<string, mixed> */
    private function budget(Budget $budget): array
    {
        $round = static fn (?float $value): ?float => $value === null ? null : round($value, 4);

        return [
            'rows' => array_map(static fn (array $row): array => [
                'key' => $row['key'], 'line' => $row['line']->id, 'name' => $row['name'], 'watts' => array_map($round, $row['watts']), 'fromSource' => $round($row['fromSource']), 'share' => $round($row['share']),
            ], $budget->rows),
            'total' => array_map($round, $budget->total), 'mean' => $round($budget->mean), 'lost' => $round($budget->lost),
        ];
    }

    /** @return array<string, mixed> */
    private function guard(Guard $guard): array
    {
        return [
            'by' => $guard->by?->id, 'cutOffV' => $guard->cutOffV->isKnown() ? $guard->cutOffV->says() : null, 'latches' => $guard->latches->value,
            'restsAtV' => $guard->restsAtV === null ? null : round($guard->restsAtV, 3), 'noticeSeconds' => $guard->noticeSeconds, 'shutdownSeconds' => $guard->shutdownSeconds,
            'says' => $guard->says, 'open' => array_map($this->missing(...), $guard->open),
        ];
    }

    /** @return array<string, mixed> */
    private function charge(ChargePlan $plan): array
    {
        $round = static fn (?float $value): ?float => $value === null ? null : round($value, 3);
        $one = static fn (?Charging $charging): ?array => $charging === null ? null : [
            'hoursTo80' => $round($charging->hoursTo80), 'hoursToFull' => $round($charging->hoursToFull), 'hoursAtFullVolts' => $round($charging->hoursAtFullVolts),
            'mostHeatW' => $round($charging->mostHeatW), 'heldBack' => $charging->heldBack,
            'rows' => array_map(static fn (array $row): array => array_map($round, $row), array_values(array_filter($charging->rows, static fn (int $index): bool => $index % 4 === 0 || $index === count($charging->rows) - 1, ARRAY_FILTER_USE_KEY))),
        ];

        return [
            'charger' => $plan->path->line->id, 'chargerName' => $plan->path->line->name(), 'source' => $plan->path->source?->id, 'sourceName' => $plan->path->source?->name(),
            'pastPack' => $plan->path->charger->powerPath->value, 'atRest' => $one($plan->atRest), 'inPlay' => $one($plan->inPlay),
            'netMa' => $round($plan->netMa), 'playW' => $round($plan->playW), 'hottestC' => $round($plan->hottestC),
            'missing' => array_map($this->missing(...), $plan->missing),
            'weak' => array_map(static fn (array $weak): array => ['amps' => $weak['amps'], 'hoursToFull' => $round($weak['hoursToFull']), 'netMa' => $round($weak['netMa'])], $plan->weak),
        ];
    }

    /**
     * @param  list<float>  $hours  sorted
     * @return list<array{from: float, to: float, runs: int}>
     */
    private static function histogram(array $hours, int $bars = 20): array
    {
        if ($hours === []) {
            return [];
        }
        $least = $hours[0];
        $wide = max(1e-6, ($hours[count($hours) - 1] - $least) / $bars);
        $counts = array_fill(0, $bars, 0);
        foreach ($hours as $one) {
            $counts[min($bars - 1, (int) floor(($one - $least) / $wide))]++;
        }

        return array_map(static fn (int $bar, int $runs): array => ['from' => round($least + $bar * $wide, 3), 'to' => round($least + ($bar + 1) * $wide, 3), 'runs' => $runs], array_keys($counts), $counts);
    }
}
