<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/** A round hole along one axis, from a place on it to another, in the middle of a square that is solid all around. */
final readonly class Hole
{
    /** Corners of the polygon that stands for a circle. */
    public const CORNERS = 24;

    /**
     * @param  0|1|2  $axis
     * @param  float  $u  its middle along the next axis (y, z, x)
     * @param  float  $v  and along the one after that
     * @param  float  $square  side of the square around it
     */
    public function __construct(
        public int $axis,
        public float $u,
        public float $v,
        public float $radius,
        public float $square,
        public float $from,
        public float $to,
    ) {}

    /** The square column that it lies in. */
    public function tile(): Box
    {
        $at = [0.0, 0.0, 0.0];
        $at[$this->axis] = $this->from;
        $at[($this->axis + 1) % 3] = $this->u - $this->square / 2;
        $at[($this->axis + 2) % 3] = $this->v - $this->square / 2;
        $sides = [$this->square, $this->square, $this->square];
        $sides[$this->axis] = $this->to - $this->from;

        return new Box($at[0], $at[1], $at[2], $sides[0], $sides[1], $sides[2]);
    }

    /** Cubic millimetres that it takes out. */
    public function volumeMm3(): float
    {
        return self::CORNERS / 2 * $this->radius ** 2 * sin(2 * M_PI / self::CORNERS) * ($this->to - $this->from);
    }
}
