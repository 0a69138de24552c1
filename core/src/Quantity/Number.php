<?php

declare(strict_types=1);

namespace PocketPlot\Quantity;

/** Numbers as they stand in a sentence: no more digits than the figure is worth. */
final class Number
{
    /** As one would type it: up to so many decimals, no trailing noughts. */
    public static function exact(float $value, int $decimals = 3): string
    {
        $text = number_format($value, $decimals, '.', '');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }

    public static function says(float $value): string
    {
        $digits = match (true) {
            abs($value) >= 100 => 0,
            abs($value) >= 10 => 1,
            default => 2,
        };
        $rounded = round($value, $digits);
        // A float's shortest text has no trailing noughts; very large ones would turn to powers of ten.
        if (abs($rounded) < 1e15) {
            return $rounded === 0.0 ? '0' : (string) $rounded;
        }

        return number_format($rounded, 0, '.', '');
    }
}
