<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** Outer size in millimetres and mass in grams. */
final readonly class Size
{
    /** @var list<float> the largest of each side, longest first; empty when one is unknown */
    private array $sides;

    public function __construct(
        public Figure $lengthMm,
        public Figure $widthMm,
        public Figure $heightMm,
        public Figure $massG,
    ) {
        $sides = [];
        if ($lengthMm->isKnown() && $widthMm->isKnown() && $heightMm->isKnown()) {
            $sides = [$lengthMm->most(), $widthMm->most(), $heightMm->most()];
            rsort($sides);
        }
        $this->sides = $sides;
    }

    public static function unknown(): self
    {
        return new self(Figure::unknown('mm'), Figure::unknown('mm'), Figure::unknown('mm'), Figure::unknown('g'));
    }

    public function hasAllSides(): bool
    {
        return $this->sides !== [];
    }

    /** @return list<float> the largest of each side, longest first; empty when one is unknown */
    public function sidesMm(): array
    {
        return $this->sides;
    }

    /** In cubic centimetres, of the enclosing block; null when a side is unknown. */
    public function volumeCm3(): ?float
    {
        return $this->sides === [] ? null : $this->sides[0] * $this->sides[1] * $this->sides[2] / 1000;
    }
}
