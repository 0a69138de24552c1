<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Build\Build;
use PocketPlot\Quantity\BadFigure;
use PocketPlot\Quantity\Money;
use PocketPlot\Quantity\Rates;
use PocketPlot\Sourcing\Condition;
use PocketPlot\Sourcing\Demand;
use PocketPlot\Sourcing\LeadTime;
use PocketPlot\Sourcing\Market;
use PocketPlot\Sourcing\MarketOffer;
use PocketPlot\Sourcing\PostTariff;
use PocketPlot\Sourcing\ShoppingList;
use PocketPlot\Sourcing\Vendor;
use PocketPlot\Sourcing\Wishes;

/**
 * Reads a market as core/schema/market.schema.json has it. Sums are written with at most two decimals, in the vendor's currency;
 * shares in per cent with at most two.
 */
final class MarketReader
{
    /**
     * @param  array<string, mixed>  $document  as Format decodes it
     * @param  ?Build  $build  the build of the file, when it holds one
     *
     * @throws BadFile naming the field
     */
    public static function read(array $document, ?Build $build): MarketFile
    {
        $fields = new Fields($document);
        $home = $fields->string('home', $build->brief->currency ?? 'EUR');
        $today = $fields->day('today') ?? throw BadFile::at('today', 'is missing', 'write the day of the order, such as 2026-11-26');
        $vendors = [];
        foreach ($fields->children('vendors') as $one) {
            $vendor = self::vendor($one);
            if (isset($vendors[$vendor->name])) {
                throw BadFile::at("{$one->path}/name", "\"{$vendor->name}\" is there twice", 'give each vendor once');
            }
            $vendors[$vendor->name] = $vendor;
        }
        $offers = [];
        foreach ($fields->children('offers') as $one) {
            $offer = self::offer($one, $vendors);
            $key = implode(' ', [$offer->vendor, $offer->part, $offer->pieces, $offer->condition->value]);
            if (isset($offers[$key])) {
                throw BadFile::at($one->path, "\"{$offer->part}\" is offered twice by {$offer->vendor} in packets of {$offer->pieces}", 'keep the one that holds');
            }
            $offers[$key] = $offer;
        }
        $demands = $fields->has('demands') ? array_map(self::demand(...), $fields->children('demands')) : ($build === null ? [] : ShoppingList::of($build));
        $rates = $fields->child('rates');

        return new MarketFile(
            $fields->string('name', $build->name ?? ''),
            self::onlyOnce($demands),
            new Market($vendors, array_values($offers), $rates === null ? ($build->rates ?? new Rates($home, [])) : self::rates($rates, $home), $home, $today),
            self::wishes($fields->child('wishes'), $vendors),
        );
    }

    /** @throws BadFile */
    private static function vendor(Fields $fields): Vendor
    {
        $currency = $fields->string('currency');
        $lead = $fields->child('lead') ?? new Fields([], "{$fields->path}/lead");
        [$least, $usual, $most] = [$lead->int('least', $lead->int('usual')), $lead->int('usual'), $lead->int('most', $lead->int('usual'))];
        if ($least > $usual || $usual > $most) {
            throw BadFile::at($lead->path, "{$least}, {$usual} and {$most} days are in no order", 'write least, usual and most in this order');
        }
        $closures = [];
        foreach ($fields->children('closures') as $one) {
            $days = [$one->day('from'), $one->day('to')];
            if ($days[0] === null || $days[1] === null || $days[0]->isAfter($days[1])) {
                throw BadFile::at($one->path, 'ends before it begins', 'write the first and the last day of it');
            }
            $closures[] = [$days[0], $days[1]];
        }

        return new Vendor(
            $fields->string('name'), $currency, self::post($fields, $currency), new LeadTime($least, $usual, $most), $closures,
            self::cents($fields, 'leastOrder', $currency) ?? 0,
            self::share($fields, 'taxPercent'), self::share($fields, 'dutyPercent'), self::cents($fields, 'dutyFreeUpTo', $currency) ?? 0,
        );
    }

    /** @throws BadFile */
    private static function post(Fields $vendor, string $currency): PostTariff
    {
        $fields = $vendor->child('post') ?? new Fields([], "{$vendor->path}/post");
        $steps = [];
        $before = 0;
        foreach ($fields->children('steps') as $at => $one) {
            $upTo = $one->has('upToGrams') ? $one->int('upToGrams') : null;
            if ($before === null || ($upTo !== null && $upTo <= $before)) {
                throw BadFile::at("{$one->path}/upToGrams", 'the steps of the post are not in order of weight', 'put the lightest first, and the one without a weight last');
            }
            $steps[] = [$upTo, self::cents($one, 'price', $currency) ?? 0];
            $before = $upTo;
        }

        return new PostTariff($steps === [] ? [[null, 0]] : $steps, self::cents($fields, 'freeFrom', $currency));
    }

