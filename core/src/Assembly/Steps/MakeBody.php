<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Alone;
use PocketPlot\Assembly\Cautions;
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
use PocketPlot\Assembly\Undo;
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Constants;
use PocketPlot\Quantity\Number;

/** A body that is drawn around its parts: drawn, a corner tried, then made. */
final class MakeBody implements StepSource
{
    /** Share of a printed wall that is filament: outer shells and a light filling. Usual settings of hobby printers. */
    private const FILLED = 0.55;

    private const SAMPLE_HOURS = 1.5;

    public function steps(Facts $facts): iterable
    {
        $line = $facts->bodyLine();
        if ($line?->part->body?->drawn !== true) {
            return;
        }
        $unsized = array_values(array_filter($facts->inBody(), static fn (Line $one): bool => ! $one->part->size->hasAllSides()));
        $decides = OnTheBench::ids(...$facts->filling(Role::Board), ...OnTheBench::apart($facts, Role::Display), ...OnTheBench::apart($facts, Role::Controls));
        yield new Step(
            "draw/{$line->id}", Phase::Body, "Draw {$line->name()}",
            'Around the parts as they are now, callipers in hand: sockets, screw heads, the way of every ribbon, room for switches and wires.',
            $unsized, Minutes::about(120), Setup::Computer,
            needs: [
                ...Condition::each(Milestone::Proven, $decides), ...Condition::each(Milestone::Started, $decides),
                ...Condition::each(Milestone::Slimmed, $facts->build->work->slim),
            ],
            gives: [Condition::of(Milestone::Drawn, $line->id)],
            tools: ['callipers'],
        );
        [$hours, $grams] = self::print($facts);
        yield new Step(
            "sample/{$line->id}", Phase::Body, 'Make one corner first',
            'The corner with the tightest socket and one post, or one grip to hold. Try part, screw and plug in it, change the drawing, make it again.',
            [$line], Minutes::about(20), Setup::Printer, [Cautions::PRINTER, ...$line->part->cautions],
            Gate::of(Measure::yes('fits', 'The part goes in, the plug goes in, the screw holds'), Measure::yes('hand', 'It lies well in the hand')),
            needs: [Condition::of(Milestone::Drawn, $line->id)],
            gives: [Condition::of(Milestone::Sampled, $line->id)],
            tools: $line->part->work->tools, skills: $line->part->work->skills,
            alone: new Alone('the corner is made', self::SAMPLE_HOURS),
        );
        yield new Step(
            "print/{$line->id}", Phase::Body, "Make {$line->name()}",
            sprintf('The whole of it: about %s h and %s g of material by its size and walls. Watch the first layer, then it runs by itself; clean off what held it up.', Number::says($hours), Number::says($grams)),
            [$line], Minutes::about(45), Setup::Printer, [Cautions::PRINTER, Cautions::DUST, ...$line->part->cautions],
            undo: Undo::WithEffort, undoSays: 'make it again: material and a night',
            needs: [Condition::of(Milestone::Sampled, $line->id)],
            gives: [Condition::of(Milestone::Printed, $line->id)],
            tools: $line->part->work->tools, skills: $line->part->work->skills,
            alone: new Alone('the body is made', $hours),
        );
    }

    /** @return array{float, float} hours and grams of a shell with these walls around the outer size; of what its size is not known, those of a hand-held one */
    private static function print(Facts $facts): array
    {
        $sides = $facts->bodySize()->size->sidesMm();
        $wall = $facts->bodyLine()?->part->body?->wallMm->usual ?? 2.0;
        if (count($sides) < 3) {
            $sides = [180.0, 90.0, 25.0];
        }
        $surface = 2 * ($sides[0] * $sides[1] + $sides[0] * $sides[2] + $sides[1] * $sides[2]);
        $grams = $surface * $wall / 1000 * self::FILLED * Constants::FILAMENT_G_PER_CM3;

        return [round($grams / Constants::PRINT_G_PER_HOUR, 1), round($grams)];
    }
}
