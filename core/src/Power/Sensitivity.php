<?php

declare(strict_types=1);

namespace PocketPlot\Power;

/** What one figure or habit is worth: the hours at its bad end and at its good end, all else as usual. */
final readonly class Sensitivity
{
    public function __construct(
        public string $what,
        public ?string $line,
        public string $bad,
        public float $badHours,
        public string $good,
        public float $goodHours,
    ) {}

    public function worth(): float
    {
        return abs($this->goodHours - $this->badHours);
    }

    /** @return array{what: string, line: ?string, bad: string, badHours: float, good: string, goodHours: float, worthHours: float} */
    public function toArray(): array
    {
        return [
            'what' => $this->what, 'line' => $this->line, 'bad' => $this->bad, 'badHours' => round($this->badHours, 3),
            'good' => $this->good, 'goodHours' => round($this->goodHours, 3), 'worthHours' => round($this->worth(), 3),
        ];
    }
}
