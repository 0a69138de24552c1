<?php

declare(strict_types=1);

namespace PocketPlot\Build;

use PocketPlot\Quantity\Day;

/** Something that happened at the bench, for good: a step done, failed, put off, taken back, or a note on it. */
final readonly class StepEvent
{
    /**
     * @param  string  $id  given by the page that wrote it, so that nothing is taken twice
     * @param  string  $title  of the step as it was then
     * @param  array<string, string>  $with  line id => name of the part it held
     * @param  array<string, float|bool>  $read  by the measure's key
     * @param  string  $at  time of the day as the page knew it, "19:40"; "" when not said
     * @param  string  $photo  a data URL, in files only
     * @param  array<string, mixed>  $extra  keys of the file that this version does not know
     */
    public function __construct(
        public string $id,
        public string $step,
        public StepDid $did,
        public Day $on,
        public string $title = '',
        public array $with = [],
        public array $read = [],
        public string $note = '',
        public string $at = '',
        public ?int $minutes = null,
        public string $photo = '',
        public array $extra = [],
    ) {}

    /** @param  array<string, float|bool>  $read */
    public function reading(array $read): self
    {
        return new self(
            $this->id, $this->step, $this->did, $this->on, $this->title, $this->with, $read, $this->note, $this->at, $this->minutes, $this->photo, $this->extra,
        );
    }
}
