<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

/** Each display is lit from its own voltage, with a picture. */
final class LightDisplay implements StepSource
{
    public static function comesAfter(): array
    {
        return [StartBoard::class];
    }

    public function steps(Facts $facts): iterable
    {
        $boards = $facts->filling(Role::Board);
        foreach ($facts->filling(Role::Display) as $line) {
            if (! in_array($line, $boards, true)) {
                yield new Step(
                    "light/{$line->id}",
                    Phase::Prove,
                    "Light {$line->name()}",
                    'Give it its voltage and a picture from the board. A dark panel without a signal proves nothing. Write down the current, dim and bright.',
                    [$line, ...$boards],
                    25,
                    $line->part->cautions,
                    true,
                );
            }
        }
    }
}
