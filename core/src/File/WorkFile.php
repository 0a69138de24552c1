<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Build\Fault;
use PocketPlot\Build\FaultState;
use PocketPlot\Build\OwnStep;
use PocketPlot\Build\Tick;
use PocketPlot\Build\WorkPlan;

/** Ticks, own steps, evenings and faults as files and rows keep them. */
final class WorkFile
{
    private const TICK_KEYS = ['step', 'on', 'with', 'read'];

    private const WORK_KEYS = ['order', 'own', 'changed', 'dropped', 'slim', 'weekdays', 'daysOff', 'faults'];

    private const OWN_KEYS = ['id', 'title', 'says', 'minutes', 'lines', 'after', 'before', 'tools', 'asks', 'canBeUndone', 'aloneHours'];

    private const FAULT_KEYS = ['id', 'step', 'openedOn', 'state', 'saw', 'looked', 'lookAgainOn', 'cause', 'note', 'doneThen', 'mendedOn'];

    /**
     * @return array<string, Tick> by step id
     *
     * @throws BadFile
     */
    public static function ticks(Fields $file): array
    {
        $ticks = [];
        foreach ($file->children('ticks') as $one) {
            $step = $one->string('step');
            $ticks[$step] = self::readTick($one);
        }

        return $ticks;
    }

    /** @throws BadFile */
    public static function readTick(Fields $one): Tick
    {
        return new Tick(
            $one->string('step'),
            $one->day('on') ?? throw BadFile::at("{$one->path}/on", 'is missing', 'write a day'),
            $one->stringMap('with'),
            self::readings($one->child('read')),
            $one->rest(self::TICK_KEYS),
        );
    }

    /** @return array<string, mixed> */
    public static function tick(Tick $tick): array
    {
        return ['step' => $tick->step, 'on' => (string) $tick->on]
            + array_filter(['with' => $tick->with, 'read' => $tick->read], static fn (array $some): bool => $some !== []) + $tick->extra;
    }

    /** @throws BadFile naming the field */
    public static function read(Fields $work): WorkPlan
    {
        $weekdays = [];
        foreach (is_array($work->data['weekdays'] ?? null) ? $work->data['weekdays'] : WorkPlan::EVERY_DAY as $day) {
            if (! is_int($day) || $day < 1 || $day > 7) {
                throw BadFile::at("{$work->path}/weekdays", 'holds something that is no day of the week', 'write 1 for Monday to 7 for Sunday');
            }
            $weekdays[$day] = $day;
        }
        if ($weekdays === []) {
            throw BadFile::at("{$work->path}/weekdays", 'leaves no evening', 'leave at least one day of the week free');
        }
        sort($weekdays);
        $own = array_map(self::own(...), $work->children('own'));
        $ids = array_map(static fn (OwnStep $one): string => $one->id, $own);
        if (count(array_unique($ids)) < count($ids)) {
            throw BadFile::at("{$work->path}/own", 'has two steps of one id', 'give each its own');
        }
        $changed = [];
        foreach (array_keys($work->child('changed')->data ?? []) as $step) {
            $one = $work->child('changed')?->child((string) $step);
            $changed[(string) $step] = $one === null ? [] : self::change($one);
        }

        return new WorkPlan(
            $work->strings('order'),
            $own,
            $changed,
            $work->stringMap('dropped'),
            $work->strings('slim'),
            $weekdays,
            $work->strings('daysOff'),
            array_map(self::fault(...), $work->children('faults')),
            $work->rest(self::WORK_KEYS),
        );
    }

    /** @return array<string, mixed> empty where the builder decided nothing */
    public static function document(WorkPlan $work): array
    {
        return array_filter([
            'order' => $work->order,
            'own' => array_map(self::ownDocument(...), $work->own),
            'changed' => $work->changed,
            'dropped' => $work->dropped,
            'slim' => $work->slim,
            'weekdays' => $work->weekdays === WorkPlan::EVERY_DAY ? [] : $work->weekdays,
            'daysOff' => $work->daysOff,
            'faults' => array_map(self::faultDocument(...), $work->faults),
        ], static fn (array $some): bool => $some !== []) + $work->extra;
    }

