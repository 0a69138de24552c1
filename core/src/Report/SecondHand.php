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
        $limits = array_filter([$this->planned(), $this->room()], is_int(...));

        return $limits === [] ? null : max(0, min($limits) - array_sum(array_column($this->besides(), 'cents')));
    }

    /** @return list<array{says: string, amount: string}> the sum opened: what it would cost otherwise, what the budget leaves, what it needs besides */
    private function because(): array
    {
        $rows = [
            ['Bought as it is planned, with post, tax and duty', $this->planned()],
            ['What the budget leaves for this place', $this->room()],
            ...array_map(static fn (array $one): array => [$one['says'], -$one['cents']], $this->besides()),
        ];

        return array_values(array_map(
            static fn (array $row): array => ['says' => $row[0], 'amount' => Cents::says((int) $row[1])],
            array_filter($rows, static fn (array $row): bool => $row[1] !== null),
        ));
    }

    /** What the place comes to when it is bought as it is planned; null when nobody knows, or it is only wanted. */
    private function planned(): ?int
    {
        $cost = $this->before->costs->lines[$this->place->id] ?? null;

        return $this->place->part->isWanted || $cost === null || $this->place->origin->isFree() ? null : $cost->whole();
    }

    private function room(): ?int
    {
        $budget = $this->before->build->brief->budget;
        $home = $budget === null ? null : $this->before->build->rates->convert($budget, $this->before->build->brief->currency);
        $others = Cents::of($this->before->costs->planned) - ($this->before->costs->lines[$this->place->id] ?? null)?->whole();

        return $home === null ? null : Cents::of($home) - $others;
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
