<?php

declare(strict_types=1);

namespace CoreTests;

use PocketPlot\Build\Build;

/** Every sentence that the core says over the builds of the tree, each kind of it once, for a reader. */
final class Sentences
{
    private const DRAWN = 60;

    /** @var ?list<string> */
    private static ?array $all = null;

    /** @return list<string> "rule [verdict] sentence", sorted; of those that differ only in names and figures the first */
    public static function all(): array
    {
        return self::$all ??= self::said();
    }

    /** @return list<string> */
    private static function said(): array
    {
        $said = [];
        foreach (self::builds() as $build) {
            $names = array_map(static fn ($line): string => $line->name(), $build->lines);
            usort($names, static fn (string $a, string $b): int => strlen($b) <=> strlen($a));
            foreach (Make::appraise($build)->findings as $finding) {
                $shape = preg_replace('/[0-9][0-9.,]*/', '#', str_replace($names, '…', $finding->says()));
                $said["{$finding->rule} {$finding->verdict->value} {$shape}"] ??= "{$finding->rule} [{$finding->verdict->value}] {$finding->says()}";
            }
        }
        ksort($said);

        return array_values($said);
    }

    /** @return iterable<Build> */
    private static function builds(): iterable
    {
        foreach (Told::names() as $name) {
            yield Told::build($name);
        }
        foreach (['refuge', 'thimble', 'barge'] as $name) {
            yield Make::demo($name);
        }
        foreach (Golden::TRIALS as $kind) {
            yield Make::trial($kind);
        }
        for ($seed = 1; $seed <= self::DRAWN; $seed++) {
            yield Golden::drawn($seed);
        }
    }
}
