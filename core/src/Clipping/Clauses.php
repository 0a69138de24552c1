<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/** Parts a text into clauses: lines, labels, sentences, bullets; rows of tables as Tables writes them out. */
final class Clauses
{
    private const ABBREVIATIONS = 'max|min|typ|approx|ca|abs|no|nr|art|dim|incl|temp|pcs|op|est|wt|vs|fig|ver|rev|nom|inc|ext|int|dia|n\.w|g\.w|mfr|pc|qty|'
        .'ref|avg|cont|resp';

    private const MOST_BYTES = 300;

    private const QUESTION = '/^\W{0,3}(?:q(?:uestion)?\W{1,3})?(?:can|could|does|do|is|are|will|would|has|may|should|kann|geht|hat|ist)\b[^?]*\?["\')]?\s*$/i';

    /** Units as they stand with a label, and as they are written behind a number. */
    private const WITH_LABEL = [
        'mm' => 'mm', 'cm' => 'cm', 'inch' => 'inch', 'inches' => 'inch', 'g' => 'g', 'kg' => 'kg', 'oz' => 'oz', 'v' => 'V', 'volt' => 'V', 'volts' => 'V',
        'ua' => 'uA', 'µa' => 'uA', 'ma' => 'mA', 'a' => 'A', 'w' => 'W', 'mah' => 'mAh', 'ah' => 'Ah', 'wh' => 'Wh',
        'ohm' => 'ohm', 'eur' => 'EUR', '€' => 'EUR', 'usd' => 'USD', '$' => 'USD', 'gbp' => 'GBP', '£' => 'GBP', 'chf' => 'CHF',
    ];

    /** The same as a pattern. */
    private const UNITS_OF_LABELS = 'mm|cm|inch(?:es)?|g|kg|oz|v|volts?|[uµ]a|ma|a|w|mah|ah|wh|ohm|eur|€|usd|\\$|gbp|£|chf';

    /** @return list<Clause> */
    public static function of(Plain $plain): array
    {
        $lines = [];
        $at = 0;
        foreach (explode("\n", $plain->text) as $line) {
            $lines[] = [$line, $at];
            $at += strlen($line) + 1;
        }
        $isChosen = preg_match('/^\s*[\[(][xX✓✔]\]?[\])]?/m', $plain->text) === 1;
        $clauses = [];
        $heading = $unit = $question = '';
        $skip = 0;
        $isSettled = preg_match('/\bthis (?:lot|one|offer|listing|item)\b|you (?:chose|selected)/i', $plain->text) === 1;
        foreach ($lines as $index => [$line, $start]) {
            [$line, $start] = self::ofThisOffer($line, $start);
            if ($skip > 0) {
                $skip--;

                continue;
            }
            [$line, $start] = $isSettled ? self::withoutChoices($line, $start) : [$line, $start];
            if (preg_match('/^\s*>+\s*([^?\n]{2,60})\?\s*$/', $line, $asked) === 1) {
                // A question of somebody else's is the label of the answer below it.
                $question = strtolower(trim($asked[1]));

                continue;
            }
            if (trim($line) === '' || ($isChosen && preg_match('/^\s*(?:\[\s?\]|\(\s?\))/', $line) === 1)) {
                continue;
            }
            $table = Tables::chosen($lines, $index) ?? (preg_match('/\bm(?:in|ax)|\bunits?\b/i', $line) === 1 ? Tables::bounded($lines, $index) : null)
                ?? (preg_match('/[;\t|,].*[;\t|,].*[;\t|,]/', $line) === 1 ? Tables::sheet($lines, $index) : null)
                ?? (preg_match('/^[^\d]+$/', $line) === 1 ? Tables::series($lines, $index) : null);
            if ($table !== null) {
                array_push($clauses, ...$table[0]);
                $skip = $table[1];

                continue;
            }
            if (preg_match('/^[^\d]{3,40}:\s*$/', $line) === 1) {
                $heading = strtolower(trim($line, " :\t"));
                $clauses[] = new Clause($line, $start);

                continue;
            }
            // "black   110" under "white   540 mA": the unit is said once.
            if (preg_match('/^\s*\S.*?\s{2,}[\d.,]+\s*(mA|A|V|W|mm|g)\s*$/', $line, $found) === 1) {
                $unit = $found[1];
            } elseif ($unit !== '' && preg_match('/^\s*[^\s\d].*?\s{2,}[\d.,]+\s*$/', $line) === 1) {
                $clauses[] = new Clause(rtrim($line)." {$unit}", $start, '', $heading, [$start, $start + strlen($line)]);

                continue;
            } else {
                $unit = '';
            }
            array_push($clauses, ...self::line($line, $start, $heading, $question));
            $question = '';
        }

        return $clauses;
    }

