<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

final readonly class Fastener
{
    public function __construct(
        public string $thread,
        public Figure $lengthMm,
        public Figure $headAcrossMm,
        public Figure $headHighMm,
        /** What it was made to go into: "post", "insert" or "nut". */
        public string $into,
    ) {}
}
