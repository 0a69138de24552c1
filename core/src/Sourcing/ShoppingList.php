<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;

/** What of a build is still to be bought: chosen, and neither ordered nor here nor in the drawer; what broke is bought again. */
final class ShoppingList
{
    /**
     * @param  array<string, int>  $spares  pieces more than are needed, by line
     * @param  array<string, list<Part>>  $others  parts that would do as well, by line
     * @param  list<Role>  $onlyNew  roles of which nothing used is bought
     * @return list<Demand> one a part, however many lines it stands in: a packet serves them all
     */
    public static function of(Build $build, array $spares = [], array $others = [], array $onlyNew = []): array
    {
        $pieces = $first = [];
        foreach ($build->chosen() as $line) {
            $toBuy = $line->part->isWanted ? 0 : Progress::of($line, $build)->toBuy;
            if ($toBuy > 0) {
                $first[$line->part->id] ??= $line;
                $pieces[$line->part->id] = ($pieces[$line->part->id] ?? 0) + $toBuy + ($spares[$line->id] ?? 0);
            }
        }

        return array_values(array_map(
            static fn (Line $line): Demand => new Demand(
                $line->id, $line->part->name, $pieces[$line->part->id], self::grams([$line->part, ...($others[$line->id] ?? [])]),
                ! in_array($line->role, $onlyNew, true),
            ),
            $first,
        ));
    }

    /**
     * What nobody weighed goes for the least that post is asked for.
     *
     * @param  non-empty-list<Part>  $parts
     * @return non-empty-array<string, int>
     */
    private static function grams(array $parts): array
    {
        $grams = [];
        foreach ($parts as $part) {
            $grams[$part->id] = self::gramsOf($part);
        }

        return $grams;
    }

    /** @return int grams of one piece, rounded up; 0 while nobody weighed it */
    public static function gramsOf(Part $part): int
    {
        return (int) ceil($part->size->massG->most ?? 0.0);
    }

    /**
     * Which lines the pieces that were bought for a demand go to: each what it still needs, the rest to the first.
     *
     * @return non-empty-array<string, int> pieces by line
     */
    public static function dealt(Build $build, Line $first, int $pieces): array
    {
        $dealt = [$first->id => 0];
        $left = $pieces;
        foreach ($build->chosen() as $line) {
            $needs = $line->part->id === $first->part->id ? min($left, Progress::of($line, $build)->toBuy) : 0;
            if ($needs > 0) {
                $dealt[$line->id] = ($dealt[$line->id] ?? 0) + $needs;
                $left -= $needs;
            }
        }
        $dealt[$first->id] += $left;

        return array_filter($dealt) === [] ? $dealt : array_filter($dealt);
    }
}
