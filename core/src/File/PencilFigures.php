<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Part\FigureRef;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Number;
use PocketPlot\Quantity\Source;

/** Figures of a build's parts that nobody looked up for this very part: written as a guess, or usual of its kind. */
final class PencilFigures
{
    /** So many of one build are asked about. */
    private const MOST = 200;

    /** Facets whose groups have names. */
    private const BY_NAME = ['outputs' => 'output', 'supplies' => 'supply'];

    /** @return list<array{line: string, figure: string, name: string, says: string, entry: array{asks: string, unit: string, choices: list<string>}}> */
    public static function among(Build $build): array
    {
        $found = [];
        foreach ($build->chosen() as $line) {
            // Most parts have none; laying them out field by field takes its time.
            $found = self::isIn($line->part->raw['facets'] ?? null) ? [...$found, ...self::of($line)] : $found;
        }

        return array_slice($found, 0, self::MOST);
    }

    private static function isIn(mixed $raw): bool
    {
        if (! is_array($raw)) {
            return false;
        }
        $source = $raw['source'] ?? null;
        if ($source === Source::Guess->value || $source === Source::Typical->value) {
            return true;
        }
        foreach ($raw as $inner) {
            if (self::isIn($inner)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<array{line: string, figure: string, name: string, says: string, entry: array{asks: string, unit: string, choices: list<string>}}> */
    private static function of(Line $line): array
    {
        $found = [];
        foreach (PartSheet::of($line->part) as $group) {
            $isMany = FacetBook::isMany($group['facet']);
            foreach ($group['rows'] as $row) {
                $isPencil = in_array($row['source'], [Source::Guess->value, Source::Typical->value], true);
                if (! $isPencil || ($isMany && ! isset(self::BY_NAME[$group['facet']]))) {
                    continue;
                }
                $path = explode('/', $row['field']);
                $ref = match (true) {
                    $group['facet'] === 'size' && $path[0] !== 'massG' => FigureRef::of('size'),
                    $isMany => FigureRef::of(self::BY_NAME[$group['facet']], $path[1] ?? '', explode(': ', $row['label'])[0]),
                    count($path) === 1 => FigureRef::of($group['facet'], $path[0]),
                    default => null,
                };
                $place = $ref === null ? null : FigurePlace::of($ref);
                if ($ref === null || $place === null || isset($found[(string) $ref])) {
                    continue;
                }
                $found[(string) $ref] = [
                    'line' => $line->id, 'figure' => (string) $ref, 'name' => $ref->key() === 'size' ? 'size' : $row['label'], 'entry' => $place->toArray(),
                    'says' => $ref->key() === 'size' ? self::sides($line) : $row['says'],
                ];
            }
        }

        return array_values($found);
    }

    /** The three sides, as they are typed in one go. */
    private static function sides(Line $line): string
    {
        $size = $line->part->size;

        return implode(' × ', array_map(
            static fn (Figure $side): string => Number::says($side->usual()),
            array_values(array_filter([$size->lengthMm, $size->widthMm, $size->heightMm], static fn (Figure $side): bool => $side->isKnown())),
        )).' mm';
    }
}
