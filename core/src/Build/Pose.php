<?php

declare(strict_types=1);

namespace PocketPlot\Build;

/**
 * Where one piece of a line lies in the body: millimetres from the front top left corner of the room inside to the
 * nearest corner of its enclosing block (to the right, down, and from the face into the depth), and how it is turned.
 */
final readonly class Pose
{
    /** Nothing lies farther out than this. */
    public const MOST_MM = 5000.0;

    /**
     * @param  int  $piece  1 for the first of its line
     * @param  string  $turn  which of its own axes lie along those of the body: "lwh" as it is written down, "-wlh" (Fit\Turn)
     * @param  bool  $isPinned  the builder's choice, which no arrangement moves
     * @param  array<string, mixed>  $extra  keys of the file that this version does not know
     */
    public function __construct(
        public string $line,
        public int $piece,
        public float $xMm,
        public float $yMm,
        public float $zMm,
        public string $turn = 'lwh',
        public bool $isPinned = false,
        public array $extra = [],
    ) {}

    public function key(): string
    {
        return self::keyOf($this->line, $this->piece);
    }

    public static function keyOf(string $line, int $piece): string
    {
        return "{$line}#{$piece}";
    }

    public function pinned(bool $isPinned): self
    {
        return new self($this->line, $this->piece, $this->xMm, $this->yMm, $this->zMm, $this->turn, $isPinned, $this->extra);
    }
}
