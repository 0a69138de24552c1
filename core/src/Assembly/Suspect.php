<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/** What may be the cause of a fault, and how likely it looks. */
final readonly class Suspect
{
    /**
     * @param  string  $key  stays the same: "step mount/panel", "rail up:5 V", "lead lead", "part panel"
     * @param  float  $weight  against the others
     * @param  list<string>  $lines  what has to be reached to look at it
     * @param  ?string  $step  the step that would have to be done again
     * @param  list<string>  $why  what speaks for it, in words
     */
    public function __construct(public string $key, public string $says, public float $weight, public array $lines, public ?string $step, public array $why) {}

    public function weighing(float $weight): self
    {
        return new self($this->key, $this->says, $weight, $this->lines, $this->step, $this->why);
    }
}
