<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

/** Sound is heard, soft and loud. */
final class HearSound implements StepSource
{
    public static function comesAfter(): array
    {
        return [TryControls::class];
    }

    public function steps(Facts $facts): iterable
    {
        $boards = $facts->filling(Role::Board);
        foreach ($facts->filling(Role::Sound) as $line) {
            if (! in_array($line, $boards, true)) {
                yield new Step(
                    "hear/{$line->id}",
                    Phase::Prove,
                    "Hear {$line->name()}",
                    'Play something soft, then loud. Crackling under load means the supply sags.',
                    [$line, ...$boards],
                    10,
                    $line->part->cautions,
                    true,
                );
            }
        }
    }
}
