<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Facts\Facts;

/** The real parts are laid into the body before anything is cut. */
final class DryFit implements StepSource
{
    public static function comesAfter(): array
    {
        return [DrawBody::class];
    }

    public function steps(Facts $facts): iterable
    {
        $line = $facts->bodyLine();
        if ($line !== null) {
            yield new Step(
                "dry/{$line->id}",
                Phase::Body,
                'Fit everything dry',
                'Push the real parts around until hands, cells, controls and sockets agree. No control over a cell; leave room for switches and wires.',
                [$line, ...$facts->inBody()],
                40,
                [],
                true,
            );
        }
    }
}
