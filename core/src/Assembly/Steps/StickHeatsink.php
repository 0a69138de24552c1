<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Condition;
use PocketPlot\Assembly\Milestone;
use PocketPlot\Assembly\Minutes;
use PocketPlot\Assembly\OnTheBench;
use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Assembly\Undo;
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

/** A heatsink goes onto its chip before the board goes in. */
final class StickHeatsink implements StepSource
{
    public function steps(Facts $facts): iterable
    {
        $boards = $facts->filling(Role::Board);
        foreach ($facts->with('cooling') as $line) {
            if ($line->part->cooling?->fan === true || $line->part->sits->takesRoom() === false) {
                continue;
            }
            $pads = OnTheBench::serving($facts, ['thermal pad']);
            yield new Step(
                "sink/{$line->id}",
                Phase::Wire,
                "Put {$line->name()} on",
                'Clean the chip, one pad of the right thickness, flat and centred; no metal over the parts beside it.',
                [$line, ...$boards, ...$pads],
                Minutes::about(10),
                undo: Undo::WithEffort,
                undoSays: 'twist it off, never pull; the pad is spent',
                needs: [
                    ...Condition::each(Milestone::Started, OnTheBench::ids(...$boards)), ...Condition::each(Milestone::Slimmed, OnTheBench::ids(...$boards)),
                    ...array_map(static fn (Line $body): Condition => Condition::of(Milestone::DryFitted, $body->id), array_filter([$facts->bodyLine()])),
                ],
                gives: Condition::each(Milestone::Cooled, OnTheBench::ids(...$boards)),
                consumables: $pads === [] ? array_values(array_intersect($line->part->work->consumables, ['thermal pad'])) : [],
            );
        }
    }
}
