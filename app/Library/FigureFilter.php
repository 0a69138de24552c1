<?php

declare(strict_types=1);

namespace App\Library;

use App\Models\PartRecord;
use Illuminate\Support\Collection;
use PocketPlot\File\PartReader;
use PocketPlot\Part\PartFilter;

/** Parts of the library by their figures: those that a search keeps ("6 to 9 V", "under 20 mm"), in the orders that figures give. */
final class FigureFilter
{
    /**
     * @param  Collection<int, PartRecord>  $rows
     * @param  list<PartFilter>  $wanted
     * @param  string  $sort  "price", "weight", "size", or "" for the order in which they come; what is not known comes last
     * @return Collection<int, PartRecord>
     */
    public static function kept(Collection $rows, array $wanted, string $sort): Collection
    {
        $read = $rows->map(static fn (PartRecord $row): array => [$row, PartReader::read($row->spec)]);
        $kept = $read->filter(static function (array $one) use ($wanted): bool {
            foreach ($wanted as $filter) {
                if (! $filter->keeps($one[1])) {
                    return false;
                }
            }

            return true;
        });
        $by = match ($sort) {
            'price' => static fn (array $one): float => $one[1]->bestOffer()?->price->amount->toFloat() ?? INF,
            'weight' => static fn (array $one): float => $one[1]->size->massG->usual ?? INF,
            'size' => static fn (array $one): float => $one[1]->size->volumeCm3() ?? INF,
            default => null,
        };

        return ($by === null ? $kept : $kept->sortBy($by))->map(static fn (array $one): PartRecord => $one[0])->values();
    }
}
