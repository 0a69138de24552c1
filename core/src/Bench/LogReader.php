<?php

declare(strict_types=1);

namespace PocketPlot\Bench;

use PocketPlot\Quantity\Number;

/**
 * Reads the log of any meter: time, volts and amps as separated text. Finds out the separator, the decimal
 * mark, the columns and their units; tells line by line what it could not take.
 *
 * @phpstan-type Trouble array{line: int, says: string}
 */
final class LogReader
{
    /** Rows that are kept for drawing and comparing; the sums count every row. */
    private const KEPT = 600;

    /** Troubles that are told one by one; the rest is counted. */
    private const TOLD = 200;

    /** A pause so many times the usual one is a gap. */
    private const GAP = 10.0;

    /** A step of the volts beyond this share, and back in the next row, is a jump of the meter. */
    private const JUMP = 0.3;

    /** Seconds of a day. */
    private const DAY = 86400.0;

    private const SECONDS = ['s' => 1.0, 'sec' => 1.0, 'secs' => 1.0, 'second' => 1.0, 'seconds' => 1.0, 'ms' => 0.001, 'min' => 60.0, 'mins' => 60.0, 'minutes' => 60.0, 'h' => 3600.0, 'hr' => 3600.0, 'hours' => 3600.0];

    private const VOLTS = ['v' => 1.0, 'volt' => 1.0, 'volts' => 1.0, 'mv' => 0.001];

    private const AMPS = ['a' => 1.0, 'amp' => 1.0, 'amps' => 1.0, 'ampere' => 1.0, 'ma' => 0.001, 'µa' => 1e-6, 'ua' => 1e-6];

    /** @var list<Trouble> */
    private array $troubles = [];

    private int $untold = 0;

    private int $taken = 0;

    private int $read = 0;

    private string $separator = ',';

    private bool $commaIsPoint = false;

    /** Whether the time is written as that of a clock. */
    private bool $isClock = false;

    /** @var array{time: int, volts: int, amps: int} */
    private array $columns = ['time' => 0, 'volts' => 1, 'amps' => 2];

    /** @var array{time: float, volts: float, amps: float} what one of each column's units is */
    private array $units = ['time' => 1.0, 'volts' => 1.0, 'amps' => 1.0];

    /** @var list<string> what was understood of the form */
    private array $understood = [];

    private function __construct() {}

    public static function read(string $text): LogFile
    {
        return (new self)->all($text);
    }

    private function all(string $text): LogFile
    {
        $lines = preg_split('/\r\n|\n|\r/', preg_replace('/^\xEF\xBB\xBF/', '', $text) ?? $text) ?: [];
        $first = $this->findForm($lines);
        $rows = [];
        foreach ($lines as $index => $line) {
            if ($index < $first || trim($line) === '' || str_starts_with(ltrim($line), '#')) {
                continue;
            }
            $this->read++;
            $row = $this->row($line, $index + 1);
            if ($row !== null) {
                $rows[] = [...$row, $index + 1];
            }
        }
        $rows = $this->inOrder($rows);
        $rows = $this->withoutJumps($rows);
        $this->tellGaps($rows);
        $start = $rows[0][0] ?? 0.0;
        $log = array_map(static fn (array $row): array => [$row[0] - $start, $row[1], $row[2]], $rows);
        $this->taken = count($log);

        return new LogFile($this->read, $this->taken, $this->troubles, $this->untold, $this->understood, LogSums::of($log), self::thinned($log));
    }

    /**
     * @param  list<string>  $lines
     * @return int the first line that holds figures
     */
    private function findForm(array $lines): int
    {
        $sample = array_slice(array_values(array_filter($lines, static fn (string $line): bool => trim($line) !== '' && ! str_starts_with(ltrim($line), '#'))), 0, 12);
        $body = $sample[count($sample) - 1] ?? '';
        $this->separator = match (true) {
            str_contains($body, ';') => ';',
            str_contains($body, "\t") => "\t",
            default => ',',
        };
        $this->commaIsPoint = $this->separator !== ',' && preg_match('/\d,\d/', $body) === 1;
        $header = null;
        foreach ($lines as $index => $line) {
            if (trim($line) === '' || str_starts_with(ltrim($line), '#')) {
                continue;
            }
            if (preg_match('/\d/', $line) === 1 && $this->looksLikeFigures($line)) {
                $this->takeHeader($header);
                $this->understood[] = $this->commaIsPoint ? 'commas part decimals' : 'points part decimals';

                return $index;
            }
            $header = $line;
        }
        $this->trouble(1, 'no line with three figures was found; a log has time, volts and amps in each row');

        return count($lines);
    }

    private function looksLikeFigures(string $line): bool
    {
        $cells = $this->cells($line);

        return count($cells) >= 3 && count(array_filter($cells, static fn (string $cell): bool => preg_match('/^[\s"]*[-+]?[\d.,:]/', $cell) === 1)) >= 3;
    }

