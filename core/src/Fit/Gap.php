<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/** How far apart two pieces have to be, and along which axes they may part at all. */
final readonly class Gap
{
    /** Along the face, to the right and down; one nearer the face than the other; the other way round. */
    public const X = 1;

    public const Y = 2;

    public const BEFORE = 4;

    public const BEHIND = 8;

    public const ANY = 15;

    /**
     * @param  int  $ways  of X, Y, BEFORE (the first lies nearer the face) and BEHIND
     * @param  string  $why  what is wrong when it does not hold: "overlap", "over-cell", "travel", "heat", "coil"
     */
    public function __construct(public float $besideMm, public float $layerMm, public int $ways = self::ANY, public string $why = 'overlap') {}

    public static function between(Piece $one, Piece $other, Spacing $spacing): self
    {
        $beside = $spacing->besideMm;
        $layer = $spacing->layerMm;
        if (($one->isControl && $other->isCell) || ($one->isCell && $other->isControl)) {
            return new self($beside, $layer, self::X | self::Y, 'over-cell');
        }
        if (($one->isHot && $other->isCell) || ($one->isCell && $other->isHot)) {
            return new self(max($beside, $spacing->heatMm), max($layer, $spacing->heatMm), self::ANY, 'heat');
        }
        if ($one->isCoil !== $other->isCoil) {
            return new self($beside, $layer, self::X | self::Y | ($one->isCoil ? self::BEHIND : self::BEFORE), 'coil');
        }
        $travel = max($one->isControl ? $one->travelMm ?? 0.0 : 0.0, $other->isControl ? $other->travelMm ?? 0.0 : 0.0);

        return new self($beside, max($layer, $travel), self::ANY, $travel > $layer ? 'travel' : 'overlap');
    }
}
