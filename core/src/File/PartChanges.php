<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Part\Part;

/**
 * What became another between two states of a part, field by field as people read them.
 *
 * @phpstan-type Change array{label: string, before: ?string, after: ?string, source: string}
 */
final class PartChanges
{
    /**
     * @return list<Change> null where nothing is written down; the source is where the later figure came from
     */
    public static function between(Part $before, Part $after): array
    {
        $changes = [];
        foreach (self::heads($before) as $label => $was) {
            $is = self::heads($after)[$label];
            if ($was !== $is) {
                $changes[] = ['label' => $label, 'before' => self::written($was), 'after' => self::written($is), 'source' => ''];
            }
        }
        foreach (PartComparison::of([$before, $after]) as $facet) {
            foreach ($facet['rows'] as $row) {
                if ($row['differs'] || $row['source'][0] !== $row['source'][1]) {
                    $changes[] = [
                        'label' => $row['label'] === '' || $row['label'] === $facet['label'] ? $facet['label'] : "{$facet['label']}, {$row['label']}",
                        'before' => $row['says'][0], 'after' => $row['says'][1], 'source' => $row['source'][1],
                    ];
                }
            }
        }

        return $changes;
    }

    /** @return array<string, string> */
    private static function heads(Part $part): array
    {
        return [
            'Name' => $part->name,
            'What it is for' => $part->role->value,
            'Maker' => $part->maker,
            'Summary' => $part->summary,
            'Link' => self::text($part->raw['link'] ?? ''),
            'Cautions' => implode(' ', $part->cautions),
        ];
    }

    private static function text(mixed $value): string
    {
        return is_string($value) ? $value : '';
    }

    private static function written(string $text): ?string
    {
        return $text === '' ? null : $text;
    }
}
