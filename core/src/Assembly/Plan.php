<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

use PocketPlot\Build\FaultState;
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Quantity\Day;

/** The steps of a build in an order that works: what is done, what can be done now, which evening, and when it is finished. */
final class Plan
{
    /** @var array{array<string, Step>, array<string, Step>, Links, list<Step>}|null steps, dropped, links and open, once somebody asks */
    private ?array $found = null;

    /** @var array<string, Line> lines that have to come, by id; the day stands in */
    private array $awaited = [];

    /** @var array<string, ?int> days from today until a line is there; null when nobody knows */
    private array $arrives = [];

    private ?Sequencer $sequencer = null;

    /** @var array<string, Sequencer> by all that an order depends on */
    private static array $known = [];

    /** Orders that are kept for the next plan that is like them. */
    private const MOST_KNOWN = 64;

    /** @var list<Job>|null */
    private ?array $jobs = null;

    public readonly Calendar $calendar;

    private function __construct(private readonly Facts $facts, public readonly Day $today)
    {
        $this->calendar = new Calendar($today, $facts->build->brief->eveningMinutes, $facts->build->work);
    }

    public static function of(Facts $facts, Day $today): self
    {
        return new self($facts, $today);
    }

    /** @return array<string, Step> by id, each after those that come before it */
    public function steps(): array
    {
        return $this->found()[0];
    }

    /** @return array<string, Step> that the builder left out */
    public function dropped(): array
    {
        return $this->found()[1];
    }

    public function links(): Links
    {
        return $this->found()[2];
    }

    /** @return list<Step> that are not done, or have to be done again, in no order yet */
    public function open(): array
    {
        return $this->found()[3];
    }

    /** @return array{array<string, Step>, array<string, Step>, Links, list<Step>} */
    private function found(): array
    {
        if ($this->found === null) {
            [$steps, $dropped] = StepBook::of($this->facts);
            $links = Links::of($steps, $dropped);
            $steps = self::sorted($steps, $links);
            $this->found = [$steps, $dropped, $links, array_values(array_filter($steps, fn (Step $step): bool => ! $this->isDone($step)))];
        }

        return $this->found;
    }

    public function step(string $id): ?Step
    {
        return $this->steps()[$id] ?? null;
    }

    public function isDone(Step $step): bool
    {
        return isset($this->facts->build->ticks[$step->id]) && $this->redoneFor($step) === [];
    }

    /** @return list<string> ids of lines for whose sake a ticked step has to be done again: they hold another part by now */
    public function redoneFor(Step $step): array
    {
        $tick = $this->facts->build->ticks[$step->id] ?? null;

        return $tick === null || $tick->with === [] ? [] : array_values(array_intersect(
            $tick->changed($this->facts->build),
            array_map(static fn (Line $line): string => $line->id, $step->lines),
        ));
    }

    /** @return list<Step> done first, as they were ticked, then what is open in the order found, then what nobody can name a day for */
    public function sequence(): array
    {
        $sequence = [];
        foreach (array_keys($this->facts->build->ticks) as $id) {
            $step = $this->steps()[$id] ?? null;
            if ($step !== null && $this->isDone($step)) {
                $sequence[] = $step;
            }
        }

        return [...$sequence, ...$this->openInOrder()];
    }

    /** @return list<Step> */
    public function openInOrder(): array
    {
        $timetable = $this->timetable();

        return array_map(fn (int $at): Step => $this->open()[$at], [...array_column($timetable->placed, 'job'), ...$timetable->undated]);
    }

    /** The first open step that can be done now. */
    public function next(): ?Step
    {
        foreach ($this->openInOrder() as $step) {
            if ($this->state($step) === StepState::Open || $this->state($step) === StepState::Again) {
                return $step;
            }
        }

        return null;
    }

    public function state(Step $step): StepState
    {
        return match (true) {
            $this->isDone($step) => StepState::Done,
            $this->faultAt($step->id) => StepState::Failed,
            $step->waitsFor() !== [] || $this->waitsForSteps($step) !== [] => StepState::Waits,
            isset($this->facts->build->ticks[$step->id]) => StepState::Again,
            default => StepState::Open,
        };
    }

    /** @return list<string> ids of open steps that come right before it */
    public function waitsForSteps(Step $step): array
    {
        $waits = [];
        foreach ($this->links()->into[$step->id] ?? [] as $link) {
            if (isset($this->steps()[$link->from]) && ! $this->isDone($this->steps()[$link->from])) {
                $waits[] = $link->from;
            }
        }

        return $waits;
    }

