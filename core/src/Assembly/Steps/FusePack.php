<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Cautions;
use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

/** Each pack gets its fuse and switch before anything is wired to it. */
final class FusePack implements StepSource
{
    public static function comesAfter(): array
    {
        return [];
    }

    public function steps(Facts $facts): iterable
    {
        foreach ($facts->with('pack') as $line) {
            if ($line->part->pack?->sealed === false) {
                yield new Step(
                    "fuse/{$line->id}",
                    Phase::Wire,
                    "Fuse and switch at {$line->name()}",
                    'A fuse close to the pack\'s plus, then the switch. Leave the pack unplugged until the last test.',
                    [$line, ...$facts->filling(Role::Switch_)],
                    25,
                    [Cautions::CELLS, Cautions::IRON],
                );
            }
        }
    }
}
