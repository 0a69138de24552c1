<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildMapper;
use App\Mapping\Today;
use App\Models\BuildRecord;
use App\Models\StepEventRecord;
use App\Models\StepPhotoRecord;
use App\Models\TickRecord;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use PocketPlot\Assembly\GateReadings;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepBook;
use PocketPlot\Build\Build;
use PocketPlot\Build\Fault;
use PocketPlot\Build\FaultState;
use PocketPlot\Build\StepDid;
use PocketPlot\Build\StepEvent;
use PocketPlot\Build\WorkPlan;
use PocketPlot\Facts\Facts;
use PocketPlot\File\RecordFile;
use PocketPlot\File\WorkFile;
use PocketPlot\Quantity\BadFigure;
use PocketPlot\Quantity\Day;
use PocketPlot\Quantity\Typed;

/**
 * Takes what happened at the bench into the record, in its order, each entry once however often it is sent. Entries
 * may come from a page that lost the network hours ago, so none is refused for an older version of the build.
 */
final class TakeRecord
{
    /** @var list<array{id: string, result: string, says: string}> */
    public array $results = [];

    /** @var array<string, string> what is wrong with a photograph, by the id of its entry */
    private array $photoSays = [];

    private readonly Build $core;

    private readonly Facts $facts;

    private WorkPlan $work;

    public function __construct(private readonly BuildRecord $build)
    {
        $this->core = BuildMapper::toCore($build->load(BuildMapper::RELATIONS));
        $this->facts = new Facts($this->core);
        $this->work = $this->core->work;
    }

    /** @param  list<array{StepEvent, array<string, mixed>}>  $events  each with what its gate read, as it was typed */
    public function take(array $events): void
    {
        foreach ($events as [$event, $typed]) {
            if (StepEventRecord::query()->where('build_id', $this->build->id)->where('key', $event->id)->exists()) {
                $this->say($event, 'already', 'This was taken in before.');
            } else {
                $this->one($event, $typed);
            }
        }
        $this->build->work = WorkFile::document($this->work) ?: null;
    }

    /** @param  array<string, mixed>  $typed */
    private function one(StepEvent $event, array $typed): void
    {
        $step = StepBook::find($this->facts, $event->step);
        [$read, $bad] = self::read($step, $typed);
        $event = $event->reading($read);
        [$did, $result, $says] = match (true) {
            $bad !== '' && $event->did !== StepDid::Failed => [StepDid::Noted, 'unread', $bad],
            default => $this->counted($event, $step),
        };
        $this->keep($event, $step, $did, $bad);
        $this->say($event, $result, $says);
    }

    /** @return array{StepDid, string, string} */
    private function counted(StepEvent $event, ?Step $step): array
    {
        return match ($event->did) {
            StepDid::Done => $this->done($event, $step),
            StepDid::Failed => $this->failed($event, $step, $step?->gate === null ? [] : $step->gate->faults($event->read)),
            StepDid::Undone => $this->undone($event),
            StepDid::Later, StepDid::Noted => [$event->did, 'taken', ''],
        };
    }

    /** Writes it into the record. A photograph that cannot be read is left out and said; the step counts all the same. */
    private function keep(StepEvent $event, ?Step $step, StepDid $did, string $bad): void
    {
        $with = [];
        foreach ($step->lines ?? [] as $line) {
            $with[$line->id] = $line->name();
        }
        $photo = null;
        if ($event->photo !== '') {
            try {
                $photo = Photo::jpeg($event->photo);
            } catch (ValidationException $none) {
                $this->photoSays[$event->id] = $none->getMessage();
            }
        }
        $kept = new StepEvent(
            $event->id, $event->step, $did, $event->on, $step->title ?? $event->title,
            $with, $event->read, trim("{$event->note} {$bad}"), $event->at, $event->minutes, '',
            $event->extra,
        );
        $row = StepEventRecord::query()->create(['build_id' => $this->build->id, 'key' => $event->id, 'document' => RecordFile::document($kept)]);
        if ($photo !== null) {
            StepPhotoRecord::query()->create(['event_id' => $row->id, 'jpeg' => $photo]);
        }
    }

