<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

/** What is used up lies on the bench. */
final class LayOutMaterials implements StepSource
{
    public static function comesAfter(): array
    {
        return [MountParts::class];
    }

    public function steps(Facts $facts): iterable
    {
        foreach ($facts->lines() as $line) {
            if ($line->role === Role::Material || $line->role === Role::Fastener) {
                yield new Step(
                    "use/{$line->id}",
                    Phase::Wire,
                    "Lay out {$line->name()}",
                    $line->part->summary === '' ? 'Have it on the bench before you start.' : $line->part->summary,
                    [$line],
                    5,
                    $line->part->cautions,
                );
            }
        }
    }
}
