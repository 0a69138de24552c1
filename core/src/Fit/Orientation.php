<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/**
 * A piece turned one way, and where it may lie in one room: what a search works with.
 *
 * Blocks are corner and sides: x, y, z, to the right, down, into the depth.
 *
 * @phpstan-type Block array{float, float, float, float, float, float}
 */
final readonly class Orientation
{
    /**
     * @param  array{float, float, float}  $sides
     * @param  non-empty-list<Block>  $solid  from its corner
     * @param  list<Block>  $free  room that has to stay empty
     * @param  array{float, float, float}  $low  where its corner may lie
     * @param  array{float, float, float}  $high
     * @param  array{bool, bool, bool}  $reaches  the far wall along each axis, wherever that comes to stand
     * @param  string  $postName  of the posts that it sits on
     */
    public function __construct(
        public string $turn,
        public array $sides,
        public array $solid,
        public array $free,
        public array $low,
        public array $high,
        public array $reaches,
        public bool $isOneBlock,
        public string $postName = '',
    ) {}

    /** Whether it could lie anywhere at all. */
    public function mayLie(): bool
    {
        return $this->high[0] >= $this->low[0] - 1e-9 && $this->high[1] >= $this->low[1] - 1e-9 && $this->high[2] >= $this->low[2] - 1e-9;
    }

    public function volumeMm3(): float
    {
        return array_sum(array_map(static fn (array $block): float => $block[3] * $block[4] * $block[5], $this->solid));
    }
}
