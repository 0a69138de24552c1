<?php

declare(strict_types=1);

namespace PocketPlot\File\Upgrade;

/**
 * Version 1 to version 2 of the formats: keys and words that now are those of datasheets. Nothing else changes, and
 * what neither version knows stays where it is. A key of version 2 that a file of version 1 happens to hold as one of
 * its own is kept beside, under "own-…".
 *
 * Groups are arrays or objects, as they were decoded; they come back as what they were.
 */
final class FromVersion1
{
    private const CHEMISTRIES = ['lithium-ion' => 'Li-ion', 'lithium-polymer' => 'LiPo', 'iron-phosphate' => 'LiFePO4', 'nickel-metal-hydride' => 'NiMH'];

    private const TOPOLOGIES = ['up' => 'boost', 'down' => 'buck', 'up-and-down' => 'buck-boost'];

    private const TOOLS = ['meter' => 'multimeter', 'crimping tongs' => 'crimping tool'];

    /**
     * A whole build or library.
     *
     * @param  array<mixed>|\stdClass  $document
     * @return array<mixed>|\stdClass
     */
    public static function document(array|\stdClass $document): array|\stdClass
    {
        $document = self::put($document, ['version' => 2]);
        $document = self::each($document, 'parts', self::part(...));
        $document = self::each($document, 'joins', self::join(...));

        return self::inside($document, 'brief', self::brief(...));
    }

    /**
     * @param  array<mixed>|\stdClass  $part
     * @return array<mixed>|\stdClass
     */
    public static function part(array|\stdClass $part): array|\stdClass
    {
        $part = self::words($part, ['tools', 'serves'], self::TOOLS);

        return self::inside($part, 'facets', self::facets(...));
    }

    /**
     * @param  array<mixed>|\stdClass  $brief
     * @return array<mixed>|\stdClass
     */
    public static function brief(array|\stdClass $brief): array|\stdClass
    {
        $brief = self::words($brief, ['tools'], self::TOOLS);

        return self::each($brief, 'games', static fn (array|\stdClass $games): array|\stdClass => self::renamed($games, ['directions' => 'dPads']));
    }

    /**
     * @param  array<mixed>|\stdClass  $join
     * @return array<mixed>|\stdClass
     */
    public static function join(array|\stdClass $join): array|\stdClass
    {
        return (self::fields($join)['kind'] ?? null) === 'picture' ? self::put($join, ['kind' => 'video']) : $join;
    }

    /**
     * @param  array<mixed>|\stdClass  $facets
     * @return array<mixed>|\stdClass
     */
    private static function facets(array|\stdClass $facets): array|\stdClass
    {
        $facets = self::renamed($facets, ['livesOn' => 'poweredBy', 'picture' => 'video']);
        $supply = static fn (array|\stdClass $input): array|\stdClass => self::renamed($input, ['limitVolts' => 'absoluteMaxV']);
        $facets = self::inside($facets, 'supply', $supply);
        $facets = self::each($facets, 'supplies', $supply);
        $facets = self::each(
            $facets,
            'outputs',
            static fn (array|\stdClass $output): array|\stdClass => self::words(
                self::renamed($output, ['converts' => 'topology']),
                ['topology'],
                self::TOPOLOGIES,
            ),
        );
        $facets = self::inside($facets, 'pack', static fn (array|\stdClass $pack): array|\stdClass => self::words(
            self::renamed($pack, ['resistanceMohm' => 'internalResistanceMohm', 'releaseV' => 'recoveryV']), ['chemistry'], self::CHEMISTRIES,
        ));
        $facets = self::inside(
            $facets,
            'charger',
            static fn (array|\stdClass $charger): array|\stdClass => self::words(
                self::renamed($charger, ['way' => 'topology']),
                ['chemistries'],
                self::CHEMISTRIES,
            ),
        );
        $facets = self::inside(
            $facets,
            'protector',
            static fn (array|\stdClass $board): array|\stdClass => self::words(
                self::renamed($board, ['releaseV' => 'recoveryV']),
                ['chemistries'],
                self::CHEMISTRIES,
            ),
        );
        $facets = self::inside(
            $facets,
            'gauge',
            static fn (array|\stdClass $gauge): array|\stdClass => self::renamed($gauge, ['noticeSeconds' => 'warningSeconds']),
        );
        $facets = self::inside($facets, 'video', static fn (array|\stdClass $video): array|\stdClass => self::renamed($video, ['turns' => 'rotates']));

        return self::inside($facets, 'controls', static fn (array|\stdClass $controls): array|\stdClass => self::renamed($controls, ['directions' => 'dPads']));
    }

