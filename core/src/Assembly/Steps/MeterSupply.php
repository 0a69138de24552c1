<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Cautions;
use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Output;
use PocketPlot\Part\PoweredBy;

/** Wall supplies are metered, converters set and metered, before anything hangs on them. */
final class MeterSupply implements StepSource
{
    public static function comesAfter(): array
    {
        return [ReadyPack::class];
    }

    public function steps(Facts $facts): iterable
    {
        foreach ($facts->lines() as $line) {
            if ($line->part->poweredBy === PoweredBy::Mains) {
                yield new Step(
                    "meter/{$line->id}",
                    Phase::Prove,
                    "Meter {$line->name()}",
                    'With nothing connected: '.self::outputs($line).' and the plus where the plug\'s drawing says.',
                    [$line],
                    5,
                    [Cautions::MAINS],
                    true,
                );
            } elseif ($line->part->isConverter()) {
                yield new Step(
                    "set/{$line->id}",
                    Phase::Prove,
                    "Set and meter {$line->name()}",
                    'Feed it from a current-limited bench supply, set it, and meter before anything hangs on it: '.self::outputs($line).'.',
                    [$line],
                    15,
                    $line->part->cautions,
                    true,
                );
            }
        }
    }

    private static function outputs(Line $line): string
    {
        return implode(', ', array_map(static fn (Output $output): string => "{$output->name} {$output->volts->says()}", $line->part->outputs));
    }
}
