<?php

declare(strict_types=1);

namespace PocketPlot\Report;

use PocketPlot\Appraisal;
use PocketPlot\Build\Line;
use PocketPlot\Build\Origin;
use PocketPlot\Build\SupplyState;
use PocketPlot\Check\Verdict;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Cents;
use PocketPlot\Quantity\Day;
use PocketPlot\Sourcing\Basket;
use PocketPlot\Sourcing\Demand;
use PocketPlot\Sourcing\Market;
use PocketPlot\Sourcing\MarketOffer;
use PocketPlot\Sourcing\Plan;
use PocketPlot\Sourcing\Progress;
use PocketPlot\Sourcing\ShoppingList;
use PocketPlot\Sourcing\Wishes;
use PocketPlot\WhatIf\Candidates;

/** A build's shopping: what is needed and owned and on its way, who sells the rest, and the ways to buy it, side by side. */
final readonly class Shopping
{
    /** Days after which an offer that was seen is told as an old one. */
    private const OLD_AFTER_DAYS = 60;

    /** Nobody hunts for these second-hand. */
    private const NEVER_USED = [Role::Material, Role::Fastener, Role::Cable, Role::Tool];

    /** What is no part of the build and has to be there all the same. */
    private const TO_BE_HAD = ['people.tools', 'people.consumables'];

    /** @var list<Demand> */
    public array $demands;

    /**
     * @param  array<string, int>  $spares  pieces more than are needed, by line
     * @param  list<Role>  $onlyNew  roles of which nothing used is bought
     * @param  bool  $mayChoose  whether a place may go to another of its candidates that fits
     */
    public function __construct(
        private Appraisal $appraisal, private Market $market, private Wishes $wishes, array $spares = [], array $onlyNew = [], bool $mayChoose = false,
    ) {
        $this->demands = ShoppingList::of($appraisal->build, $spares, $mayChoose ? self::fitting($appraisal, $market->today) : [], $onlyNew);
    }

    /** @return list<array{way: string, report: BasketReport}> the cheapest first; others only where they differ from it */
    public function plans(): array
    {
        $best = new BasketReport($this->demands, $this->market, $this->wishes);
        $plans = [['way' => 'least', 'report' => $best]];
        $soonest = $this->soonest();
        foreach (array_filter(['soonest' => $soonest, 'fewest-parcels' => $this->fewest($best->plan)]) as $way => $wishes) {
            $report = new BasketReport($this->demands, $this->market, $wishes);
            $isNew = $report->plan->isPossible && count($report->plan->unmet) <= count($best->plan->unmet) && $report->plan->total() > $best->plan->total();
            foreach ($plans as $one) {
                $isNew = $isNew && self::picture($one['report']->plan) !== self::picture($report->plan);
            }
            if ($isNew) {
                $plans[] = ['way' => $way, 'report' => $report];
            }
        }

        return $plans;
    }

    /** @return array<string, mixed> as the API answers it (contract/openapi.json, "Shopping") */
    public function toArray(): array
    {
        return [
            'currency' => $this->market->home,
            'list' => array_values(array_map(
                $this->row(...),
                array_filter($this->appraisal->build->chosen(), static fn (Line $line): bool => ! $line->part->isWanted),
            )),
            'plans' => $this->plansWithDistance(),
            'missing' => $this->missing(),
            'withoutPost' => $this->withoutPost(),
            'withoutRate' => $this->withoutRate(),
        ];
    }

    /** @return list<array<string, mixed>> each with how much dearer than the cheapest it is */
    private function plansWithDistance(): array
    {
        $plans = $this->plans();
        $least = $plans[0]['report']->plan->total();

        return array_map(static fn (array $one): array => [
            'way' => $one['way'], 'more' => Cents::says($one['report']->plan->total() - $least), ...$one['report']->toArray(),
        ], $plans);
    }

    /** @return list<array{key: string, says: string}> what the build needs and has no part for yet: wanted, missing, left out of a kit, tools and consumables */
    private function missing(): array
    {
        $missing = [];
        foreach ($this->appraisal->findings as $finding) {
            $isAsked = $finding->verdict === Verdict::Missing
                || (in_array($finding->rule, self::TO_BE_HAD, true) && $finding->verdict !== Verdict::Fits && $finding->verdict !== Verdict::Unmeasured);
            if ($isAsked) {
                $missing[] = ['key' => $finding->key(), 'says' => $finding->says()];
            }
        }

        return $missing;
    }

    /** @return list<string> vendors of these offers whose post nobody knows */
    private function withoutPost(): array
    {
        $names = [];
        foreach ($this->market->offers as $offer) {
            if ($this->market->vendors[$offer->vendor]->saysPost === false) {
                $names[$offer->vendor] = $offer->vendor;
            }
        }

        return array_values($names);
    }

    /** @return list<string> currencies of these offers that nobody wrote a rate for: whoever sells in them is left out of the plans */
    private function withoutRate(): array
    {
        $missing = [];
        foreach ($this->market->offers as $offer) {
            $currency = $this->market->vendors[$offer->vendor]->currency;
            if ($this->market->atHome(100, $currency) === null) {
                $missing[$currency] = $currency;
            }
        }

        return array_values($missing);
    }

    /** @return array<string, mixed> */
    private function row(Line $line): array
    {
        $progress = Progress::of($line, $this->appraisal->build);
        $atHome = $line->origin !== Origin::Buy ? $line->quantity : $progress->owned;
        // Of what was bought without an order of ours, the line itself says how far it has come.
        $byHand = $progress->pieces === 0 ? max(0, $line->quantity - $atHome) : 0;
        $expected = $progress->expectedOn ?? ($line->state === SupplyState::Ordered ? $line->expectedOn : null);

        return [
            'line' => $line->id,
            'name' => $line->name(),
            'part' => $line->part->id,
            'role' => $line->role->value,
            'needed' => $progress->needed,
            'owned' => $atHome,
            'awaited' => $progress->awaited + ($line->state === SupplyState::Ordered ? $byHand : 0),
            'here' => $progress->right + ($line->state->isAtHand() ? $byHand : 0),
            'toBuy' => $progress->toBuy,
            'packetOf' => $line->part->packetOf,
            'expectedOn' => $expected === null ? null : (string) $expected,
            'worth' => $progress->toBuy === 0 || in_array($line->role, self::NEVER_USED, true) ? null : $this->worth($line),
            'clash' => $this->clash($line),
            'offers' => $progress->toBuy === 0 ? [] : $this->offers($line, $progress->toBuy),
        ];
    }

    /** The most that is worth paying for it second-hand: what it costs as it is planned, or what the budget leaves for it; null when neither is known. */
    private function worth(Line $line): ?string
    {
        $limits = SecondHand::limits($this->appraisal, $line);

        return $limits === [] ? null : Cents::says(max(0, min($limits)));
    }

    /** What clashes about the line, in a sentence; null when nothing does. */
    public function clash(Line $line): ?string
    {
        foreach ($this->appraisal->findings as $finding) {
            if ($finding->verdict === Verdict::Clash && ! $finding->ofWhole && in_array($line->id, $finding->lines, true)) {
                return $finding->says();
            }
        }

        return null;
    }

    /** @return list<array<string, mixed>> cheapest for so many pieces first */
    private function offers(Line $line, int $pieces): array
    {
        $offers = [];
        foreach ($this->market->offers as $offer) {
            if ($offer->part === $line->part->id) {
                $offers[] = $this->offer($offer, $pieces);
            }
        }
        usort($offers, static fn (array $a, array $b): int => [$a['cents'] === null, $a['cents']] <=> [$b['cents'] === null, $b['cents']]);

        return array_map(static fn (array $one): array => array_diff_key($one, ['cents' => true]), $offers);
    }

    /** @return array{cents: ?int}&array<string, mixed> */
    private function offer(MarketOffer $offer, int $pieces): array
    {
        $vendor = $this->market->vendors[$offer->vendor];
        $bought = $offer->cheapest($pieces);
        $cents = $bought === null ? null : $this->market->atHome($bought[1], $vendor->currency);

        return [
            'cents' => $cents,
            'id' => $offer->id,
            'vendor' => $offer->vendor,
            'pieces' => $offer->pieces,
            'prices' => array_map(
                static fn (int $from, int $price): array => ['from' => $from, 'price' => Cents::says($price)], array_keys($offer->prices), $offer->prices,
            ),
            'currency' => $vendor->currency,
            'condition' => $offer->condition->value,
            'stock' => $offer->stock,
            'packets' => $bought[0] ?? null,
            'goods' => $cents === null ? null : Cents::says($cents),
            'arrives' => (string) $vendor->arrival($this->market->today, $vendor->lead->usual),
            'seenOn' => $offer->seenOn === null ? null : (string) $offer->seenOn,
            'isOld' => $offer->seenOn !== null && $offer->seenOn->daysUntil($this->market->today) > self::OLD_AFTER_DAYS,
            'link' => $offer->link,
        ];
    }

    /** All by the first day on which it can be there; null when the wishes already say a day. */
    private function soonest(): ?Wishes
    {
        if ($this->wishes->needBy !== null) {
            return null;
        }
        $day = null;
        foreach ($this->demands as $demand) {
            $first = null;
            foreach ($this->market->offers as $offer) {
                $vendor = $this->market->vendors[$offer->vendor];
                $isSold = isset($demand->grams[$offer->part]) && $offer->cheapest($demand->pieces) !== null;
                if ($isSold && ! in_array($offer->vendor, $this->wishes->avoid, true)) {
                    $arrives = $vendor->arrival($this->market->today, $vendor->lead->usual);
                    $first = $first === null || $first->isAfter($arrives) ? $arrives : $first;
                }
            }
            $day = $first === null ? $day : ($day === null ? $first : $day->latest($first));
        }

        return $day === null ? null : $this->wishes->by($day);
    }

    /** So few parcels as all of it can come in; null when the cheapest plan has no more. */
    private function fewest(Plan $best): ?Wishes
    {
        for ($parcels = 1; $parcels < count($best->orders); $parcels++) {
            $wishes = $this->wishes->inParcels($parcels);
            if (Basket::cheapest($this->demands, $this->market, $wishes)->isPossible) {
                return $wishes;
            }
        }

        return null;
    }

    /** @return list<array{string, int}> */
    private static function picture(Plan $plan): array
    {
        return array_map(static fn ($order): array => [$order->vendor->name, $order->total()], $plan->orders);
    }

    /** @return array<string, list<Part>> by the chosen line, parts of the other candidates of its place that bring no clash */
    private static function fitting(Appraisal $appraisal, Day $today): array
    {
        $build = $appraisal->build;
        $before = Appraisal::toCompare($build, $today);
        $fitting = [];
        foreach ($build->chosen() as $line) {
            foreach ($build->lines as $other) {
                if (! $other->chosen && $other->slot === $line->slot && $other->quantity === $line->quantity
                    && Candidates::effectOf($before, $other->part, $line->role, $line->id, $today)->verdict->weight() <= Verdict::Tight->weight()) {
                    $fitting[$line->id][] = $other->part;
                }
            }
        }

        return $fitting;
    }
}
