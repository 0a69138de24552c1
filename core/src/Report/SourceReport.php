<?php

declare(strict_types=1);

namespace PocketPlot\Report;

use PocketPlot\Build\Line;
use PocketPlot\Check\Measuring;
use PocketPlot\Power\ChargePlan;
use PocketPlot\Power\Charging;
use PocketPlot\Power\Missing;
use PocketPlot\Power\Moment;
use PocketPlot\Power\PowerBudget;
use PocketPlot\Power\ProfileRunTimes;
use PocketPlot\Power\Run;
use PocketPlot\Power\TreeView;
use PocketPlot\Power\TripBehaviour;

/**
 * One pack or wall supply with everything that is powered by it.
 *
 * @phpstan-import-type Node from TreeView
 */
final readonly class SourceReport
{
    /** Rows of a run that are enough to draw it. */
    private const ROWS = 120;

    /**
     * @param  list<Missing>  $missing  figures without which nothing can be reckoned
     * @param  list<Missing>  $assumed  figures for which something careful stands in
     * @param  list<Node>  $nodes  the tree as it is drawn, parents before children
     * @param  list<ProfileRunTimes>  $ends  one for each way of playing; none for a wall supply
     * @param  ?Run  $run  of the way of playing that was asked for; null for a wall supply and while figures are missing
     */
    public function __construct(
        public Line $line,
        public array $missing,
        public array $assumed,
        public array $nodes,
        public ?PowerBudget $budget,
        public array $ends,
        public ?Run $run,
        public ?TripBehaviour $guard,
        public ?ChargePlan $charge,
    ) {}

    /** @return array<string, mixed> the shape that the API answers (contract/openapi.json, "PowerSource") */
    public function toArray(): array
    {
        return [
            'line' => $this->line->id, 'name' => $this->line->name(), 'isPack' => $this->line->part->pack !== null,
            'missing' => array_map(self::gap(...), $this->missing),
            'assumed' => array_map(self::gap(...), $this->assumed),
            'nodes' => $this->nodes,
            'budget' => $this->budget === null ? null : self::budget($this->budget),
            'ends' => array_map(static fn (ProfileRunTimes $ends): array => $ends->toArray(), $this->ends),
            'run' => $this->run === null ? null : self::run($this->run),
            'guard' => $this->guard === null ? null : self::guard($this->guard),
            'charge' => $this->charge === null ? null : self::charge($this->charge),
        ];
    }

    /** @return array{line: string, figure: string, says: string, how: string} */
    private static function gap(Missing $missing): array
    {
        return [
            'line' => $missing->line->id,
            'figure' => (string) $missing->figure,
            'says' => Measuring::name($missing->figure)." of {$missing->line->name()}",
            'how' => Measuring::how($missing->figure),
        ];
    }

    private static function round(?float $value): ?float
    {
        return $value === null || ! is_finite($value) ? null : round($value, 4);
    }

    /** @return array<string, mixed> */
    private static function run(Run $run): array
    {
        return [
            'hours' => self::round($run->hours),
            'end' => $run->end?->toArray(),
            'chargeLeft' => self::round($run->chargeLeft), 'leftWh' => self::round($run->leftWh()),
            'rows' => array_map(
                static fn (array $row): array => array_map(self::round(...), $row),
                self::thinned($run->rows, max(1, intdiv(count($run->rows), self::ROWS))),
            ),
            'moments' => array_map(static fn (Moment $moment): array => $moment->toArray(), $run->moments),
            'used' => $run->used->toArray(),
        ];
    }

    /**
     * Every so many rows, and always the last.
     *
     * @template T
     *
     * @param  list<T>  $rows
     * @return list<T>
     */
    private static function thinned(array $rows, int $every): array
    {
        return array_values(array_filter($rows, static fn (int $index): bool => $index % $every === 0 || $index === count($rows) - 1, ARRAY_FILTER_USE_KEY));
    }

    /** @return array<string, mixed> */
    private static function budget(PowerBudget $budget): array
    {
        return [
            'rows' => array_map(static fn (array $row): array => [
                'key' => $row['key'],
                'line' => $row['line']->id,
                'name' => $row['name'],
                'watts' => array_map(self::round(...), $row['watts']),
                'fromSource' => self::round($row['fromSource']),
                'share' => self::round($row['share']),
            ], $budget->rows),
            'total' => array_map(self::round(...), $budget->total), 'mean' => self::round($budget->mean), 'lost' => self::round($budget->lost),
        ];
    }

    /** @return array<string, mixed> */
    private static function guard(TripBehaviour $guard): array
    {
        return [
            'by' => $guard->by?->id, 'cutOffV' => $guard->cutOffV->isKnown() ? $guard->cutOffV->says() : null, 'latches' => $guard->latches->value,
            'recoversToV' => self::round($guard->recoversToV), 'warningSeconds' => $guard->warningSeconds, 'shutdownSeconds' => $guard->shutdownSeconds,
            'says' => $guard->says, 'open' => array_map(self::gap(...), $guard->open),
        ];
    }

    /** @return array<string, mixed> */
    private static function charge(ChargePlan $plan): array
    {
        $one = static fn (?Charging $charging): ?array => $charging === null ? null : [
            'hoursTo80' => self::round($charging->hoursTo80),
            'hoursToFull' => self::round($charging->hoursToFull),
            'hoursAtFullVolts' => self::round($charging->hoursAtFullVolts),
            'mostHeatW' => self::round($charging->mostHeatW), 'heldBack' => $charging->heldBack,
            'rows' => array_map(static fn (array $row): array => array_map(self::round(...), $row), self::thinned($charging->rows, 4)),
        ];

        return [
            'charger' => $plan->path->line->id,
            'chargerName' => $plan->path->line->name(),
            'source' => $plan->path->source?->id,
            'sourceName' => $plan->path->source?->name(),
            'inSun' => $plan->path->isInSun(),
            'pastPack' => $plan->path->charger->powerPath->value, 'atRest' => $one($plan->atRest), 'inPlay' => $one($plan->inPlay),
            'netMa' => self::round($plan->netMa), 'playW' => self::round($plan->playW), 'hottestC' => self::round($plan->hottestC),
            'missing' => array_map(self::gap(...), $plan->missing),
            'weak' => array_map(static fn (array $weak): array => array_map(self::round(...), $weak), $plan->weak),
        ];
    }
}
