<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Part\Part;

/** Several parts beside each other, row by row. */
final class PartComparison
{
    /**
     * @param  list<Part>  $parts
     * @return list<array{facet: string, label: string, rows: list<array{label: string, says: list<?string>, source: list<string>, differs: bool}>}>
     */
    public static function of(array $parts): array
    {
        $facets = [];
        foreach ($parts as $at => $part) {
            $worth = [
                'facet' => 'offers',
                'label' => 'Price',
                'rows' => array_map(
                    static fn ($offer): array => [
                        'field' => 'price',
                        'label' => 'best price',
                        'says' => "{$offer->price->says()}, {$offer->vendor}",
                        'source' => 'listing',
                        'stated' => null,
                    ],
                    array_slice($part->offers, 0, 1),
                ),
            ];
            foreach ([...PartSheet::of($part), $worth] as $facet) {
                $facets[$facet['facet']]['label'] = $facet['label'];
                foreach ($facet['rows'] as $row) {
                    $facets[$facet['facet']]['rows'][$row['label']][$at] = $row;
                }
            }
        }
        $answer = [];
        foreach ($facets as $name => $facet) {
            $rows = [];
            foreach ($facet['rows'] ?? [] as $label => $cells) {
                $says = $source = [];
                foreach (array_keys($parts) as $at) {
                    $says[] = $cells[$at]['says'] ?? null;
                    $source[] = $cells[$at]['source'] ?? '';
                }
                $rows[] = ['label' => (string) $label, 'says' => $says, 'source' => $source, 'differs' => count(array_unique($says)) > 1];
            }
            $answer[] = ['facet' => (string) $name, 'label' => $facet['label'], 'rows' => $rows];
        }

        return $answer;
    }
}
