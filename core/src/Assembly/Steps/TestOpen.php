<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

/** Everything is tested before the body is closed. */
final class TestOpen implements StepSource
{
    public static function comesAfter(): array
    {
        return [];
    }

    public function steps(Facts $facts): iterable
    {
        $all = array_values(array_filter($facts->lines(), static fn (Line $line): bool => $line->role !== Role::Tool));
        yield new Step(
            'test-open',
            Phase::Close,
            'Test before closing',
            'Picture, sound, every control, charging. Nothing warm that should not be. Move the wires and see that nothing flickers.',
            $all,
            25,
            [],
            true,
        );
    }
}
