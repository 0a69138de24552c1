<?php

declare(strict_types=1);

namespace CoreTests;

use PocketPlot\Build\LeadTime;
use PocketPlot\Build\PostTariff;
use PocketPlot\Build\Vendor;
use PocketPlot\Quantity\Day;
use PocketPlot\Quantity\Rates;
use PocketPlot\Sourcing\Condition;
use PocketPlot\Sourcing\Demand;
use PocketPlot\Sourcing\Market;
use PocketPlot\Sourcing\MarketOffer;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Markets drawn by lot, what an order costs there by the terms as they are written down, and every way to buy. */
final class Markets
{
    /** @return array{list<Demand>, Market} */
    public static function drawn(int $seed, int $demands, int $vendors, float $coverage = 0.6): array
    {
        $dice = new Randomizer(new Xoshiro256StarStar($seed));
        $is = static fn (float $share): bool => $dice->getInt(1, 1000) <= 1000 * $share;
        $list = $offers = $wanted = [];
        foreach (range(1, $vendors) as $number) {
            $currency = ['EUR', 'GBP', 'SEK'][$dice->getInt(0, 2)];
            $scale = $currency === 'SEK' ? 11 : 1;
            $post = $dice->getInt(150, 900) * $scale;
            $free = $is(0.5) ? $dice->getInt(2000, 7000) * $scale : null;
            $steps = $is(0.4) ? [[$dice->getInt(200, 800), $post], [null, $post + $dice->getInt(200, 900) * $scale]] : [[null, $post]];
            $abroad = $is(0.3);
            $list["V{$number}"] = new Vendor(
                "V{$number}", $currency, new PostTariff($steps, $free), new LeadTime(2, $dice->getInt(3, 20), 30), [],
                $is(0.2) ? $dice->getInt(500, 2500) * $scale : 0, $abroad ? 1900 : 0, $abroad ? 370 : 0, $abroad ? $dice->getInt(0, 4000) * $scale : 0,
            );
        }
        foreach (range(1, $demands) as $number) {
            $worth = $dice->getInt(80, 4500);
            $wanted[] = new Demand("d{$number}", "Part {$number}", $dice->getInt(1, 6), ["p{$number}" => $dice->getInt(1, 150)]);
            $sells = array_filter($list, static fn (): bool => $is($coverage));
            foreach ($sells === [] ? array_slice($list, 0, 1) : $sells as $vendor) {
                $price = max(5, intdiv($worth * $dice->getInt(70, 140), 100)) * ($vendor->currency === 'SEK' ? 11 : 1);
                $offers[] = new MarketOffer("o{$number} {$vendor->name}", $vendor->name, "p{$number}", 1, $is(0.3) ? [1 => $price, 3 => intdiv($price * 85, 100)] : [1 => $price]);
                if ($is(0.2)) {
                    $offers[] = new MarketOffer("q{$number} {$vendor->name}", $vendor->name, "p{$number}", 5, [1 => $price * 4], Condition::New, $dice->getInt(1, 3));
                }
            }
        }

        return [$wanted, new Market($list, $offers, new Rates('EUR', ['GBP' => '1.17', 'SEK' => '0.088']), 'EUR', Day::of('2026-11-26'))];
    }

    /**
     * What it costs least to take one offer for each demand, by going through every way there is.
     *
     * @param  list<Demand>  $demands
     * @return ?int hundredths at home; null when there is no way
     */
    public static function leastOfAll(array $demands, Market $market, ?int $mostParcels = null): ?int
    {
        $least = null;
        $go = static function (int $at, array $taken) use (&$go, &$least, $demands, $market, $mostParcels): void {
            if ($at === count($demands)) {
                $cost = self::cost($taken, $market, $mostParcels);
                $least = $cost !== null && ($least === null || $cost < $least) ? $cost : $least;

                return;
            }
            foreach ($market->offers as $offer) {
                $bought = isset($demands[$at]->grams[$offer->part]) ? $offer->cheapest($demands[$at]->pieces) : null;
                if ($bought !== null) {
                    $go($at + 1, [...$taken, [$offer, $bought[0], $bought[1], $demands[$at]->grams[$offer->part]]]);
                }
            }
        };
        $go(0, []);

        return $least;
    }

    /**
     * By the vendors' terms as they are written down.
     *
     * @param  list<array{MarketOffer, int, int, int}>  $taken  offer, packets, goods, grams of a piece
     */
    public static function cost(array $taken, Market $market, ?int $mostParcels = null): ?int
    {
        $goods = $grams = $home = [];
        foreach ($taken as [$offer, $packets, $paid, $weight]) {
            $goods[$offer->vendor] = ($goods[$offer->vendor] ?? 0) + $paid;
            $grams[$offer->vendor] = ($grams[$offer->vendor] ?? 0) + $packets * $offer->pieces * $weight;
            $home[$offer->vendor][] = $market->atHome($paid, $market->vendors[$offer->vendor]->currency);
        }
        if ($mostParcels !== null && count($goods) > $mostParcels) {
            return null;
        }
        $share = static fn (int $cents, int $of): int => (int) floor($cents * $of / 10000 + 0.5);
        $cost = 0;
        foreach ($goods as $name => $sum) {
            $vendor = $market->vendors[$name];
            $post = null;
            foreach ($vendor->post->steps as [$upTo, $cents]) {
                $post ??= $upTo === null || $grams[$name] <= $upTo ? $cents : null;
            }
            if ($post === null || $sum < $vendor->leastOrder) {
                return null;
            }
            $post = $vendor->post->freeFrom !== null && $sum >= $vendor->post->freeFrom ? 0 : (int) $market->atHome($post, $vendor->currency);
            $isDutiable = $vendor->duty > 0 && $sum > $vendor->dutyFreeUpTo;
            $cost += $post + $share($post, $vendor->tax);
            foreach ($home[$name] as $one) {
                $duty = $isDutiable ? $share((int) $one, $vendor->duty) : 0;
                $cost += $one + $duty + $share($one + $duty, $vendor->tax);
            }
        }

        return $cost;
    }
}
