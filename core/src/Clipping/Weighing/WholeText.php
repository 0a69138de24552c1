<?php

declare(strict_types=1);

namespace PocketPlot\Clipping\Weighing;

use PocketPlot\Clipping\Plain;

/** What may say what a text is about, as traits: its words, those of its name, what its numbers are counted in. */
final class WholeText
{
    /** Signs of a text that are looked at, and words of its name. */
    private const MOST_SIGNS = 1200;

    private const NAME = 7;

    /** Letters of a word by which others of its family are known. */
    private const STEM = 6;

    /** Signs of a line by which lines are told apart. */
    private const STEP_OF_LENGTH = 12;

    /**
     * @param  string  $byWords  the role that plain words gave; "" for none
     * @return list<string>
     */
    public static function traits(string $text, string $byWords): array
    {
        $tokens = Tokens::of(Plain::of(mb_substr(ltrim($text), 0, self::MOST_SIGNS, 'UTF-8'))->text);
        $traits = ['', "words={$byWords}"];
        $inName = self::NAME;
        $before = '^';
        foreach ($tokens as $at => $token) {
            $isNumber = $token->kind === Token::NUMBER;
            if ($token->kind === Token::LINE_END || in_array($token->text, [',', ';', ':', '('], true)) {
                $inName = 0;
                $before = '^';

                continue;
            }
            if ($token->kind === Token::SIGN) {
                continue;
            }
            $word = $isNumber || $token->kind === Token::NAME ? '#' : $token->text;
            if ($isNumber) {
                $traits[] = 'unit='.($tokens[$at + 1]->text ?? '$');
            } else {
                array_push($traits, "w={$word}", 's='.substr($word, 0, self::STEM));
            }
            $traits[] = "b={$before} {$word}";
            if ($inName > 0) {
                array_push($traits, "n={$word}", "nb={$before} {$word}", "words={$byWords}|{$word}");
                $inName--;
            }
            $before = $word;
        }

        return array_values(array_unique($traits));
    }

    /**
     * What may say whether a line names a part, or says something of one: its words, and how it is built.
     *
     * @return list<string>
     */
    public static function ofLine(string $line, string $byWords): array
    {
        $figures = preg_match_all('/\d+(?:[.,]\d+)?/', $line);

        return [
            ...self::traits($line, $byWords), 'long='.min(6, intdiv(mb_strlen($line), self::STEP_OF_LENGTH)), 'figures='.min(5, (int) $figures),
            'label='.(preg_match('/^[^\d]{2,40}(?::|\||\.{3}|\s{3})/u', $line) === 1 ? 'yes' : 'no'), 'figure first='.(preg_match('/^\d/', $line) === 1 ? 'yes' : 'no'),
            'small first='.(preg_match('/^\p{Ll}/u', $line) === 1 ? 'yes' : 'no'), 'stop='.(preg_match('/[.!?]$/', $line) === 1 ? 'yes' : 'no'),
            'commas='.min(3, substr_count($line, ',')), 'cross='.(preg_match('/\d\s?[x×*]\s?\d/u', $line) === 1 ? 'yes' : 'no'),
        ];
    }
}
