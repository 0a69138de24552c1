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
use PocketPlot\Assembly\Undo;
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Power\Rail;

/** Each rail is wired, or plugged, to its loads. */
final class WireRails implements StepSource
{
    public function steps(Facts $facts): iterable
    {
        $body = $facts->bodyLine();
        foreach ($facts->rails() as $rail) {
            if ($rail->loads === []) {
                continue;
            }
            [$leads, $isSoldered] = self::leads($facts, $rail);
            $names = implode(', ', array_map(static fn (Line $line): string => $line->name(), $rail->loads));
            $lines = [$rail->line, ...$rail->loads, ...$leads];
            yield new Step(
                "rail/{$rail->id}",
                Phase::Wire,
                ($isSoldered ? 'Wire' : 'Lead')." {$rail->says()} to {$names}",
                $isSoldered
                    ? 'Cut the wires to the way they took in the dry fit, red to plus, one label at each end. Leave the pack unplugged.'
                    : 'Lay the lead the way it took in the dry fit; leave the plug at the supply out until everything is in.',
                $lines,
                Minutes::about(10 + 10 * count($rail->loads)),
                $isSoldered ? Setup::Iron : Setup::Hands,
                $isSoldered ? [Cautions::IRON] : [],
                undo: $isSoldered ? Undo::WithEffort : Undo::Freely,
                undoSays: $isSoldered ? 'unsolder at the load' : 'pull the plug',
                needs: [
                    Condition::of(Milestone::HeapRun), Condition::of(Milestone::Metered, $rail->line->id), Condition::of(Milestone::Fused, $rail->line->id),
                    Condition::of(Milestone::Levelled, $rail->line->id), ...Condition::each(Milestone::Slimmed, OnTheBench::ids(...$rail->loads)),
                    ...($body === null ? [] : Condition::each(Milestone::DryFitted, [$body->id])),
                    ...($body === null ? [] : Condition::each(Milestone::Cut, [$body->id])),
                ],
                gives: Condition::each(Milestone::Wired, ['', ...OnTheBench::ids(...$rail->loads)]),
                reaches: OnTheBench::ids(...$lines),
                tools: $isSoldered ? ['soldering iron', 'multimeter'] : [],
                consumables: $isSoldered ? OnTheBench::unserved($facts, OnTheBench::SOLDERING) : [],
                skills: $isSoldered ? ['soldering'] : [],
                leaves: "volts of {$rail->says()} at the far end, before each load's plug goes in",
            );
        }
        yield from $this->ringOut($facts);
    }

    /** @return array{list<Line>, bool} the leads of its feeds, and whether some of it is soldered */
    private static function leads(Facts $facts, Rail $rail): array
    {
        $leads = [];
        $isSoldered = false;
        foreach ($facts->feedsFrom($rail) as $feed) {
            $lead = $facts->leadOf($feed);
            [$from, $to] = $facts->socketsOf($feed);
            $isPlugged = $lead !== null || $facts->lacksLead($feed) || ($from !== null && $to !== null && ($from->ownLead || $to->ownLead));
            $isSoldered = $isSoldered || ! $isPlugged;
            $leads = $lead === null ? $leads : [...$leads, $lead];
        }

        return [$isSoldered ? [...$leads, ...OnTheBench::serving($facts, OnTheBench::SOLDERING)] : $leads, $isSoldered];
    }

    /** @return iterable<Step> */
    private function ringOut(Facts $facts): iterable
    {
        $measures = [];
        foreach ($facts->rails() as $rail) {
            if ($rail->loads !== []) {
                $measures["short-{$rail->line->id}"] = Measure::yes("short-{$rail->line->id}", "No ring between plus and minus of {$rail->line->name()}");
            }
        }
        if ($measures === []) {
            return;
        }
        $inside = OnTheBench::ids(...$facts->inBody());
        yield new Step(
            'ring',
            Phase::Wire,
            'Ring out every rail before it gets power',
            'Meter on continuity, packs unplugged: plus to minus of every rail, plus to the shell where it is metal, and each wire from end to end.',
            array_values(array_unique(
                array_map(static fn (Rail $rail): Line => $rail->line, array_filter($facts->rails(), static fn (Rail $rail): bool => $rail->loads !== [])),
                SORT_REGULAR,
            )),
            Minutes::about(15),
            Setup::Meter,
            [Cautions::CELLS],
            Gate::of(...array_values($measures), ...[Measure::yes('ends', 'Each wire rings from end to end, and moves without flickering')]),
            needs: [Condition::of(Milestone::Wired), ...Condition::each(Milestone::Mounted, $inside), Condition::of(Milestone::Joined)],
            gives: [Condition::of(Milestone::Rung)],
            tools: ['multimeter'],
            isSafety: true,
        );
    }
}
