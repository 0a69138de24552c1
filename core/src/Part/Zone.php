<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** A room inside a body with a depth of its own, such as a grip. */
final readonly class Zone
{
    public function __construct(
        public string $name,
        public Figure $lengthMm,
        public Figure $widthMm,
        public Figure $depthMm,
        /** Its corner in the room inside, from the front top left; null when nobody says. */
        public ?Figure $xMm = null,
        public ?Figure $yMm = null,
        public ?Figure $zMm = null,
    ) {}

    /** @return array{float, float, float, float, float, float}|null corner and sides; null while one is unknown */
    public function box(): ?array
    {
        [$x, $y, $z] = [$this->xMm?->usual, $this->yMm?->usual, $this->zMm?->usual];
        [$l, $w, $h] = [$this->lengthMm->least, $this->widthMm->least, $this->depthMm->least];

        return $x === null || $y === null || $l === null || $w === null || $h === null ? null : [$x, $y, $z ?? 0.0, $l, $w, $h];
    }
}
