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

    /** What stands behind this in one line is nobody's reading. */
    private const LONGEST_LINE = 2000;

    /** A pause so many times the usual one is a gap. */
    private const GAP = 10.0;

    /** A step of the volts beyond this share, and back in the next row, is a jump of the meter. */
    private const JUMP = 0.3;

    /** Seconds of a day. */
    private const DAY = 86400.0;

    private const SECONDS = [
        's' => 1.0,
        'sec' => 1.0,
        'secs' => 1.0,
        'second' => 1.0,
        'seconds' => 1.0,
        'ms' => 0.001,
        'min' => 60.0,
        'mins' => 60.0,
        'minutes' => 60.0,
        'h' => 3600.0,
        'hr' => 3600.0,
        'hours' => 3600.0,
    ];

    private const VOLTS = ['v' => 1.0, 'volt' => 1.0, 'volts' => 1.0, 'mv' => 0.001];

    private const AMPS = ['a' => 1.0, 'amp' => 1.0, 'amps' => 1.0, 'ampere' => 1.0, 'ma' => 0.001, 'µa' => 1e-6, 'ua' => 1e-6];

    /** @var list<Trouble> */
    private array $troubles = [];

    private int $notListed = 0;

    private int $read = 0;

    /** @var ','|';'|"\t" */
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
        $first = $this->findForm($text);
        $rows = $this->withoutJumps($this->inOrder($this->rows($text, $first)));
        $tally = new LogTally(self::KEPT);
        $gaps = new LogGaps(self::GAP);
        foreach ($rows as [$seconds, $volts, $amps, $line]) {
            foreach ($gaps->after($seconds, $line) as $gap) {
                $this->tellGap(...$gap);
            }
            $tally->add($seconds, $volts, $amps);
        }
        foreach ($gaps->rest() as $gap) {
            $this->tellGap(...$gap);
        }

        return new LogFile($this->read, $tally->rows(), $this->troubles, $this->notListed, $this->understood, $tally->sums(), $tally->thinned());
    }

    /**
     * One line after the other, without a copy of all of them.
     *
     * @return \Generator<int, string> by line number, the first is 1
     */
    private static function lines(string $text): \Generator
    {
        $at = str_starts_with($text, "\xEF\xBB\xBF") ? 3 : 0;
        $length = strlen($text);
        for ($number = 1; $at < $length; $number++) {
            $long = strcspn($text, "\r\n", $at);
            yield $number => substr($text, $at, min($long, self::LONGEST_LINE));
            $at += $long;
            $at += substr($text, $at, 2) === "\r\n" ? 2 : 1;
        }
    }

    private static function isSaying(string $line): bool
    {
        $line = ltrim($line);

        return $line !== '' && $line[0] !== '#';
    }

    /** @return \Generator<int, array{float, float, float, int}> seconds, volts, amps, and the line each came from */
    private function rows(string $text, int $first): \Generator
    {
        foreach (self::lines($text) as $number => $line) {
            if ($number < $first || ! self::isSaying($line)) {
                continue;
            }
            $this->read++;
            $row = $this->row($line, $number);
            if ($row !== null) {
                yield [...$row, $number];
            }
        }
    }

    /** @return int the first line that holds figures */
    private function findForm(string $text): int
    {
        $body = '';
        $sampled = 0;
        foreach (self::lines($text) as $line) {
            if (self::isSaying($line)) {
                $body = $line;
                if (++$sampled === 12) {
                    break;
                }
            }
        }
        $this->separator = match (true) {
            str_contains($body, ';') => ';',
            str_contains($body, "\t") => "\t",
            default => ',',
        };
        $this->commaIsPoint = $this->separator !== ',' && preg_match('/\d,\d/', $body) === 1;
        $header = null;
        foreach (self::lines($text) as $number => $line) {
            if (! self::isSaying($line)) {
                continue;
            }
            if (preg_match('/\d/', $line) === 1 && $this->looksLikeFigures($line)) {
                $this->takeHeader($header);
                $this->understood[] = $this->commaIsPoint ? 'commas part decimals' : 'points part decimals';

                return $number;
            }
            $header = $line;
        }
        $this->trouble(1, 'no line with three figures was found; a log has time, volts and amps in each row');

        return PHP_INT_MAX;
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
            [$word, $unit] = preg_match('/^(.*?)\s*[(\[\/]\s*([^)\]\/]+)[)\]]?\s*$/u', $cell, $parts) === 1
                ? [trim($parts[1]), trim($parts[2])]
                : [
                    preg_replace('/[_ ]+(ms|min|mv|ma|s|h|v|a)$/u', '', $cell) ?? $cell,
                    preg_match('/[_ ](ms|min|mv|ma|s|h|v|a)$/u', $cell, $tail) === 1 ? $tail[1] : '',
                ];
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
        return str_contains($line, '"')
            ? array_map(static fn (?string $cell): string => $cell ?? '', str_getcsv($line, $this->separator, '"', ''))
            : explode($this->separator, $line);
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
            $value = $what === 'time'
                ? $this->seconds($cells[$column])
                : $this->figure($cells[$column], $what === 'volts' ? self::VOLTS : self::AMPS, $this->units[$what]);
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
        if (is_numeric($cell)) {
            return (float) $cell * $this->units['time'];
        }
        $cell = trim($cell, " \t\"");
        if (preg_match('/^(?:\d{4}-\d\d-\d\d[T ])?(\d{1,3}):(\d\d)(?::(\d\d(?:[.,]\d+)?))?Z?$/', $cell, $parts) === 1) {
            $this->isClock = true;
            $seconds = (float) $parts[1] * 3600 + (float) $parts[2] * 60 + (float) str_replace(',', '.', $parts[3] ?? '0');

            return preg_match('/^(\d{4})-(\d\d)-(\d\d)/', $cell, $day) === 1
                ? $seconds + self::dayNumber((int) $day[1], (int) $day[2], (int) $day[3]) * self::DAY
                : $seconds;
        }

        return $this->figure($cell, self::SECONDS, $this->units['time']);
    }

    /**
     * Each with the one behind it, or null behind the last.
     *
     * @param  iterable<array{float, float, float, int}>  $rows
     * @return \Generator<int, array{array{float, float, float, int}, array{float, float, float, int}|null}>
     */
    private static function withNext(iterable $rows): \Generator
    {
        $row = null;
        foreach ($rows as $next) {
            if ($row !== null) {
                yield [$row, $next];
            }
            $row = $next;
        }
        if ($row !== null) {
            yield [$row, null];
        }
    }

    /**
     * Rows in the order of time. A clock that starts anew (past midnight, or set back) goes on from where it stood;
     * a single row out of order is left out.
     *
     * @param  iterable<array{float, float, float, int}>  $rows  with the line each came from
     * @return \Generator<int, array{float, float, float, int}>
     */
    private function inOrder(iterable $rows): \Generator
    {
        $last = $lastRead = null;
        $shift = 0.0;
        foreach (self::withNext($rows) as [[$read, $volts, $amps, $line], $following]) {
            $next = $following[0] ?? null;
            if ($last !== null && $read + $shift < $last) {
                if ($this->isClock && $lastRead - $read > self::DAY / 2 && $lastRead < self::DAY) {
                    $shift += self::DAY;
                } elseif ($next !== null && $next >= $read && $next + $shift < $last) {
                    $shift += $last - ($read + $shift) + $next - $read;
                    $this->trouble(
                        $line,
                        'the clock is set back from %s s to %s s; from this row on the time is counted on from the row before',
                        (float) $lastRead,
                        $read,
                    );
                } else {
                    $this->trouble($line, 'the clock runs backwards, from %s s to %s s; the row is left out', (float) $lastRead, $read);

                    continue;
                }
            }
            if ($last !== null && $read + $shift === $last) {
                $this->trouble($line, 'a second row at %s s; the first one counts', $read);

                continue;
            }
            $last = $read + $shift;
            $lastRead = $read;
            yield [$last, $volts, $amps, $line];
        }
    }

    /** @param  array<string, float>  $units */
    private function figure(string $cell, array $units, float $unit): ?float
    {
        if (is_numeric($cell)) {
            return (float) $cell * $unit;
        }
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
     * @param  iterable<array{float, float, float, int}>  $rows  with the line each came from
     * @return \Generator<int, array{float, float, float, int}>
     */
    private function withoutJumps(iterable $rows): \Generator
    {
        $before = null;
        foreach (self::withNext($rows) as [$row, $next]) {
            if ($before !== null
                && $next !== null
                && $before > 0.0
                && abs($row[1] - $before) > self::JUMP * $before
                && abs($next[1] - $before) < self::JUMP * $before / 3) {
                $this->trouble($row[3], 'the volts jump from %s to %s V and back; the row is left out', $before, $row[1]);

                continue;
            }
            $before = $row[1];
            yield $row;
        }
    }

    private function tellGap(int $line, float $seconds): void
    {
        $this->trouble($line, 'a gap of %s s before this row; what flowed meanwhile is taken as the mean of both sides', $seconds);
    }

    /** @param  string  $says  a pattern of sprintf's where there are figures to put in */
    private function trouble(int $line, string $says, string|float ...$figures): void
    {
        if (count($this->troubles) < self::TOLD) {
            $this->troubles[] = [
                'line' => $line,
                'says' => $figures === []
                    ? $says
                    : sprintf($says, ...array_map(static fn (string|float $one): string => is_float($one) ? Number::exact($one) : $one, $figures)),
            ];
        } else {
            $this->notListed++;
        }
    }

    private static function dayNumber(int $year, int $month, int $day): float
    {
        return (float) (new \DateTimeImmutable(sprintf('%04d-%02d-%02d', $year, $month, $day), new \DateTimeZone('UTC')))->getTimestamp() / self::DAY;
    }
}