    /**
     * @param  array<string, Vendor>  $vendors
     *
     * @throws BadFile
     */
    private static function offer(Fields $fields, array $vendors): MarketOffer
    {
        $name = $fields->string('vendor');
        $vendor = $vendors[$name] ?? throw BadFile::at("{$fields->path}/vendor", "\"{$name}\" is none of the vendors", 'write its terms under vendors');
        $prices = [];
        foreach ($fields->children('prices') as $one) {
            $from = $one->atLeastOne('from');
            if (isset($prices[$from])) {
                throw BadFile::at("{$one->path}/from", "there are two prices from {$from} on", 'keep the one that holds');
            }
            $prices[$from] = self::cents($one, 'price', $vendor->currency) ?? 0;
        }
        if (! isset($prices[1])) {
            throw BadFile::at("{$fields->path}/prices", 'there is no price for one packet', 'write the price from 1 on');
        }

        return new MarketOffer(
            $fields->string('id', "{$name}: {$fields->string('part')}"), $name, $fields->string('part'), $fields->atLeastOne('pieces'), $prices,
            Condition::tryFrom($fields->string('condition', 'new')) ?? Condition::New,
            $fields->has('stock') ? $fields->int('stock') : null, $fields->day('seenOn'), $fields->string('link', ''),
        );
    }

    /** @throws BadFile */
    private static function demand(Fields $fields): Demand
    {
        $grams = [];
        foreach ($fields->children('parts') as $one) {
            $grams[$one->string('id')] = $one->int('grams', 0);
        }
        if ($grams === []) {
            throw BadFile::at("{$fields->path}/parts", 'no part would do', 'name at least one part by its id');
        }
        $id = $fields->string('id');

        return new Demand($id, $fields->string('name', $id), $fields->atLeastOne('pieces'), $grams, $fields->bool('mayBeUsed', true));
    }

    /**
     * @param  list<Demand>  $demands
     * @return list<Demand>
     *
     * @throws BadFile
     */
    private static function onlyOnce(array $demands): array
    {
        foreach (array_count_values(array_map(static fn (Demand $one): string => $one->id, $demands)) as $id => $times) {
            if ($times > 1) {
                throw BadFile::at('demands', "\"{$id}\" is there {$times} times", 'give each demand an id of its own');
            }
        }

        return $demands;
    }

    private static function rates(Fields $fields, string $home): Rates
    {
        return new Rates($fields->string('base', $home), $fields->stringMap('worth'), $fields->has('asOf') ? $fields->string('asOf') : null);
    }

    /**
     * @param  array<string, Vendor>  $vendors
     *
     * @throws BadFile
     */
    private static function wishes(?Fields $fields, array $vendors): Wishes
    {
        if ($fields === null) {
            return new Wishes;
        }
        $avoid = $fields->strings('avoid');
        foreach ($avoid as $name) {
            isset($vendors[$name]) || throw BadFile::at("{$fields->path}/avoid", "\"{$name}\" is none of the vendors", 'leave it out');
        }

        return new Wishes(
            $fields->day('needBy'), $avoid, $fields->bool('usedAllowed', true), $fields->has('mostParcels') ? $fields->atLeastOne('mostParcels') : null,
        );
    }

    /** @throws BadFile when the sum has more than two decimals */
    private static function cents(Fields $fields, string $key, string $currency): ?int
    {
        if (! $fields->has($key)) {
            return null;
        }
        try {
            return Money::of($fields->string($key), $currency)->times(100)->amount->toInt();
        } catch (BadFigure $bad) {
            throw BadFile::at("{$fields->path}/{$key}", $bad->getMessage(), 'write it as 12.40');
        } catch (\Brick\Math\Exception\MathException) {
            throw BadFile::at("{$fields->path}/{$key}", 'has more than two decimals', 'write it as 12.40');
        }
    }

    /** @throws BadFile */
    private static function share(Fields $fields, string $key): int
    {
        $percent = $fields->number($key) ?? 0.0;
        if ($percent < 0.0 || $percent > 200.0) {
            throw BadFile::at("{$fields->path}/{$key}", "{$percent} % is no share of a price", 'write a number from 0 to 200');
        }

        return (int) round($percent * 100);
    }
}
