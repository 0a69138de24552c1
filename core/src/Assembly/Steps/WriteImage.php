<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

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

/** The image goes onto the right card, for the right board. */
final class WriteImage implements StepSource
{
    public function steps(Facts $facts): iterable
    {
        foreach ($facts->filling(Role::Board) as $line) {
            $software = $line->part->software;
            // What comes with its system built in needs none written.
            if ($software === null || ($software->card === 'built-in' && $software->imageGb->usual === 0.0)) {
                continue;
            }
            $cards = array_values(array_filter($facts->with('storage'), static fn (Line $other): bool => $other->id !== $line->id));
            $checks = [Measure::yes('read-back', 'Read back, it is the same')];
            if ($cards !== [] && $software->card !== '') {
                $checks[] = Measure::yes('card', "The card is of the kind the board takes ({$software->card}), not the one with the photographs");
            }
            if ($software->generation !== '') {
                $checks[] = Measure::yes('generation', "The image is made for this generation ({$software->generation})");
            }
            yield new Step(
                "image/{$line->id}",
                Phase::Prove,
                "Write the image for {$line->name()}",
                'Write it, read it back, and label the card. Use only game files that you have the right to use.',
                [$line, ...$cards],
                Minutes::about(30),
                Setup::Computer,
                gate: Gate::of(...$checks),
                gives: [Condition::of(Milestone::Imaged, $line->id)],
                tools: $line->part->work->tools === [] ? ['card writer'] : array_values(array_intersect($line->part->work->tools, ['card writer'])),
                skills: ['writing images'],
            );
        }
    }
}
