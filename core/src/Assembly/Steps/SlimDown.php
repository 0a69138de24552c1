<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Cautions;
use PocketPlot\Assembly\Condition;
use PocketPlot\Assembly\Gate;
use PocketPlot\Assembly\Measure;
use PocketPlot\Assembly\Milestone;
use PocketPlot\Assembly\Minutes;
use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Setup;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Assembly\Undo;
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

/** A board or pad that the builder means to cut down: contacts first, one cut at a time, a test after each. */
final class SlimDown implements StepSource
{
    public function steps(Facts $facts): iterable
    {
        foreach ($facts->build->work->slim as $id) {
            $line = $facts->line($id);
            if ($line === null || ! $line->chosen) {
                continue;
            }
            $with = [$line, ...array_filter($facts->filling(Role::Board), static fn (Line $board): bool => $board->id !== $line->id)];
            yield new Step(
                "map/{$id}", Phase::Slim, "Probe and map the contacts of {$line->name()}",
                'Photograph both sides. Probe every contact that will be cut off or soldered to, and write down what it leads to, with a second one that carries the same.',
                $with, Minutes::about(40), Setup::Meter,
                gate: Gate::of(Measure::yes('map', 'Every contact that is needed is on the map'), Measure::yes('twice', 'Each has a second place to solder to, or a note that it has none')),
                needs: [Condition::of(Milestone::HeapRun), Condition::of(Milestone::Proven, $id), Condition::of(Milestone::Started, $id)],
                gives: [Condition::of(Milestone::Mapped, $id)],
                tools: ['multimeter', 'callipers'],
            );
            yield new Step(
                "slim/{$id}", Phase::Slim, "Make {$line->name()} smaller",
                'One socket or one cut at a time. Heat the big sockets long and evenly rather than pull; a pad that lifts takes its track along. After every cut, try it again.',
                [$line], Minutes::about(60), Setup::Cutting,
                [Cautions::DUST, Cautions::IRON, ...$line->part->cautions],
                undo: Undo::Never, undoSays: 'what is cut off does not come back',
                needs: [Condition::of(Milestone::Mapped, $id)],
                gives: [Condition::of(Milestone::Cut, $id)],
                tools: ['saw', 'soldering iron', 'hot air'], consumables: ['flux', 'solder'], skills: ['fine soldering'],
            );
            yield new Step(
                "retest/{$id}", Phase::Slim, "Try {$line->name()} again after each cut",
                'The same test as before the first cut, with the same lead.',
                $with, Minutes::about(15), Setup::Meter,
                gate: Gate::of(Measure::yes('works', 'It works as before')),
                needs: [Condition::of(Milestone::Cut, $id)],
                gives: [Condition::of(Milestone::Slimmed, $id)],
                leaves: 'if it does not: the map names the second place to solder to',
            );
        }
    }
}