    /** @return list<string> tools that a step asks for and that neither the brief nor the parts list has; none while the brief says nothing of tools */
    public function lackedTools(Step $step): array
    {
        $have = $this->facts->brief()->tools;

        return $have === null ? [] : array_values(array_diff(OnTheBench::unserved($this->facts, $step->tools), $have));
    }

    public function timetable(): Timetable
    {
        return $this->sequencer()->timetable();
    }

    public function sequencer(): Sequencer
    {
        return $this->sequencer ??= $this->facts->build->work->order === [] ? $this->known() : new Sequencer($this->jobs(), $this->calendar, $this->wanted());
    }

    /** The order for steps that are alike in all that it depends on is sought once: parts on trial hardly ever change it. */
    private function known(): Sequencer
    {
        $work = $this->facts->build->work;
        $key = "{$this->today} {$this->calendar->minutes} ".implode(',', $work->weekdays).' '.implode(',', $work->daysOff);
        foreach ($this->jobs() as $job) {
            $alone = $job->alone === null ? '' : $job->alone->hours.($job->alone->needsWatching ? 'w' : '');
            $key .= "|{$job->minutes} {$job->setup->value} {$job->earliest} ".implode(',', $job->before)." {$alone}".($job->earliest === null ? '?' : '');
        }
        if (! isset(self::$known[$key])) {
            self::$known = array_slice(self::$known, -self::MOST_KNOWN, null, true);
            self::$known[$key] = new Sequencer($this->jobs(), $this->calendar);
        }

        return self::$known[$key];
    }

    /** The last day; null while nobody can name one, or there are no steps. */
    public function finish(): ?Day
    {
        $quick = $this->sequencer()->quick;

        return $this->steps() === [] || $quick->undated !== [] ? null : $this->calendar->day($this->open() === [] ? 0 : $quick->finish);
    }

    public function minutesLeft(): int
    {
        return array_sum(array_map(static fn (Step $step): int => $step->minutes->usual, $this->open()));
    }

    /** @return list<Line> that have to come and of which nobody knows when */
    public function undatedLines(): array
    {
        $this->jobs();

        return array_values(array_filter($this->awaited, fn (Line $line): bool => $this->arrives[$line->id] === null));
    }

    /** @return array{steps: list<Step>, parcel: ?Line} the chain of steps that decides the last day, and the parcel it begins with */
    public function chain(): array
    {
        $timetable = $this->sequencer()->quick;
        $placed = array_column($timetable->placed, null, 'job');
        $at = null;
        foreach ($timetable->placed as $one) {
            $at = $at === null || $timetable->readyOn($one['job']) >= $timetable->readyOn($at) ? $one['job'] : $at;
        }
        $steps = [];
        $parcel = null;
        while ($at !== null) {
            $job = $this->jobs()[$at];
            array_unshift($steps, $this->open()[$at]);
            $from = null;
            foreach ($job->before as $before) {
                $from = $from === null || $timetable->readyOn($before) >= $timetable->readyOn($from) ? $before : $from;
            }
            $isHeldUp = $job->earliest !== null && $job->earliest > 0 && $placed[$at]['day'] === $this->calendar->next($job->earliest);
            if ($isHeldUp && ($from === null || $timetable->readyOn($from)[0] < $placed[$at]['day'])) {
                $parcel = $this->latestLine($this->open()[$at]);
                break;
            }
            $at = $from;
        }

        return ['steps' => $steps, 'parcel' => $parcel];
    }

    /** @return list<Evening> */
    public function evenings(): array
    {
        $timetable = $this->timetable();
        $byDay = $here = $goesOn = [];
        foreach ($timetable->placed as $one) {
            $byDay[$one['day']][] = $one['job'];
            for ($day = $one['day'] + 1; $day <= $one['endDay']; $day++) {
                $goesOn[$day] = "go on with: {$this->open()[$one['job']]->title}";
            }
        }
        $byDay += array_fill_keys(array_keys($timetable->worked), []);
        ksort($byDay);
        $evenings = [];
        foreach ($byDay as $day => $jobs) {
            $steps = array_map(fn (int $at): Step => $this->open()[$at], $jobs);
            $arrives = [];
            foreach ($steps as $step) {
                foreach ($step->waitsFor() as $line) {
                    if (! isset($here[$line->id])) {
                        $here[$line->id] = true;
                        $arrives[] = $line;
                    }
                }
            }
            $evenings[] = new Evening(
                $this->calendar->day($day), $steps, $timetable->worked[$day], $arrives,
                array_values(array_filter([$goesOn[$day] ?? null, ...array_map(static fn (Step $step): ?string => $step->alone?->says(), $steps)])),
            );
        }

        return $evenings;
    }

