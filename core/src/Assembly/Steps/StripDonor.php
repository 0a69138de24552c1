<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Cautions;
use PocketPlot\Assembly\Condition;
use PocketPlot\Assembly\Milestone;
use PocketPlot\Assembly\Minutes;
use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Assembly\Undo;
use PocketPlot\Facts\Facts;

/** An old shell is emptied, and what is kept of it is labelled. */
final class StripDonor implements StepSource
{
    public function steps(Facts $facts): iterable
    {
        $line = $facts->bodyLine();
        $body = $line?->part->body;
        if ($line !== null && $body !== null && ! $body->drawn && $body->cuttable && $body->openings !== [] && $line->part->kit === null) {
            yield new Step(
                "strip/{$line->id}",
                Phase::Prove,
                "Empty {$line->name()}",
                'Photograph every layer before it comes out. Keep doors, lamps, switches and every screw, in labelled bags; write down which screw was where.',
                [$line],
                Minutes::about(45),
                cautions: [Cautions::EDGES],
                undo: Undo::WithEffort,
                undoSays: 'put the old insides back by the photographs',
                gives: [Condition::of(Milestone::Stripped, $line->id)],
                tools: ['small screwdrivers'],
                leaves: 'bags with the screws and levers that are needed again',
            );
        }
    }
}
