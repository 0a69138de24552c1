<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/** Ways of arranging that really differ. */
enum Style: string
{
    case Free = 'free';

    /** No cell behind the picture. */
    case CellsBeside = 'cells-beside';

    /** All cells behind the picture. */
    case CellsBehind = 'cells-behind';

    /** A pack taken apart, one half left and one right of the picture. */
    case CellsApart = 'cells-apart';

    public function says(): string
    {
        return match ($this) {
            self::Free => 'Wherever it fits best',
            self::CellsBeside => 'Cells beside the picture',
            self::CellsBehind => 'Cells behind the picture',
            self::CellsApart => 'Cells in both grips',
        };
    }

    /**
     * Whether it is another way at all for these pieces.
     *
     * @param  list<Piece>  $pieces
     */
    public function isFor(array $pieces): bool
    {
        $cells = array_filter($pieces, static fn (Piece $piece): bool => $piece->isCell);
        $panels = array_filter($pieces, static fn (Piece $piece): bool => $piece->isPanel);

        return match ($this) {
            self::Free => true,
            self::CellsApart => array_filter($cells, static fn (Piece $piece): bool => Piece::mayLieApart($piece->line) > 1) !== [],
            default => $cells !== [] && $panels !== [],
        };
    }

    public function gap(Piece $one, Piece $other, Gap $gap): Gap
    {
        $ways = match (true) {
            $this === self::CellsBeside && ($one->isCell && $other->isPanel || $one->isPanel && $other->isCell) => Gap::X | Gap::Y,
            $this === self::CellsBehind && $one->isPanel && $other->isCell => Gap::BEFORE,
            $this === self::CellsBehind && $one->isCell && $other->isPanel => Gap::BEHIND,
            $this === self::CellsApart && $one->isCell && $other->isCell && $one->line->id === $other->line->id => Gap::X,
            default => $gap->ways,
        };

        return new Gap($gap->besideMm, $gap->layerMm, ($ways & $gap->ways) > 0 ? $ways & $gap->ways : $gap->ways, $gap->why);
    }
}
