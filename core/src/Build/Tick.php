<?php

declare(strict_types=1);

namespace PocketPlot\Build;

use PocketPlot\Quantity\Day;

/** A step that was done: on which day, with which parts, and what was read. Ticks stand in the order in which they were made. */
final readonly class Tick
{
    /**
     * @param  array<string, string>  $with  line id => id of the part it held; empty in files of before this was kept
     * @param  array<string, float|bool>  $read  what a gate asked, by the measure's key
     * @param  array<string, mixed>  $extra  keys of the file that this version does not know
     */
    public function __construct(
        public string $step,
        public Day $on,
        public array $with = [],
        public array $read = [],
        public array $extra = [],
    ) {}

    /** @return list<string> ids of lines that hold another part by now, or are gone */
    public function changed(Build $build): array
    {
        $isAnother = static fn (string $part, string $line): bool => $build->line($line)?->part->id !== $part;

        return array_keys(array_filter($this->with, $isAnother, ARRAY_FILTER_USE_BOTH));
    }
}
