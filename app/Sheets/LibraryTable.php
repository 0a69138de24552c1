<?php

declare(strict_types=1);

namespace App\Sheets;

use PocketPlot\File\PartSheet;
use PocketPlot\Part\Part;

/** Parts of a library as rows of a spreadsheet, headings first. */
final class LibraryTable
{
    /**
     * @param  list<Part>  $parts
     * @return list<list<string|int|float>>
     */
    public static function parts(array $parts): array
    {
        $rows = [['part', 'role', 'maker', 'unit price', 'currency', 'vendor', 'link', 'note']];
        foreach ($parts as $part) {
            $offer = $part->bestOffer();
            $link = $part->raw['link'] ?? '';
            $rows[] = [
                $part->name, $part->role->says(), $part->maker,
                ...($offer === null ? ['', '', ''] : [(float) $offer->price->rounded(), $offer->price->currency, $offer->vendor]),
                is_string($link) ? $link : '', $part->summary,
            ];
        }

        return $rows;
    }

    /**
     * @param  list<Part>  $parts
     * @return list<list<string|int|float>> every figure that is known of each
     */
    public static function figures(array $parts): array
    {
        $rows = [['part', 'of', 'figure', 'is', 'from']];
        foreach ($parts as $part) {
            foreach (PartSheet::of($part) as $group) {
                foreach ($group['rows'] as $row) {
                    $rows[] = [$part->name, $group['label'], $row['label'], $row['says'], $row['source']];
                }
            }
        }

        return $rows;
    }
}
