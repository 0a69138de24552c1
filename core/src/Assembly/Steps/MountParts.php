<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

/** Boards, panel, controls and cooling are mounted. */
final class MountParts implements StepSource
{
    public static function comesAfter(): array
    {
        return [WireRails::class];
    }

    public function steps(Facts $facts): iterable
    {
        foreach ($facts->inBody() as $line) {
            if (in_array($line->role, [Role::Board, Role::Display, Role::Controls, Role::Cooling], true)) {
                yield new Step(
                    "mount/{$line->id}",
                    Phase::Wire,
                    "Mount {$line->name()}",
                    $line->role === Role::Display
                        ? 'Ribbon through its slot before the cover. No pressure on the glass.'
                        : 'Screws finger-tight, then a quarter turn: an over-tightened screw splits its post.',
                    [$line],
                    20,
                );
            }
        }
    }
}
