<?php

declare(strict_types=1);

namespace PocketPlot\Build;

/** What an arrangement is to make least. */
enum FitAim: string
{
    case Thickness = 'thickness';
    case Area = 'area';
    case Volume = 'volume';

    /** Length, width and thickness together. */
    case Outer = 'outer';

    public function says(): string
    {
        return match ($this) {
            self::Thickness => 'as flat as it gets',
            self::Area => 'the smallest face',
            self::Volume => 'the least room',
            self::Outer => 'the shortest sides',
        };
    }

    public function unit(): string
    {
        return match ($this) {
            self::Thickness, self::Outer => 'mm',
            self::Area => 'cm²',
            self::Volume => 'cm³',
        };
    }
}
