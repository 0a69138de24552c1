<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Cautions;
use PocketPlot\Assembly\Condition;
use PocketPlot\Assembly\Gate;
use PocketPlot\Assembly\Measure;
use PocketPlot\Assembly\Milestone;
use PocketPlot\Assembly\Minutes;
use PocketPlot\Assembly\OnTheBench;
use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Build\Line;
use PocketPlot\Build\Reading\MeteredState;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Figure;

/** Each board starts alone, unmodified. */
final class StartBoard implements StepSource
{
    public function steps(Facts $facts): iterable
    {
        foreach ($facts->filling(Role::Board) as $line) {
            $cards = array_values(array_filter($facts->with('storage'), static fn (Line $other): bool => $other->id !== $line->id));
            $current = $line->part->supply->drawMa ?? Figure::unknown('mA');
            yield new Step(
                "first/{$line->id}",
                Phase::Prove,
                "First start of {$line->name()}",
                'Start it alone, unmodified, before any cutting or soldering; on another screen where its own stays dark until it is set up.',
                [$line, ...$cards],
                Minutes::about(20),
                cautions: [Cautions::SPARK, ...$line->part->cautions],
                gate: Gate::of(
                    Measure::yes('starts', 'It starts'),
                    Measure::milliamps('idle', 'Milliamps, started and left alone', $current, $line->id, MeteredState::Idle),
                ),
                needs: [
                    Condition::of(Milestone::Imaged, $line->id), Condition::of(Milestone::Charged, $line->id), Condition::of(Milestone::Unpacked, $line->id),
                    ...OnTheBench::feederReady($facts, $line),
                ],
                gives: [Condition::of(Milestone::Started, $line->id)],
                tools: ['multimeter'],
            );
        }
    }
}
