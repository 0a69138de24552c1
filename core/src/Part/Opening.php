<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** A hole in the body meant for one kind of connector. */
final readonly class Opening
{
    public function __construct(
        public string $name,
        public string $connector,
        public Figure $widthMm,
        public Figure $heightMm,
        public string $face,
        /** From the middle of that face. */
        public Figure $offsetMm,
    ) {}
}
