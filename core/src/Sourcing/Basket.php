<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Build\Vendor;

/** The cheapest way to buy what is wanted, each demand out of one offer, with post, tax and duty counted in. */
final class Basket
{
    /** @param  list<Demand>  $demands */
    public static function cheapest(array $demands, Market $market, Wishes $wishes): Plan
    {
        $vendors = self::asked($market, $wishes);
        $choices = $wanted = $unmet = [];
        foreach ($demands as $demand) {
            $own = self::choices($demand, $vendors, $market, $wishes);
            if ($own === []) {
                $unmet[] = $demand;
            } else {
                $choices[] = $own;
                $wanted[] = $demand;
            }
        }
        if ($wanted === []) {
            return new Plan([], $unmet, 0);
        }
        $terms = array_map(static fn (Vendor $one): array => array_map(
            static fn (Terms $way): Terms => $way->handicapped($wishes->handicapOf($one->name)),
            Terms::of($one, $market->rates, $market->home),
        ), $vendors);
        $search = new BasketSearch($choices, $terms, $wishes->mostParcels);
        [$taken, $terms, $bound] = $search->run();
        if ($taken === null) {
            return new Plan([], $unmet, $bound, false);
        }

        return new Plan(self::orders($taken, $terms, $vendors, $market), $unmet, $bound);
    }

    /** @return array<string, Vendor> by name, those that can be asked under these wishes */
    private static function asked(Market $market, Wishes $wishes): array
    {
        return array_filter($market->vendors, static fn (Vendor $one): bool => ! in_array($one->name, $wishes->avoid, true)
            && Terms::of($one, $market->rates, $market->home) !== []
            && ($wishes->needBy === null || ! $one->arrival($market->today, $one->lead->usual)->isAfter($wishes->needBy)));
    }

    /**
     * @param  array<string, Vendor>  $vendors
     * @return list<Choice>
     */
    private static function choices(Demand $demand, array $vendors, Market $market, Wishes $wishes): array
    {
        $choices = [];
        foreach ($market->offers as $offer) {
            $isWanted = isset($vendors[$offer->vendor], $demand->grams[$offer->part])
                && ($offer->condition === Condition::New || ($wishes->usedAllowed && $demand->mayBeUsed));
            $choice = $isWanted ? Choice::meeting($demand, $offer, $market) : null;
            if ($choice !== null) {
                $choices[] = $choice;
            }
        }

        return $choices;
    }

    /**
     * @param  list<Choice>  $taken
     * @param  array<string, Terms>  $terms  by vendor
     * @param  array<string, Vendor>  $vendors
     * @return list<PlannedOrder>
     */
    private static function orders(array $taken, array $terms, array $vendors, Market $market): array
    {
        $by = [];
        foreach ($taken as $choice) {
            $by[$choice->offer->vendor][] = $choice;
        }
        ksort($by);

        return array_map(static fn (string $name, array $choices): PlannedOrder => new PlannedOrder(
            $vendors[$name],
            $terms[$name],
            $choices,
            $vendors[$name]->arrival($market->today, $vendors[$name]->lead->usual),
            $vendors[$name]->arrival($market->today, $vendors[$name]->lead->most),
        ), array_map(strval(...), array_keys($by)), $by);
    }
}
