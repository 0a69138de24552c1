<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Cautions;
use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Facts\Facts;

/** A body that is drawn around its parts is drawn and made. */
final class DrawBody implements StepSource
{
    public static function comesAfter(): array
    {
        return [];
    }

    public function steps(Facts $facts): iterable
    {
        $line = $facts->bodyLine();
        if ($line?->part->body?->drawn === true) {
            yield new Step(
                "print/{$line->id}",
                Phase::Body,
                "Draw and make {$line->name()}",
                'Draw it around the parts, try one grip first, change it, then make the whole.',
                [$line, ...$facts->inBody()],
                180,
                [Cautions::DUST, ...$line->part->cautions],
            );
        }
    }
}
