<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Cautions;
use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Pack;
use PocketPlot\Quantity\Number;

/** Each pack is charged full and metered before anything hangs on it. */
final class ReadyPack implements StepSource
{
    public static function comesAfter(): array
    {
        return [];
    }

    public function steps(Facts $facts): iterable
    {
        foreach ($facts->with('pack') as $line) {
            if ($line->part->pack !== null) {
                $chargers = array_values(array_filter($facts->with('charger'), static fn (Line $other): bool => $other->id !== $line->id));
                yield new Step(
                    "charge/{$line->id}",
                    Phase::Prove,
                    "Charge {$line->name()}",
                    'Charge it full before the first power-on, on a surface that does not burn, and stay with it.',
                    [$line, ...$chargers],
                    20,
                    [Cautions::CELLS, ...$line->part->cautions],
                );
                yield new Step("meter/{$line->id}", Phase::Prove, "Meter {$line->name()}", self::says($line->part->pack), [$line], 5, [Cautions::CELLS], true);
            }
        }
    }

    private static function says(Pack $pack): string
    {
        $volts = $pack->volts();

        return $pack->sealed || ! $volts->isKnown()
            ? 'Meter its output before anything hangs on it.'
            : sprintf(
                'Full it shows up to %s V, empty %s V. Far below that, or warm, or swollen: do not use it.',
                Number::says($volts->most()),
                Number::says($volts->least()),
            );
    }
}
