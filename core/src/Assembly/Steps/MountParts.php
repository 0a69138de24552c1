<?php

declare(strict_types=1);

namespace PocketPlot\Assembly\Steps;

use PocketPlot\Assembly\Cautions;
use PocketPlot\Assembly\Condition;
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

/** What sits in the body is put in: face parts first, boards over them. */
final class MountParts implements StepSource
{
    public function steps(Facts $facts): iterable
    {
        $inBody = $facts->inBody();
        $screws = $facts->filling(Role::Fastener);
        $isFirst = static fn (Line $line): bool => $line->role !== Role::Board
            && (in_array($line->role, [Role::Display, Role::Controls], true) || $line->part->spots !== null || $line->part->cooling?->fan === true);
        $first = array_values(array_filter($inBody, $isFirst));
        foreach ($first as $line) {
            yield $line->part->spots !== null ? $this->addOn($facts, $line) : $this->mount($facts, $line, $screws, []);
        }
        foreach ($inBody as $line) {
            if ($line->role === Role::Board) {
                yield $this->mount($facts, $line, $screws, $first);
            }
        }
        yield from $this->small($facts, $inBody);
    }

    /**
     * @param  list<Line>  $screws
     * @param  list<Line>  $under  what goes in before it
     */
    private function mount(Facts $facts, Line $line, array $screws, array $under): Step
    {
        $membranes = array_filter(
            $under,
            static fn (Line $one): bool => in_array('membrane', $one->part->controls->speaks ?? [], true) || $one->part->spots !== null,
        );

        return new Step(
            "mount/{$line->id}",
            Phase::Wire,
            "Mount {$line->name()}",
            match (true) {
                $line->role === Role::Display => 'Ribbon through its slot before the cover. No pressure on the glass; peel the film last.',
                $line->role === Role::Controls => 'Buttons and membranes in their seats, each pressed once, before anything lies over them.',
                $line->role === Role::Cooling => 'With the arrow the way the air goes; nothing loose near the blades.',
                default => 'Screws finger-tight, then a quarter turn: an over-tightened screw splits its post.',
            },
            [$line, ...$screws],
            Minutes::about(20),
            cautions: $line->role === Role::Cooling ? [Cautions::FAN] : [],
            undoSays: 'take the screws out',
            needs: [
                ...self::ready($facts), ...Condition::each(Milestone::Proven, [$line->id]),
                Condition::of(Milestone::Slimmed, $line->id), Condition::of(Milestone::Cooled, $line->id),
                ...Condition::each(Milestone::Mounted, OnTheBench::ids(...$under)),
            ],
            gives: [Condition::of(Milestone::Mounted, $line->id)],
            covers: OnTheBench::ids(...$membranes),
            reaches: [$line->id],
            tools: $screws === [] ? [] : ['small screwdrivers'],
        );
    }

    /** A small board that is soldered onto another one. */
    private function addOn(Facts $facts, Line $line): Step
    {
        return new Step(
            "addon/{$line->id}",
            Phase::Wire,
            "Fit {$line->name()}",
            "At its place ({$line->part->spots?->takes}), on tape, its wires no longer than they need to be. Look where the ribs of the shell come down.",
            [$line, ...$facts->filling(Role::Board)],
            Minutes::about(25),
            Setup::Iron,
            [Cautions::IRON, ...$line->part->cautions],
            undo: Undo::WithEffort,
            undoSays: 'unsolder its wires',
            needs: [...self::ready($facts), Condition::of(Milestone::HeapRun)],
            gives: [Condition::of(Milestone::Mounted, $line->id)],
            reaches: [$line->id],
            tools: ['soldering iron'],
            consumables: OnTheBench::unserved($facts, ['solder', 'insulating tape']),
            skills: $line->part->work->skills,
        );
    }

    /**
     * @param  list<Line>  $inBody
     * @return iterable<Step>
     */
    private function small(Facts $facts, array $inBody): iterable
    {
        $small = array_values(array_filter(
            $inBody,
            static fn (Line $line): bool => in_array($line->role, [Role::Regulator, Role::Charger, Role::Switch_, Role::Sound], true),
        ));
        if ($small !== []) {
            yield new Step(
                'mount/small',
                Phase::Wire,
                'Fix the small boards, switches and loudspeakers',
                'Each where it lay in the dry fit: posts, tape or a dab that can be cut again. Levers through their slots; nothing hangs on its wires.',
                $small,
                Minutes::about(10 * count($small)),
                needs: self::ready($facts),
                gives: Condition::each(Milestone::Mounted, OnTheBench::ids(...$small)),
                reaches: OnTheBench::ids(...$small),
                undoSays: 'cut the dab, lift the tape',
            );
        }
    }

    /** @return list<Condition> what has been done to the body before anything goes in for good, and wired before it is screwed down */
    private static function ready(Facts $facts): array
    {
        $body = $facts->bodyLine()?->id;

        return [
            Condition::of(Milestone::HeapRun), Condition::of(Milestone::Insulated),
            ...($body === null ? [] : [
                Condition::of(Milestone::DryFitted, $body), Condition::of(Milestone::Cut, $body),
                Condition::of(Milestone::Inserted, $body), Condition::of(Milestone::Finished, $body),
            ]),
        ];
    }
}