    /**
     * Keys get their new names, in the places where they stood.
     *
     * @param  array<mixed>|\stdClass  $group
     * @param  array<string, string>  $names  old => new
     * @return array<mixed>|\stdClass
     */
    private static function renamed(array|\stdClass $group, array $names): array|\stdClass
    {
        $fields = self::fields($group);
        if (array_intersect_key($fields, $names) === [] && array_intersect_key($fields, array_flip($names)) === []) {
            return $group;
        }
        $renamed = [];
        foreach ($fields as $key => $value) {
            $isTaken = in_array($key, $names, true);
            $renamed[$isTaken ? "own-{$key}" : $names[$key] ?? $key] = $value;
        }

        return $group instanceof \stdClass ? (object) $renamed : $renamed;
    }

    /**
     * Words get their new names, single ones and those of a list.
     *
     * @param  array<mixed>|\stdClass  $group
     * @param  list<string>  $keys
     * @param  array<string, string>  $words  old => new
     * @return array<mixed>|\stdClass
     */
    private static function words(array|\stdClass $group, array $keys, array $words): array|\stdClass
    {
        $word = static fn (mixed $one): mixed => is_string($one) ? $words[$one] ?? $one : $one;
        $changed = array_map(
            static fn (mixed $value): mixed => is_array($value) ? array_map($word, $value) : $word($value),
            array_intersect_key(self::fields($group), array_fill_keys($keys, true)),
        );

        return self::put($group, $changed);
    }

    /**
     * @param  array<mixed>|\stdClass  $group
     * @param  callable(array<mixed>|\stdClass): (array<mixed>|\stdClass)  $change
     * @return array<mixed>|\stdClass
     */
    private static function inside(array|\stdClass $group, string $key, callable $change): array|\stdClass
    {
        $value = self::fields($group)[$key] ?? null;

        return is_array($value) || $value instanceof \stdClass ? self::put($group, [$key => $change($value)]) : $group;
    }

    /**
     * @param  array<mixed>|\stdClass  $group
     * @param  callable(array<mixed>|\stdClass): (array<mixed>|\stdClass)  $change
     * @return array<mixed>|\stdClass
     */
    private static function each(array|\stdClass $group, string $key, callable $change): array|\stdClass
    {
        $list = self::fields($group)[$key] ?? null;

        return ! is_array($list)
            ? $group
            : self::put(
                $group,
                [$key => array_map(static fn (mixed $one): mixed => is_array($one) || $one instanceof \stdClass ? $change($one) : $one, $list)],
            );
    }

    /**
     * @param  array<mixed>|\stdClass  $group
     * @return array<mixed>
     */
    private static function fields(array|\stdClass $group): array
    {
        return $group instanceof \stdClass ? get_object_vars($group) : $group;
    }

    /**
     * @param  array<mixed>|\stdClass  $group
     * @param  array<mixed>  $values
     * @return array<mixed>|\stdClass
     */
    private static function put(array|\stdClass $group, array $values): array|\stdClass
    {
        $fields = array_replace(self::fields($group), $values);

        return $group instanceof \stdClass ? (object) $fields : $fields;
    }
}
