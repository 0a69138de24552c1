<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** Outer size in millimetres and mass in grams. */
final readonly class Size
{
    public function __construct(
        public Figure $lengthMm,
        public Figure $widthMm,
        public Figure $heightMm,
        public Figure $massG,
    ) {}

    public static function unknown(): self
    {
        return new self(Figure::unknown('mm'), Figure::unknown('mm'), Figure::unknown('mm'), Figure::unknown('g'));
    }

    public function hasAllSides(): bool
    {
        return $this->lengthMm->isKnown() && $this->widthMm->isKnown() && $this->heightMm->isKnown();
    }

    /** @return list<float> the largest of each side, longest first; empty when one is unknown */
    public function sidesMm(): array
    {
        if (! $this->hasAllSides()) {
            return [];
        }
        $sides = [$this->lengthMm->most(), $this->widthMm->most(), $this->heightMm->most()];
        rsort($sides);

        return $sides;
    }

    /** In cubic centimetres, of the enclosing block; null when a side is unknown. */
    public function volumeCm3(): ?float
    {
        $sides = $this->sidesMm();

        return $sides === [] ? null : array_product($sides) / 1000;
    }
}
