<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Alone;
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
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

/** Closed: the same tests again, one long run from full, and the record. */
final class TestClosed implements StepSource
{
    public function steps(Facts $facts): iterable
    {
        $all = array_values(array_filter(
            $facts->lines(),
            static fn (Line $line): bool => ! in_array($line->role, [Role::Tool, Role::Material, Role::Fastener], true),
        ));
        $hot = array_filter(array_map(static fn (Line $line): ?float => $line->part->heat?->limitC->usual, $facts->with('heat')));
        yield new Step(
            'test-closed', Phase::Close, 'Test after closing',
            'The same again, then an hour of play with a hand on the warmest spot.',
            $all, Minutes::about(70),
            gate: Gate::of(
                Measure::yes('works', 'Picture, sound, every control and charging work'),
                new Measure(
                    'warmest',
                    'Degrees of the warmest part, as the board tells it',
                    '°C',
                    null,
                    $hot === [] ? null : min($hot),
                    $facts->board()->id ?? '',
                ),
                new Measure('air', 'Degrees of the air around it', '°C'),
            ),
            needs: [Condition::of(Milestone::Closed), Condition::of(Milestone::TestedOpen)],
            gives: [Condition::of(Milestone::TestedClosed)],
        );
        $pack = array_values(array_filter($facts->with('pack'), static fn (Line $line): bool => $line->role === Role::Cells))[0] ?? null;
        if ($pack !== null) {
            $hours = $facts->runTime()->hours;
            yield new Step(
                "run/{$pack->id}", Phase::Close, 'Log one run from full to empty',
                'Full, everyday play, until it stops by itself. The hours go under Bench and are laid beside what was expected.',
                [$pack], Minutes::about(15), Setup::Meter, [Cautions::CELLS],
                Gate::of(new Measure(
                    'hours',
                    'Hours from full until it stopped',
                    'h',
                    $facts->brief()->runTimeHours === null ? null : $facts->brief()->runTimeHours * $facts->margin('runtime-share'),
                    null,
                    $pack->id,
                )),
                needs: [Condition::of(Milestone::TestedClosed)],
                alone: new Alone('it runs', $hours->usual ?? 3.0),
            );
        }
        yield new Step(
            'keep', Phase::Close, 'Write down what is left',
            'What the next one should do better, what is still open and until when; keep the file, the photographs and the spare parts together.',
            [], Minutes::about(15), Setup::Computer,
            needs: [Condition::of(Milestone::TestedClosed)],
        );
    }
}
