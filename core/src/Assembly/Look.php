<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/** Something to measure or try that tells suspects apart: well, and these are cleared; not well, and it is one of these. */
final readonly class Look
{
    /** @param  list<string>  $tells  keys of the suspects that it speaks of */
    public function __construct(public string $key, public string $what, public string $passes, public array $tells) {}

    /** @param  array<string, float>  $shares  of all suspects, by key, adding up to one */
    public function share(array $shares): float
    {
        return array_sum(array_intersect_key($shares, array_flip($this->tells)));
    }
}
