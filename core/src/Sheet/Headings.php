<?php

declare(strict_types=1);

namespace PocketPlot\Sheet;

/** Finds the row of headings wherever it stands, and guesses what each column holds: by its heading, else by its cells. */
final class Headings
{
    /** Rows above the table, with a title, a date, a sum, that are looked through for the headings. */
    private const MOST_ABOVE = 30;

    /** Headings over pieces as well as over the numbers of rows; so many in a row are no pieces. */
    private const MAY_NUMBER_ROWS = '/^(?:#|number|num|count|x|)\.?$/i';

    private const FEWEST_ROW_NUMBERS = 3;

    /** Cells of a column that are looked at. */
    private const SAMPLE = 60;

    /** Words of a heading, the special before the plain; only the first of a kind counts as it, a second one is a figure. */
    private const WORDS = [
        'link' => 'link|url|web|website|webseite|href|shop link|where to buy|produktlink',
        'currency' => 'currency|curr|währung|ccy|devise',
        'total' => 'total|line total|sub ?total|sum|summe|gesamt(?:preis)?|extended(?: price)?|amount due|price total|total (?:price|cost)|cost total',
        'price' => '(?:unit |each |item |single )?(?:price|cost)s?|(?:price|cost)s? each|each|per piece|preis|einzelpreis|stückpreis|kosten|prix|€|\$|£|eur|'
            .'usd|gbp|paid|'
            .'(?:price|cost|preis) ?(?:per|pro|/) ?\w+',
        'quantity' => 'qty|quantity|count|pcs|pieces|number|num|no\. needed|needed|how many|amount|menge|anzahl|stück|stk|stck|quantité|units?|#|x',
        'origin' => 'origin|herkunft',
        'state' => 'status|state|ordered\??|order status|(?:have|got|bought|in hand)(?: (?:it|them|already))?\??|arrived\??|bought\??|done|progress|stand|bestellt\??|erhalten|vorhanden|da\??',
        'vendor' => 'vendor|seller|shop|store|supplier|source|from|where|bought (?:from|at)|händler|lieferant|laden|quelle|market(?:place)?|retailer',
        'maker' => 'maker|brand|manufacturer|mfr|make|hersteller|marke',
        'role' => 'role|category|type|group|kind|section|function|subsystem|used for|what for|purpose|kategorie|art|gruppe|wofür|zweck',
        'note' => 'notes?|comments?|remarks?|notiz(?:en)?|bemerkung(?:en)?|kommentar|anmerkung(?:en)?|thoughts|misc',
        'name' => '(?:part|item|component|product|article|thing|what)?[ _-]?(?:name|title)|parts?|items?|components?|product|article|thing|what|designation|'
            .'bezeichnung|name|bauteil|teil|artikel|produkt|komponente|gegenstand|pièce|bill of materials|bom',
        'ignored' => 'ref(?:erence)?s?|designators?|vat(?: ?%)?|eta|(?:order|article|stock) (?:no|nr|number|code)\.?|(?:row|line|pos|position|item)? ?(?:no|nr|id|number|#)\.?|pos\.?|idx|index|id|nr\.?|no\.?|running total|date(?: ordered)?|ordered on|'
            .'datum|picture|photo|image|tracking(?: (?:no|number))?|sku|part ?(?:no|number|nr)\.?|article (?:no|number)|art\.? ?nr\.?|mpn|priority|line|'
                .'chosen|verdict|expected|in [a-z]{3}|key figures',
    ];

    /**
     * @param  list<list<string>>  $rows
     * @return int|null where the headings stand; null when no row looks like them
     */
    public static function find(array $rows): ?int
    {
        $best = null;
        $most = 1;
        foreach (array_slice($rows, 0, self::MOST_ABOVE) as $at => $row) {
            $kinds = array_filter(array_map(self::byWord(...), $row));
            // Long cells and figures are no headings, whatever words they hold.
            $others = count(array_filter($row, static fn (string $cell): bool => mb_strlen($cell) > 40 || preg_match('/^[\d.,€$£ ]+$/u', $cell) === 1
                && trim($cell) !== ''));
            $score = count(array_unique(array_map(static fn (Column $kind): string => $kind->value, $kinds))) - 2 * $others;
            if ($score > $most) {
                [$best, $most] = [$at, $score];
            }
        }

        return $best ?? self::lonely($rows);
    }

    /**
     * @param  list<string>  $headings  one a column; "" where there is none
     * @param  list<list<string>>  $below  the rows under them
     * @return list<Column> one a column
     */
    public static function kinds(array $headings, array $below): array
    {
        $columns = max([count($headings), ...array_map('count', array_slice($below, 0, self::SAMPLE))]);
        $kinds = $taken = [];
        for ($at = 0; $at < $columns; $at++) {
            $kind = self::byWord($headings[$at] ?? '');
            if ($kind === Column::Quantity && preg_match(self::MAY_NUMBER_ROWS, trim($headings[$at])) === 1
                && self::areRowNumbers(self::cellsOf($below, $at))) {
                $kind = Column::Ignored;
            }
            if ($kind !== null && $kind !== Column::Ignored && $kind !== Column::Note && isset($taken[$kind->value])) {
                $kind = $kind === Column::Price && ! isset($taken['total']) ? Column::Total : Column::Figure;
            }
            if ($kind !== null) {
                $taken[$kind->value] = true;
            }
            $kinds[$at] = $kind;
        }
        foreach ($kinds as $at => $kind) {
            $cells = self::cellsOf($below, $at);
            $kinds[$at] ??= self::byCells($headings[$at] ?? '', $cells, $taken);
            $taken[$kinds[$at]->value] = true;
        }

        return self::withName(array_values($kinds), $below);
    }

