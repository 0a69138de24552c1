<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Condition;
use PocketPlot\Assembly\Milestone;
use PocketPlot\Assembly\Minutes;
use PocketPlot\Assembly\OnTheBench;
use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

/** Bare boards are kept off metal, before they go in. */
final class InsulateBoards implements StepSource
{
    private const STUFF = ['insulating tape', 'heat-shrink', 'insulating card'];

    public function steps(Facts $facts): iterable
    {
        $line = $facts->bodyLine();
        $bare = array_values(
            array_filter($facts->inBody(), static fn (Line $other): bool => in_array($other->role, [Role::Board, Role::Regulator, Role::Charger], true)),
        );
        if ($line === null || $bare === []) {
            return;
        }
        $stuff = OnTheBench::serving($facts, self::STUFF);
        yield new Step(
            'insulate',
            Phase::Body,
            'Keep bare boards off metal',
            'Tape, card or posts under each bare board, and over each screw head it could touch.',
            [$line, ...$stuff],
            Minutes::about(15),
            needs: [
                Condition::of(Milestone::DryFitted, $line->id),
                Condition::of(Milestone::Cut, $line->id),
                Condition::of(Milestone::Inserted, $line->id),
                Condition::of(Milestone::Finished, $line->id),
            ],
            gives: [Condition::of(Milestone::Insulated)],
            consumables: $stuff === [] ? ['insulating tape'] : [],
            isSafety: true,
        );
    }
}
