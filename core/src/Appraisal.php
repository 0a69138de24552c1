<?php

declare(strict_types=1);

namespace PocketPlot;

use PocketPlot\Assembly\Plan;
use PocketPlot\Assembly\PlanView;
use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Grid;
use PocketPlot\Check\Judgements;
use PocketPlot\Check\OpenFigure;
use PocketPlot\Check\RuleBook;
use PocketPlot\Check\Verdict;
use PocketPlot\Clipping\SpokenPlace;
use PocketPlot\Facts\Facts;
use PocketPlot\File\FigurePlace;
use PocketPlot\File\PencilFigures;
use PocketPlot\Power\Feed;
use PocketPlot\Power\Rail;
use PocketPlot\Quantity\Day;
use PocketPlot\Sourcing\Costs;

/**
 * The front door: appraisal = appraise(build). A build goes in, everything that can be known about
 * it comes out. Pure: the same build and the same day give the same appraisal.
 */
final readonly class Appraisal
{
    /**
     * @param  list<Finding>  $findings  worst first
     * @param  list<OpenFigure>  $open  what to measure next, the figure that settles most first
     */
    private function __construct(
        public Build $build,
        public Verdict $verdict,
        public Vitals $vitals,
        public array $findings,
        public Plan $plan,
        public Costs $costs,
        public array $open,
        private Judgements $judgements,
        public Facts $facts,
    ) {}

    /** @param  Day  $today the day that arrivals and evenings are reckoned from */
    public static function of(Build $build, Day $today): self
    {
        $facts = new Facts($build);

        return self::from($facts, RuleBook::ask($facts), $today);
    }

    /** The same, ready to be laid beside many builds close by: see after(). */
    public static function toCompare(Build $build, Day $today): self
    {
        $facts = new Facts($build);

        return self::from($facts, RuleBook::askNoting($facts), $today);
    }

    /** The same appraisal as of() gives, for this build with some lines swapped, added or gone: only what rests on these is judged again. */
    public function after(Build $build, Day $today): self
    {
        $facts = Facts::after($this->facts, $build);

        return self::from($facts, RuleBook::askAgain($facts, $this->judgements), $today);
    }

    private static function from(Facts $facts, Judgements $judgements, Day $today): self
    {
        $findings = $judgements->worstFirst();
        $plan = Plan::of($facts, $today);

        return new self(
            $facts->build,
            $findings === [] ? Verdict::Fits : $findings[0]->verdict,
            Vitals::of($facts, $findings, $plan),
            $findings,
            $plan,
            $facts->costs(),
            OpenFigure::among($findings, $facts->build),
            $judgements,
            $facts,
        );
    }

    public function finding(string $key): ?Finding
    {
        foreach ($this->findings as $finding) {
            if ($finding->key() === $key) {
                return $finding;
            }
        }

        return null;
    }

    /** @return array<string, string> the sentences of what fits, by finding key */
    public function fits(): array
    {
        $fits = [];
        foreach ($this->findings as $finding) {
            if ($finding->verdict === Verdict::Fits) {
                $fits[$finding->key()] = $finding->says();
            }
        }

        return $fits;
    }

    /** @return list<string> keys of all findings of this verdict */
    public function keysOf(Verdict $verdict): array
    {
        $keys = [];
        foreach ($this->findings as $finding) {
            if ($finding->verdict === $verdict) {
                $keys[] = $finding->key();
            } elseif ($finding->verdict->weight() < $verdict->weight()) {
                break;
            }
        }

        return $keys;
    }

    /** Whether it rests on a part that stands for any of its kind. */
    private function isInPencil(Finding $finding): bool
    {
        foreach ($finding->lines as $line) {
            if ($this->build->line($line)?->part->isTypical === true) {
                return true;
            }
        }

        return false;
    }

    /**
     * @return array{feeds: list<array<string, mixed>>, rails: list<array{id: string, line: string, output: string, says: string}>} who feeds whom and why,
     *   and what could feed something
     */
    private function supply(): array
    {
        $tree = $this->facts->supplyTree();

        return [
            'feeds' => array_values(array_map(static fn (Feed $feed): array => [
                'line' => $feed->line->id,
                'input' => $feed->key() === $feed->line->id ? '' : $feed->input->name,
                'rail' => $feed->railId,
                'settled' => $feed->join !== null,
                'reason' => $feed->reason,
            ], $tree->feeds)),
            'rails' => array_values(array_map(static fn (Rail $rail): array => [
                'id' => $rail->id,
                'line' => $rail->line->id,
                'output' => $rail->isRawPack ? 'pack' : $rail->name,
                'says' => "{$rail->line->name()}, {$rail->name} ({$rail->volts->says()})",
            ], $tree->rails)),
        ];
    }

    /** @return array<string, array{verdict: string, figure: string}> what stands on the tab of each station */
    public function tabs(): array
    {
        return Tabs::of($this->build, $this->findings, $this->plan, $this->vitals, $this->facts->fitted());
    }

    /** @return list<array<string, mixed>> the steps in their order (contract/openapi.json, "Step") */
    public function stepList(): array
    {
        return (new PlanView($this->plan, $this->facts))->steps();
    }

    /** @return list<array{one: string, other: string, verdict: string, findings: list<string>}> part against part */
    public function grid(): array
    {
        return Grid::of($this->findings);
    }

    /**
     * @return array<string, mixed> the shape that the API answers (contract/openapi.json,
     *   "Appraisal"): what every page needs; steps and grid come when they are looked at
     */
    public function toArray(): array
    {
        return [
            'verdict' => $this->verdict->value,
            'vitals' => $this->vitals->toArray(),
            'findings' => array_map(fn (Finding $finding): array => [...$finding->toArray(), 'pencil' => $this->isInPencil($finding)], $this->findings),
            'tabs' => $this->tabs(),
            'toMeasure' => array_map(
                static fn (OpenFigure $figure): array => [
                    ...$figure->toArray(),
                    'entry' => (FigurePlace::of($figure->figure) ?? SpokenPlace::of($figure->figure))?->toArray(),
                ],
                $this->open,
            ),
            'toConfirm' => PencilFigures::among($this->build),
            'supply' => $this->supply(),
            'costs' => [
                'planned' => $this->costs->planned->rounded(),
                'committed' => $this->costs->committed->rounded(),
                'spent' => $this->costs->spent->rounded(),
                'currency' => $this->costs->planned->currency,
                'byLine' => (object) array_map(static fn ($money): string => $money->rounded(), $this->costs->byLine()),
                'unpriced' => array_map(static fn (Line $line): string => $line->id, $this->costs->unpriced),
            ],
        ];
    }
}