    private function takeHeader(?string $header): void
    {
        if ($header === null) {
            $this->understood[] = 'no headings: taken as seconds, volts, amps';

            return;
        }
        $found = [];
        foreach ($this->cells($header) as $column => $cell) {
            $cell = mb_strtolower(trim($cell, " \t\""));
            [$word, $unit] = preg_match('/^(.*?)\s*[(\[\/]\s*([^)\]\/]+)[)\]]?\s*$/u', $cell, $parts) === 1 ? [trim($parts[1]), trim($parts[2])] : [preg_replace('/[_ ]+(ms|min|mv|ma|s|h|v|a)$/u', '', $cell) ?? $cell, preg_match('/[_ ](ms|min|mv|ma|s|h|v|a)$/u', $cell, $tail) === 1 ? $tail[1] : ''];
            $what = match (true) {
                preg_match('/time|zeit|elapsed|clock|date|second|minute|hour|^t$/u', $word) === 1 || isset(self::SECONDS[$word]) => 'time',
                preg_match('/volt|spannung|^u$|^v$|^mv$/u', $word) === 1 => 'volts',
                preg_match('/amp|curr|strom|^i$|^a$|^ma$/u', $word) === 1 => 'amps',
                default => null,
            };
            if ($what === null || isset($found[$what])) {
                continue;
            }
            $units = ['time' => self::SECONDS, 'volts' => self::VOLTS, 'amps' => self::AMPS][$what];
            $unit = $unit === '' && isset($units[$word]) ? $word : $unit;
            if ($unit !== '' && ! isset($units[$unit]) && $what !== 'time') {
                $this->trouble(1, "the unit \"{$unit}\" of the column \"{$cell}\" is none of ".implode(', ', array_keys($units)).'; the plain unit is taken');
            }
            $found[$what] = true;
            $this->columns[$what] = $column;
            $this->units[$what] = $units[$unit] ?? 1.0;
            $this->understood[] = "\"{$cell}\" as ".($units[$unit] ?? null ? "{$what} in {$unit}" : $what);
        }
        foreach (['time', 'volts', 'amps'] as $what) {
            if (! isset($found[$what]) && $found !== []) {
                $this->trouble(1, "no heading names the {$what}; column ".($this->columns[$what] + 1).' is taken');
            }
        }
    }

    /** @return list<string> */
    private function cells(string $line): array
    {
        return array_map(static fn (?string $cell): string => $cell ?? '', str_getcsv($line, $this->separator, '"', ''));
    }

    /** @return array{float, float, float}|null seconds, volts, amps */
    private function row(string $line, int $number): ?array
    {
        $cells = $this->cells($line);
        $values = [];
        foreach ($this->columns as $what => $column) {
            if (! isset($cells[$column]) || trim($cells[$column]) === '') {
                $this->trouble($number, "the {$what} are missing");

                return null;
            }
            $value = $what === 'time' ? $this->seconds($cells[$column]) : $this->figure($cells[$column], $what === 'volts' ? self::VOLTS : self::AMPS, $this->units[$what]);
            if ($value === null) {
                $this->trouble($number, 'the '.$what.' "'.mb_substr(trim($cells[$column]), 0, 30).'" cannot be read as a figure');

                return null;
            }
            $values[] = $value;
        }

        return [$values[0], $values[1], $values[2]];
    }

    private function seconds(string $cell): ?float
    {
        $cell = trim($cell, " \t\"");
        if (preg_match('/^(?:\d{4}-\d\d-\d\d[T ])?(\d{1,3}):(\d\d)(?::(\d\d(?:[.,]\d+)?))?Z?$/', $cell, $parts) === 1) {
            $this->isClock = true;
            $seconds = (float) $parts[1] * 3600 + (float) $parts[2] * 60 + (float) str_replace(',', '.', $parts[3] ?? '0');

            return preg_match('/^(\d{4})-(\d\d)-(\d\d)/', $cell, $day) === 1 ? $seconds + self::dayNumber((int) $day[1], (int) $day[2], (int) $day[3]) * self::DAY : $seconds;
        }

        return $this->figure($cell, self::SECONDS, $this->units['time']);
    }

