<?php

declare(strict_types=1);

namespace App\Library;

use App\Mapping\Today;
use App\Models\BuildRecord;
use App\Models\OfferRecord;
use App\Models\User;
use App\Models\VendorRecord;
use Illuminate\Support\Collection;
use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Quantity\Cents;
use PocketPlot\Quantity\Day;
use PocketPlot\Quantity\Money;
use PocketPlot\Sourcing\Condition;
use PocketPlot\Sourcing\Market;
use PocketPlot\Sourcing\MarketOfBuild;
use PocketPlot\Sourcing\MarketOffer;

/** What is asked of vendors and offers. */
final class MarketQueries
{
    /** Offers of one builder that are kept. */
    public const MOST_OFFERS = 50_000;

    /** @return Collection<int, VendorRecord> one's own and those of the shelf that one has not written anew, by name */
    public static function vendors(User $user): Collection
    {
        /** @var Collection<int, VendorRecord> $rows */
        $rows = VendorRecord::query()->whereIn('user_id', [$user->id, User::shelf()->id])->orderBy('name')->get();
        $own = $rows->where('user_id', $user->id)->pluck('name')->flip();

        return $rows->reject(static fn (VendorRecord $row): bool => $row->user_id !== $user->id && $own->has($row->name))->values();
    }

    /** What is for sale for a build today. */
    public static function of(BuildRecord $record, Build $build): Market
    {
        $keys = array_map(static fn (Line $line): string => $line->part->id, $build->lines);
        // The shelf's first: what the builder saw oneself holds.
        $rows = OfferRecord::query()->whereIn('user_id', [$record->user_id, User::shelf()->id])->whereIn('part_key', $keys)
            ->orderByRaw('user_id = ?', [$record->user_id])->orderBy('seen_on')->orderBy('id')->get();
        $offers = array_values($rows->map(static fn (OfferRecord $row): MarketOffer => self::offer($row))->all());

        return MarketOfBuild::of($build, $offers, Today::day());
    }

    private static function offer(OfferRecord $row): MarketOffer
    {
        $prices = [];
        foreach ($row->prices as $price) {
            $prices[$price['from']] = Cents::of(Money::of($price['price'], 'EUR'));
        }

        return new MarketOffer(
            "noted {$row->id}", $row->vendor, $row->part_key, max(1, $row->pieces), $prices === [] ? [1 => 0] : $prices,
            Condition::tryFrom($row->condition) ?? Condition::New, $row->stock, Day::of(substr($row->seen_on, 0, 10)), $row->link,
        );
    }
}
