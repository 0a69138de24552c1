<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

use PocketPlot\Quantity\Constants;

/** Numbers that are written out before a unit, in figures: "five volts", "an eighth of an inch", "1 lb 5 oz". */
final class SpelledNumbers
{
    private const ONES = [
        'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7, 'eight' => 8, 'nine' => 9, 'ten' => 10, 'eleven' => 11,
        'twelve' => 12, 'thirteen' => 13, 'fourteen' => 14, 'fifteen' => 15, 'sixteen' => 16, 'seventeen' => 17, 'eighteen' => 18, 'nineteen' => 19,
        'twenty' => 20, 'thirty' => 30, 'forty' => 40, 'fifty' => 50, 'sixty' => 60, 'seventy' => 70, 'eighty' => 80, 'ninety' => 90,
    ];

    private const PARTS = ['half' => 0.5, 'third' => 1 / 3, 'quarter' => 0.25, 'fifth' => 0.2, 'eighth' => 0.125, 'sixteenth' => 0.0625];

    private const ONE = 'one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen|seventeen|eighteen|nineteen|'
        .'twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety';

    private const PART = 'half|third|quarter|fifth|eighth|sixteenth';

    private const UNIT = '(?:volts?|amps?|amperes?|milliamps?|watts?|millimet(?:er|re)s?|mm|centimet(?:er|re)s?|cm|met(?:er|re)s?|inch(?:es|er)?|feet|foot|'
        .'grams?|grammes?|ounces?|ohms?|seconds?|degrees?|contacts|pins|ways|cycles|charges|gigs?)\b';

    private const FORMS = [
        // "1 lb 5 oz"
        'pounds' => '/(?<![\w.])(\d+) ?lbs?,? (?:and )?(\d+(?:\.\d+)?) ?oz\b/i',
        // "two and a half volts"
        'sum' => '/\b('.self::ONE.'|\d+) and (?:an? |one |three )('.self::PART.')s? (?='.self::UNIT.')/i',
        // "a metre and a half"
        'one and a half' => '/\ban? (met(?:re|er)|foot|volt|amp|inch|watt) and a half\b/i',
        // "0.1 of an amp"
        'decimal' => '/(?<![\w.])(\d+(?:[.,]\d+)?) of an? (?='.self::UNIT.')/i',
        // "half an amp", "five eighths of an inch"; a third of an ounce is meant about as exactly as it is said.
        'part' => '/\b(?:(an?|'.self::ONE.') )?('.self::PART.')s?(?: of)?(?: an?)? (?=(?!ounce)'.self::UNIT.')/i',
        // "seven to twenty volts"
        'range' => '/\b('.self::ONE.')(?= (?:to|or) (?:'.self::ONE.')[ -]'.self::UNIT.')/i',
        // "four hundred and ten milliamps", "one point nine ounces"
        'words' => '/\b(?:'.self::ONE.')(?:[ -](?:'.self::ONE.'|hundred|and|point))*[ -](?='.self::UNIT.')/i',
    ];

    /** The same text in as many bytes: each number ends where its words ended, so that finds keep their places. */
    public static function inFigures(string $text): string
    {
        if (preg_match('/\b(?:'.self::ONE.'|'.self::PART.')\b|\d ?lbs?\b|\d of an? |and a half/i', $text) !== 1) {
            return $text;
        }
        foreach (self::FORMS as $form => $pattern) {
            $text = (string) preg_replace_callback($pattern, static fn (array $found): string => self::padded(self::figure($form, $found), $found[0]), $text);
        }

        return $text;
    }

    /**
     * @param  key-of<self::FORMS>  $form
     * @param  array<int|string, string>  $found  groups of its pattern
     */
    private static function figure(string $form, array $found): string
    {
        return match ($form) {
            'pounds' => round((int) $found[1] * Constants::GRAMS_PER_POUND + (float) $found[2] * Constants::GRAMS_PER_OUNCE, 1).' g',
            'sum' => (self::one($found[1]) + self::part($found[2])).' ',
            'range' => (string) self::one($found[1]),
            'one and a half' => "1.5 {$found[1]}",
            'decimal' => "{$found[1]} ",
            'part' => round(self::one($found[1]) * self::part($found[2]), 4).' ',
            'words' => self::value($found[0]).' ',
        };
    }

    /** A shorter text that ends where the longer one ended; the longer one itself where the figures would not find room. */
    private static function padded(string $short, string $long): string
    {
        return strlen($short) > strlen($long) ? $long : str_pad($short, strlen($long), ' ', STR_PAD_LEFT);
    }

    /** "a", "" and "an" are one. */
    private static function one(string $word): int
    {
        return ctype_digit($word) ? (int) $word : self::ONES[strtolower($word)] ?? 1;
    }

    private static function part(string $word): float
    {
        return self::PARTS[strtolower($word)] ?? 1.0;
    }

    /** @param  string  $words  "four hundred and ten", "one point nine" */
    private static function value(string $words): float
    {
        $value = 0;
        $decimals = null;
        foreach (preg_split('/[ -]+/', strtolower(trim($words, ' -'))) ?: [] as $word) {
            if ($word === 'point') {
                $decimals = '';
            } elseif ($word === 'hundred') {
                $value = max(1, $value) * 100;
            } elseif ($word !== 'and' && $decimals !== null) {
                $decimals .= (string) self::one($word);
            } elseif ($word !== 'and') {
                $value += self::one($word);
            }
        }

        return (float) ($decimals === null ? (string) $value : "{$value}.{$decimals}");
    }
}
