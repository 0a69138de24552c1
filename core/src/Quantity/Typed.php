<?php

declare(strict_types=1);

namespace PocketPlot\Quantity;

/**
 * Figures as people write them: "2,5 kg", "1/8 in", "4 h 30 min", "18,50 GBP". A plain number is in
 * the unit asked for. Points and commas both part decimals, so there are no thousands marks.
 */
final class Typed
{
    /** What one of each unit is, in the unit it is turned into. Inch and pound by international definition. */
    private const UNITS = [
        'mm' => ['mm' => 1.0, 'cm' => 10.0, 'm' => 1000.0, 'in' => 25.4, 'inch' => 25.4, '"' => 25.4],
        'g' => ['g' => 1.0, 'kg' => 1000.0, 'oz' => 28.349523125, 'lb' => 453.59237],
        'h' => ['h' => 1.0, 'hours' => 1.0, 'hour' => 1.0, 'min' => 1 / 60],
        'min' => ['min' => 1.0, 'h' => 60.0],
        'GB' => ['gb' => 1.0, 'mb' => 0.001, 'tb' => 1000.0],
    ];

    /** @throws BadFigure saying what can be written instead */
    public static function figure(string $text, string $unit): float
    {
        $pattern = '/\G\s*(?:(\d+)\s+)?(?:(\d+)\s*\/\s*(\d+)|(\d+(?:[.,]\d+)?|[.,]\d+))\s*([a-zA-Z"]*)\s*/u';
        $text = trim($text);
        $sum = 0.0;
        $at = 0;
        while ($at < strlen($text) && preg_match($pattern, $text, $found, PREG_UNMATCHED_AS_NULL, $at) === 1) {
            $name = strtolower($found[5]);
            $factor = $name === '' ? 1.0 : (self::UNITS[$unit][$name] ?? null);
            $isFraction = $found[2] !== null;
            if ($factor === null || ($found[1] !== null && ! $isFraction) || ($isFraction && (int) $found[3] === 0)) {
                throw self::bad($text, $unit);
            }
            $number = $isFraction ? (float) $found[2] / (float) $found[3] : (float) str_replace(',', '.', (string) $found[4]);
            $sum += ((float) ($found[1] ?? 0) + $number) * $factor;
            $at += strlen($found[0]);
        }
        if ($at === 0 || $at < strlen($text)) {
            throw self::bad($text, $unit);
        }

        return round($sum, 6);
    }

    /** @throws BadFigure */
    public static function money(string $text, string $currency): Money
    {
        if (preg_match('/^\s*(?:([A-Za-z]{3})\s*)?(\d{1,9}(?:[.,]\d{1,4})?)\s*([A-Za-z]{3})?\s*$/', $text, $found, PREG_UNMATCHED_AS_NULL) !== 1 || (isset($found[1]) && isset($found[3]))) {
            throw BadFigure::notMoney($text);
        }

        return Money::of(str_replace(',', '.', (string) $found[2]), strtoupper($found[1] ?? $found[3] ?? $currency));
    }

    private static function bad(string $text, string $unit): BadFigure
    {
        $units = implode(', ', array_keys(self::UNITS[$unit] ?? [$unit => 1]));

        return new BadFigure("\"{$text}\" cannot be read as a figure; write a number, with one of {$units} if you like");
    }
}
