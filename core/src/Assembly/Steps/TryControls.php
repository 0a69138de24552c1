<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

/** Each control is tried, and the map of contacts written down. */
final class TryControls implements StepSource
{
    public static function comesAfter(): array
    {
        return [LightDisplay::class];
    }

    public function steps(Facts $facts): iterable
    {
        $boards = $facts->filling(Role::Board);
        foreach ($facts->filling(Role::Controls) as $line) {
            if (! in_array($line, $boards, true)) {
                yield new Step(
                    "press/{$line->id}",
                    Phase::Prove,
                    "Try every control of {$line->name()}",
                    'Press, push and turn each one and see that the board hears it. Write the map of contacts down.',
                    [$line, ...$boards],
                    20,
                    $line->part->cautions,
                    true,
                );
            }
        }
    }
}
