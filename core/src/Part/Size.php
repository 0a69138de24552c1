<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** Outer size in millimetres, mass in grams, and what it is mostly made of. */
final readonly class Size
{
    /** @var list<float> the largest of each side, longest first; empty when one is unknown */
    private array $sides;

    private ?float $volumeCm3;

    public function __construct(
        public Figure $lengthMm,
        public Figure $widthMm,
        public Figure $heightMm,
        public Figure $massG,
        public string $material = '',
    ) {
        $sides = [];
        if ($lengthMm->isKnown() && $widthMm->isKnown() && $heightMm->isKnown()) {
            $sides = [$lengthMm->most(), $widthMm->most(), $heightMm->most()];
            rsort($sides);
        }
        $this->sides = $sides;
        $this->volumeCm3 = $sides === [] ? null : $sides[0] * $sides[1] * $sides[2] / 1000;
    }

    public static function unknown(string $material = ''): self
    {
        return new self(Figure::unknown('mm'), Figure::unknown('mm'), Figure::unknown('mm'), Figure::unknown('g'), $material);
    }

    public function hasAllSides(): bool
    {
        return $this->sides !== [];
    }

    public function isMetal(): bool
    {
        return $this->material === 'metal';
    }

    /** @return list<float> the largest of each side, longest first; empty when one is unknown */
    public function sidesMm(): array
    {
        return $this->sides;
    }

    /** How thick it lies: its shortest side, or its height where nobody knows the others. */
    public function thickMm(): ?float
    {
        return $this->sides === [] ? $this->heightMm->most : $this->sides[2];
    }

    /** In square millimetres, lying flat; null when a side is unknown. */
    public function footprintMm2(): ?float
    {
        return $this->sides === [] ? null : $this->sides[0] * $this->sides[1];
    }

    /** In cubic centimetres, of the enclosing block; null when a side is unknown. */
    public function volumeCm3(): ?float
    {
        return $this->volumeCm3;
    }
}
