<?php

declare(strict_types=1);

namespace PocketPlot\Clipping\Weighing;

use PocketPlot\Clipping\Amounts;
use PocketPlot\Clipping\Glossary;
use PocketPlot\Clipping\SpelledNumbers;

/** Parts a plain text into words, numbers and signs. */
final class Tokens
{
    /** A point behind one of these ends no sentence. */
    private const ABBREVIATIONS = [
        'max', 'min', 'typ', 'approx', 'ca', 'abs', 'no', 'nr', 'incl', 'temp', 'pcs', 'est', 'wt', 'vs', 'ver', 'rev', 'nom', 'inc', 'ext', 'int', 'dia',
        'w', 'avg', 'cont', 'resp', 'op', 'std', 'vol', 'curr', 'amb', 'dim', 'qty',
    ];

    /** Units of more than one word. */
    private const UNITS = '(?:milli)?amp[ -]hours?\b|watt[ -]hours?\b|(?:degrees|kelvin) per watt|°c\/w|deg(?:rees)? c\b|per cent\b';

    private const NUMBER_AT = '(?:(?<![a-z0-9_.,])|(?<=\.\.)(?=\d)|(?<=\bdc)|(?<=\ddc)|(?<=\bx)|(?<=\dx)|(?<=mmx)|(?<=cmx))';

    /** @return list<Token> */
    public static function of(string $plain): array
    {
        $lower = self::inFigures($plain);
        $pattern = '@(?<number>'.self::NUMBER_AT.Amounts::NUMBER.')|(?<sign>x(?=\d)(?:(?<=\dx)|(?<=mmx)|(?<=cmx)))|(?<word>dc(?=\d)|x(?=\d))'
            .'|(?<name>[a-z][a-z0-9]*-?\d[\w.-]*|\d+[a-z]\d+\w*)|(?<plain>'.self::UNITS.'|°c|°|k/w|[a-zäöüßΩé]+(?:\'[a-z]+)?)|(?<end>\n)|(?<other>[^\s])@u';
        if (preg_match_all($pattern, $lower, $all, PREG_SET_ORDER | PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL) < 1) {
            return [];
        }
        $tokens = [];
        foreach ($all as $found) {
            [$text, $start] = $found[0];
            $kind = match (true) {
                ($found['number'][0] ?? null) !== null => Token::NUMBER,
                ($found['name'][0] ?? null) !== null => Token::NAME,
                ($found['end'][0] ?? null) !== null => Token::LINE_END,
                ($found['word'][0] ?? null) !== null, ($found['plain'][0] ?? null) !== null => Token::WORD,
                default => Token::SIGN,
            };
            $before = $tokens === [] ? null : $tokens[count($tokens) - 1];
            if ($text === '.' && $before !== null && in_array($before->text, self::ABBREVIATIONS, true)) {
                continue;
            }
            $tokens[] = new Token((string) $text, $kind, $start, ctype_upper($plain[$start]));
        }

        return $tokens;
    }

    /** In small letters, with the numbers that are written out in figures; as many bytes as before. */
    private static function inFigures(string $plain): string
    {
        $figures = implode("\n", array_map(SpelledNumbers::inFigures(...), explode("\n", $plain)));
        $lower = Glossary::plain(strtolower($figures));

        return strlen($lower) === strlen($plain) ? $lower : strtolower($plain);
    }
}
