<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** What has to be written before a board starts, and where: a kind of card, or "built-in". */
final readonly class Software
{
    public function __construct(
        public Figure $imageGb,
        public string $card,
        /** Boards of one family share images and drivers. */
        public string $family,
        /** Somebody offers an image that is ready to be written. */
        public YesNo $image,
        /** Loses files when the power just goes. */
        public YesNo $needsShutdown,
        public Figure $shutdownSeconds,
        /** Which of a family's boards it is, for images that run on some of them only. */
        public string $generation = '',
        /** The connector by which the builder's own program gets onto it; "" when none is needed. */
        public string $programmedBy = '',
    ) {}
}
