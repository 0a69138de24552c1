<?php

declare(strict_types=1);

namespace CoreTests;

use PocketPlot\Build\Build;
use PocketPlot\File\BuildReader;

/** Every build that ships with the project or stands in its tests, by name. */
final class Tree
{
    /** @return list<string> */
    public static function names(): array
    {
        return [...Told::names(), ...Golden::IN_TREE, ...Golden::TRIALS];
    }

    /** The file as it is, from the root of the project. */
    public static function text(string $name): string
    {
        return Make::read(match (true) {
            in_array($name, Golden::IN_TREE, true) => "demo/{$name}.pocketplot.json",
            in_array($name, Golden::TRIALS, true) => "core/tests/builds/{$name}.pocketplot.json",
            default => "core/tests/builds/told/{$name}.pocketplot.json",
        });
    }

    public static function build(string $name): Build
    {
        return BuildReader::read(Make::buildFormat()->decode(self::text($name)));
    }
}
