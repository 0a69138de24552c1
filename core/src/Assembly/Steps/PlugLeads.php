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
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Facts\Facts;

/** Leads and ribbons that carry picture, sound or data are put in once both ends sit. */
final class PlugLeads implements StepSource
{
    public function steps(Facts $facts): iterable
    {
        $power = [];
        foreach ($facts->feeds() as $feed) {
            $lead = $facts->leadOf($feed);
            $power = $lead === null ? $power : [...$power, $lead->id];
        }
        $inside = OnTheBench::ids(...$facts->inBody());
        foreach ($facts->with('cable') as $line) {
            if (in_array($line->id, $power, true) || ! $line->part->sits->takesRoom()) {
                continue;
            }
            $isRibbon = str_starts_with($line->part->cable->oneEnd ?? '', 'ribbon');
            yield new Step(
                ($isRibbon ? 'ribbon/' : 'plug/').$line->id,
                Phase::Wire,
                ($isRibbon ? 'Lay the ribbon: ' : 'Plug in: ').$line->name(),
                $isRibbon
                    ? 'Latch up, ribbon straight in to its mark, contacts to the side that was drawn, latch down. No sharp fold; through its slot before the cover.'
                    : 'Both ends, a loop that is not pulled, away from fans and hinges.',
                [$line],
                Minutes::about($isRibbon ? 10 : 5),
                gate: $isRibbon ? Gate::of(Measure::yes('straight', 'It lies straight in both latches')) : null,
                needs: Condition::each(Milestone::Mounted, $inside),
                gives: [Condition::of(Milestone::Joined)],
                reaches: [$line->id],
                undoSays: $isRibbon ? 'latch up, draw it straight out' : 'pull the plug, not the lead',
            );
        }
        yield from $this->coils($facts, $inside);
    }

    /**
     * @param  list<string>  $inside
     * @return iterable<Step>
     */
    private function coils(Facts $facts, array $inside): iterable
    {
        foreach ($facts->with('coil') as $line) {
            if ($line->part->coil?->side === 'receiver') {
                yield new Step(
                    "coil/{$line->id}", Phase::Wire, "Fit {$line->name()}",
                    'Flat against the inside of the wall, its shield towards the cells, no metal between it and its stand.',
                    [$line], Minutes::about(15),
                    gate: Gate::of(Measure::yes('charges', 'It charges through the wall')),
                    needs: Condition::each(Milestone::Mounted, array_values(array_diff($inside, [$line->id]))),
                    gives: [Condition::of(Milestone::Joined), Condition::of(Milestone::Mounted, $line->id)],
                    reaches: [$line->id],
                );
            }
        }
    }
}
