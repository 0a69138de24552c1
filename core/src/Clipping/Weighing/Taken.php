<?php

declare(strict_types=1);

namespace PocketPlot\Clipping\Weighing;

/** What a mention before was taken for. */
final readonly class Taken
{
    public function __construct(
        /** "draw:most"; "" for nothing that is said of the part. */
        public string $label,
        public string $sort,
        public float $written,
    ) {}
}
