<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Build\Build;
use PocketPlot\Build\Vendor;
use PocketPlot\Quantity\Rates;
use PocketPlot\Sourcing\Condition;
use PocketPlot\Sourcing\Demand;
use PocketPlot\Sourcing\Market;
use PocketPlot\Sourcing\MarketOffer;
use PocketPlot\Sourcing\ShoppingList;
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
            $vendor = VendorReader::read($one);
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
            self::wishes($fields->child('wishes'), $vendors, $home),
        );
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
            $prices[$from] = VendorReader::cents($one, 'price', $vendor->currency) ?? 0;
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
    private static function wishes(?Fields $fields, array $vendors, string $home): Wishes
    {
        if ($fields === null) {
            return new Wishes;
        }
        foreach (['avoid', 'prefer'] as $key) {
            foreach ($fields->strings($key) as $name) {
                isset($vendors[$name]) || throw BadFile::at("{$fields->path}/{$key}", "\"{$name}\" is none of the vendors", 'leave it out');
            }
        }

        return new Wishes(
            $fields->day('needBy'), $fields->strings('avoid'), $fields->bool('usedAllowed', true),
            $fields->has('mostParcels') ? $fields->atLeastOne('mostParcels') : null,
            $fields->strings('prefer'), VendorReader::cents($fields, 'preferUpTo', $home) ?? 0,
        );
    }
}