    /**
     * Rows in the order of time. A clock that starts anew (past midnight, or set back) goes on from where it stood;
     * a single row out of order is left out.
     *
     * @param  list<array{float, float, float, int}>  $rows  with the line each came from
     * @return list<array{float, float, float, int}>
     */
    private function inOrder(array $rows): array
    {
        $kept = [];
        $last = $lastRead = null;
        $shift = 0.0;
        foreach ($rows as $index => [$read, $volts, $amps, $line]) {
            $next = $rows[$index + 1][0] ?? null;
            if ($last !== null && $read + $shift < $last) {
                if ($this->isClock && $lastRead - $read > self::DAY / 2 && $lastRead < self::DAY) {
                    $shift += self::DAY;
                } elseif ($next !== null && $next >= $read && $next + $shift < $last) {
                    $shift += $last - ($read + $shift) + $next - $read;
                    $this->trouble($line, sprintf('the clock is set back from %s s to %s s; from this row on the time is counted on from the row before', Number::exact((float) $lastRead), Number::exact($read)));
                } else {
                    $this->trouble($line, sprintf('the clock runs backwards, from %s s to %s s; the row is left out', Number::exact((float) $lastRead), Number::exact($read)));

                    continue;
                }
            }
            if ($last !== null && $read + $shift === $last) {
                $this->trouble($line, sprintf('a second row at %s s; the first one counts', Number::exact($read)));

                continue;
            }
            $last = $read + $shift;
            $lastRead = $read;
            $kept[] = [$last, $volts, $amps, $line];
        }

        return $kept;
    }

    /** @param  array<string, float>  $units */
    private function figure(string $cell, array $units, float $unit): ?float
    {
        $cell = trim($cell, " \t\"");
        if ($this->commaIsPoint || preg_match('/^[-+]?\d+,\d+\D*$/', $cell) === 1) {
            $cell = str_replace(',', '.', $cell);
        }
        if (preg_match('/^([-+]?(?:\d+(?:\.\d*)?|\.\d+)(?:[eE][-+]?\d+)?)\s*([^\d\s]*)$/u', $cell, $parts) !== 1) {
            return null;
        }
        $own = mb_strtolower($parts[2]);
        if ($own === '') {
            return (float) $parts[1] * $unit;
        }

        return isset($units[$own]) ? (float) $parts[1] * $units[$own] : null;
    }

    /**
     * @param  list<array{float, float, float, int}>  $rows  with the line each came from
     * @return list<array{float, float, float, int}>
     */
    private function withoutJumps(array $rows): array
    {
        $kept = [];
        $count = count($rows);
        foreach ($rows as $index => $row) {
            $before = $kept === [] ? null : $kept[count($kept) - 1][1];
            $after = $index + 1 < $count ? $rows[$index + 1][1] : null;
            if ($before !== null && $after !== null && $before > 0.0 && abs($row[1] - $before) > self::JUMP * $before && abs($after - $before) < self::JUMP * $before / 3) {
                $this->trouble($row[3], sprintf('the volts jump from %s to %s V and back; the row is left out', Number::exact($before), Number::exact($row[1])));

                continue;
            }
            $kept[] = $row;
        }

        return $kept;
    }

    /** @param  list<array{float, float, float, int}>  $rows */
    private function tellGaps(array $rows): void
    {
        $pauses = [];
        for ($row = 1, $count = count($rows); $row < $count; $row++) {
            $pauses[] = $rows[$row][0] - $rows[$row - 1][0];
        }
        if (count($pauses) < 3) {
            return;
        }
        $sorted = $pauses;
        sort($sorted);
        $usual = $sorted[intdiv(count($sorted), 2)];
        foreach ($pauses as $index => $pause) {
            if ($usual > 0.0 && $pause > self::GAP * $usual) {
                $this->trouble($rows[$index + 1][3], sprintf('a gap of %s s before this row; what flowed meanwhile is taken as the mean of both sides', Number::exact($pause)));
            }
        }
    }

    private function trouble(int $line, string $says): void
    {
        if (count($this->troubles) < self::TOLD) {
            $this->troubles[] = ['line' => $line, 'says' => $says];
        } else {
            $this->untold++;
        }
    }

    /**
     * Means over even stretches of rows, first and last kept as they are.
     *
     * @param  list<array{float, float, float}>  $log
     * @return list<array{float, float, float}>
     */
    private static function thinned(array $log): array
    {
        $count = count($log);
        if ($count <= self::KEPT) {
            return $log;
        }
        $kept = [$log[0]];
        $wide = ($count - 2) / (self::KEPT - 2);
        for ($bucket = 0; $bucket < self::KEPT - 2; $bucket++) {
            $from = 1 + (int) floor($bucket * $wide);
            $to = max($from + 1, 1 + (int) floor(($bucket + 1) * $wide));
            $sum = [0.0, 0.0, 0.0];
            for ($row = $from; $row < $to; $row++) {
                $sum = [$sum[0] + $log[$row][0], $sum[1] + $log[$row][1], $sum[2] + $log[$row][2]];
            }
            $kept[] = [round($sum[0] / ($to - $from), 3), round($sum[1] / ($to - $from), 5), round($sum[2] / ($to - $from), 6)];
        }

        return [...$kept, $log[$count - 1]];
    }

    private static function dayNumber(int $year, int $month, int $day): float
    {
        return (float) (new \DateTimeImmutable(sprintf('%04d-%02d-%02d', $year, $month, $day), new \DateTimeZone('UTC')))->getTimestamp() / self::DAY;
    }
}
