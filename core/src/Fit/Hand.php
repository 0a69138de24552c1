<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/**
 * Three sizes of hands: lengths of thumb and forefinger of the 5th percentile of women, the middle, and the 95th of men
 * (18 to 65 years; DIN 33402-2, body measurements).
 */
enum Hand: string
{
    case Small = 'small';
    case Middle = 'middle';
    case Large = 'large';

    public function thumbMm(): float
    {
        return match ($this) {
            self::Small => 52.0,
            self::Middle => 64.0,
            self::Large => 76.0,
        };
    }

    public function forefingerMm(): float
    {
        return match ($this) {
            self::Small => 62.0,
            self::Middle => 71.0,
            self::Large => 83.0,
        };
    }
}