    /** @return list<array{step: string, before: string, why: string}> where the builder's own order could not be kept */
    public function moved(): array
    {
        $place = array_flip($this->facts->build->work->order);
        $moved = [];
        foreach ($this->links()->all as $link) {
            if (isset($place[$link->from], $place[$link->to]) && $place[$link->from] > $place[$link->to]) {
                $moved[] = ['step' => $link->from, 'before' => $link->to, 'why' => $link->why];
            }
        }

        return $moved;
    }

    private function faultAt(string $step): bool
    {
        foreach ($this->facts->build->work->openFaults() as $fault) {
            if ($fault->step === $step) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Job> in the order of $open */
    private function jobs(): array
    {
        if ($this->jobs !== null) {
            return $this->jobs;
        }
        $places = [];
        foreach ($this->open() as $at => $step) {
            $places[$step->id] = $at;
        }
        $jobs = [];
        foreach ($this->open() as $step) {
            $before = [];
            foreach ($this->links()->into[$step->id] ?? [] as $link) {
                if (isset($places[$link->from])) {
                    $before[] = $places[$link->from];
                }
            }
            $jobs[] = new Job($step->id, $step->minutes->usual, $step->setup, $this->earliest($step), $before, $step->alone);
        }

        return $this->jobs = $jobs;
    }

    private function earliest(Step $step): ?int
    {
        $earliest = 0;
        $isKnown = true;
        foreach ($step->waitsFor() as $line) {
            if (! array_key_exists($line->id, $this->arrives)) {
                $day = Arrivals::of($line, $this->today, $this->facts->build->vendors);
                $this->arrives[$line->id] = $day === null ? null : max(0, $this->today->daysUntil($day));
                $this->awaited[$line->id] = $line;
            }
            $isKnown = $isKnown && $this->arrives[$line->id] !== null;
            $earliest = max($earliest, $this->arrives[$line->id] ?? 0);
        }
        foreach ($this->facts->build->work->openFaults() as $fault) {
            if ($fault->step === $step->id && $fault->state === FaultState::Waiting && $fault->lookAgainOn !== null) {
                $earliest = max($earliest, $this->today->daysUntil($fault->lookAgainOn));
            }
        }

        return $isKnown ? $earliest : null;
    }

    private function latestLine(Step $step): ?Line
    {
        $latest = null;
        foreach ($step->waitsFor() as $line) {
            $latest = $latest === null || $this->arrives[$line->id] > $this->arrives[$latest->id] ? $line : $latest;
        }

        return $latest;
    }

    /** @return ?list<int> places of the open steps in the builder's own order; null while there is none. What it does not name stays behind what it followed */
    private function wanted(): ?array
    {
        $order = $this->facts->build->work->order;
        if ($order === []) {
            return null;
        }
        $place = array_flip($order);
        $keys = [];
        $last = -1;
        $machine = new Sequencer($this->jobs(), $this->calendar);
        foreach ([...array_column($machine->timetable()->placed, 'job'), ...$machine->timetable()->undated] as $nth => $at) {
            $last = $place[$this->open()[$at]->id] ?? $last;
            $keys[$at] = [$last, isset($place[$this->open()[$at]->id]) ? 0 : 1, $nth];
        }
        asort($keys);

        return array_keys($keys);
    }

    /**
     * @param  array<string, Step>  $steps
     * @return array<string, Step> each after those before it, else as they came
     */
    private static function sorted(array $steps, Links $links): array
    {
        $waits = array_fill_keys(array_keys($steps), 0);
        foreach ($links->all as $link) {
            if (isset($waits[$link->from], $waits[$link->to])) {
                $waits[$link->to]++;
            }
        }
        $place = array_flip(array_keys($steps));
        /** @var \SplMinHeap<int> $ready */
        $ready = new \SplMinHeap;
        foreach ($waits as $id => $count) {
            if ($count === 0) {
                $ready->insert($place[$id]);
            }
        }
        $ids = array_keys($steps);
        $sorted = [];
        while (! $ready->isEmpty()) {
            $id = $ids[$ready->extract()];
            $sorted[$id] = $steps[$id];
            foreach ($links->from[$id] ?? [] as $link) {
                if (--$waits[$link->to] === 0) {
                    $ready->insert($place[$link->to]);
                }
            }
        }

        return $sorted;
    }
}
