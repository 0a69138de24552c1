<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** A picture: its pixels, what it can be fed, and whether it senses touch. */
final readonly class Panel
{
    /** @param  list<Mode>|null  $modes  what it takes besides its own pixels; null when nobody knows what it takes */
    public function __construct(
        public int $widthPx,
        public int $heightPx,
        public bool $touch,
        public Figure $activeWidthMm,
        public Figure $activeHeightMm,
        public ?array $modes,
        /** Dim to bright, milliamps of the light. */
        public Figure $lightMa,
        /** How it is dimmed: "software", "buttons", "wheel", "none", "" when not said. */
        public string $dims,
        /** Stays dark without a picture signal. */
        public YesNo $needsSignal,
        /** Scans upright, so that the picture has to be turned. */
        public bool $upright,
        /** Corner of the active area, from the part's left and top; null or unknown when it lies in the middle. */
        public ?Figure $activeXMm = null,
        public ?Figure $activeYMm = null,
    ) {}
}
