<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/** Numbers that are written out before a unit, in figures: "five volts", "an eighth of an inch", "1 lb 5 oz". They end where they ended, so that finds keep their places. */
final class SpelledNumbers
{
    private const ONES = [
        'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7, 'eight' => 8, 'nine' => 9, 'ten' => 10, 'eleven' => 11,
        'twelve' => 12, 'thirteen' => 13, 'fourteen' => 14, 'fifteen' => 15, 'sixteen' => 16, 'seventeen' => 17, 'eighteen' => 18, 'nineteen' => 19,
        'twenty' => 20, 'thirty' => 30, 'forty' => 40, 'fifty' => 50, 'sixty' => 60, 'seventy' => 70, 'eighty' => 80, 'ninety' => 90,
    ];

    private const PARTS = ['half' => 0.5, 'third' => 1 / 3, 'quarter' => 0.25, 'fifth' => 0.2, 'eighth' => 0.125, 'sixteenth' => 0.0625];

    private const UNITS = 'volts?|amps?|amperes?|milliamps?|watts?|millimet(?:er|re)s?|mm|centimet(?:er|re)s?|cm|met(?:er|re)s?|inch(?:es)?|feet|foot|'
        .'grams?|grammes?|ounces?|ohms?';

    private const GRAMS_PER_POUND = 453.59237;

    private const GRAMS_PER_OUNCE = 28.349523125;

    public static function inFigures(string $text): string
    {
        if (preg_match('/\\b(?:volts?|amps?|milliamps?|watts?|mm|millimet|cm|centimet|met(?:er|re)s?\b|inch|feet|foot|gram|ounce|oz|ohm)/i', $text) !== 1) {
            return $text;
        }
        $word = implode('|', array_keys(self::ONES)).'|hundred|and|point';
        $first = implode('|', array_keys(self::ONES));
        $part = implode('|', array_keys(self::PARTS));
        $units = self::UNITS;
        $text = (string) preg_replace_callback(
            '/(?<![\\w.])(\\d+) ?lbs?,? (?:and )?(\\d+(?:\\.\\d+)?) ?oz\\b/i',
            static fn (array $found): string => self::before(
                round((int) $found[1] * self::GRAMS_PER_POUND + (float) $found[2] * self::GRAMS_PER_OUNCE, 1).' g', $found[0],
            ),
            $text,
        );
        // "two and a half volts"
        $text = (string) preg_replace_callback(
            "/\\b({$first}|\\d+) and (?:an? |one |three )({$part})s? (?=(?:{$units})\\b)/i",
            static fn (array $found): string => self::before(
                ((self::ONES[strtolower($found[1])] ?? (int) $found[1]) + self::PARTS[strtolower($found[2])]).' ', $found[0],
            ),
            $text,
        );
        // "0.1 of an amp"
        $text = (string) preg_replace_callback(
            "/(?<![\\w.])(\\d+(?:[.,]\\d+)?) of an? (?={$units})/i",
            static fn (array $found): string => self::before("{$found[1]} ", $found[0]),
            $text,
        );
        $text = (string) preg_replace_callback(
            "/\\b(?:(an?|{$first}) )?({$part})s?(?: of)?(?: an?)? (?=(?!ounce)(?:{$units})\\b)/i",
            static fn (array $found): string => self::before(
                round((self::ONES[strtolower($found[1])] ?? 1) * self::PARTS[strtolower($found[2])], 4).' ', $found[0],
            ),
            $text,
        );

        return (string) preg_replace_callback(
            "/\\b(?:{$first})(?:[ -](?:{$word}))*[ -](?=(?:{$units})\\b)/i",
            static function (array $found): string {
                $value = self::value(preg_split('/[ -]+/', strtolower(trim($found[0], ' -'))) ?: []);

                return $value === null ? $found[0] : self::before("{$value} ", $found[0]);
            },
            $text,
        );
    }

    /** A shorter text that ends where the longer one ended. */
    private static function before(string $short, string $long): string
    {
        return strlen($short) > strlen($long) ? $long : str_pad($short, strlen($long), ' ', STR_PAD_LEFT);
    }

    /** @param  list<string>  $words  "four hundred and ten", "one point nine" */
    private static function value(array $words): ?float
    {
        $value = 0.0;
        $decimals = null;
        foreach ($words as $word) {
            if ($word === 'point') {
                $decimals = '';
            } elseif ($word === 'hundred') {
                $value = max(1.0, $value) * 100.0;
            } elseif ($word !== 'and') {
                $one = self::ONES[$word] ?? null;
                if ($one === null) {
                    return null;
                }
                $decimals === null ? $value += $one : $decimals .= (string) $one;
            }
        }

        return $decimals === null || $decimals === '' ? $value : (float) ((int) $value.".{$decimals}");
    }
}