    /**
     * @return array{title?: string, says?: string, minutes?: int, note?: string}
     *
     * @throws BadFile
     */
    private static function change(Fields $one): array
    {
        $change = [];
        foreach (['title', 'says', 'note'] as $key) {
            if ($one->has($key)) {
                $change[$key] = $one->string($key);
            }
        }
        if ($one->has('minutes')) {
            $change['minutes'] = $one->atLeastOne('minutes');
        }

        return $change;
    }

    /** @throws BadFile */
    private static function own(Fields $one): OwnStep
    {
        $id = $one->string('id');
        foreach (['after', 'before'] as $side) {
            if (in_array($id, $one->strings($side), true)) {
                throw BadFile::at("{$one->path}/{$side}", 'names the step itself', 'a step cannot wait for itself; take it out');
            }
        }

        return new OwnStep(
            $id, $one->string('title'), $one->string('says', ''), $one->atLeastOne('minutes', 15),
            $one->strings('lines'), $one->strings('after'), $one->strings('before'), $one->strings('tools'),
            $one->string('asks', ''), $one->bool('canBeUndone', true), max(0.0, $one->number('aloneHours') ?? 0.0), $one->rest(self::OWN_KEYS),
        );
    }

    /** @return array<string, mixed> */
    private static function ownDocument(OwnStep $own): array
    {
        return ['id' => $own->id, 'title' => $own->title, 'minutes' => $own->minutes] + array_filter([
            'says' => $own->says, 'lines' => $own->lines, 'after' => $own->after, 'before' => $own->before, 'tools' => $own->tools,
            'asks' => $own->asks, 'aloneHours' => $own->aloneHours,
        ]) + ($own->canBeUndone ? [] : ['canBeUndone' => false]) + $own->extra;
    }

    /** @throws BadFile */
    private static function fault(Fields $one): Fault
    {
        $looked = [];
        foreach ($one->child('looked')->data ?? [] as $key => $well) {
            $looked[(string) $key] = is_bool($well) ? $well : throw BadFile::at("{$one->path}/looked/{$key}", 'is neither true nor false');
        }

        return new Fault(
            $one->string('id'), $one->string('step'),
            $one->day('openedOn') ?? throw BadFile::at("{$one->path}/openedOn", 'is missing', 'write a day'),
            $one->oneOf('state', FaultState::class, FaultState::Open),
            $one->strings('saw'), $looked, $one->day('lookAgainOn'), $one->string('cause', ''), $one->string('note', ''),
            $one->strings('doneThen'), $one->day('mendedOn'), $one->rest(self::FAULT_KEYS),
        );
    }

    /** @return array<string, mixed> */
    private static function faultDocument(Fault $fault): array
    {
        return [
            'id' => $fault->id, 'step' => $fault->step, 'openedOn' => (string) $fault->openedOn, 'state' => $fault->state->value,
        ] + array_filter([
            'saw' => $fault->saw, 'looked' => $fault->looked, 'lookAgainOn' => (string) $fault->lookAgainOn, 'cause' => $fault->cause,
            'note' => $fault->note, 'doneThen' => $fault->doneThen, 'mendedOn' => (string) $fault->mendedOn,
        ]) + $fault->extra;
    }

    /**
     * @return array<string, float|bool>
     *
     * @throws BadFile
     */
    public static function readings(?Fields $read): array
    {
        $values = [];
        foreach ($read->data ?? [] as $key => $value) {
            $values[(string) $key] = match (true) {
                is_bool($value) => $value,
                is_int($value), is_float($value) => (float) $value,
                default => throw BadFile::at(($read->path ?? '')."/{$key}", 'is neither a number nor yes or no'),
            };
        }

        return $values;
    }
}
