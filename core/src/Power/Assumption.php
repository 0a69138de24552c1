<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Quantity\Figure;

/**
 * Where in its band each figure is taken: -1 at the end that shortens the play, 0 at the usual, 1 at the
 * end that lengthens it. Single figures can be set apart by key ("line draw", "line capacity", ...).
 */
final readonly class Assumption
{
    /** @param  array<string, float>  $own  by key */
    public function __construct(public float $all = 0.0, public array $own = []) {}

    public static function worst(): self
    {
        return new self(-1.0);
    }

    public static function usual(): self
    {
        return new self;
    }

    public static function best(): self
    {
        return new self(1.0);
    }

    /** -1 to 1 */
    public function at(string $key): float
    {
        return $this->own[$key] ?? $this->all;
    }

    /** The figure's value at its place in the band. */
    public function of(string $key, Figure $figure, bool $moreIsLonger): float
    {
        $usual = $figure->usual();
        $least = $figure->least;
        $most = $figure->most;
        if ($least === $most || $least === null || $most === null) {
            return $usual;
        }
        $place = $this->own[$key] ?? $this->all;
        $place = $moreIsLonger ? $place : -$place;

        return $place < 0.0 ? $usual + $place * ($usual - $least) : $usual + $place * ($most - $usual);
    }
}
