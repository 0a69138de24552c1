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

/** Each pack gets its fuse and switch before anything is wired to it. */
final class FusePack implements StepSource
{
    public function steps(Facts $facts): iterable
    {
        foreach (OnTheBench::openPacks($facts) as $line) {
            yield new Step(
                "fuse/{$line->id}",
                Phase::Prove,
                "Fuse and switch at {$line->name()}",
                'A fuse of its own close to the pack\'s plus, then the switch. One wire at a time; the pack stays unplugged meanwhile, its plug taped.',
                [$line, ...$facts->with('switch'), ...$facts->with('fuse')],
                Minutes::about(25),
                Setup::Iron,
                [Cautions::CELLS, Cautions::IRON],
                Gate::of(Measure::yes('off', 'Switched off, nothing comes through'), Measure::yes('on', 'Switched on, the pack\'s volts come through')),
                undoSays: 'unplug the pack, unsolder fuse and switch',
                needs: [Condition::of(Milestone::Metered, $line->id), Condition::of(Milestone::Protected_, $line->id)],
                gives: [Condition::of(Milestone::Fused, $line->id)],
                tools: ['soldering iron', 'multimeter'],
                consumables: OnTheBench::SOLDERING,
                isSafety: true,
            );
        }
    }
}
