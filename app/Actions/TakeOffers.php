<?php

declare(strict_types=1);

namespace App\Actions;

use App\Library\MarketQueries;
use App\Mapping\BuildMapper;
use App\Mapping\Today;
use App\Mapping\VendorTerms;
use App\Models\BuildRecord;
use App\Models\OfferRecord;
use Illuminate\Validation\ValidationException;
use PocketPlot\Build\Vendor;
use PocketPlot\Sheet\OfferRows;

/**
 * Offers out of a spreadsheet: told row by row, and noted once that is confirmed. What was noted of the same part at the same vendor in the
 * same packet holds no more.
 *
 * @phpstan-type Row array{row: int, name: string, part: ?string, vendor: string, pieces: int, price: string, link: string, problem: string}
 */
final class TakeOffers
{
    /**
     * @param  list<list<string>>  $cells
     * @return list<Row>
     */
    public static function preview(BuildRecord $build, array $cells): array
    {
        $core = BuildMapper::toCore($build->load(BuildMapper::RELATIONS));
        $parts = [];
        foreach ($core->lines as $line) {
            $parts[$line->part->id] = $line->part->name;
        }

        return (new OfferRows($parts, array_map(static fn (Vendor $one): string => $one->currency, VendorTerms::of($build))))->read($cells);
    }

    /**
     * @param  list<Row>  $rows
     * @return int how many were noted
     */
    public static function note(BuildRecord $build, array $rows): int
    {
        $good = array_values(array_filter($rows, static fn (array $row): bool => $row['part'] !== null));
        if (OfferRecord::query()->where('user_id', $build->user_id)->count() + count($good) > MarketQueries::MOST_OFFERS) {
            throw ValidationException::withMessages(['file' => 'That is more than the '.MarketQueries::MOST_OFFERS.' offers that are kept. Remove old ones first.']);
        }
        foreach ($good as $row) {
            OfferRecord::query()->where('user_id', $build->user_id)->where('part_key', $row['part'])->where('vendor', $row['vendor'])
                ->where('pieces', $row['pieces'])->where('condition', 'new')->delete();
            OfferRecord::query()->create([
                'user_id' => $build->user_id, 'part_key' => $row['part'], 'vendor' => $row['vendor'], 'pieces' => $row['pieces'],
                'prices' => [['from' => 1, 'price' => $row['price']]], 'condition' => 'new', 'seen_on' => (string) Today::day(),
                'link' => preg_match('#^https?://#', $row['link']) === 1 ? mb_substr($row['link'], 0, 500) : '',
            ]);
        }

        return count($good);
    }
}
