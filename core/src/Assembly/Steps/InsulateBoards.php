<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

/** Bare boards are kept off metal. */
final class InsulateBoards implements StepSource
{
    public static function comesAfter(): array
    {
        return [CutBody::class];
    }

    public function steps(Facts $facts): iterable
    {
        $line = $facts->bodyLine();
        $bare = array_values(
            array_filter($facts->inBody(), static fn (Line $other): bool => in_array($other->role, [Role::Board, Role::Regulator, Role::Charger], true)),
        );
        if ($line !== null && $bare !== []) {
            yield new Step(
                'insulate',
                Phase::Body,
                'Keep bare boards off metal',
                'Tape, card or posts under each bare board, and over each screw head it could touch.',
                [$line, ...$bare],
                15,
            );
        }
    }
}
