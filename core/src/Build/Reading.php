<?php

declare(strict_types=1);

namespace PocketPlot\Build;

use PocketPlot\Build\Reading\ReadingKind;
use PocketPlot\Build\Reading\TakenAs;
use PocketPlot\Quantity\Day;

/** Something measured on the bench, kept with the build: one class for each kind, under Reading. */
abstract readonly class Reading
{
    public string $id;

    /** The line that was measured: the pack of a run or charge, the part of all else. */
    public string $line;

    public Day $takenOn;

    /** Name of the part that was measured: the line may hold another by now. */
    public string $part;

    public function __construct(public TakenAs $taken)
    {
        $this->id = $taken->id;
        $this->line = $taken->line;
        $this->takenOn = $taken->takenOn;
        $this->part = $taken->part;
    }

    abstract public function kind(): ReadingKind;

    /** One sentence, with the figures as they were read. */
    abstract public function says(): string;

    /** @return array<string, mixed> what belongs to its kind, as a file keeps it; null, "" and [] are left out */
    abstract public function ownFields(): array;

    /** Whether the line still holds the part that was measured: a reading of one that was swapped meanwhile says nothing about the new one. */
    public function isOf(Line $line): bool
    {
        return $this->part === '' || $this->part === $line->name();
    }
}