    /**
     * "Choose 10 / 20 cm. This lot: 20 cm.": what is behind the choices, and where it begins.
     *
     * @return array{string, int}
     */
    private static function withoutChoices(string $line, int $start): array
    {
        if (preg_match('/^\W*(?:choose|select|pick)\b[^.]*\./i', $line, $choices) !== 1) {
            return [$line, $start];
        }

        return [substr($line, strlen($choices[0])), $start + strlen($choices[0])];
    }

    /**
     * Of "Choose: A 29 EUR / B 37 EUR <- this offer", what is marked; the place of it moves along.
     *
     * @return array{string, int}
     */
    private static function ofThisOffer(string $line, int $start): array
    {
        $mark = '/(?:<-|<=|\()? ?(?:this (?:one|offer|item|listing)|yours|selected|chosen)\)?\W*$/i';
        if (preg_match('/^\W*(?:please )?(?:choose|options?|variants?|versions?|'
            .'select)\b[^:]{0,20}:\s*/i', $line, $head) !== 1 || ! str_contains($line, ' / ')) {
            return [$line, $start];
        }
        $at = strlen($head[0]);
        foreach (explode(' / ', substr($line, $at)) as $one) {
            if (preg_match($mark, $one) === 1) {
                return [$one, $start + $at];
            }
            $at += strlen($one) + 3;
        }

        return [$line, $start];
    }

    /**
     * A row whose unit stands in its heading: "supply [V] | 4.75 | 5.0 | 5.25" is least, typical, most.
     *
     * @return ?Clause null where it is no such row
     */
    private static function withUnit(string $line, int $start, string $heading): ?Clause
    {
        if (! str_contains($line, '[')) {
            return null;
        }
        $units = 'V|mA|A|W|mm|cm|g|kg|Wh|mAh|Ah|ohm|GB|%';
        if (preg_match("/^\\s*\\|?\\s*([A-Za-z][^|\\t\\[\\]]{1,40}?)\\s*\\[({$units})\\]\\s*[|\\t](.*)$/", $line, $found) !== 1) {
            return null;
        }
        $cells = array_map(trim(...), preg_split('/[|\\t]/', rtrim($found[3], ' |\\t')) ?: []);
        $said = [];
        foreach ($cells as $at => $cell) {
            $bound = count($cells) > 1 && count($cells) <= 3 ? ['min', 'typ', 'max'][$at] : '';
            if (preg_match('/\\d/', $cell) === 1) {
                $said[] = trim(preg_match('/^[-+]?[\\d., ]+$/', $cell) === 1 ? "{$cell} {$found[2]} {$bound}" : "{$cell} {$found[2]}");
            }
        }

        return $said === [] ? null : new Clause(implode(', ', $said), $start, strtolower(trim($found[1])), $heading, [$start, $start + strlen($line)]);
    }

    /**
     * "Weight (g): 31", "Dimensions in mm: 72 / 46 / 13.5": the unit stands with the label and goes for every number behind it.
     *
     * @return array{string, string}|null the label without it, and what is said with it; null where no unit stands there, or one behind a number
     */
    private static function inUnitOf(string $label, string $said): ?array
    {
        if ($label === '' || strpbrk($label, '([, ') === false) {
            return null;
        }
        $names = self::UNITS_OF_LABELS;
        if (preg_match("/^(.*?)\\s*(?:[(\\[]\\s*(?:all )?(?:in )?({$names})\\s*[)\\]]|(?:,|"
            ." in)\\s*({$names}))$/u", $label, $found, PREG_UNMATCHED_AS_NULL) !== 1
            || preg_match('/\\d\\s?(?:mm|cm|kg|g|v|ma|a|w|mah|wh|eur|usd|gbp|chf|ohm|oz|inch)\\b|[€$£]/i', $said) === 1) {
            return null;
        }
        $unit = self::WITH_LABEL[$found[2] ?? (string) $found[3]];
        $number = Amounts::NUMBER;
        if (in_array($unit, ['mm', 'cm', 'inch'], true)) {
            // "72 / 46 / 13.5"
            $said = (string) preg_replace("/({$number})\\s*[\\/;]\\s*(?={$number})/", '$1 x ', $said);
        }
        $goesOn = '(?!\\s*(?:to|bis|-|–|\\.\\.+|~|x|×|\\*|\\/)\\s*\\.?\\d)(?![\\w.,]*\\d)';

        return [trim((string) $found[1]), (string) preg_replace("/(?<![\\w.,])({$number}){$goesOn}(?!\\s?%)/u", "$1 {$unit}", $said)];
    }

