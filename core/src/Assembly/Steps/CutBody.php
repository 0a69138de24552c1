<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Cautions;
use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Facts\Facts;

/** Openings are cut with nothing inside. */
final class CutBody implements StepSource
{
    public static function comesAfter(): array
    {
        return [DryFit::class];
    }

    public function steps(Facts $facts): iterable
    {
        $line = $facts->bodyLine();
        if ($line?->part->body?->cuttable === true) {
            yield new Step(
                "cut/{$line->id}",
                Phase::Body,
                "Cut and drill {$line->name()}",
                'Openings for panel, controls, sockets and air. Cut with nothing inside; deburr.',
                [$line],
                90,
                [Cautions::DUST],
                false,
                'wood or plastic that is gone does not come back',
            );
        }
    }
}
