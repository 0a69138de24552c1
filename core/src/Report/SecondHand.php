<?php

declare(strict_types=1);

namespace PocketPlot\Report;

use PocketPlot\Appraisal;
use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Measuring;
use PocketPlot\Check\Verdict;
use PocketPlot\Part\Part;
use PocketPlot\Quantity\Cents;
use PocketPlot\Quantity\Day;
use PocketPlot\WhatIf\Candidates;
use PocketPlot\WhatIf\Effect;
use PocketPlot\WhatIf\RemedyFinder;

/** A thing seen in a shop, judged for a place of a build before it is paid: does it fit, what is open, what is the most it is worth. */
final readonly class SecondHand
{
    /** Clashes it brings for which a cure is looked for. */
    private const MOST_CURED = 2;

    private Effect $effect;

    private Appraisal $after;

    /**
     * @param  Part  $found  as far as it is known, its price among its offers
     * @param  list<Part>  $library  parts that could cure what it brings
     */
    public function __construct(private Appraisal $before, private Line $place, private Part $found, private array $library, private Day $today)
    {
        $this->effect = Candidates::effectOf($before, $found, $place->role, $place->id, $today);
        $this->after = Appraisal::of($before->build->withSwap($place->id, $found), $today);
    }

    /** @return array<string, mixed> as the API answers it (contract/openapi.json, "SecondHand") */
    public function toArray(): array
    {
        $line = $this->after->build->line($this->place->id) ?? $this->place;
        $worth = $this->worth();

        return [
            ...$this->effect->toArray(),
            'place' => $this->place->name(),
            'clashes' => $this->sentences([Verdict::Clash, Verdict::Missing]),
            'unknown' => $this->unknown(),
            'tight' => $this->sentences([Verdict::Tight]),
            'look' => ArrivalChecks::of($this->after, $line),
            'worth' => $worth === null ? null : Cents::says($worth),
            'because' => $this->because(),
            'currency' => $this->before->build->brief->currency,
            'before' => $this->before->vitals->toArray(),
        ];
    }

    /**
     * The highest price worth paying, in hundredths at home: what the place costs as it is planned, or what the budget leaves for it,
     * whichever is less; less what it needs besides. Null when neither is known.
     */
    public function worth(): ?int
    {
        $limits = self::limits($this->before, $this->place);

        return $limits === [] ? null : max(0, min($limits) - array_sum(array_column($this->besides(), 'cents')));
    }

    /** @return array{planned?: int, room?: int} what the place costs as it is planned, and what the budget leaves for it, as far as they are known, in hundredths at home */
    public static function limits(Appraisal $appraisal, Line $place): array
    {
        $cost = $appraisal->costs->lines[$place->id] ?? null;
        $budget = $appraisal->build->brief->budget;
        $home = $budget === null ? null : $appraisal->build->rates->convert($budget, $appraisal->build->brief->currency);

        return [
            ...($cost === null || $place->part->isWanted || $place->origin->isFree() ? [] : ['planned' => $cost->whole()]),
            ...($home === null ? [] : ['room' => Cents::of($home) - Cents::of($appraisal->costs->planned) + ($cost?->whole() ?? 0)]),
        ];
    }

    /** @return list<array{says: string, amount: string}> the sum opened: what it would cost otherwise, what the budget leaves, what it needs besides */
    private function because(): array
    {
        $limits = self::limits($this->before, $this->place);
        $rows = [
            ['Bought as it is planned, with post, tax and duty', $limits['planned'] ?? null],
            ['What the budget leaves for this place', $limits['room'] ?? null],
            ...array_map(static fn (array $one): array => [$one['says'], -$one['cents']], $this->besides()),
        ];

        return array_values(array_map(
            static fn (array $row): array => ['says' => $row[0], 'amount' => Cents::says((int) $row[1])],
            array_filter($rows, static fn (array $row): bool => $row[1] !== null),
        ));
    }

    /** @return list<array{says: string, cents: int}> what cures the clashes that it brings, the cheapest cure of each */
    private function besides(): array
    {
        $compare = Appraisal::toCompare($this->before->build->withSwap($this->place->id, $this->found), $this->today);
        $finder = new RemedyFinder($this->library, $this->today);
        $besides = [];
        foreach (array_slice($this->effect->newClashes, 0, self::MOST_CURED) as $key) {
            $finding = $compare->finding($key);
            $cheapest = null;
            $fixes = $finding === null ? null : $finder->search($compare, $finding);
            // One that leaves something to live with, such as a skill nobody spoke of, costs its money all the same.
            foreach ($fixes === null ? [] : [...$fixes->clean, ...$fixes->trades] as $fix) {
                $part = $fix->edits->lineId === null ? $fix->edits->part : null;
                $price = $part?->bestOffer()?->price;
                $home = $price === null ? null : $this->before->build->rates->convert($price, $this->before->build->brief->currency);
                if ($part !== null && $home !== null && ($cheapest === null || Cents::of($home) < $cheapest['cents'])) {
                    $cheapest = ['says' => "It would need {$part->name} besides", 'cents' => Cents::of($home)];
                }
            }
            if ($cheapest !== null) {
                $besides[] = $cheapest;
            }
        }

        return $besides;
    }

    /** @return list<string> figures of the find that verdicts wait for, the one that most wait for first */
    private function unknown(): array
    {
        $waiting = [];
        foreach ($this->effect->concerning as $finding) {
            foreach ($finding->verdict === Verdict::Unmeasured && ! $finding->ofWhole ? $finding->waitsFor : [] as [$line, $figure]) {
                if ($line === $this->place->id) {
                    $waiting[Measuring::name($figure)] = ($waiting[Measuring::name($figure)] ?? 0) + 1;
                }
            }
        }
        arsort($waiting);

        return array_map(
            static fn (string $name, int $many): string => ucfirst($name).($many === 1 ? ': one verdict waits for it' : ": {$many} verdicts wait for it"),
            array_map(strval(...), array_keys($waiting)), $waiting,
        );
    }

    /**
     * @param  list<Verdict>  $verdicts
     * @return list<string>
     */
    private function sentences(array $verdicts): array
    {
        return array_values(array_map(
            static fn (Finding $one): string => $one->says(),
            array_filter($this->effect->concerning, static fn (Finding $one): bool => in_array($one->verdict, $verdicts, true) && $one->family() !== 'money'),
        ));
    }
}
