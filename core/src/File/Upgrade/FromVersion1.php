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
        $document = Groups::put($document, ['version' => 2]);
        $document = Groups::each($document, 'parts', self::part(...));
        $document = Groups::each($document, 'joins', self::join(...));

        return Groups::inside($document, 'brief', self::brief(...));
    }

    /**
     * @param  array<mixed>|\stdClass  $part
     * @return array<mixed>|\stdClass
     */
    public static function part(array|\stdClass $part): array|\stdClass
    {
        $part = self::words($part, ['tools', 'serves'], self::TOOLS);

        return Groups::inside($part, 'facets', self::facets(...));
    }

    /**
     * @param  array<mixed>|\stdClass  $brief
     * @return array<mixed>|\stdClass
     */
    public static function brief(array|\stdClass $brief): array|\stdClass
    {
        $brief = self::words($brief, ['tools'], self::TOOLS);

        return Groups::each($brief, 'games', static fn (array|\stdClass $games): array|\stdClass => self::renamed($games, ['directions' => 'dPads']));
    }

    /**
     * @param  array<mixed>|\stdClass  $join
     * @return array<mixed>|\stdClass
     */
    public static function join(array|\stdClass $join): array|\stdClass
    {
        return (Groups::fields($join)['kind'] ?? null) === 'picture' ? Groups::put($join, ['kind' => 'video']) : $join;
    }

    /**
     * @param  array<mixed>|\stdClass  $facets
     * @return array<mixed>|\stdClass
     */
    private static function facets(array|\stdClass $facets): array|\stdClass
    {
        $facets = self::renamed($facets, ['livesOn' => 'poweredBy', 'picture' => 'video']);
        $supply = static fn (array|\stdClass $input): array|\stdClass => self::renamed($input, ['limitVolts' => 'absoluteMaxV']);
        $facets = Groups::inside($facets, 'supply', $supply);
        $facets = Groups::each($facets, 'supplies', $supply);
        $facets = Groups::each(
            $facets,
            'outputs',
            static fn (array|\stdClass $output): array|\stdClass => self::words(
                self::renamed($output, ['converts' => 'topology']),
                ['topology'],
                self::TOPOLOGIES,
            ),
        );
        $facets = Groups::inside($facets, 'pack', static fn (array|\stdClass $pack): array|\stdClass => self::words(
            self::renamed($pack, ['resistanceMohm' => 'internalResistanceMohm', 'releaseV' => 'recoveryV']), ['chemistry'], self::CHEMISTRIES,
        ));
        $facets = Groups::inside(
            $facets,
            'charger',
            static fn (array|\stdClass $charger): array|\stdClass => self::words(
                self::renamed($charger, ['way' => 'topology']),
                ['chemistries'],
                self::CHEMISTRIES,
            ),
        );
        $facets = Groups::inside(
            $facets,
            'protector',
            static fn (array|\stdClass $board): array|\stdClass => self::words(
                self::renamed($board, ['releaseV' => 'recoveryV']),
                ['chemistries'],
                self::CHEMISTRIES,
            ),
        );
        $facets = Groups::inside(
            $facets,
            'gauge',
            static fn (array|\stdClass $gauge): array|\stdClass => self::renamed($gauge, ['noticeSeconds' => 'warningSeconds']),
        );
        $facets = Groups::inside($facets, 'video', static fn (array|\stdClass $video): array|\stdClass => self::renamed($video, ['turns' => 'rotates']));

        $dPads = static fn (array|\stdClass $controls): array|\stdClass => self::renamed($controls, ['directions' => 'dPads']);

        return Groups::inside($facets, 'controls', $dPads);
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
        $fields = Groups::fields($group);
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
            array_intersect_key(Groups::fields($group), array_fill_keys($keys, true)),
        );

        return Groups::put($group, $changed);
    }
}
