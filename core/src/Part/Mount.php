<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** The holes by which a part is screwed down. */
final readonly class Mount
{
    public function __construct(public string $pattern, public string $thread) {}
}
