<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/** Tables in a pasted text, written out as clauses: each row with its headings and units. */
final class Tables
{
    /** What short headings of a sheet stand for. */
    private const SHORT = [
        'vin' => 'input voltage', 'vout' => 'output voltage', 'iout' => 'output current', 'iin' => 'input current', 'i' => 'current', 'v' => 'supply voltage',
        'u' => 'supply voltage', 'p' => 'power', 'l' => 'length', 'w' => 'width', 'h' => 'height', 't' => 'height', 'd' => 'height', 'm' => 'weight',
        'wt' => 'weight', 'cap' => 'capacity', 'diag' => 'diagonal', 'res' => 'resolution', 'port' => 'socket', 'iq' => 'quiescent current',
        'masse' => 'weight', 'eff' => 'efficiency', 'len' => 'length', 'wid' => 'width', 'hgt' => 'height', 'thk' => 'height', 'ht' => 'height',
        'ichg' => 'charge current', 'chem' => 'chemistry',
    ];

    /** What a heading says that is no more than a unit. */
    private const BY_UNIT = ['kg' => 'weight', 'g' => 'weight', 'eur' => 'price', 'usd' => 'price', 'gbp' => 'price', 'chf' => 'price', 'mah' => 'capacity',
        'wh' => 'energy'];

    /**
     * A table of variants, one column of which is the part: "Variant A | Variant B (yours)". The others are left out.
     *
     * @param  list<array{string, int}>  $lines
     * @return array{list<Clause>, int}|null with the number of further lines that it takes
     */
    public static function chosen(array $lines, int $index): ?array
    {
        if (! str_contains($lines[$index][0], '(') || preg_match('/[|\t].*\((?:yours|this(?: one| offer| item)?|selected|chosen|ordered|'
            .'your choice)\)/i', $lines[$index][0]) !== 1) {
            return null;
        }
        $head = self::cells($lines[$index][0]);
        $isIt = static fn (string $cell): bool => preg_match('/\((?:yours|this|selected|chosen|ordered|your choice)/i', $cell) === 1;
        $column = array_key_first(array_filter($head, $isIt));
        $first = array_key_first(array_filter(self::cells($lines[$index + 1][0] ?? ''), static fn (string $cell): bool => trim($cell, ' -:|') !== ''));
        $clauses = [];
        $taken = 0;
        for ($next = $index + 1; isset($lines[$next]) && count(self::cells($lines[$next][0])) === count($head); $next++) {
            [$row, $start] = $lines[$next];
            $cells = self::cells($row);
            if ($column !== null && $first !== null && preg_match('/\w/', $cells[$column]) === 1) {
                $clauses[] = new Clause(trim($cells[$column]), $start, strtolower(trim($cells[$first])), '', [$start, $start + strlen($row)]);
            }
            $taken++;
        }

        return $taken === 0 ? null : [$clauses, $taken];
    }