    /**
     * @param  array<string, mixed>  $typed
     * @return array{array<string, float|bool>, string} what was read, and what could not be
     */
    private static function read(?Step $step, array $typed): array
    {
        $units = $read = $bad = [];
        foreach ($step->gate->measures ?? [] as $measure) {
            $units[$measure->key] = $measure;
        }
        foreach ($typed as $key => $value) {
            $measure = $units[$key] ?? null;
            try {
                if (is_bool($value)) {
                    $read[$key] = $value;
                } elseif (is_int($value) || is_float($value)) {
                    $read[$key] = (float) $value;
                } elseif (is_string($value) && trim($value) !== '' && $measure !== null) {
                    $read[$key] = Typed::figure($value, $measure->unit);
                }
            } catch (BadFigure $why) {
                $bad[] = "{$measure->what}: {$why->getMessage()}.";
            }
        }

        return [$read, implode(' ', $bad)];
    }

    /** @return array{StepDid, string, string} what it counts as, the result and what is said of it */
    private function done(StepEvent $event, ?Step $step): array
    {
        if ($step === null) {
            return [StepDid::Noted, 'kept', 'This step is no longer part of the plan: it stays in the record, and ticks nothing.'];
        }
        $faults = $step->gate?->faults($event->read) ?? [];
        if ($faults !== []) {
            return $this->failed($event, $step, $faults);
        }
        $open = array_filter($step->gate?->unread($event->read) ?? [], static fn ($measure): bool => ! $measure->isOpen());
        if ($open !== []) {
            return [
                StepDid::Noted,
                'unread',
                'Not passed yet: '.implode('; ', array_map(static fn ($measure): string => $measure->what, $open)).' is still to be read.',
            ];
        }
        TickStep::done($this->build, $step, $event->read, (string) $event->on);
        $this->readings($event, $step);
        foreach ($this->work->openFaults() as $fault) {
            if ($fault->step === $step->id) {
                $this->work = $this->work->withFault($fault->with(['state' => FaultState::Mended, 'mendedOn' => $event->on, 'lookAgainOn' => null]));
            }
        }

        return [StepDid::Done, 'taken', ''];
    }

    /**
     * @param  list<string>  $saw
     * @return array{StepDid, string, string}
     */
    private function failed(StepEvent $event, ?Step $step, array $saw): array
    {
        if ($step === null) {
            return [StepDid::Noted, 'kept', 'This step is no longer part of the plan: what you saw stays in the record.'];
        }
        $saw = $saw !== [] ? $saw : [$event->note !== '' ? $event->note : 'It did not work.'];
        TickStep::undone($this->build, $step->id);
        $this->readings($event, $step);
        $fault = array_values(array_filter($this->work->openFaults(), static fn (Fault $one): bool => $one->step === $step->id))[0] ?? null;
        /** @var list<string> $done */
        $done = TickRecord::query()->where('build_id', $this->build->id)->orderBy('id')->pluck('step')->all();
        $this->work = $this->work->withFault(
            $fault?->with(['saw' => $saw, 'state' => FaultState::Open, 'lookAgainOn' => null, 'note' => trim("{$fault->note} {$event->note}")])
            ?? new Fault('fault-'.Str::lower((string) Str::ulid()), $step->id, $event->on, saw: $saw, note: $event->note, doneThen: $done),
        );

        return [StepDid::Failed, 'failed', implode(' ', $saw)];
    }

    /** @return array{StepDid, string, string} */
    private function undone(StepEvent $event): array
    {
        TickStep::undone($this->build, $event->step);

        return [StepDid::Undone, 'taken', ''];
    }

    private function readings(StepEvent $event, Step $step): void
    {
        foreach (GateReadings::of($step, $event->read, $this->facts) as $fields) {
            WriteReading::in($this->build, [...$fields, 'takenOn' => (string) $event->on], null);
        }
    }

    private function say(StepEvent $event, string $result, string $says): void
    {
        $this->results[] = ['id' => $event->id, 'result' => $result, 'says' => trim($says.' '.($this->photoSays[$event->id] ?? ''))];
    }

    /** The day an entry counts for: not before the year it could be, and not after today. */
    public static function day(?string $on): Day
    {
        $today = Today::day();

        return $on === null || $on === '' || Day::of($on)->isAfter($today) ? $today : Day::of($on);
    }
}
