<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** The holes by which a part is screwed down. */
final readonly class Mount
{
    public function __construct(
        public string $pattern,
        public string $thread,
        /** The middle of the pattern, from the part's left and top; null or unknown when it is the part's own. */
        public ?Figure $xMm = null,
        public ?Figure $yMm = null,
    ) {}
}
