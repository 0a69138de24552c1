<?php

declare(strict_types=1);

namespace PocketPlot\File\Upgrade;

/**
 * Version 2 to version 3 of the formats: places in the body ("fit"), blocks of parts, ribs, and where zones, posts, holes
 * and pictures lie. What a file of version 2 happens to hold under one of these names as its own is kept beside.
 */
final class FromVersion2
{
    /**
     * A whole build or library.
     *
     * @param  array<mixed>|\stdClass  $document
     * @return array<mixed>|\stdClass
     */
    public static function document(array|\stdClass $document): array|\stdClass
    {
        return Groups::each(Groups::put(Groups::aside($document, ['fit']), ['version' => 3]), 'parts', self::part(...));
    }

    /**
     * @param  array<mixed>|\stdClass  $part
     * @return array<mixed>|\stdClass
     */
    public static function part(array|\stdClass $part): array|\stdClass
    {
        return Groups::inside($part, 'facets', static function (array|\stdClass $facets): array|\stdClass {
            $facets = Groups::inside(Groups::aside($facets, ['blocks']), 'body', self::body(...));
            $facets = Groups::inside($facets, 'mount', static fn (array|\stdClass $mount): array|\stdClass => Groups::aside($mount, ['xMm', 'yMm']));

            return Groups::inside($facets, 'panel', static fn (array|\stdClass $panel): array|\stdClass => Groups::aside($panel, ['activeXMm', 'activeYMm']));
        });
    }

    /**
     * @param  array<mixed>|\stdClass  $body
     * @return array<mixed>|\stdClass
     */
    private static function body(array|\stdClass $body): array|\stdClass
    {
        $zone = static fn (array|\stdClass $zone): array|\stdClass => Groups::aside($zone, ['xMm', 'yMm', 'zMm']);
        $body = Groups::each(Groups::aside($body, ['ribs']), 'zones', $zone);

        return Groups::each($body, 'posts', static fn (array|\stdClass $post): array|\stdClass => Groups::aside($post, ['xMm', 'yMm']));
    }
}