    /**
     * A table whose columns are bounds: label, minimum, typical, maximum, unit.
     *
     * @param  list<array{string, int}>  $lines
     * @return array{list<Clause>, int}|null with the number of further lines that it takes
     */
    public static function bounded(array $lines, int $index): ?array
    {
        $by = self::parting($lines[$index][0]);
        $head = $by === ' ' ? array_column(self::headings($lines[$index][0]), 0) : self::cells($lines[$index][0], $by);
        $columns = [];
        foreach ($head as $at => $cell) {
            $word = strtolower(trim($cell, " .\t"));
            $kind = match (true) {
                preg_match('/^(min|minimum|least)$/', $word) === 1 => 'min',
                preg_match('/^(typ|typical|nom|nominal|usual)$/', $word) === 1 => 'typ',
                preg_match('/^(max|maximum|most)$/', $word) === 1 => 'max',
                preg_match('/^units?$/', $word) === 1 => 'unit',
                preg_match('/^(values?|ratings?|spec|specification|data|figure)$/', $word) === 1 => 'value',
                preg_match('/^(conditions?|test conditions?|notes?|remarks?)$/', $word) === 1 => 'skip',
                default => null,
            };
            if ($kind !== null) {
                $columns[$at] = $kind;
            }
        }
        if (count(array_intersect($columns, ['min', 'typ', 'max'])) < 2 && array_diff(['value', 'unit'], $columns) !== []) {
            return null;
        }
        $clauses = [];
        $taken = 0;
        for ($next = $index + 1; isset($lines[$next]) && count(self::cells($lines[$next][0], $by)) > 1; $next++) {
            [$row, $start] = $lines[$next];
            if (trim($row, "|-: \t") === '') {
                $taken++;

                continue;
            }
            $label = $values = [];
            $unit = '';
            foreach ($by === ' ' ? self::under($lines[$index][0], $row) : self::cells($row, $by) as $at => $cell) {
                $cell = trim($cell);
                $kind = $columns[$at] ?? 'label';
                if ($kind === 'skip' && preg_match('/^[^\d=]{3,40}$/', $cell) === 1) {
                    $clauses[] = new Clause($cell, $start, '', '', [$start, $start + strlen($row)]);
                }
                if ($cell === '' || $kind === 'skip') {
                    continue;
                }
                if ($kind === 'unit') {
                    $unit = $cell;
                } elseif ($kind === 'label') {
                    $label[] = $cell;
                } elseif (preg_match('/\d/', $cell) === 1) {
                    $values[] = [$cell, $kind];
                }
            }
            $isText = static fn (string $cell): bool => preg_match('/^[-+]?[\d., ]+$/', $cell) !== 1;
            $said = array_map(static fn (array $one): string => $isText($one[0])
                || $one[1] === 'value' ? "{$one[0]} {$unit}" : "{$one[0]} {$unit} {$one[1]}", $values);
            $clauses[] = new Clause(implode(', ', $said), $start, strtolower(implode(' ', $label)), '', [$start, $start + strlen($row)]);
            $taken++;
        }

        return $taken === 0 ? null : [$clauses, $taken];
    }

    /**
     * A sheet with its headings in one line and its cells in the next ones.
     *
     * @param  list<array{string, int}>  $lines
     * @return array{list<Clause>, int}|null
     */
    public static function sheet(array $lines, int $index): ?array
    {
        foreach ([';', "\t", '|', ','] as $by) {
            $head = array_map(trim(...), explode($by, $lines[$index][0]));
            $below = $index + 1;
            while (isset($lines[$below]) && trim($lines[$below][0]) === '') {
                // Rows of other variants were blanked out.
                $below++;
            }
            $next = isset($lines[$below]) ? array_map(trim(...), explode($by, $lines[$below][0])) : [];
            if (count($head) < 4 || abs(count($head) - count($next)) > 1 || preg_match('/\d/', implode('', $next)) !== 1) {
                continue;
            }
            $named = array_filter($head, static fn (string $cell): bool => preg_match('/^[A-Za-z][A-Za-z_ ()\[\]\/.²"]*$/', $cell) === 1);
            if (count($named) < count(array_filter($head, static fn (string $cell): bool => $cell !== '')) * 0.8) {
                continue;
            }
            [$row, $start] = $lines[$below];
            $said = self::written($head, $next);

            return [array_map(
                static fn (array $one): Clause => new Clause($one[1], $start, $one[0], '', [$start, $start + strlen($row)]),
                $said,
            ), $below - $index];
        }

        return null;
    }

