<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Build\Build;
use PocketPlot\Build\LeadTime;
use PocketPlot\Build\Line;
use PocketPlot\Build\PostTariff;
use PocketPlot\Build\Vendor;
use PocketPlot\Part\Offer;
use PocketPlot\Quantity\Cents;
use PocketPlot\Quantity\Day;

/** What is for sale for a build: what its parts' listings say, what is written on its lines, and the offers that the builder noted. */
final class MarketOfBuild
{
    /** Days that a vendor is reckoned with of whom nobody knows how long it takes. */
    private const UNKNOWN_DAYS = 14;

    /** @param  list<MarketOffer>  $noted  prices in the vendor's own currency */
    public static function of(Build $build, array $noted, Day $today): Market
    {
        $vendors = $build->vendors;
        $offers = [];
        foreach ($build->lines as $line) {
            foreach ($line->part->offers as $nth => $listed) {
                $vendors[$listed->vendor] ??= self::unknown($listed->vendor, $listed->price->currency, $listed->leadDays);
                $offers[] = self::listed($line, $listed, $nth, $vendors[$listed->vendor], $build);
            }
            if ($line->price !== null && $line->vendor !== '') {
                $vendors[$line->vendor] ??= self::unknown($line->vendor, $line->price->currency, self::UNKNOWN_DAYS);
                $offers[] = self::written($line, $vendors[$line->vendor], $build);
            }
        }
        $offers = [...array_filter($offers), ...array_filter($noted, static fn (MarketOffer $one): bool => isset($vendors[$one->vendor]))];
        $only = [];
        foreach ($offers as $offer) {
            // Of one part in one packet and state, what was noted last holds: a listing, then the line, then the builder's own note.
            $only[implode("\t", [$offer->vendor, $offer->part, $offer->pieces, $offer->condition->value])] = $offer;
        }

        return new Market($vendors, array_values($only), $build->rates, $build->brief->currency, $today);
    }

    private static function listed(Line $line, Offer $listed, int $nth, Vendor $vendor, Build $build): ?MarketOffer
    {
        $cents = $build->rates->cents(Cents::of($listed->price), $listed->price->currency, $vendor->currency);

        $part = $line->part;

        return $cents === null ? null : new MarketOffer("listed {$part->id} {$nth}", $vendor->name, $part->id, $part->packetOf, [1 => $cents]);
    }

    private static function written(Line $line, Vendor $vendor, Build $build): ?MarketOffer
    {
        $price = $line->price;
        $cents = $price === null ? null : $build->rates->cents(Cents::of($price), $price->currency, $vendor->currency);

        return $cents === null ? null : new MarketOffer("line {$line->id}", $vendor->name, $line->part->id, $line->part->packetOf, [1 => $cents]);
    }

    private static function unknown(string $name, string $currency, int $days): Vendor
    {
        return new Vendor($name, $currency, PostTariff::flat(0), new LeadTime($days, $days, $days), saysPost: false);
    }
}
