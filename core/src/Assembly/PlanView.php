<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

use PocketPlot\Build\Line;
use PocketPlot\Build\OwnStep;
use PocketPlot\Facts\Facts;

/** A plan in the shape that the API and plot:steps answer (contract/openapi.json, "Plan" and "Step"). */
final readonly class PlanView
{
    public function __construct(private Plan $plan, private Facts $facts) {}

    /** @return list<array<string, mixed>> in their order */
    public function steps(): array
    {
        return array_map($this->step(...), $this->plan->sequence());
    }

    /** @return array<string, mixed> steps, evenings, chain and what stands in the way of a better plan */
    public function whole(): array
    {
        $sequencer = $this->plan->sequencer();
        $chain = $this->plan->chain();
        [$finish, $changes, $evenings] = $sequencer->timetable()->worth();

        return [
            'steps' => $this->steps(),
            'dropped' => array_values(array_map(fn (Step $step): array => [
                'id' => $step->id, 'title' => $step->title,
                'isSafety' => $step->isSafety || $step->gate !== null, 'why' => $this->facts->build->work->dropped[$step->id] ?? '',
            ], $this->plan->dropped())),
            'evenings' => array_map(static fn (Evening $one): array => [
                'on' => (string) $one->on,
                'steps' => array_map(static fn (Step $step): string => $step->id, $one->steps),
                'minutes' => $one->minutes,
                'arrives' => self::ids($one->arrives),
                'beside' => $one->beside,
                'layOut' => $one->layOut(),
            ], $this->plan->evenings()),
            'finish' => $this->plan->finish() === null ? null : (string) $this->plan->finish(),
            'chain' => ['steps' => array_map(static fn (Step $step): string => $step->id, $chain['steps']), 'parcel' => $chain['parcel']?->id],
            'circles' => array_map(static fn (Circle $circle): array => [
                'links' => array_map(self::link(...), $circle->links), 'broken' => self::link($circle->broken),
                'canGiveWay' => array_map(self::link(...), $circle->canGiveWay()),
            ], $this->plan->links()->circles),
            'lost' => $this->plan->links()->lost,
            'moved' => $this->plan->moved(),
            'isProved' => $sequencer->isProved(),
            'isOwnOrder' => $this->facts->build->work->order !== [],
            'changes' => $changes,
            'eveningsCount' => $evenings,
            'bound' => [...$sequencer->bound(), 'finish' => (string) $this->plan->calendar->day($sequencer->bound()['finish'])],
            'minutesLeft' => $this->plan->minutesLeft(),
            'weekdays' => $this->facts->build->work->weekdays,
            'daysOff' => $this->facts->build->work->daysOff,
            'eveningMinutes' => $this->facts->brief()->eveningMinutes,
            'slim' => $this->facts->build->work->slim,
            'own' => array_map(static fn (OwnStep $one): array => array_diff_key(get_object_vars($one), ['extra' => true]), $this->facts->build->work->own),
        ];
    }

    /** @return array<string, mixed> */
    private function step(Step $step): array
    {
        $tick = $this->facts->build->ticks[$step->id] ?? null;
        $isDone = $this->plan->isDone($step);

        return [
            'id' => $step->id,
            'phase' => $step->phase->value,
            'title' => $step->title,
            'says' => $step->says,
            'state' => $this->plan->state($step)->value,
            'lines' => self::ids($step->lines),
            'waitsFor' => $isDone ? [] : self::ids($step->waitsFor()),
            'waitsForSteps' => $isDone ? [] : $this->plan->waitsForSteps($step),
            'before' => array_map(self::link(...), $this->plan->links()->into[$step->id] ?? []),
            'after' => array_map(self::link(...), $this->plan->links()->from[$step->id] ?? []),
            'minutes' => ['least' => $step->minutes->least, 'usual' => $step->minutes->usual, 'most' => $step->minutes->most],
            'setup' => $step->setup->value,
            'tools' => $step->tools,
            'lacks' => $this->plan->lackedTools($step),
            'consumables' => $step->consumables,
            'places' => $step->allPlaces(),
            'skills' => $step->skills,
            'cautions' => array_values(array_unique($step->cautions)),
            'gate' => $step->gate === null ? null : array_map(static fn (Measure $one): array => [
                'key' => $one->key, 'what' => $one->what, 'unit' => $one->unit, 'passes' => $one->passes(), 'inPencil' => $one->inPencil,
            ], $step->gate->measures),
            'undo' => $step->undo->value,
            'undoSays' => $step->undoSays,
            'cannotBeUndone' => $step->cannotBeUndone(),
            'alone' => $step->alone?->says(),
            'text' => $step->text,
            'leaves' => $step->leaves,
            'isSafety' => $step->isSafety,
            'isOwn' => $step->isOwn,
            'note' => $this->facts->build->work->changed[$step->id]['note'] ?? '',
            'tickedOn' => $tick === null ? null : (string) $tick->on,
            'read' => (object) ($tick === null ? [] : $tick->read),
            'again' => $this->plan->redoneFor($step),
        ];
    }

    /** @return array{from: string, to: string, kind: string, why: string} */
    private static function link(Link $link): array
    {
        return ['from' => $link->from, 'to' => $link->to, 'kind' => $link->kind->value, 'why' => $link->why];
    }

    /**
     * @param  list<Line>  $lines
     * @return list<string>
     */
    private static function ids(array $lines): array
    {
        return array_map(static fn (Line $line): string => $line->id, $lines);
    }
}