    /**
     * A bare table of somebody's readings: "Vin  Iout  Vout  eff" over rows of numbers. Each column is a band.
     *
     * @param  list<array{string, int}>  $lines
     * @return array{list<Clause>, int}|null
     */
    public static function series(array $lines, int $index): ?array
    {
        $split = static fn (string $line): array => preg_split('/\s{2,}|\t/', trim($line)) ?: [];
        $head = $split($lines[$index][0]);
        $named = array_filter($head, static fn (string $cell): bool => preg_match('/^[A-Za-z]{1,12}(?: [A-Za-z%]{1,8})?(?: ?[\[(]\w+[\])])?$/', $cell) === 1);
        if (count($head) < 3 || count($named) !== count($head)) {
            return null;
        }
        $rows = [];
        for ($next = $index + 1; isset($lines[$next]); $next++) {
            $cells = $split($lines[$next][0]);
            if (count($cells) !== count($head) || array_filter($cells, static fn (string $cell): bool => preg_match('/^\d+(?:[.,]\d+)?\s?%?$/',
                $cell) !== 1) !== []) {
                break;
            }
            $rows[] = array_map(static fn (string $cell): float => (float) str_replace(',', '.', $cell), $cells);
        }
        if (count($rows) < 2) {
            return null;
        }
        [$start, $end] = [$lines[$index][1], $lines[$index + count($rows)][1] + strlen($lines[$index + count($rows)][0])];
        $clauses = [];
        foreach ($head as $at => $name) {
            [$label, $unit, $times] = match (1) {
                preg_match('/^(?:v.?in|in(?:put)?|source)\b(?!.*\ba\b)/i', $name) => ['input voltage', 'V', 1],
                preg_match('/^(?:v.?out|out(?:put)?)\b(?!.*\bm?a\b)/i', $name) => ['output voltage', 'V', 1],
                preg_match('/^eff/i', $name) => ['efficiency', '%', 100],
                preg_match('/^(?:i.?out|load|out a)\b(?!.*\bm?w\b)/i', $name) => ['output current', preg_match('/\bma\b/i', $name) === 1 ? 'mA' : 'A', 1],
                default => ['', '', 1],
            };
            if ($label !== '') {
                $column = array_column($rows, $at);
                if ($column === []) {
                    continue;
                }
                $times = max($column) > 1.0 && $unit === '%' ? 1 : $times;
                $least = $label === 'output current' ? '' : round(min($column) * $times, 3).' to ';
                $clauses[] = new Clause($least.round(max($column) * $times, 3)." {$unit}", $start, $label, '', [$start,
                    $end]);
            }
        }

        return [$clauses, count($rows)];
    }

    /**
     * @param  list<string>  $head
     * @param  list<string>  $cells
     * @return list<array{string, string}> label and what it says
     */
    private static function written(array $head, array $cells): array
    {
        $values = $said = [];
        foreach ($head as $at => $name) {
            $cell = $cells[$at] ?? '';
            if ($cell === '' || $cell === '-') {
                continue;
            }
            $words = preg_split('/[_\s()\[\]\/]+/', strtolower($name), -1, PREG_SPLIT_NO_EMPTY) ?: [];
            if (preg_match('/^(?:l|length) ?x ?(?:b|w|width) ?x ?(?:h|t|height)/i', $name) === 1) {
                $said[] = ['size', "{$cell} mm"];

                continue;
            }
            $unit = count($words) > 1 && preg_match('/^(v|ma|a|w|wh|mah|ah|mm|cm|in|g|kg|gb|hz|ohm|mohm|c|pct|eur|usd|gbp|chf|awg)$/',
                (string) end($words)) === 1 ? (string) array_pop($words) : '';
            $bound = array_values(array_intersect($words, ['min', 'typ', 'max', 'nom', 'idle', 'peak']))[0] ?? '';
            if ($words === [] || (count($words) === 1 && isset(self::BY_UNIT[$words[0]]))) {
                // A heading that is a unit: kg, EUR.
                $unit = $words[0] ?? $unit;
                $words = [self::BY_UNIT[$unit] ?? $unit];
            }
            $words = array_map(static fn (string $word): string => ['lim' => 'absolute maximum', 'limit' => 'absolute maximum'][$word] ?? $word, $words);
            $words = array_values(array_diff($words, ['min', 'typ', 'max', 'nom']));
            $unit = $unit === '' && in_array($words[0] ?? '', ['v', 'u', 'vin'], true) ? 'v' : $unit;
            $label = implode(' ', array_map(static fn (string $word): string => self::SHORT[$word] ?? $word, $words));
            $unit = ['ma' => 'mA', 'a' => 'A', 'mah' => 'mAh', 'ah' => 'Ah', 'v' => 'V', 'w' => 'W', 'wh' => 'Wh', 'c' => '°C', 'pct' => '%',
                'in' => '"'][$unit] ?? $unit;
            if (in_array($label, ['length', 'width', 'height'], true) && preg_match('/^[\d.,]+$/', $cell) === 1) {
                $values['size'][] = "{$label} {$cell}";
                $unitOfSize = $unit;

                continue;
            }
            $said[] = [$label, preg_match('/^[\d.,]+$/', $cell) === 1 ? trim($unit === '"' ? "{$cell}\"" : "{$cell} {$unit} {$bound}") : "{$label}: {$cell}"];
        }
        $said = self::paired($said);
        if (isset($values['size'])) {
            $said[] = ['size', implode(' ', $values['size']).' '.($unitOfSize ?? 'mm')];
        }

        return $said;
    }

