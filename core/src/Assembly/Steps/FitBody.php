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

/** The real parts are laid into the body; then it is cut, glued, given inserts and finished, with nothing inside. */
final class FitBody implements StepSource
{
    private const FINISHES = ['varnish', 'paint', 'primer', 'lacquer', 'oil'];

    private const DRYING_HOURS = 48.0;

    private const CURING_HOURS = 12.0;

    public function steps(Facts $facts): iterable
    {
        $line = $facts->bodyLine();
        if ($line === null) {
            return;
        }
        yield new Step(
            "dry/{$line->id}", Phase::Body, 'Fit everything dry',
            'Push the real parts around until hands, cells, controls and sockets agree. No control over a cell; leave room for switches and wires.',
            [$line, ...$facts->inBody()], Minutes::about(40),
            gate: Gate::of(
                Measure::yes('closes', 'The halves close without force'), Measure::yes('sockets', 'Each socket stands at its opening'),
                Measure::yes('controls', 'No control over a cell, nothing under a button that cannot bear it'),
            ),
            needs: [
                Condition::of(Milestone::HeapRun), Condition::of(Milestone::Printed, $line->id), Condition::of(Milestone::Stripped, $line->id),
                Condition::of(Milestone::Unpacked, $line->id), ...Condition::each(Milestone::Slimmed, $facts->build->work->slim),
                // Without a heap to run, each part was at least tried alone.
                ...Condition::each(Milestone::Proven, OnTheBench::ids(...OnTheBench::provable($facts))),
                ...Condition::each(Milestone::Started, OnTheBench::ids(...$facts->filling(Role::Board))),
            ],
            gives: [Condition::of(Milestone::DryFitted, $line->id)],
        );
        if ($line->part->body?->cuttable === true) {
            yield new Step(
                "cut/{$line->id}", Phase::Body, "Cut and drill {$line->name()}",
                'Openings for panel, controls, sockets and air. Mark, look again, cut with nothing inside; deburr.',
                [$line], Minutes::about(90), Setup::Cutting, [Cautions::DUST],
                undo: Undo::Never, undoSays: 'what is cut away does not come back',
                needs: [Condition::of(Milestone::DryFitted, $line->id)],
                gives: [Condition::of(Milestone::Cut, $line->id)],
                tools: array_values(array_intersect($line->part->work->tools, ['saw', 'drill'])) ?: ['drill'], skills: $line->part->work->skills,
            );
        }
        yield from $this->glue($facts, $line);
        yield from $this->inserts($facts, $line);
        yield from $this->finish($facts, $line);
    }

    /** @return iterable<Step> */
    private function glue(Facts $facts, Line $line): iterable
    {
        if (($line->part->body->pieces ?? 1) > 1 && in_array('glue', $line->part->work->consumables, true)) {
            yield new Step(
                "glue/{$line->id}", Phase::Body, "Glue the pieces of {$line->name()}",
                'The pieces of each half, not the halves to each other. Clamp them over a flat edge.',
                [$line, ...OnTheBench::serving($facts, ['glue'])], Minutes::about(25), Setup::Paint, [Cautions::PAINT],
                undo: Undo::Never, undoSays: 'glue holds better than the plastic',
                needs: [Condition::of(Milestone::DryFitted, $line->id)],
                gives: [Condition::of(Milestone::Cut, $line->id)],
                consumables: OnTheBench::unserved($facts, ['glue']),
                alone: new Alone('the glue sets', self::CURING_HOURS),
            );
        }
    }

    /** @return iterable<Step> */
    private function inserts(Facts $facts, Line $line): iterable
    {
        $inserts = [
            ...array_filter($facts->with('fastener'), static fn (Line $one): bool => $one->part->fastener?->into === 'insert'),
            ...OnTheBench::serving($facts, ['threaded inserts']),
        ];
        if ($inserts !== []) {
            yield new Step(
                "inserts/{$line->id}", Phase::Body, 'Set the threaded inserts',
                'Iron straight, no pushing: its weight is enough. Stop a hair above the face and press flat with something cold.',
                [$line, ...$inserts], Minutes::about(25), Setup::Iron, [Cautions::IRON],
                undo: Undo::WithEffort, undoSays: 'heat the insert and draw it out; its hole is wider then',
                needs: [Condition::of(Milestone::DryFitted, $line->id), Condition::of(Milestone::Cut, $line->id)],
                gives: [Condition::of(Milestone::Inserted, $line->id)],
                tools: ['soldering iron'],
            );
        }
    }

    /** @return iterable<Step> */
    private function finish(Facts $facts, Line $line): iterable
    {
        $coats = OnTheBench::serving($facts, self::FINISHES);
        if ($coats !== []) {
            yield new Step(
                "finish/{$line->id}", Phase::Body, "Finish {$line->name()}",
                'Sand, wipe, tape over threads and openings, thin coats. Let each dry as its tin says before the next.',
                [$line, ...$coats], Minutes::about(60), Setup::Paint, [Cautions::PAINT, Cautions::DUST],
                undo: Undo::WithEffort, undoSays: 'sand it off',
                needs: [
                    Condition::of(Milestone::DryFitted, $line->id),
                    Condition::of(Milestone::Cut, $line->id),
                    Condition::of(Milestone::Inserted, $line->id),
                ],
                gives: [Condition::of(Milestone::Finished, $line->id)],
                alone: new Alone('it dries', self::DRYING_HOURS),
            );
        }
    }
}
