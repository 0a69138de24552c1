<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

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
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;
use PocketPlot\Part\SupplyInput;

/** Where nobody wrote down from which volts a panel or a sound board runs, a bench supply tells. */
final class SweepSupply implements StepSource
{
    public function steps(Facts $facts): iterable
    {
        foreach ([...OnTheBench::apart($facts, Role::Display), ...OnTheBench::apart($facts, Role::Sound)] as $line) {
            $open = array_filter(
                $line->part->supplies,
                static fn (SupplyInput $input): bool => ! $input->volts->isKnown() || $input->volts->source->isPencil(),
            );
            if ($open === []) {
                continue;
            }
            yield new Step(
                "sweep/{$line->id}",
                Phase::Prove,
                "Sweep the supply of {$line->name()} down",
                'From the volts on its label, in steps of half a volt, with a picture or a tone, until it goes dark or silent. Never above the label. Write the volts down under Bench, with the current at each step.',
                [$line, ...self::boards($facts)],
                Minutes::about(25),
                Setup::Meter,
                $line->part->cautions,
                Gate::of(new Measure('volts', 'Lowest volts at which it still works', 'V', null, null, $line->id)),
                needs: Condition::each(Milestone::Started, OnTheBench::ids(...self::boards($facts))),
                gives: [Condition::of(Milestone::Swept, $line->id)],
                tools: ['bench supply', 'multimeter'],
            );
        }
    }

    /** @return list<Line> */
    private static function boards(Facts $facts): array
    {
        return $facts->filling(Role::Board);
    }
}
