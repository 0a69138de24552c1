<?php

declare(strict_types=1);

namespace PocketPlot\WhatIf;

use PocketPlot\Appraisal;
use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Day;

/** "What if I took this one?", asked of many parts for one place. */
final class Candidates
{
    /** The id that a line has while it is only being thought about. */
    public const TRIAL = 'candidate';

    /**
     * @param  list<Part>  $parts
     * @param  string|null  $inPlaceOf  the line to swap; null to add a line
     * @return list<array{part: Part, effect: Effect}> in the order of the parts
     */
    public static function judge(Build $build, array $parts, Role $role, ?string $inPlaceOf, Day $today): array
    {
        $before = Appraisal::toCompare($build, $today);

        return array_map(static fn (Part $part): array => [
            'part' => $part,
            'effect' => self::effectOf($before, $part, $role, $inPlaceOf, $today),
        ], $parts);
    }

    /** What becomes of the build of an appraisal with this part in a line's place, or as a line of its own. */
    public static function effectOf(Appraisal $before, Part $part, Role $role, ?string $inPlaceOf, Day $today): Effect
    {
        $build = $before->build;
        $after = $inPlaceOf === null
            ? $build->withLine(new Line(self::TRIAL, $part, $role, self::TRIAL))
            : $build->withSwap($inPlaceOf, $part);

        return Effect::between($before, $before->after($after, $today), $inPlaceOf ?? self::TRIAL);
    }
}
