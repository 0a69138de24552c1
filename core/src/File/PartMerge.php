<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Part\Part;
use PocketPlot\Quantity\Source;

/**
 * Two parts of a library that turn out to be the same one: what only one of them says is kept, and where they say different
 * things, the surer one unless it is chosen otherwise. A facet that holds a list (sockets, outputs) is taken whole.
 *
 * @phpstan-type Unit array{label: string, says: ?string, source: string, raw: mixed}
 * @phpstan-type Difference array{key: string, label: string, says: array{?string, ?string}, source: array{string, string}, take: 0|1}
 */
final class PartMerge
{
    /** Texts of a part that are taken from one of the two. */
    private const HEADS = ['name' => 'Name', 'maker' => 'Maker', 'summary' => 'Summary', 'link' => 'Link'];

    /** Lists of a part in which both have a say. */
    private const JOINED = ['offers', 'cautions', 'clippings', 'skills', 'tools', 'consumables', 'extras', 'fills', 'serves'];

    /** How sure a figure is: looked at, then written by its maker, by a shop, by nobody in particular. */
    private const SURENESS = [
        Source::Measured->value => 5, Source::Datasheet->value => 4, Source::Listing->value => 3, Source::Guess->value => 2, Source::Typical->value => 1,
    ];

    private const MOST_SIGNS = 160;

    /**
     * Where the two differ, and which of them (0 the one that stays, 1 the other) is proposed.
     *
     * @return list<Difference>
     */
    public static function differences(Part $stays, Part $other): array
    {
        $differences = [];
        foreach (self::HEADS as $key => $label) {
            $says = [self::text($stays, $key), self::text($other, $key)];
            if ($says[0] !== $says[1] && $says[1] !== null) {
                $differences[] = ['key' => $key, 'label' => $label, 'says' => $says, 'source' => ['', ''], 'take' => $says[0] === null ? 1 : 0];
            }
        }
        [$mine, $theirs] = [self::units($stays), self::units($other)];
        foreach ($theirs as $key => $there) {
            $here = $mine[$key] ?? ['label' => $there['label'], 'says' => null, 'source' => '', 'raw' => null];
            if ($here['raw'] !== $there['raw'] && ($here['says'] !== $there['says'] || $here['source'] !== $there['source'])) {
                $differences[] = [
                    'key' => $key,
                    'label' => $there['label'],
                    'says' => [$here['says'], $there['says']],
                    'source' => [$here['source'], $there['source']],
                    'take' => self::isBetter($there, $here) ? 1 : 0,
                ];
            }
        }

        return $differences;
    }

    /**
     * The one part that both become; the id is that of the one that stays.
     *
     * @param  array<string, int>  $take  by key, 1 for what is taken from the other; what is not named is taken as proposed
     * @return array<string, mixed> as a file keeps it
     */
    public static function of(Part $stays, Part $other, array $take): array
    {
        $merged = $stays->raw + array_diff_key($other->raw, ['wanted' => true, 'typical' => true]);
        foreach (self::JOINED as $list) {
            $joined = self::joined($stays->raw[$list] ?? null, $other->raw[$list] ?? null);
            if ($joined !== []) {
                $merged[$list] = $joined;
            }
        }
        $facets = self::withUnknown(self::group($stays->raw['facets'] ?? null), self::group($other->raw['facets'] ?? null));
        foreach (self::differences($stays, $other) as $difference) {
            $key = $difference['key'];
            if (($take[$key] ?? $difference['take']) !== 1) {
                continue;
            }
            if (isset(self::HEADS[$key])) {
                $merged[$key] = $other->raw[$key] ?? '';

                continue;
            }
            [$facet, $field] = [...explode('/', $key, 2), ''];
            $theirs = self::group($other->raw['facets'] ?? null)[$facet] ?? null;
            $facets[$facet] = $field === '' ? $theirs : [...self::group($facets[$facet] ?? null), $field => self::group($theirs)[$field] ?? null];
        }

        return [...$merged, 'facets' => $facets];
    }

