<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Part\Part;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Number;

/**
 * A part laid out field by field for reading: each known facet with its fields as people read them.
 * The comparison and the part page show it.
 */
final class PartSheet
{
    /** @return list<array{facet: string, label: string, rows: list<array{field: string, label: string, says: string, source: string, stated: ?string}>}> */
    public static function of(Part $part): array
    {
        $facets = new Fields(is_array($part->raw['facets'] ?? null) ? $part->raw['facets'] : []);
        $sheet = [];
        foreach (FacetBook::facets() as $name => $facet) {
            if (! isset($facets->data[$name])) {
                continue;
            }
            $rows = [];
            if (isset($facet['fields'][''])) {
                $rows[] = self::row('', $facet['fields'][''][1], self::plain($facets->data[$name]));
            } elseif (FacetBook::isMany($name)) {
                foreach ($facets->children($name) as $index => $group) {
                    $title = $group->data['name'] ?? $group->data['family'] ?? '';
                    $called = is_string($title) && $title !== '' ? $title : (string) ($index + 1);
                    $rows = [...$rows, ...self::group($group, $facet['fields'], "{$called}: ", "{$index}/")];
                }
            } else {
                $rows = self::group($facets->child($name) ?? new Fields([]), $facet['fields']);
            }
            $sheet[] = ['facet' => $name, 'label' => $facet['label'], 'rows' => $rows];
        }

        return $sheet;
    }

    /**
     * @param  array<string, array{0: string, 1: string, 2?: mixed}>  $fields
     * @return list<array{field: string, label: string, says: string, source: string, stated: ?string}>
     */
    private static function group(Fields $group, array $fields, string $before = '', string $path = ''): array
    {
        $rows = [];
        foreach ($fields as $name => $field) {
            if (! array_key_exists($name, $group->data) || in_array($name, ['name', 'family'], true) && $before !== '') {
                continue;
            }
            $label = $before.$field[1];
            if (FacetBook::isFigure($field[0])) {
                $figure = $group->figure($name, $field[0] === 'share' ? '' : ($field[0] === 'mm±' ? 'mm' : $field[0]));
                $says = self::figure($field[0] === 'share' ? $figure->times(100, '%') : $figure);
                $rows[] = ['field' => $path.$name, 'label' => $label, 'says' => $says, 'source' => $figure->source->value, 'stated' => $figure->stated];
            } elseif ($field[0] === 'many') {
                foreach ($group->children($name) as $index => $inner) {
                    $title = $inner->data['name'] ?? $inner->data['pattern'] ?? '';
                    $rows = [
                        ...$rows,
                        ...self::group(
                            $inner,
                            FacetBook::nested($field[2] ?? []),
                            $before.(is_string($title) && $title !== '' ? "{$title}: " : ''),
                            "{$path}{$name}/{$index}/",
                        ),
                    ];
                }
            } else {
                $rows[] = self::row($path.$name, $label, self::plain($group->data[$name]));
            }
        }

        return $rows;
    }

    /** All three values where the usual one is not simply the middle. */
    private static function figure(Figure $figure): string
    {
        if (! $figure->isKnown() || abs($figure->usual() - ($figure->least() + $figure->most()) / 2) < 1e-9) {
            return $figure->says();
        }

        return implode(' / ', array_map(Number::says(...), [$figure->least(), $figure->usual(), $figure->most()]))." {$figure->unit}";
    }

    /** @return array{field: string, label: string, says: string, source: string, stated: ?string} */
    private static function row(string $field, string $label, string $says): array
    {
        return ['field' => $field, 'label' => $label, 'says' => $says, 'source' => '', 'stated' => null];
    }

    private static function plain(mixed $value): string
    {
        return match (true) {
            is_bool($value) => $value ? 'yes' : 'no',
            $value === [] => 'none',
            $value === '' => 'not said',
            is_string($value), is_int($value), is_float($value) => (string) $value,
            is_array($value) && array_is_list($value) => implode(', ', array_map(self::plain(...), $value)),
            is_array($value) && isset($value['widthPx'], $value['heightPx']) => self::plain($value['widthPx']).' × '.self::plain($value['heightPx']),
            is_array($value) => implode(
                ', ',
                array_map(static fn (string|int $key, mixed $one): string => "{$key}: ".self::plain($one), array_keys($value), $value),
            ),
            default => '',
        };
    }
}
