<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

use PocketPlot\Build\Line;
use PocketPlot\Build\SupplyState;
use PocketPlot\Build\Vendor;
use PocketPlot\Quantity\Day;

/** When a part is there. */
final class Arrivals
{
    /**
     * The day it is expected; else, ordered today, what the vendor usually takes, closures counted in; else the offer's lead time; null when
     * none is known.
     *
     * @param  array<string, Vendor>  $vendors  by name
     */
    public static function of(Line $line, Day $today, array $vendors = []): ?Day
    {
        if ($line->expectedOn !== null && $line->state !== SupplyState::Faulty) {
            return $line->expectedOn->latest($today);
        }
        if ($line->origin->isFree()) {
            return $today;
        }
        $offer = $line->part->bestOffer();
        $vendor = $line->state === SupplyState::Ordered ? null : ($vendors[$line->vendor === '' ? ($offer->vendor ?? '') : $line->vendor] ?? null);
        if ($vendor !== null) {
            return $vendor->arrival($today, $vendor->lead->usual);
        }

        return $offer === null || $line->state === SupplyState::Ordered ? null : $today->plusDays($offer->leadDays);
    }
}
