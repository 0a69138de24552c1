<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** One block of a part that is no plain box, or a rib of a body: where its nearest corner lies, and how far it goes. */
final readonly class Block
{
    public function __construct(
        public string $name,
        public Figure $xMm,
        public Figure $yMm,
        public Figure $zMm,
        public Figure $lengthMm,
        public Figure $widthMm,
        public Figure $heightMm,
    ) {}

    public function isWhole(): bool
    {
        foreach ([$this->xMm, $this->yMm, $this->zMm, $this->lengthMm, $this->widthMm, $this->heightMm] as $figure) {
            if (! $figure->isKnown()) {
                return false;
            }
        }

        return true;
    }
}
