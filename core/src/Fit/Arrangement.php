<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\Pose;

/** Places for all pieces, found by a search, with how good they are and how good any could be. */
final readonly class Arrangement
{
    /**
     * @param  array<string, Pose>  $poses  by Pose::key()
     * @param  list<Piece>  $lost  that found no place
     * @param  array{float, float, float}  $insideMm  the room that it takes
     * @param  float  $measure  what was to be least, in mm, cm² or cm³
     * @param  float  $bound  what no arrangement of this style can beat, in the same unit
     */
    public function __construct(
        public Style $style,
        public array $poses,
        public array $lost,
        public array $insideMm,
        public float $measure,
        public float $bound,
        public bool $isProved,
        public int $steps,
    ) {}

    /** Share by which another could at most be better. */
    public function slack(): float
    {
        return $this->measure > 0.0 && ! $this->isProved ? max(0.0, 1.0 - $this->bound / $this->measure) : 0.0;
    }

    /**
     * Which pieces lie over which, and which beside: two with the same answer are the same arrangement to a builder.
     *
     * @param  list<Piece>  $pieces
     */
    public function pattern(array $pieces): string
    {
        $boxes = [];
        foreach ($pieces as $piece) {
            $pose = $this->poses[$piece->key()] ?? null;
            if ($pose !== null) {
                $boxes[] = (new PlacedPiece($piece, $pose))->box;
            }
        }
        $pattern = '';
        foreach ($boxes as $n => $one) {
            for ($m = 0; $m < $n; $m++) {
                [$x, $y] = $one->apart($boxes[$m]);
                $pattern .= $x < -1.0 && $y < -1.0 ? '1' : '0';
            }
        }

        return $pattern;
    }
}
