<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** Posts of a body for one pattern of holes ("58x49"), and what screw goes in. */
final readonly class Post
{
    public function __construct(
        public string $pattern,
        public string $thread,
        /** How deep a screw may go in, and how thick what it clamps is. */
        public Figure $depthMm,
        public Figure $clampMm,
        /** Room for the head: across, and high. */
        public Figure $headAcrossMm,
        public Figure $headHighMm,
        /** What holds the thread: "post", "insert" or "nut". */
        public string $holdsBy,
        /** The middle of the pattern in the room inside, from the front top left. */
        public Figure $xMm,
        public Figure $yMm,
    ) {}
}
