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
use PocketPlot\Assembly\Setup;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Facts\Facts;

/** Packs that will be in parallel are brought to one voltage first. */
final class LevelCells implements StepSource
{
    public function steps(Facts $facts): iterable
    {
        $done = [];
        foreach (OnTheBench::openPacks($facts) as $line) {
            $group = $facts->inParallelWith($line);
            if (count($group) < 2 || isset($done[$line->id])) {
                continue;
            }
            $done += array_fill_keys(OnTheBench::ids(...$group), true);
            yield new Step(
                "level/{$line->id}",
                Phase::Prove,
                'Level '.implode(' and ', array_map(static fn ($one): string => $one->name(), $group)),
                'Charge each alone, let them rest an hour, then meter plus to plus. Joined at different levels, one charges the other as fast as the wire allows.',
                $group,
                Minutes::about(15),
                Setup::Meter,
                [Cautions::CELLS],
                Gate::of(new Measure('apart', 'Volts between the two plus', 'V', null, $facts->margin('parallel-volts'), $line->id, 'pack')),
                needs: [
                    ...Condition::each(Milestone::Metered, OnTheBench::ids(...$group)), ...Condition::each(Milestone::Fused, OnTheBench::ids(...$group)),
                ],
                gives: Condition::each(Milestone::Levelled, OnTheBench::ids(...$group)),
                tools: ['multimeter'],
                isSafety: true,
                leaves: 'join them only after this passed',
            );
        }
    }
}
