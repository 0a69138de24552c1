<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Part\Block;
use PocketPlot\Part\Part;
use PocketPlot\Part\Socket;

/** What a part takes up, in its own frame: one block, or the plate and the tall spots that were written down. */
final readonly class Shape
{
    /**
     * @param  array{float, float, float}  $sides  length, width, height of the whole
     * @param  non-empty-list<Box>  $solid
     * @param  list<Box>  $free  room that has to stay empty: a plug and its bend
     * @param  list<string>  $edges  own sides that have to reach a wall, for what is plugged in from outside
     * @param  bool  $anyEdge  has to reach some wall; nobody says by which side
     */
    private function __construct(
        public array $sides,
        public array $solid,
        public array $free,
        public array $edges,
        public bool $anyEdge,
    ) {}

    /** Null while a side is unknown. */
    public static function of(Part $part): ?self
    {
        $size = $part->size;
        if (! $size->hasAllSides()) {
            return null;
        }
        $sides = [$size->lengthMm->most(), $size->widthMm->most(), $size->heightMm->most()];
        $solid = array_values(array_filter(array_map(self::block(...), $part->blocks)));
        $edges = [];
        $anyEdge = false;
        foreach ($part->sockets as $socket) {
            if ($socket->outside && $part->sits->takesRoom()) {
                $edges[] = $socket->face;
                $anyEdge = $anyEdge || $socket->face === '';
            }
        }

        return new self(
            $sides,
            $solid === [] ? [new Box(0.0, 0.0, 0.0, ...$sides)] : $solid,
            array_values(array_filter(array_map(static fn (Socket $socket): ?Box => self::plugRoom($socket, $sides), $part->sockets))),
            array_values(array_unique(array_filter($edges, static fn (string $edge): bool => $edge !== ''))),
            $anyEdge,
        );
    }

    /** One of so many equal pieces that lie apart, cut across its longest side but one. */
    public function split(int $pieces): self
    {
        $order = [0, 1, 2];
        usort($order, fn (int $a, int $b): int => $this->sides[$b] <=> $this->sides[$a]);
        $sides = $this->sides;
        $sides[$order[1]] /= $pieces;

        return new self($sides, [new Box(0.0, 0.0, 0.0, ...$sides)], [], [], false);
    }

    public function isOneBlock(): bool
    {
        return count($this->solid) === 1 && $this->free === [];
    }

    public function volumeMm3(): float
    {
        return array_sum(array_map(static fn (Box $box): float => $box->volumeMm3(), $this->solid));
    }

    private static function block(Block $block): ?Box
    {
        $figures = [$block->xMm, $block->yMm, $block->zMm, $block->lengthMm, $block->widthMm, $block->heightMm];
        foreach ($figures as $figure) {
            if (! $figure->isKnown()) {
                return null;
            }
        }

        return new Box(
            $figures[0]->usual(),
            $figures[1]->usual(),
            $figures[2]->usual(),
            $figures[3]->most(),
            $figures[4]->most(),
            $figures[5]->most(),
            $block->name,
        );
    }

    /**
     * The room a plug wants beyond the edge, where its socket says on which edge it sits and how deep it is with its plug.
     *
     * @param  array{float, float, float}  $sides
     */
    private static function plugRoom(Socket $socket, array $sides): ?Box
    {
        if ($socket->outside || ! $socket->depthMm->isKnown() || $socket->depthMm->most() <= 0.0) {
            return null;
        }
        $deep = $socket->depthMm->most();
        [$wide, $high] = Plugs::shell($socket->connector);
        $along = $socket->offsetMm->isKnown() ? $socket->offsetMm->usual() : 0.0;
        $high = min($high, $sides[2]);
        $x = $sides[0] / 2 + $along - $wide / 2;
        $y = $sides[1] / 2 + $along - $wide / 2;

        return match ($socket->face) {
            'left' => new Box(-$deep, $y, 0.0, $deep, $wide, $high, $socket->name),
            'right' => new Box($sides[0], $y, 0.0, $deep, $wide, $high, $socket->name),
            'top' => new Box($x, -$deep, 0.0, $wide, $deep, $high, $socket->name),
            'bottom' => new Box($x, $sides[1], 0.0, $wide, $deep, $high, $socket->name),
            default => null,
        };
    }
}
