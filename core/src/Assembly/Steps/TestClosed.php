<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

/** Everything is tested once more, closed and played. */
final class TestClosed implements StepSource
{
    public static function comesAfter(): array
    {
        return [CloseBody::class];
    }

    public function steps(Facts $facts): iterable
    {
        $all = array_values(array_filter($facts->lines(), static fn (Line $line): bool => $line->role !== Role::Tool));
        yield new Step(
            'test-closed',
            Phase::Close,
            'Test after closing',
            'The same again, then an hour of play with a hand on the warmest spot.',
            $all,
            70,
            [],
            true,
        );
    }
}
