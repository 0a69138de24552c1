<?php

declare(strict_types=1);

namespace PocketPlot\Build;

use PocketPlot\Quantity\Day;

/** A gate that did not pass, and what has been found out since. */
final readonly class Fault
{
    /**
     * @param  list<string>  $saw  what failed, in sentences
     * @param  array<string, bool>  $looked  what was looked at: key of the look => whether it was well
     * @param  list<string>  $doneThen  steps that were ticked when it opened, in their order
     * @param  array<string, mixed>  $extra  keys of the file that this version does not know
     */
    public function __construct(
        public string $id,
        public string $step,
        public Day $openedOn,
        public FaultState $state = FaultState::Open,
        public array $saw = [],
        public array $looked = [],
        public ?Day $lookAgainOn = null,
        /** What it was, once somebody knows: the key of a suspect. */
        public string $cause = '',
        public string $note = '',
        public array $doneThen = [],
        public ?Day $mendedOn = null,
        public array $extra = [],
    ) {}

    /** @param  array{state?: FaultState, saw?: list<string>, looked?: array<string, bool>, lookAgainOn?: ?Day, cause?: string, note?: string, mendedOn?: ?Day}  $changed */
    public function with(array $changed): self
    {
        return new self(
            $this->id,
            $this->step,
            $this->openedOn,
            $changed['state'] ?? $this->state,
            $changed['saw'] ?? $this->saw,
            $changed['looked'] ?? $this->looked,
            array_key_exists('lookAgainOn', $changed) ? $changed['lookAgainOn'] : $this->lookAgainOn,
            $changed['cause'] ?? $this->cause,
            $changed['note'] ?? $this->note,
            $this->doneThen,
            array_key_exists('mendedOn', $changed) ? $changed['mendedOn'] : $this->mendedOn,
            $this->extra,
        );
    }
}
