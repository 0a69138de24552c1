<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Cautions;
use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

/** Everything together runs from the pack on the table. */
final class RunHeap implements StepSource
{
    public static function comesAfter(): array
    {
        return [HearSound::class];
    }

    public function steps(Facts $facts): iterable
    {
        if ($facts->with('pack') === [] || $facts->filling(Role::Board) === []) {
            return;
        }
        $electric = array_values(array_filter($facts->lines(), static fn (Line $line): bool => $line->part->supply !== null || $line->part->pack !== null));
        yield new Step(
            'heap',
            Phase::Prove,
            'Run the whole heap from the pack',
            'Everything together, on the table. Meter the pack\'s current idle and at the worst load; plug and unplug the charger while it runs.',
            $electric,
            40,
            [Cautions::CELLS],
            true,
        );
    }
}
