<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/** How long a step takes at the bench: our estimates for an unhurried evening, unless the builder wrote another. */
final readonly class Minutes
{
    public function __construct(public int $least, public int $usual, public int $most) {}

    /** What usually takes so long goes well in two thirds of it and badly in twice. */
    public static function about(int $usual): self
    {
        return new self(max(1, intdiv($usual * 2, 3)), max(1, $usual), max(1, $usual * 2));
    }

    public function says(): string
    {
        return $this->least === $this->most ? "{$this->usual} min" : "{$this->usual} min ({$this->least} to {$this->most})";
    }
}
