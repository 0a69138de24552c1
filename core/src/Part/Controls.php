<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** What there is to press, push and turn, for one player or more. `directions` counts crosses and their like. */
final readonly class Controls
{
    public function __construct(
        public int $players,
        public int $directions,
        public int $buttons,
        public int $sticks,
        public int $knobs,
        public bool $touch,
    ) {}

    /** Two sets of one player's controls laid together. */
    public function together(self $other): self
    {
        return new self(
            max($this->players, $other->players),
            $this->directions + $other->directions,
            $this->buttons + $other->buttons,
            $this->sticks + $other->sticks,
            $this->knobs + $other->knobs,
            $this->touch || $other->touch,
        );
    }
}
