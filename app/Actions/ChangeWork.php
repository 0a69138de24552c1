<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildRecord;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use PocketPlot\Build\Fault;
use PocketPlot\Build\FaultState;
use PocketPlot\Build\OwnStep;
use PocketPlot\Build\WorkPlan;
use PocketPlot\File\BadFile;
use PocketPlot\File\Fields;
use PocketPlot\File\WorkFile;
use PocketPlot\Quantity\Day;

/** What the builder decides about the steps: their order, own ones, changed and dropped ones, free evenings, what a look at a fault showed. */
final class ChangeWork
{
    private const TEXTS = ['note' => true, 'says' => true, 'cause' => true, 'asks' => true];

    /**
     * @param  array<string, mixed>  $given  of WorkRequest
     *
     * @throws ValidationException naming the field and the fix
     */
    public static function in(BuildRecord $build, string $did, array $given): void
    {
        try {
            $work = WorkFile::read(new Fields($build->work ?? [], 'work'));
            // A text that was emptied comes as null, and is emptied.
            $given = [...$given, ...array_map(static fn (): string => '', array_filter(array_intersect_key($given, self::TEXTS), is_null(...)))];
            $changed = self::changed($work, $did, new Fields(array_filter($given, static fn (mixed $value): bool => $value !== null), ''));
            // Read back, so that what cannot be is refused here and not at the next look.
            $build->work = WorkFile::document(WorkFile::read(new Fields(WorkFile::document($changed), 'work'))) ?: null;
        } catch (BadFile $bad) {
            throw Complaint::about($bad, 'work');
        }
        if ($did === 'evenings' && is_int($given['eveningMinutes'] ?? null)) {
            $build->brief = [...$build->brief, 'eveningMinutes' => $given['eveningMinutes']];
        }
    }

    /** @throws BadFile|ValidationException */
    private static function changed(WorkPlan $work, string $did, Fields $given): WorkPlan
    {
        $step = $given->string('step', '');

        return match ($did) {
            'order' => $work->with(['order' => $given->strings('order')]),
            'evenings' => self::evenings($work, $given),
            'add' => $work->with(['own' => [...$work->own, self::own($given, 'own/'.Str::lower((string) Str::ulid()))]]),
            'own' => $work->with(['own' => array_map(
                static fn (OwnStep $one): OwnStep => $one->id === $step ? self::own($given, $step, $one->extra) : $one,
                $work->own,
            )]),
            'remove' => $work->with(['own' => array_values(array_filter($work->own, static fn (OwnStep $one): bool => $one->id !== $step))]),
            'change' => $work->with(['changed' => self::change($work, $step, $given)]),
            'drop' => $work->with(['dropped' => [...$work->dropped, $step => $given->string('why', '')]]),
            'take-up' => $work->with(['dropped' => array_diff_key($work->dropped, [$step => true])]),
            'slim' => $work->with(['slim' => $given->bool('on', true)
                ? array_values(array_unique([...$work->slim, $given->string('line')]))
                : array_values(array_diff($work->slim, [$given->string('line')]))]),
            'look' => $work->withFault(self::looked($work, $given)),
            'fault' => $work->withFault(self::fault($work, $given)),
            default => throw ValidationException::withMessages(['did' => 'This cannot be done with a plan.']),
        };
    }

    /** @throws BadFile */
    private static function evenings(WorkPlan $work, Fields $given): WorkPlan
    {
        $weekdays = is_array($given->data['weekdays'] ?? null) ? array_values(array_filter($given->data['weekdays'], is_int(...))) : $work->weekdays;
        if ($weekdays === []) {
            throw ValidationException::withMessages(['weekdays' => 'Leave at least one day of the week free.']);
        }

        return $work->with(['weekdays' => $weekdays, 'daysOff' => $given->has('daysOff') ? $given->strings('daysOff') : $work->daysOff]);
    }

    /**
     * @param  array<string, mixed>  $extra
     *
     * @throws BadFile
     */
    private static function own(Fields $given, string $id, array $extra = []): OwnStep
    {
        return new OwnStep(
            $id, $given->string('title'), $given->string('says', ''), $given->atLeastOne('minutes', 15), $given->strings('lines'), $given->strings('after'),
            $given->strings('before'), $given->strings('tools'), $given->string('asks', ''),
            $given->bool('canBeUndone', true), $given->number('aloneHours') ?? 0.0, $extra,
        );
    }

    /**
     * @return array<string, array{title?: string, says?: string, minutes?: int, note?: string}>
     *
     * @throws BadFile
     */
    private static function change(WorkPlan $work, string $step, Fields $given): array
    {
        $change = $work->changed[$step] ?? [];
        foreach (['title', 'says', 'note'] as $key) {
            if ($given->has($key)) {
                $change[$key] = $given->string($key);
            }
        }
        if ($given->has('minutes')) {
            $change['minutes'] = $given->atLeastOne('minutes');
        }
        // What is emptied again is as it was made.
        $change = array_filter($change, static fn (string|int $value): bool => $value !== '');

        return array_filter([...$work->changed, $step => $change], static fn (array $one): bool => $one !== []);
    }

    private static function looked(WorkPlan $work, Fields $given): Fault
    {
        $fault = self::find($work, $given);
        $key = $given->string('key');
        $looked = array_diff_key($fault->looked, [$key => true]);

        return $fault->with(['looked' => $given->has('well') ? [...$looked, $key => $given->bool('well')] : $looked]);
    }

    /** @throws BadFile|ValidationException */
    private static function fault(WorkPlan $work, Fields $given): Fault
    {
        $fault = self::find($work, $given);
        $state = $given->oneOf('state', FaultState::class, $fault->state);
        $again = $given->has('lookAgainOn') && $given->string('lookAgainOn') !== '' ? Day::of($given->string('lookAgainOn')) : null;
        if ($state === FaultState::Waiting && $again === null) {
            throw ValidationException::withMessages(['lookAgainOn' => 'Write the day on which you look again.']);
        }

        return $fault->with([
            'state' => $state, 'lookAgainOn' => $state === FaultState::Waiting ? $again : null, 'cause' => $given->string('cause', $fault->cause),
            'note' => $given->string('note', $fault->note), 'mendedOn' => $state === FaultState::Mended ? Day::of(now()->toDateString()) : null,
        ]);
    }

    private static function find(WorkPlan $work, Fields $given): Fault
    {
        return $work->fault($given->string('fault', '')) ?? throw ValidationException::withMessages(['fault' => 'There is no such fault (any more).']);
    }
}