    private static function byWord(string $heading): ?Column
    {
        // "Price (EUR)", "Qty.", "Cost [€]": what stands in brackets says more of it, not something else.
        $word = mb_strtolower(trim((string) preg_replace('/\([^)]*\)|\[[^]]*\]|[:*?]+$/u', '', $heading)));
        $word = trim($word, " \t.:-_");
        if ($word === '' || mb_strlen($word) > 30) {
            return trim($heading) !== '' && preg_match('/^\W*(?:€|\$|£|eur|usd|gbp)\W*$/iu', $heading) === 1 ? Column::Price : null;
        }
        foreach (self::WORDS as $kind => $pattern) {
            if (preg_match("~^(?:{$pattern})(?: in)?(?: ?(?:€|\\$|£|eur|usd|gbp))?$~iu", $word) === 1) {
                return Column::from($kind);
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $cells  those that hold something
     * @param  array<string, true>  $taken
     */
    private static function byCells(string $heading, array $cells, array $taken): Column
    {
        if ($cells === []) {
            return Column::Ignored;
        }
        $share = static fn (string $pattern): float => count(preg_grep($pattern, $cells) ?: []) / count($cells);

        return match (true) {
            ! isset($taken['link']) && $share('~^(?:https?://|www\.)\S+$~i') > 0.6 => Column::Link,
            ! isset($taken['currency']) && $share('/^[A-Z]{3}$/') > 0.8 => Column::Currency,
            ! isset($taken['price']) && $share('/^(?:[€$£]|eur|usd|gbp)\s?\d[\d.,]*$|^\d[\d.,]*\s?(?:[€$£]|eur|usd|gbp)$/iu') > 0.6 => Column::Price,
            $heading === '' && self::areRowNumbers($cells) => Column::Ignored,
            // A number without a heading counts pieces, if it is whole and small; with one it says something of the part.
            $heading === '' && ! isset($taken['quantity']) && $share('/^\d{1,3}\s?(?:x|×|pcs|pc)?$/iu') > 0.8 => Column::Quantity,
            $heading === '' && ! isset($taken['price']) && $share('/^\d+[.,]\d{2}$/') > 0.7 => Column::Price,
            default => Column::Figure,
        };
    }

    /**
     * @param  list<list<string>>  $below
     * @return list<string> what stands in a column, empty cells left out
     */
    private static function cellsOf(array $below, int $at): array
    {
        return array_values(array_filter(array_map(static fn (array $row): string => trim($row[$at] ?? ''), array_slice($below, 0, self::SAMPLE))));
    }

    /**
     * One, two, three and so on: which row it is, and not how many pieces.
     *
     * @param  list<string>  $cells
     */
    private static function areRowNumbers(array $cells): bool
    {
        // Below them may stand a word: "still open:".
        $numbers = array_values(array_filter($cells, static fn (string $cell): bool => preg_match('/^\d{1,4}\.?$/', $cell) === 1));
        foreach ($numbers as $nth => $number) {
            if ((int) $number !== (int) $numbers[0] + $nth) {
                return false;
            }
        }

        return count($numbers) >= self::FEWEST_ROW_NUMBERS && count($numbers) > count($cells) / 2;
    }

    /**
     * A table without a column called name has one all the same: the first whose cells are words.
     *
     * @param  list<Column>  $kinds
     * @param  list<list<string>>  $below
     * @return list<Column>
     */
    private static function withName(array $kinds, array $below): array
    {
        if (in_array(Column::Name, $kinds, true)) {
            return $kinds;
        }
        $order = [...array_keys($kinds, Column::Figure, true), ...array_keys($kinds, Column::Role, true), ...array_keys($kinds, Column::Ignored, true)];
        foreach ($order as $at) {
            $cells = array_filter(array_map(static fn (array $row): string => trim($row[$at] ?? ''), array_slice($below, 0, self::SAMPLE)));
            $words = preg_grep('~^(?!https?://).*\p{L}{3,}~us', $cells) ?: [];
            if ($cells !== [] && count($words) > 0.6 * count($cells)) {
                return array_values(array_replace($kinds, [$at => Column::Name]));
            }
        }

        return $kinds;
    }

    /**
     * A list with one heading over it: "Parts" and then names.
     *
     * @param  list<list<string>>  $rows
     */
    private static function lonely(array $rows): ?int
    {
        foreach (array_slice($rows, 0, self::MOST_ABOVE) as $at => $row) {
            $filled = array_values(array_filter($row, static fn (string $cell): bool => trim($cell) !== ''));
            if ($filled !== []) {
                return self::byWord($filled[0]) === Column::Name && mb_strlen($filled[0]) < 16 ? $at : null;
            }
        }

        return null;
    }
}
