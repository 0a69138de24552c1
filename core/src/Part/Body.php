<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** A case: the room inside it and the openings in its walls, or one that is drawn around the parts. */
final readonly class Body
{
    /** @param  list<Opening>  $openings */
    public function __construct(
        public Figure $cavityLengthMm,
        public Figure $cavityWidthMm,
        public Figure $cavityHeightMm,
        public Figure $wallMm,
        public bool $drawn,
        public bool $cuttable,
        public array $openings,
    ) {}

    public function cavity(): Size
    {
        return new Size($this->cavityLengthMm, $this->cavityWidthMm, $this->cavityHeightMm, Figure::unknown('g'));
    }
}