    /** @return list<Clause> */
    private static function line(string $line, int $start, string $heading, string $question = ''): array
    {
        $row = self::withUnit($line, $start, $heading);
        if ($row !== null) {
            return [$row];
        }
        $label = '';
        $from = 0;
        if (preg_match('/^[^A-Za-z]{0,8}([A-Za-z][^:=|\t;(]{1,44}?(?:\([^()]*\))?[^:=|\t;(]{0,20}?)\s*(?::(?!\d)|\t|\||\.{3,}|_{3,})\s*(?=\S)/', $line,
            $found) === 1
            && (preg_match('/\d\s*(?:v|a|ma|mm|g|w)\b/i', $found[1]) !== 1 || preg_match('/[|\t]\s*$/', $found[0]) === 1)) {
            $label = strtolower($found[1]);
            $from = strlen($found[0]);
        }
        $side = 'length|width|height|depth|thickness|diameter';
        if (preg_match("/^(?:{$side})$/", $label) === 1 && preg_match("/\\b(?:{$side})\\b/i", substr($line, $from)) === 1) {
            // "Length: 95 mm Width: 65 mm" is no label for the whole.
            [$label, $from] = ['', 0];
        }
        $rewritten = self::inUnitOf($label, substr($line, $from));
        if ($rewritten !== null) {
            [$label, $said] = $rewritten;

            return [new Clause($said, $start, $label, $heading, [$start, $start + strlen($line)])];
        }
        $clauses = [];
        foreach (self::pieces(substr($line, $from)) as [$piece, $at]) {
            // What somebody asks is not so: "can it run from 3.3 V?".
            if (preg_match(self::QUESTION, ltrim($piece)) === 1) {
                continue;
            }
            $clauses[] = new Clause($piece, $start + $from + $at, $label === '' ? $question : $label, $heading);
        }
        if ($label !== '') {
            // The label may say something itself: "USB-C: 5 V" has a socket there.
            $clauses[] = new Clause(substr($line, 0, $from), $start, '', $heading);
        }

        return $clauses;
    }

    /** @return list<array{string, int}> pieces of a line, with the place where each begins */
    private static function pieces(string $text): array
    {
        $pattern = '/;|\||\t|[★✅✔▪►👉●•·◆🔋📺🎮🔥⭐⚡💯🔊]|(?<=[!?])\s+|(?<=\.)\s+(?=\S)|\s-\s(?=\D)(?!(?i:you (?:chose|selected)|selected|chosen|picked|ordered))/u';
        $pieces = [];
        foreach (self::joined($text, preg_split($pattern, $text, -1, PREG_SPLIT_OFFSET_CAPTURE) ?: []) as [$piece, $at]) {
            while (strlen($piece) > self::MOST_BYTES) {
                // No sentence is that long; a cue that far off says nothing.
                $cut = strrpos(substr($piece, 0, self::MOST_BYTES), ' ');
                $cut = $cut === false || $cut === 0 ? self::MOST_BYTES : $cut;
                $pieces[] = [substr($piece, 0, $cut), $at];
                [$piece, $at] = [substr($piece, $cut), $at + $cut];
            }
            $pieces[] = [$piece, $at];
        }

        return array_values(array_filter($pieces, static fn (array $piece): bool => trim($piece[0]) !== ''));
    }

    /**
     * A point behind "max." or "approx." ends no sentence.
     *
     * @param  list<array{string, int}>  $pieces
     * @return list<array{string, int}>
     */
    private static function joined(string $text, array $pieces): array
    {
        $joined = [];
        foreach ($pieces as [$piece, $at]) {
            $last = count($joined) - 1;
            if ($last >= 0 && str_ends_with($joined[$last][0], '.') && preg_match('/\b(?:'.self::ABBREVIATIONS.')\.$/i',
                substr($joined[$last][0], -12)) === 1) {
                $from = $joined[$last][1];
                $joined[$last] = [substr($text, $from, $at + strlen($piece) - $from), $from];
            } else {
                $joined[] = [$piece, $at];
            }
        }

        return $joined;
    }
}
