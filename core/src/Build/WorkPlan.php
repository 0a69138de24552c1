<?php

declare(strict_types=1);

namespace PocketPlot\Build;

/** What the builder decided about the steps: an order of their own, own steps, changed and dropped ones, evenings, faults. */
final readonly class WorkPlan
{
    /** Monday to Sunday, as ISO 8601 counts them. */
    public const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];

    /**
     * @param  list<string>  $order  ids of steps in the order the builder wants
     * @param  list<OwnStep>  $own
     * @param  array<string, array{title?: string, says?: string, minutes?: int, note?: string}>  $changed  by step id
     * @param  array<string, string>  $dropped  step id => why
     * @param  list<string>  $slim  ids of lines that are to be cut down
     * @param  list<int>  $weekdays  evenings that are free, 1 for Monday to 7 for Sunday
     * @param  list<string>  $daysOff  days without an evening, year-month-day
     * @param  list<Fault>  $faults
     * @param  array<string, mixed>  $extra  keys of the file that this version does not know
     */
    public function __construct(
        public array $order = [],
        public array $own = [],
        public array $changed = [],
        public array $dropped = [],
        public array $slim = [],
        public array $weekdays = self::EVERY_DAY,
        public array $daysOff = [],
        public array $faults = [],
        public array $extra = [],
    ) {}

    public function fault(string $id): ?Fault
    {
        foreach ($this->faults as $fault) {
            if ($fault->id === $id) {
                return $fault;
            }
        }

        return null;
    }

    /** @return list<Fault> open, or waiting on others */
    public function openFaults(): array
    {
        return array_values(array_filter($this->faults, static fn (Fault $fault): bool => $fault->state !== FaultState::Mended));
    }

    /** The same with this fault in the place of the one of the same id, or added. */
    public function withFault(Fault $fault): self
    {
        $faults = array_map(static fn (Fault $one): Fault => $one->id === $fault->id ? $fault : $one, $this->faults);

        return $this->with(['faults' => $this->fault($fault->id) === null ? [...$faults, $fault] : $faults]);
    }

    /** @param  array{order?: list<string>, own?: list<OwnStep>, changed?: array<string, array{title?: string, says?: string, minutes?: int, note?: string}>, dropped?: array<string, string>, slim?: list<string>, weekdays?: list<int>, daysOff?: list<string>, faults?: list<Fault>}  $changed */
    public function with(array $changed): self
    {
        return new self(
            $changed['order'] ?? $this->order,
            $changed['own'] ?? $this->own,
            $changed['changed'] ?? $this->changed,
            $changed['dropped'] ?? $this->dropped,
            $changed['slim'] ?? $this->slim,
            $changed['weekdays'] ?? $this->weekdays,
            $changed['daysOff'] ?? $this->daysOff,
            $changed['faults'] ?? $this->faults,
            $this->extra,
        );
    }
}
