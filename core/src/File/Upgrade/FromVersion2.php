<?php

declare(strict_types=1);

namespace PocketPlot\File\Upgrade;

/**
 * Version 2 to version 3 of the formats: places in the body ("fit"), blocks of parts, ribs and where zones and posts
 * stand. What a file of version 2 happens to hold under one of these names as its own is kept beside, under "own-…".
 *
 * Groups are arrays or objects, as they were decoded; they come back as what they were.
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
        $fields = self::aside(self::fields($document), ['fit']);
        $fields['version'] = 3;
        if (is_array($fields['parts'] ?? null)) {
            $fields['parts'] = array_map(
                static fn (mixed $part): mixed => is_array($part) || $part instanceof \stdClass ? self::part($part) : $part,
                $fields['parts'],
            );
        }

        return self::as($document, $fields);
    }

    /**
     * @param  array<mixed>|\stdClass  $part
     * @return array<mixed>|\stdClass
     */
    public static function part(array|\stdClass $part): array|\stdClass
    {
        $fields = self::fields($part);
        $facets = $fields['facets'] ?? null;
        if (! is_array($facets) && ! $facets instanceof \stdClass) {
            return $part;
        }
        $own = self::aside(self::fields($facets), ['blocks']);
        $body = $own['body'] ?? null;
        if (is_array($body) || $body instanceof \stdClass) {
            $own['body'] = self::as($body, self::aside(self::fields($body), ['ribs']));
        }
        $fields['facets'] = self::as($facets, $own);

        return self::as($part, $fields);
    }

    /**
     * @param  array<mixed>  $fields
     * @param  list<string>  $names
     * @return array<mixed>
     */
    private static function aside(array $fields, array $names): array
    {
        foreach ($names as $name) {
            if (array_key_exists($name, $fields)) {
                $fields["own-{$name}"] = $fields[$name];
                unset($fields[$name]);
            }
        }

        return $fields;
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
     * @param  array<mixed>|\stdClass  $like
     * @param  array<mixed>  $fields
     * @return array<mixed>|\stdClass
     */
    private static function as(array|\stdClass $like, array $fields): array|\stdClass
    {
        return $like instanceof \stdClass ? (object) $fields : $fields;
    }
}
