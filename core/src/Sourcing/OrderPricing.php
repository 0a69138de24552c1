<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Build\Build;

/** Works out what an order that a builder put together costs, by the same terms as a planned one. */
final class OrderPricing
{
    /**
     * @param  list<array{line: string, offer: string, pieces: int}>  $items
     * @return PlannedOrder|array<string, string> the order; or what is wrong with it, by field
     */
    public static function order(Build $build, Market $market, string $vendorName, array $items): PlannedOrder|array
    {
        $vendor = $market->vendors[$vendorName] ?? null;
        if ($vendor === null) {
            return ['vendor' => "There are no terms of \"{$vendorName}\". Write them down under vendors first."];
        }
        $choices = $wrong = [];
        foreach ($items as $at => $item) {
            $choice = self::choice($build, $market, $vendorName, $item);
            if ($choice instanceof Choice) {
                $choices[] = $choice;
            } else {
                $wrong["items.{$at}.pieces"] = $choice;
            }
        }
        if ($wrong !== []) {
            return $wrong;
        }
        if ($choices === []) {
            return ['items' => 'An order holds at least one thing.'];
        }
        $goods = array_sum(array_map(static fn (Choice $one): int => $one->goods, $choices));
        $grams = array_sum(array_map(static fn (Choice $one): int => $one->grams, $choices));
        $terms = Terms::holding(Terms::of($vendor, $market->rates, $market->home), $vendor, $goods, $grams);
        if ($terms === null) {
            return ['vendor' => "There is no rate between {$vendor->currency} and {$market->home}. Write one down first."];
        }

        return new PlannedOrder(
            $vendor, $terms, $choices,
            $vendor->arrival($market->today, $vendor->lead->usual), $vendor->arrival($market->today, $vendor->lead->most),
        );
    }

    /** @param  array{line: string, offer: string, pieces: int}  $item */
    private static function choice(Build $build, Market $market, string $vendor, array $item): Choice|string
    {
        $line = $build->line($item['line']);
        if ($line === null) {
            return 'This line is not on the list any more. Look at the plan again.';
        }
        foreach ($market->offers as $offer) {
            $isOfPlace = array_filter($build->lines, static fn ($one): bool => $one->slot === $line->slot && $one->part->id === $offer->part) !== [];
            if ($offer->id !== $item['offer'] || $offer->vendor !== $vendor || ! $isOfPlace) {
                continue;
            }
            $part = array_values(array_filter($build->lines, static fn ($one): bool => $one->part->id === $offer->part))[0]->part;
            $demand = new Demand($line->id, $line->part->name, $item['pieces'], [$offer->part => ShoppingList::gramsOf($part)]);

            return Choice::meeting($demand, $offer, $market)
                ?? "{$vendor} has {$offer->stock} packets of {$line->part->name}; fewer than that can be ordered.";
        }

        return "{$vendor} offers {$line->part->name} no more. Look at the plan again.";
    }
}
