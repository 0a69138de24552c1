<?php

declare(strict_types=1);

namespace PocketPlot\Quantity;

/** Numbers as they stand in a sentence: no more digits than the figure is worth. */
final class Number
{
    public static function says(float $value): string
    {
        $digits = match (true) {
            abs($value) >= 100 => 0,
            abs($value) >= 10 => 1,
            default => 2,
        };
        $text = number_format($value, $digits, '.', '');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }
}
