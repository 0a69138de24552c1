<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\Build;
use PocketPlot\Build\FitPlan;
use PocketPlot\Build\Line;

/** What a build has to find room for, sorted: pieces with a place of their own, what bends, and what nobody has measured. */
final readonly class Inventory
{
    /** Pieces beyond which no page and no search could follow. */
    public const MOST_PIECES = 120;

    /**
     * @param  list<Piece>  $pieces
     * @param  list<Line>  $soft
     * @param  list<Line>  $unsized
     * @param  list<Line>  $inZones  lines in a room of the body whose place nobody knows
     */
    private function __construct(
        public Build $build,
        public ?Room $room,
        public array $pieces,
        public array $soft,
        public array $unsized,
        public array $inZones,
        public bool $isCutShort,
    ) {}

    /** @param  list<Line>  $inBody */
    public static function of(Build $build, ?Line $bodyLine, array $inBody, ?FitPlan $plan = null): self
    {
        $plan ??= $build->fit;
        $room = Room::of($bodyLine, $build->brief);
        $pieces = $soft = $unsized = $inZones = [];
        foreach ($inBody as $line) {
            $made = Piece::isSoft($line) ? [] : Piece::ofLine($line, in_array($line->id, $plan->split, true));
            if (Piece::isSoft($line) && $line->part->size->hasAllSides()) {
                $soft[] = $line;
            } elseif ($made === []) {
                $unsized[] = $line;
            } elseif (self::isInUnplacedZone($line, $room)) {
                $inZones[] = $line;
            } else {
                $pieces = [...$pieces, ...array_slice($made, 0, self::MOST_PIECES)];
            }
        }

        return new self($build, $room, array_slice($pieces, 0, self::MOST_PIECES), $soft, $unsized, $inZones, count($pieces) > self::MOST_PIECES);
    }

    /** What all blocks and all that bends take, in cubic millimetres. */
    public function filledMm3(): float
    {
        return array_sum(array_map(static fn (Piece $piece): float => $piece->shape->volumeMm3(), $this->pieces))
            + array_sum(array_map(static fn (Line $line): float => 1000 * ($line->part->size->volumeCm3() ?? 0.0) * $line->quantity, $this->soft));
    }

    /**
     * The room inside of a body drawn around what reaches so far: longer, wider and deeper, in this order and no longer
     * than it may be, until wires find their room as well.
     *
     * @param  array{float, float, float}  $reach
     * @return array{float, float, float}
     */
    public function roomAround(array $reach, Spacing $spacing): array
    {
        $limit = $this->room === null ? [INF, INF, INF] : $this->room->limit;
        $wanted = $this->filledMm3() / $spacing->packingMost;
        foreach ([0, 1, 2] as $axis) {
            $has = $reach[0] * $reach[1] * $reach[2];
            if ($has > 0.0 && $has < $wanted) {
                $grown = $reach[$axis] * $wanted / $has;
                $reach[$axis] = $axis < 2 ? max($reach[$axis], min($limit[$axis], $grown)) : $grown;
            }
        }

        return [$reach[0], $reach[1], $reach[2]];
    }

    private static function isInUnplacedZone(Line $line, ?Room $room): bool
    {
        if ($line->place === '' || $room === null || isset($room->zones[$line->place])) {
            return false;
        }
        foreach ($room->line->part->body->zones ?? [] as $zone) {
            if ($zone->name === $line->place) {
                return true;
            }
        }

        return false;
    }
}
