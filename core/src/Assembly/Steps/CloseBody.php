<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Facts\Facts;

/** The body is closed. */
final class CloseBody implements StepSource
{
    public static function comesAfter(): array
    {
        return [TestOpen::class];
    }

    public function steps(Facts $facts): iterable
    {
        $body = $facts->bodyLine();
        if ($body !== null) {
            yield new Step(
                "close/{$body->id}",
                Phase::Close,
                "Close {$body->name()}",
                'No wire between the halves, none under tension. Count the screws.',
                [$body],
                15,
            );
        }
    }
}
