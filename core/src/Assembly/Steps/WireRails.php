<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Cautions;
use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;

/** Each rail is wired to its loads. */
final class WireRails implements StepSource
{
    public static function comesAfter(): array
    {
        return [FusePack::class];
    }

    public function steps(Facts $facts): iterable
    {
        foreach ($facts->rails() as $rail) {
            if ($rail->loads !== []) {
                $names = implode(', ', array_map(static fn (Line $line): string => $line->name(), $rail->loads));
                yield new Step(
                    "rail/{$rail->id}",
                    Phase::Wire,
                    "Wire {$rail->says()} to {$names}",
                    "Meter {$rail->volts->says()} at the far end before each plug goes in; mind plus and minus.",
                    [$rail->line, ...$rail->loads],
                    10 + 10 * count($rail->loads),
                    [Cautions::IRON],
                );
            }
        }
    }
}
