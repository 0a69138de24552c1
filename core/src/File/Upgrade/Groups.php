<?php

declare(strict_types=1);

namespace PocketPlot\File\Upgrade;

/** Changes groups of a document, arrays or objects as they were decoded; they come back as what they were. */
final class Groups
{
    /**
     * @param  array<mixed>|\stdClass  $group
     * @param  callable(array<mixed>|\stdClass): (array<mixed>|\stdClass)  $change
     * @return array<mixed>|\stdClass
     */
    public static function inside(array|\stdClass $group, string $key, callable $change): array|\stdClass
    {
        $value = self::fields($group)[$key] ?? null;

        return is_array($value) || $value instanceof \stdClass ? self::put($group, [$key => $change($value)]) : $group;
    }

    /**
     * @param  array<mixed>|\stdClass  $group
     * @param  callable(array<mixed>|\stdClass): (array<mixed>|\stdClass)  $change
     * @return array<mixed>|\stdClass
     */
    public static function each(array|\stdClass $group, string $key, callable $change): array|\stdClass
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
    public static function fields(array|\stdClass $group): array
    {
        return $group instanceof \stdClass ? get_object_vars($group) : $group;
    }

    /**
     * @param  array<mixed>|\stdClass  $group
     * @param  array<mixed>  $values
     * @return array<mixed>|\stdClass
     */
    public static function put(array|\stdClass $group, array $values): array|\stdClass
    {
        $fields = array_replace(self::fields($group), $values);

        return $group instanceof \stdClass ? (object) $fields : $fields;
    }

    /**
     * What a file happens to hold under these names as its own is kept beside, under "own-…".
     *
     * @param  array<mixed>|\stdClass  $group
     * @param  list<string>  $names
     * @return array<mixed>|\stdClass
     */
    public static function aside(array|\stdClass $group, array $names): array|\stdClass
    {
        $fields = [];
        foreach (self::fields($group) as $key => $value) {
            $fields[in_array($key, $names, true) ? "own-{$key}" : $key] = $value;
        }

        return $group instanceof \stdClass ? (object) $fields : $fields;
    }
}
