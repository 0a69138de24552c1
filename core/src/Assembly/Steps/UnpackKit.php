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
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Facts\Facts;

/** A kit is counted before anything of it is missed. */
final class UnpackKit implements StepSource
{
    public function steps(Facts $facts): iterable
    {
        foreach ($facts->with('kit') as $line) {
            $contains = $line->part->kit->contains ?? [];
            yield new Step(
                "unpack/{$line->id}",
                Phase::Prove,
                "Unpack and count {$line->name()}",
                'Lay everything out on a tray, count it against the list, look into every bag and fold of the box.',
                [$line],
                Minutes::about(15),
                cautions: [Cautions::SPARK],
                gate: Gate::of(...array_map(
                    static fn (string $what, int $at): Measure => Measure::yes("has-{$at}", "{$what} is there"),
                    $contains,
                    array_keys($contains),
                )),
                gives: [Condition::of(Milestone::Unpacked, $line->id)],
            );
        }
    }
}
