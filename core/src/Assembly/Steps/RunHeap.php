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
use PocketPlot\Build\Line;
use PocketPlot\Build\Reading\MeteredState;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\PoweredBy;
use PocketPlot\Part\Role;
use PocketPlot\Power\Rail;

/** Everything together runs on the table, before anything is made smaller or cut. */
final class RunHeap implements StepSource
{
    private const SHARE = 0.05;

    public function steps(Facts $facts): iterable
    {
        $boards = $facts->filling(Role::Board);
        $packs = array_values(array_filter($facts->with('pack'), static fn (Line $line): bool => ! $line->part->livesFromOwnCell()));
        $walls = array_values(array_filter($facts->with('poweredBy'), static fn (Line $line): bool => $line->part->poweredBy === PoweredBy::Mains));
        if ($boards === [] || ($packs === [] && $walls === [])) {
            return;
        }
        $electric = array_values(array_filter(
            $facts->lines(),
            static fn (Line $line): bool => $line->part->supply !== null || $line->part->pack !== null
                || $line->part->outputs !== [] || $line->part->cable !== null,
        ));
        $converters = array_filter($facts->lines(), static fn (Line $line): bool => $line->part->isConverter());
        yield new Step(
            'heap',
            Phase::Prove,
            $packs === [] ? 'Run the whole heap from its supply' : 'Run the whole heap from the pack',
            'Everything together, on the table, at the heaviest game. '.($packs === [] ? 'Feel what gets warm.' : 'Plug and unplug the charger while it runs.'),
            $electric,
            Minutes::about(40),
            Setup::Meter,
            $packs === [] ? [Cautions::MAINS] : [Cautions::CELLS],
            Gate::of(...self::measures($facts, $packs)),
            needs: [
                ...Condition::each(Milestone::Started, OnTheBench::ids(...$boards)),
                ...Condition::each(Milestone::Proven, OnTheBench::ids(...OnTheBench::provable($facts))),
                ...Condition::each(Milestone::Metered, OnTheBench::ids(...$packs, ...$walls, ...$converters)),
                ...Condition::each(Milestone::Fused, OnTheBench::ids(...$packs)), ...Condition::each(Milestone::Levelled, OnTheBench::ids(...$packs)),
            ],
            gives: [Condition::of(Milestone::HeapRun)],
            tools: ['multimeter'],
        );
    }

    /**
     * @param  list<Line>  $packs
     * @return list<Measure>
     */
    private static function measures(Facts $facts, array $packs): array
    {
        $measures = [Measure::yes('plays', 'It plays: picture, sound, controls')];
        foreach ($facts->rails() as $rail) {
            if ($rail->loads === []) {
                continue;
            }
            if ($rail->isRawPack) {
                $measures[] = self::draw($rail);
            } elseif (! in_array($rail->line, $packs, true)) {
                $measures[] = Measure::volts("volts-{$rail->id}", "Volts of {$rail->says()} at the far end, at the heaviest game", $rail->volts, $rail->line->id, $rail->name, self::SHARE);
            }
        }
        if ($packs !== []) {
            $measures[] = Measure::yes('charger', 'Plugging and unplugging the charger does not restart it');
        }

        return $measures;
    }

    private static function draw(Rail $rail): Measure
    {
        return Measure::milliamps("draw-{$rail->id}", "Milliamps out of {$rail->line->name()}, at the heaviest game", $rail->currentMa(), $rail->line->id, MeteredState::Heavy, 'pack');
    }
}
