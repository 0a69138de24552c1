<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildMapper;
use App\Mapping\Today;
use App\Models\BuildRecord;
use App\Models\OfferRecord;
use App\Models\User;

/** Asks the vendors' feed what became of the offers for a build; where it says something else, that is noted as seen today. */
final class AskPriceFeed
{
    /**
     * @param  \Closure(OfferRecord): array{price: string, stock: ?int}  $look
     * @return list<array{name: string, vendor: string, was: string, now: string, stock: ?int}> what changed
     */
    public static function about(BuildRecord $build, \Closure $look): array
    {
        $names = [];
        foreach (BuildMapper::toCore($build->load(BuildMapper::RELATIONS))->lines as $line) {
            $names[$line->part->id] = $line->name();
        }
        $changes = [];
        foreach (self::holding($build, array_map(strval(...), array_keys($names))) as $offer) {
            $now = $look($offer);
            $was = $offer->prices[0]['price'] ?? '';
            if ($now['price'] === $was && $now['stock'] === $offer->stock) {
                continue;
            }
            $changes[] = ['name' => $names[$offer->part_key], 'vendor' => $offer->vendor, 'was' => $was, ...['now' => $now['price'], 'stock' => $now['stock']]];
            $note = $offer->user_id === $build->user_id ? $offer : $offer->replicate(['user_id', 'version'])->forceFill(['user_id' => $build->user_id]);
            $note->fill([
                'prices' => [['from' => 1, 'price' => $now['price']]], 'stock' => $now['stock'], 'seen_on' => (string) Today::day(),
                'version' => ($note->version ?? 0) + 1,
            ])->save();
        }

        return $changes;
    }

    /**
     * @param  list<string>  $parts
     * @return array<string, OfferRecord> the builder's own before the shelf's
     */
    private static function holding(BuildRecord $build, array $parts): array
    {
        $rows = OfferRecord::query()->whereIn('user_id', [$build->user_id, User::shelf()->id])->whereIn('part_key', $parts)
            ->orderByRaw('user_id = ?', [$build->user_id])->orderBy('id')->get();
        $holding = [];
        foreach ($rows as $row) {
            $holding["{$row->part_key}\t{$row->vendor}\t{$row->pieces}\t{$row->condition}"] = $row;
        }

        return $holding;
    }
}
