<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/** One thing about an arrangement that does not hold: between whom, by how much, and where. */
final readonly class Trouble
{
    /** Kinds that cannot be, whatever else is done; all others are tight. */
    private const CLASHES = ['overlap', 'outside', 'rib', 'post', 'face', 'zone', 'over-cell', 'travel', 'socket', 'opening', 'opening-out', 'plug', 'lead', 'coil'];

    /**
     * @param  string  $kind  of CLASHES, or "close", "heat", "air", "card", "unplug", "coil-far", "no-way", "bare", and those that wait for a figure: "which-edge", "travel-open", "bare-open"
     * @param  ?Piece  $other  null where it is about the body
     * @param  float  $mm  by how much it fails, or how far it is
     * @param  float  $wantedMm  how far was wanted; nought where that is plain
     * @param  ?Box  $where  the place of it, to be shown
     * @param  string  $what  the socket, rib, zone or side it is about
     */
    public function __construct(
        public string $kind,
        public Piece $piece,
        public ?Piece $other,
        public float $mm,
        public float $wantedMm = 0.0,
        public ?Box $where = null,
        public string $what = '',
    ) {}

    public function isClash(): bool
    {
        return in_array($this->kind, self::CLASHES, true);
    }

    public function isOpen(): bool
    {
        return in_array($this->kind, ['which-edge', 'travel-open', 'bare-open'], true);
    }
}
