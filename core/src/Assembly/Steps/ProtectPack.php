<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Cautions;
use PocketPlot\Assembly\Condition;
use PocketPlot\Assembly\Milestone;
use PocketPlot\Assembly\Minutes;
use PocketPlot\Assembly\OnTheBench;
use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Setup;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Assembly\Undo;
use PocketPlot\Facts\Facts;

/** A pack that has no protection of its own gets its board before it is charged. */
final class ProtectPack implements StepSource
{
    public function steps(Facts $facts): iterable
    {
        foreach (OnTheBench::openPacks($facts) as $line) {
            $guard = $facts->protectorOf($line);
            if ($guard === null || $guard->id === $line->id) {
                continue;
            }
            yield new Step(
                "protect/{$line->id}",
                Phase::Prove,
                "Fit {$guard->name()} to {$line->name()}",
                'One lead of each cell at a time, in the order of the board\'s drawing, minus first; the other ends taped until their turn. Read each step along the row before the next.',
                [$line, $guard],
                Minutes::about(35),
                Setup::Iron,
                [Cautions::CELLS, Cautions::IRON, ...$guard->part->cautions],
                undo: Undo::WithEffort,
                undoSays: 'unsolder the board, the last lead first',
                gives: [Condition::of(Milestone::Protected_, $line->id)],
                tools: ['soldering iron', 'multimeter'],
                consumables: ['solder', 'insulating tape'],
                skills: ['cell wiring'],
                isSafety: true,
            );
        }
    }
}
