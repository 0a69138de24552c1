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

/** Each board gets its image and starts alone, unmodified. */
final class StartBoard implements StepSource
{
    public static function comesAfter(): array
    {
        return [MeterSupply::class];
    }

    public function steps(Facts $facts): iterable
    {
        foreach ($facts->filling(Role::Board) as $line) {
            $cards = array_values(array_filter($facts->with('storage'), static fn (Line $other): bool => $other->id !== $line->id));
            if ($line->part->software !== null) {
                yield new Step(
                    "image/{$line->id}",
                    Phase::Prove,
                    "Write the image for {$line->name()}",
                    'Write it, read it back, and label the card. Use only game files that you have the right to use.',
                    [$line, ...$cards],
                    30,
                );
            }
            yield new Step(
                "first/{$line->id}",
                Phase::Prove,
                "First start of {$line->name()}",
                'Start it alone, unmodified, before any cutting or soldering. Write down the idle current.',
                [$line, ...$cards],
                20,
                [Cautions::SPARK, ...$line->part->cautions],
                true,
            );
        }
    }
}
