<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

use PocketPlot\Build\Line;

/** One thing to do at the bench. Its id stays the same while the parts it is about do. */
final readonly class Step
{
    /**
     * @param  list<Line>  $lines  what has to lie on the bench
     * @param  list<string>  $cautions
     */
    public function __construct(
        public string $id,
        public Phase $phase,
        public string $title,
        public string $says,
        public array $lines,
        public int $minutes,
        public array $cautions = [],
        /** A test that must pass before going on. */
        public bool $isGate = false,
        /** What makes it final, such as glue; empty when it can be undone. */
        public string $cannotBeUndone = '',
    ) {}

    /** @return list<Line> */
    public function waitsFor(): array
    {
        $waits = [];
        foreach ($this->lines as $line) {
            if (! $line->state->isAtHand()) {
                $waits[] = $line;
            }
        }

        return $waits;
    }
}
