<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/** What goes on by itself once a step is done: printing, drying, charging. What waits for the step waits for it, too. */
final readonly class Alone
{
    /** Hours from one evening to the next in which a job may run unseen. */
    private const OVERNIGHT_HOURS = 20.0;

    /** Hours of a day in which somebody is at home and awake. */
    private const AWAKE_HOURS = 12.0;

    public function __construct(public string $what, public float $hours, public bool $needsWatching = false) {}

    /** Whether it is done on the evening it began on, so many minutes after its step ended. */
    public function endsWithin(int $minutes): bool
    {
        return $this->hours * 60 <= $minutes;
    }

    /** Days later on which it is surely done, where it does not end on the same evening. */
    public function days(): int
    {
        return match (true) {
            $this->needsWatching => max(1, (int) ceil($this->hours / self::AWAKE_HOURS)),
            $this->hours <= self::OVERNIGHT_HOURS => 1,
            default => (int) ceil($this->hours / 24),
        };
    }

    public function says(): string
    {
        $hours = $this->hours >= 48 ? round($this->hours / 24).' days' : ($this->hours >= 1 ? round($this->hours, 1).' h' : round($this->hours * 60).' min');

        return "{$this->what}, about {$hours}";
    }
}
