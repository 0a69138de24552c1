<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Condition;
use PocketPlot\Assembly\Gate;
use PocketPlot\Assembly\Measure;
use PocketPlot\Assembly\Milestone;
use PocketPlot\Assembly\Minutes;
use PocketPlot\Assembly\OnTheBench;
use PocketPlot\Assembly\Phase;
use PocketPlot\Assembly\Setup;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

/** Radio pads are paired, and what each control does is set. */
final class PairControls implements StepSource
{
    public function steps(Facts $facts): iterable
    {
        $boards = $facts->filling(Role::Board);
        $controls = OnTheBench::apart($facts, Role::Controls);
        foreach ($controls as $line) {
            if (OnTheBench::isRadioPad($line->part)) {
                yield new Step(
                    "pair/{$line->id}",
                    Phase::Prove,
                    "Pair {$line->name()}",
                    'Pair it, switch both off and on, and see that they find each other again.',
                    [$line, ...$boards],
                    Minutes::about(10),
                    Setup::Computer,
                    gate: Gate::of(Measure::yes('again', 'They find each other again after a restart')),
                    needs: [...Condition::each(Milestone::Started, OnTheBench::ids(...$boards)), Condition::of(Milestone::Charged, $line->id)],
                    gives: [Condition::of(Milestone::Paired, $line->id)],
                );
            }
        }
        if ($controls !== [] && $facts->board()?->part->software !== null) {
            yield new Step(
                "keys/{$facts->board()->id}",
                Phase::Prove,
                'Set what each control does',
                'In the board\'s own menu: every button, both ends of every stick, and the way back to the menu. Write it down.',
                [...$boards, ...$controls],
                Minutes::about(15),
                Setup::Computer,
                needs: Condition::each(Milestone::Proven, OnTheBench::ids(...$controls)),
                gives: [Condition::of(Milestone::Mapped)],
            );
        }
    }
}
