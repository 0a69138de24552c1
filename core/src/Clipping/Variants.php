<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/**
 * Of a text that lists several variants and says which one is meant, the others blanked out: in as many bytes, so that finds
 * keep their places. Where nobody says which, the text stays as it is.
 */
final class Variants
{
    /** Words before the variant that is meant, and what is said behind them. */
    private const CHOICE = '/(?:\byour (?:selection|choice|order|variant)|\byou(?: have|.ve)? (?:ordered|chose|chosen|selected|picked)|\bitem you are viewing|'
        .'\byou are (?:buying|viewing|bidding on)|\b(?:selected|chosen|ordered)(?: item| variant| option| version)?(?=\s*:)|\bcart(?=\s*:)|'
        .'\b(?:this|our) (?:offer|listing|lot|item|auction)(?: is)?|\bthis is(?: for)?|\bwe ship(?: you)?|\byours is)\s*[:=]?\s*(?:the |'
        .'for )?["“]?([^\n.;]{1,40}(?:\.\d[^\n.;]{0,20})?)/iu';

    /** Choices that are looked at; nobody makes more. */
    private const MOST_CHOICES = 8;

    /**
     * @param  string  $text  plain (Plain), in bytes
     * @return string in as many bytes, line for line
     */
    public static function chosen(string $text): string
    {
        $text = self::bracketed($text);
        if (preg_match_all(self::CHOICE, $text, $all, PREG_SET_ORDER) < 1) {
            return $text;
        }
        foreach (array_slice($all, 0, self::MOST_CHOICES) as [, $said]) {
            $text = self::listed(self::inLines($text, $said), $said);
        }

        return $text;
    }

    /** "1 GB | 2 GB | [4 GB]": of cells beside one in brackets, the figures. */
    private static function bracketed(string $text): string
    {
        $lines = explode("\n", $text);
        foreach ($lines as $at => $line) {
            if (preg_match_all('/\[[^\[\]]*\d[^\[\]]{0,16}\]/', $line) !== 1 || preg_match_all('/\s[|\/]\s/', $line) < 1
                || preg_match('/\[\s*[xX ]\s*\]/', $line) === 1) {
                continue;
            }
            $cells = preg_split('/(\s[|\/]\s)/', $line, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [];
            $lines[$at] = implode('', array_map(static fn (string $cell): string => str_contains($cell, '[') ? (string) preg_replace('/\[([^\[\]]+)\]/',
                '  $1', $cell)
                : (string) preg_replace_callback('/\d[\d.,]*\s?[A-Za-z%€$£"]*/', self::blank(...), $cell), $cells));
        }

        return implode("\n", $lines);
    }

    /** Lines or rows that begin with the names of variants: those of the others. */
    private static function inLines(string $text, string $said): string
    {
        $lines = explode("\n", $text);
        $keys = array_map(self::keyOf(...), $lines);
        foreach ($keys as $at => $key) {
            if ($key === null || ! self::isMeant($key, $said)) {
                continue;
            }
            [$first, $last] = [$at, $at];
            while ($first > 0 && self::areAlike($keys[$first - 1], $key)) {
                $first--;
            }
            while ($last < count($lines) - 1 && self::areAlike($keys[$last + 1], $key)) {
                $last++;
            }
            for ($other = $first; $other <= $last; $other++) {
                $lines[$other] = $other === $at ? $lines[$other] : str_repeat(' ', strlen($lines[$other]));
            }
            if ($last > $first) {
                break;
            }
        }

        return implode("\n", $lines);
    }

    /** "PA-1 (3 W), PA-2 (2 x 3 W)" and "5 V 3 A / 9 V 2 A / 12 V 1.5 A": the others of a list within a line. */
    private static function listed(string $text, string $said): string
    {
        $lines = explode("\n", $text);
        foreach ($lines as $at => $line) {
            if (preg_match_all('/(?<![\w-])([A-Z\d][\w-]{0,12})\s*\([^()]{2,60}\)/', $line, $all, PREG_SET_ORDER | PREG_OFFSET_CAPTURE) > 1) {
                $items = array_map(static fn (array $one): array => [$one[0][0], $one[0][1], $one[1][0]], $all);
                $line = self::without($line, $items, $said);
            }
            foreach (preg_split('/(?<=[:.;])\s/', $line, -1, PREG_SPLIT_OFFSET_CAPTURE) ?: [] as [$piece, $start]) {
                $parts = preg_split('/\s\/\s/', $piece, -1, PREG_SPLIT_OFFSET_CAPTURE) ?: [];
                if (count($parts) > 1) {
                    $line = self::without($line, array_map(static fn (array $one): array => [$one[0], $start + $one[1], $one[0]], $parts), $said);
                }
            }
            $lines[$at] = $line;
        }

        return implode("\n", $lines);
    }

    /**
     * A line without the items that are not meant; the line itself where none or several could be.
     *
     * @param  list<array{string, int, string}>  $items  text, place in bytes and name of each
     */
    private static function without(string $line, array $items, string $said): string
    {
        $meant = array_filter($items, static fn (array $one): bool => self::isMeant($one[2], $said) || self::isMeant($said, $one[2]));
        // The choice itself may stand at the list's end: "10 / 20 / 50 cm, you selected 20 cm".
        if (count($meant) !== 1 || array_filter($items, static fn (array $one): bool => preg_match(self::CHOICE, $one[0]) === 1) !== []) {
            return $line;
        }
        foreach (array_diff_key($items, $meant) as [$item, $at]) {
            $line = substr_replace($line, str_repeat(' ', strlen($item)), $at, strlen($item));
        }

        return $line;
    }

    /** What a line names first, where it looks like the name of a variant: "B)", "Corry-5:", the first cell of a row. */
    private static function keyOf(string $line): ?string
    {
        return match (true) {
            preg_match('/^\s*[-*•]?\s*\(?([A-Za-z]|\d{1,2})[).:]\s/u', $line, $found) === 1,
            preg_match('/^\s*([^|\t;]{1,24}?)\s*[|\t;]/', $line, $found) === 1,
            preg_match('/^\s*[-*•]?\s*([A-Za-z][\w .+-]{0,24}?)\s*:\s/u', $line, $found) === 1 => trim($found[1]),
            default => null,
        };
    }

    /** Whether two names are of variants of one thing: both short and of one make, "3.5"" and "5.0"", "Corry-3" and "Corry-5", "A" and "B". */
    private static function areAlike(?string $one, string $other): bool
    {
        $make = static fn (string $name): string => (string) preg_replace(['/\d+(?:[.,]\d+)?/', '/\b[A-Za-z]\b/'], ['0', 'x'], mb_strtolower($name));

        return $one !== null && $make($one) === $make($other);
    }

    /** Whether what is said begins with a name, as a whole word. */
    private static function isMeant(string $name, string $said): bool
    {
        $plain = static fn (string $words): string => trim((string) preg_replace('/[\s"“”]+/u', ' ', mb_strtolower($words)));
        [$name, $said] = [$plain($name), $plain($said)];

        return $name !== '' && str_starts_with($said, $name) && preg_match('/^[\p{L}\p{N}-]/u', substr($said, strlen($name))) !== 1;
    }

    /** @param  array<array-key, string>  $found */
    private static function blank(array $found): string
    {
        return str_repeat(' ', strlen($found[0]));
    }
}
