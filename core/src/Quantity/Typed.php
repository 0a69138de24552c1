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
        'mm' => ['mm' => 1.0, 'cm' => 10.0, 'm' => 1000.0, 'in' => Constants::MM_PER_INCH, 'inch' => Constants::MM_PER_INCH, '"' => Constants::MM_PER_INCH],
        'g' => ['g' => 1.0, 'kg' => 1000.0, 'oz' => Constants::GRAMS_PER_OUNCE, 'lb' => Constants::GRAMS_PER_POUND],
        'h' => ['h' => 1.0, 'hours' => 1.0, 'hour' => 1.0, 'min' => 1 / 60],
        'min' => ['min' => 1.0, 'h' => 60.0],
        'GB' => ['gb' => 1.0, 'mb' => 0.001, 'tb' => 1000.0],
        'V' => ['v' => 1.0, 'mv' => 0.001],
        'mA' => ['ma' => 1.0, 'a' => 1000.0],
        'mAh' => ['mah' => 1.0, 'ah' => 1000.0],
        'W' => ['w' => 1.0, 'mw' => 0.001],
        'Ω' => ['ohm' => 1.0, 'ohms' => 1.0, 'ω' => 1.0],
        'mΩ' => ['mohm' => 1.0, 'ohm' => 1000.0, 'mω' => 1.0],
        's' => ['s' => 1.0, 'min' => 60.0],
        'mm²' => ['mm2' => 1.0, 'mm²' => 1.0, 'cm2' => 100.0, 'cm²' => 100.0],
        '°C' => ['c' => 1.0, '°c' => 1.0],
        'K/W' => ['k/w' => 1.0],
        'K' => ['k' => 1.0],
        '' => [],
        'share' => ['%' => 0.01],
        'AWG' => ['awg' => 1.0],
        'mm±' => ['mm' => 1.0, 'cm' => 10.0, 'in' => 25.4],
    ];

    /**
     * A figure or a band: "7.4 V", "9 to 14 V", "9–14V", "19 V ± 1", "250 / 430 / 560 mA" (least, usual,
     * most), "2x2200mAh" (so many times).
     *
     * @return array{float, float, float} least, usual, most in the unit asked for
     *
     * @throws BadFigure saying what can be written instead
     */
    public static function band(string $text, string $unit): array
    {
        $text = trim($text);
        if (preg_match('/^(.+?)\s*(?:±|\+\/?-)\s*(.+)$/u', $text, $found) === 1) {
            $isShare = str_ends_with(trim($found[2]), '%') && $unit !== 'share';
            $middle = self::one($found[1], $unit, $text);
            $off = $isShare ? abs($middle) * self::one($found[2], 'share', $text) : self::one($found[2], $unit, $text);

            return [$middle - $off, $middle, $middle + $off];
        }
        $pieces = preg_split('/\s*(?:\bto\b|…|–|—|(?<=[\dA-Za-z%°"])\s*-\s*(?=\d))\s*/u', $text) ?: [];
        $pieces = count($pieces) === 1 && preg_match('/^[^\/]+\s\/\s/', $text) === 1 ? (preg_split('/\s+\/\s+/', $text) ?: []) : $pieces;
        // A unit written once, at the end, holds for all.
        preg_match('/[\d.,]\s*([^\d\s.,]\S*)\s*$/u', (string) end($pieces), $named);
        $values = array_map(
            static fn (string $piece): float => self::one(preg_match('/[\d.,\/]\s*$/u', $piece) === 1 ? $piece.($named[1] ?? '') : $piece, $unit, $text),
            $pieces,
        );
        if ($values === [] || count($values) > 3) {
            throw self::bad($text, $unit);
        }
        $usual = match (count($values)) {
            1 => $values[0],
            2 => ($values[0] + $values[1]) / 2,
            default => $values[1],
        };
        if ($values[0] > $usual || $usual > end($values)) {
            throw BadFigure::outOfOrder($values[0], $usual, (float) end($values), $unit);
        }

        return [$values[0], $usual, (float) end($values)];
    }

    /** @throws BadFigure */
    private static function one(string $piece, string $unit, string $whole): float
    {
        $times = 1.0;
        if (preg_match('/^\s*(\d+)\s*[x×]\s*(?=[\d.,])/u', $piece, $found) === 1) {
            $times = (float) $found[1];
            $piece = substr($piece, strlen($found[0]));
        }
        $sign = 1.0;
        if ($unit === 'mm±' && preg_match('/^\s*[-−]/u', $piece, $found) === 1) {
            $sign = -1.0;
            $piece = substr($piece, strlen($found[0]));
        }
        if (! isset(self::UNITS[$unit])) {
            throw self::bad($whole, $unit);
        }

        return $sign * $times * self::figure($piece, $unit);
    }

    /** @throws BadFigure saying what can be written instead */
    public static function figure(string $text, string $unit): float
    {
        $pattern = '/\G\s*(?:(\d+)\s+)?(?:(\d+)\s*\/\s*(\d+)|(\d+(?:[.,]\d+)?|[.,]\d+))\s*([a-zA-Z"°%²Ωω\/]*)\s*/u';
        $text = trim($text);
        $sum = 0.0;
        $at = 0;
        while ($at < strlen($text) && preg_match($pattern, $text, $found, PREG_UNMATCHED_AS_NULL, $at) === 1) {
            $name = mb_strtolower($found[5]);
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
        if (preg_match('/^\s*(?:([A-Za-z]{3})\s*)?(\d{1,9}(?:[.,]\d{1,4})?)\s*([A-Za-z]{3})?\s*$/', $text, $found, PREG_UNMATCHED_AS_NULL) !== 1
            || (isset($found[1]) && isset($found[3]))) {
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
