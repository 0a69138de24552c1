<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/** An opening in one side of a body: where its middle lies in the room inside, how large it is, and what for. */
final readonly class Cutout
{
    /**
     * @param  string  $side  "front", "back", "left", "right", "top" or "bottom"
     * @param  float  $across  its middle, along the side's first axis: to the right on front, back, top and bottom, down on left and right
     * @param  float  $along  its middle, along the second: down on front and back, into the depth on all others
     * @param  float  $wide  along the first axis; the diameter where it is round
     * @param  string  $kind  "window", "control", "socket", "vent", "grille" or "screw"
     */
    public function __construct(
        public string $side,
        public float $across,
        public float $along,
        public float $wide,
        public float $high,
        public bool $isRound,
        public string $name,
        public string $kind,
    ) {}

    /**
     * The axis that it goes through.
     *
     * @return 0|1|2
     */
    public function axis(): int
    {
        return match ($this->side) {
            'left', 'right' => 0,
            'top', 'bottom' => 1,
            default => 2,
        };
    }

    /**
     * What it takes out of a wall.
     *
     * @param  array{float, float, float}  $inside
     */
    public function box(array $inside, float $wall): Box
    {
        [$u, $v] = [$this->across - $this->wide / 2, $this->along - $this->high / 2];

        return match ($this->side) {
            'left' => new Box(-$wall, $u, $v, $wall, $this->wide, $this->high, $this->name),
            'right' => new Box($inside[0], $u, $v, $wall, $this->wide, $this->high, $this->name),
            'top' => new Box($u, -$wall, $v, $this->wide, $wall, $this->high, $this->name),
            'bottom' => new Box($u, $inside[1], $v, $this->wide, $wall, $this->high, $this->name),
            'back' => new Box($u, $v, $inside[2], $this->wide, $this->high, $wall, $this->name),
            default => new Box($u, $v, -$wall, $this->wide, $this->high, $wall, $this->name),
        };
    }
}
