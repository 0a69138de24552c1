<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Quantity\BadFigure;
use PocketPlot\Quantity\Source;
use PocketPlot\Quantity\Typed;

/** A part as it comes from the editor, figures as typed text, made into the written form. */
final class TypedPart
{
    /**
     * A figure typed as `{typed, source, on}` becomes least, usual and most; empty text makes it unknown.
     * Everything else stays as it is.
     *
     * @param  array<string, mixed>  $given
     * @return array<string, mixed>
     *
     * @throws BadFile with one problem a field
     */
    public static function raw(array $given): array
    {
        $problems = [];
        $facets = is_array($given['facets'] ?? null) ? $given['facets'] : [];
        foreach (FacetBook::facets() as $name => $facet) {
            if (! isset($facets[$name]) || isset($facet['fields'][''])) {
                continue;
            }
            if (FacetBook::isMany($name)) {
                $groups = is_array($facets[$name]) ? $facets[$name] : [];
                foreach ($groups as $index => $group) {
                    $groups[$index] = is_array($group) ? self::group($group, $facet['fields'], "facets/{$name}/{$index}", $problems) : $group;
                }
                $facets[$name] = $groups;
            } elseif (is_array($facets[$name])) {
                $facets[$name] = self::group($facets[$name], $facet['fields'], "facets/{$name}", $problems);
            }
        }
        if ($problems !== []) {
            throw new BadFile($problems);
        }

        return [...$given, 'facets' => self::groups($facets)];
    }

    /**
     * Empty groups as groups: a list that came from a page for a group of nothing would not follow the schema.
     *
     * @param  array<array-key, mixed>  $facets
     * @return array<array-key, mixed>|\stdClass
     */
    private static function groups(array $facets): array|\stdClass
    {
        foreach ($facets as $name => $facet) {
            if ($facet === [] && ! FacetBook::isMany($name)) {
                $facets[$name] = new \stdClass;
            }
        }

        return $facets === [] ? new \stdClass : $facets;
    }

    /**
     * @param  array<array-key, mixed>  $group
     * @param  array<string, array{0: string, 1: string, 2?: mixed}>  $fields
     * @param  list<Problem>  $problems
     * @return array<array-key, mixed>
     */
    private static function group(array $group, array $fields, string $path, array &$problems): array
    {
        foreach ($fields as $name => $field) {
            $value = $group[$name] ?? null;
            if ($field[0] === 'many' && is_array($value)) {
                foreach ($value as $index => $inner) {
                    $value[$index] = is_array($inner) ? self::group($inner, FacetBook::nested($field[2] ?? []), "{$path}/{$name}/{$index}", $problems) : $inner;
                }
                $group[$name] = $value;
            } elseif (is_array($value) && is_string($value['typed'] ?? null)) {
                try {
                    $group[$name] = self::figure($value, $field[0]);
                } catch (BadFigure $bad) {
                    $problems[] = new Problem("{$path}/{$name}", $bad->getMessage());
                }
            }
        }

        return $group;
    }

    /**
     * @param  array<array-key, mixed>  $given
     * @return array<string, mixed>
     */
    private static function figure(array $given, string $unit): array
    {
        $typed = is_string($given['typed'] ?? null) ? trim($given['typed']) : '';
        if ($typed === '') {
            return ['source' => Source::Unknown->value];
        }
        [$least, $usual, $most] = Typed::band($typed, $unit);
        $kept = array_intersect_key($given, ['measured' => true]);
        $on = is_string($given['on'] ?? null) && $given['on'] !== '' ? ['on' => $given['on']] : [];
        $source = is_string($given['source'] ?? null) && $given['source'] !== 'unknown' ? $given['source'] : Source::Guess->value;

        return ($least === $most ? ['value' => $least] : ['least' => $least, 'usual' => $usual, 'most' => $most]) + ['source' => $source] + $on + $kept;
    }
}
