<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** What video a board can give. */
final readonly class VideoOut
{
    /**
     * @param  list<Mode>|null  $modes  formats it is known to give; null when nobody knows
     * @param  list<string>|null  $firstStart  signals that show something before anything is set up; null when nobody knows
     */
    public function __construct(
        public ?array $modes,
        public ?array $firstStart,
        /** Takes a line with any format up to its largest. */
        public YesNo $ownModes,
        public YesNo $rotates,
    ) {}
}
