<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Line;

/** A moment of a run that matters: "warns", "headroom", "sleeps", "end". */
final readonly class Moment
{
    public function __construct(public float $hours, public string $kind, public Line $line, public string $says) {}

    /** @return array{h: float, kind: string, line: string, says: string} */
    public function toArray(): array
    {
        return ['h' => round($this->hours, 3), 'kind' => $this->kind, 'line' => $this->line->id, 'says' => $this->says];
    }
}