    /**
     * What no sheet shows, for the application does not know it, comes along.
     *
     * @param  array<array-key, mixed>  $facets
     * @param  array<array-key, mixed>  $theirs
     * @return array<array-key, mixed>
     */
    private static function withUnknown(array $facets, array $theirs): array
    {
        foreach ($theirs as $name => $facet) {
            $known = FacetBook::facet((string) $name);
            if ($known === null) {
                $facets[$name] ??= $facet;
            } elseif (! $known->isMany() && is_array($facet)) {
                $odd = array_diff_key($facet, $known->fields());
                $facets = $odd === [] ? $facets : [...$facets, $name => self::group($facets[$name] ?? null) + $odd];
            }
        }

        return $facets;
    }

    /**
     * What is taken whole: a field of a facet, or a facet that holds a list.
     *
     * @return array<string, Unit> by "facet" or "facet/field"
     */
    private static function units(Part $part): array
    {
        $facets = self::group($part->raw['facets'] ?? null);
        $units = [];
        foreach (PartSheet::of($part) as $facet) {
            $name = $facet['facet'];
            $isWhole = FacetBook::isMany($name) || isset(FacetBook::facets()[$name]['fields']['']);
            $rows = [];
            foreach ($facet['rows'] as $row) {
                $rows[$isWhole ? $name : "{$name}/".explode('/', $row['field'])[0]][] = $row;
            }
            foreach ($rows as $key => $of) {
                $field = explode('/', $key, 2)[1] ?? null;
                $isOne = $field !== null && count($of) === 1 && $of[0]['field'] === $field;
                $units[$key] = [
                    'label' => $isOne ? "{$facet['label']}, {$of[0]['label']}" : $facet['label'],
                    'says' => $isOne ? $of[0]['says'] : self::inOneLine($of),
                    'source' => array_reduce(array_column($of, 'source'), self::lessSure(...)) ?? '',
                    'raw' => $field === null ? $facets[$name] : self::group($facets[$name] ?? null)[$field] ?? null,
                ];
            }
        }

        return $units;
    }

    /**
     * @param  list<array{label: string, says: string, ...}>  $rows
     * @return string "power: usb-c, power, in; picture: hdmi-a, hdmi, out"
     */
    private static function inOneLine(array $rows): string
    {
        $groups = [];
        foreach ($rows as $row) {
            [$title, $label] = [...explode(': ', $row['label'], 2), null];
            $groups[$label === null ? '' : $title][] = $row['says'];
        }
        $lines = array_map(
            static fn (string|int $title, array $says): string => ($title === '' ? '' : "{$title}: ").implode(', ', $says),
            array_keys($groups),
            $groups,
        );

        return mb_strimwidth(implode('; ', $lines), 0, self::MOST_SIGNS, ' …');
    }

    /** What is said of several figures is no surer than the least sure of them. */
    private static function lessSure(?string $before, string $now): string
    {
        return match (true) {
            $before === null || $before === '' => $now,
            $now === '' => $before,
            default => self::sureness($now) < self::sureness($before) ? $now : $before,
        };
    }

    /**
     * Surer, or as sure and with more to it: two sockets rather than one.
     *
     * @param  Unit  $there
     * @param  Unit  $here
     */
    private static function isBetter(array $there, array $here): bool
    {
        $surer = self::sureness($there['source']) <=> self::sureness($here['source']);
        $isList = static fn (mixed $raw): bool => is_array($raw) && array_is_list($raw);

        return $here['says'] === null || $surer > 0
            || ($surer === 0 && $isList($there['raw']) && $isList($here['raw']) && count(self::group($there['raw'])) > count(self::group($here['raw'])));
    }

    private static function sureness(string $source): int
    {
        return self::SURENESS[$source] ?? 0;
    }

    /** @return list<mixed> both lists, nothing twice; of two prices of one vendor the first */
    private static function joined(mixed $one, mixed $other): array
    {
        $joined = array_values(self::group($one));
        $isThere = static fn (mixed $entry): bool => in_array($entry, $joined, true)
            || (is_array($entry) && isset($entry['vendor']) && in_array($entry['vendor'], array_column($joined, 'vendor'), true));

        return [...$joined, ...array_values(array_filter(self::group($other), static fn (mixed $entry): bool => ! $isThere($entry)))];
    }

    private static function text(Part $part, string $key): ?string
    {
        $text = $part->raw[$key] ?? '';

        return is_string($text) && $text !== '' ? $text : null;
    }

    /** @return array<array-key, mixed> */
    private static function group(mixed $value): array
    {
        return is_array($value) ? $value : [];
    }
}
