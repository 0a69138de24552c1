<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\FitAim;
use PocketPlot\Build\FitPlan;
use PocketPlot\Build\Line;

/** What is to be arranged: the pieces with the ways they may lie, the gaps between them, the room, and what is to be least. */
final readonly class Task
{
    /**
     * @param  list<Piece>  $pieces
     * @param  list<non-empty-list<Orientation>>  $ways  of each piece
     * @param  list<list<Gap>>  $gaps  of each pair
     * @param  array{float, float, float}  $frame  the largest that the arrangement may get; never INF
     * @param  float  $softMm3  room for what has no place of its own, and for wires
     */
    public function __construct(
        public Room $room,
        public array $pieces,
        public array $ways,
        public array $gaps,
        public array $frame,
        public FitAim $aim,
        public float $softMm3,
        public Spacing $spacing,
    ) {}

    /**
     * @param  list<Piece>  $pieces
     * @param  list<Line>  $soft
     * @return self|list<Piece> the pieces that go into the room in no way, where there are some
     */
    public static function of(Spacing $spacing, Room $room, array $pieces, array $soft, FitPlan $plan): self|array
    {
        $laying = new Orientations($room, $spacing);
        $ways = $misfits = [];
        foreach ($pieces as $piece) {
            $pose = $plan->pose($piece->line->id, $piece->number);
            $laid = $laying->of($piece, $pose?->isPinned === true ? $pose : null);
            if ($laid === []) {
                $misfits[] = $piece;
            } else {
                $ways[] = $laid;
            }
        }
        if ($misfits !== []) {
            return $misfits;
        }

        return new self(
            $room, $pieces, $ways, self::gaps($pieces, $spacing), self::frame($room, $ways), self::aimIn($room, $plan->aim),
            self::softMm3($pieces, $soft, $spacing), $spacing,
        );
    }

    /**
     * The same with some pairs held otherwise.
     *
     * @param  callable(Piece, Piece, Gap): Gap  $other
     */
    public function regapped(callable $other): self
    {
        $gaps = [];
        foreach ($this->pieces as $i => $one) {
            $row = [];
            foreach ($this->pieces as $j => $two) {
                $row[] = $other($one, $two, $this->gaps[$i][$j]);
            }
            $gaps[] = $row;
        }

        return new self($this->room, $this->pieces, $this->ways, $gaps, $this->frame, $this->aim, $this->softMm3, $this->spacing);
    }

    /**
     * What is to be made least, of an arrangement that goes so far along each axis.
     *
     * @return float millimetres, square or cubic millimetres
     */
    public function measure(float $x, float $y, float $z): float
    {
        return match ($this->aim) {
            FitAim::Thickness => max($z, $this->softMm3 / ($this->frame[0] * $this->frame[1])),
            FitAim::Area => max($x * $y, $this->softMm3 / $this->frame[2]),
            FitAim::Volume => max($x * $y * $z, $this->softMm3),
            FitAim::Outer => max($x + $y + $z, 3 * $this->softMm3 ** (1 / 3)),
        };
    }

    /** Square and cubic millimetres become what people read. */
    public function readable(float $measure): float
    {
        return match ($this->aim) {
            FitAim::Area => $measure / 100,
            FitAim::Volume => $measure / 1000,
            default => $measure,
        };
    }

    /**
     * @param  list<Piece>  $pieces
     * @return list<list<Gap>>
     */
    private static function gaps(array $pieces, Spacing $spacing): array
    {
        $gaps = [];
        foreach ($pieces as $one) {
            $row = [];
            foreach ($pieces as $other) {
                $row[] = Gap::between($one, $other, $spacing);
            }
            $gaps[] = $row;
        }

        return $gaps;
    }

    /** Nothing can be as flat as it gets while nobody says how wide it may be. */
    private static function aimIn(Room $room, FitAim $aim): FitAim
    {
        return ($aim === FitAim::Thickness && is_infinite($room->limit[0] + $room->limit[1])) || ($aim === FitAim::Area && is_infinite($room->limit[2]))
            ? FitAim::Volume
            : $aim;
    }

    /**
     * Where nothing limits it, all parts in a row are far enough.
     *
     * @param  list<non-empty-list<Orientation>>  $ways
     * @return array{float, float, float}
     */
    private static function frame(Room $room, array $ways): array
    {
        $row = array_sum(array_map(static fn (array $laid): float => max($laid[0]->sides) + 10.0, $ways));

        return [min($room->limit[0], $row), min($room->limit[1], $row), min($room->limit[2], $row)];
    }

    /**
     * The room that all blocks need when wires, screws and switches shall find theirs, too.
     *
     * @param  list<Piece>  $pieces
     * @param  list<Line>  $soft
     */
    private static function softMm3(array $pieces, array $soft, Spacing $spacing): float
    {
        $solid = array_sum(array_map(static fn (Piece $piece): float => $piece->shape->volumeMm3(), $pieces));
        $bends = array_sum(array_map(static fn (Line $line): float => 1000 * ($line->part->size->volumeCm3() ?? 0.0) * $line->quantity, $soft));

        return ($solid + $bends) / $spacing->packingMost;
    }
}
