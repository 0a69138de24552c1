<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\Pose;

/** A piece where it lies. */
final readonly class PlacedPiece
{
    public Box $box;

    public Orientation $orientation;

    /** @var non-empty-list<Box> */
    public array $solid;

    /** @var list<Box> room of it that has to stay empty */
    public array $free;

    public Turn $turn;

    public function __construct(public Piece $piece, public Pose $pose)
    {
        $this->turn = Turn::of($pose->turn);
        $this->orientation = Orientations::plain($piece, $this->turn);
        $this->box = new Box($pose->xMm, $pose->yMm, $pose->zMm, ...$this->orientation->sides);
        $this->solid = array_map($this->at(...), $this->orientation->solid);
        $this->free = array_map($this->at(...), $this->orientation->free);
    }

    /** @param  array{float, float, float, float, float, float}  $block */
    private function at(array $block): Box
    {
        return (new Box(...$block))->at($this->pose->xMm, $this->pose->yMm, $this->pose->zMm);
    }
}