    /**
     * Two columns of one label, a least and a most, are one range.
     *
     * @param  list<array{string, string}>  $said
     * @return list<array{string, string}>
     */
    private static function paired(array $said): array
    {
        $paired = [];
        foreach ($said as [$label, $text]) {
            $last = count($paired) - 1;
            $isPair = $last >= 0 && $paired[$last][0] === $label && str_ends_with($paired[$last][1], ' min') && str_ends_with($text, ' max');
            if ($isPair) {
                $low = explode(' ', $paired[$last][1])[0];
                $paired[$last] = [$label, $label === 'cells' ? "{$low} to ".explode(' ', $text)[0].' cells' : "{$low} to ".substr($text, 0, -4)];
            } else {
                $paired[] = [$label, $text];
            }
        }

        return $paired;
    }

    /** What parts the cells of a table with this line: a tab, a bar, a slash between spaces, two spaces or more (" "); "\0" for nothing. */
    private static function parting(string $line): string
    {
        return match (true) {
            str_contains($line, "\t") => "\t",
            str_contains($line, '|') => '|',
            count(self::cells($line, '/')) > 3 => '/',
            count(self::cells($line, ' ')) > 3 || preg_match('/^\s{8,}min\w*\.?\s{2,}(?:typ|nom)\w*\.?\s{2,}max/i', $line) === 1 => ' ',
            default => "\0",
        };
    }

    /**
     * @param  ?string  $by  as parting() says; null asks the line itself
     * @return list<string>
     */
    private static function cells(string $line, ?string $by = null): array
    {
        $by ??= self::parting($line);

        return match ($by) {
            '/' => preg_split('/\s*\/\s+|\s+\/\s*/', $line) ?: [],
            ' ' => preg_split('/\s{2,}/', trim($line)) ?: [],
            default => explode($by === '' ? "\0" : $by, $line),
        };
    }

    /** @return list<array{string, int}> what stands apart by two spaces or more, with its place */
    private static function apart(string $line): array
    {
        return preg_match_all('/\S+(?:\s\S+)*/', $line, $all, PREG_OFFSET_CAPTURE) > 0 ? $all[0] : [];
    }

    /** @return list<array{string, int}> headings with their places; a column of labels before them, and one of units behind, have none of their own */
    private static function headings(string $head): array
    {
        $headings = self::apart($head);
        $first = $headings[0][1] ?? 0;

        return $first < 8 ? $headings : [['', 0], ...$headings, ['unit', strlen(rtrim($head)) + 3]];
    }

    /**
     * The cells of a row that stand under the headings of a table whose columns are parted by spaces; an empty cell is no more than a gap.
     *
     * @return array<int, string> by the place of the heading
     */
    private static function under(string $head, string $row): array
    {
        $headings = self::headings($head);
        $cells = self::apart($row);
        if (count($cells) === count($headings)) {
            return array_column($cells, 0);
        }
        $under = [];
        foreach ($cells as [$cell, $from]) {
            $nearest = null;
            foreach ($headings as $at => [$heading, $start]) {
                $far = max(0, $from - $start - strlen($heading),
                    $start - $from - strlen($cell)) * 100 + abs($from + strlen($cell) / 2 - $start - strlen($heading) / 2);
                $nearest = $nearest === null || $far < $nearest[0] ? [$far, $at] : $nearest;
            }
            if ($nearest !== null) {
                $under[$nearest[1]] = trim(($under[$nearest[1]] ?? '')." {$cell}");
            }
        }

        return $under;
    }
}
