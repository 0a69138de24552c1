<?php

declare(strict_types=1);

namespace PocketPlot\Facts;

use PocketPlot\Build\Line;
use PocketPlot\Part\Part;
use PocketPlot\Quantity\Figure;

/** Whether a fact is what it was. Lines and parts are the same only when nobody touched them; what is worked out from them is compared figure by figure. */
final class Same
{
    public static function as(mixed $one, mixed $other): bool
    {
        if ($one === $other) {
            return true;
        }
        if (is_array($one) && is_array($other)) {
            return self::arrays($one, $other);
        }
        if ($one instanceof Figure && $other instanceof Figure) {
            return $one->least === $other->least && $one->usual === $other->usual && $one->most === $other->most
                && $one->unit === $other->unit && $one->source === $other->source && $one->on === $other->on && $one->stated === $other->stated;
        }
        if (! is_object($one)
            || ! is_object($other)
            || $one::class !== $other::class
            || $one instanceof Line
            || $one instanceof Part
            || $one instanceof \UnitEnum
            || $one instanceof \Closure) {
            return false;
        }

        return self::arrays((array) $one, (array) $other);
    }

    /**
     * @param  array<mixed>  $one
     * @param  array<mixed>  $other
     */
    private static function arrays(array $one, array $other): bool
    {
        if (count($one) !== count($other) || array_keys($one) !== array_keys($other)) {
            return false;
        }
        foreach ($one as $key => $value) {
            if ($value !== $other[$key] && ! self::as($value, $other[$key])) {
                return false;
            }
        }

        return true;
    }
}
