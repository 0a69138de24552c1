<?php

declare(strict_types=1);

namespace App\Sheets;

use Illuminate\Validation\ValidationException;
use PhpOffice\PhpSpreadsheet\Cell\Cell;
use PhpOffice\PhpSpreadsheet\Cell\Coordinate;
use PhpOffice\PhpSpreadsheet\Cell\DataType;
use PhpOffice\PhpSpreadsheet\Reader\IReader;
use PhpOffice\PhpSpreadsheet\Reader\IReadFilter;
use PhpOffice\PhpSpreadsheet\Reader\Ods;
use PhpOffice\PhpSpreadsheet\Reader\Xlsx;
use PhpOffice\PhpSpreadsheet\RichText\RichText;
use PhpOffice\PhpSpreadsheet\Worksheet\Worksheet;
use Throwable;
use ZipArchive;

/** The cells of one sheet of a CSV, ODS or XLSX file, as text. No formula is worked out, no macro run: what was worked out when it was saved is read. */
final readonly class SheetFile
{
    public const MOST_BYTES = 8_000_000;

    public const MOST_ROWS = 2000;

    public const MOST_COLUMNS = 40;

    /** What the packed files may unpack to. */
    private const MOST_UNPACKED_BYTES = 60_000_000;

    private const MOST_PACKED_FILES = 500;

    private const MOST_CELL_SIGNS = 4000;

    /** First bytes of the compound files of before 2007. */
    private const OLD_BINARY = "\xD0\xCF\x11\xE0";

    /**
     * @param  list<string>  $sheets  names of all of them; one without a name for a CSV file
     * @param  list<list<string>>  $rows
     * @param  list<string>  $remarks  what was not read, and why
     */
    private function __construct(public array $sheets, public string $sheet, public array $rows, public array $remarks) {}

    /**
     * @param  ?string  $sheet  null for the first
     *
     * @throws ValidationException that says what to do instead
     */
    public static function read(string $bytes, ?string $sheet = null): self
    {
        if (strlen($bytes) > self::MOST_BYTES) {
            self::refuse(sprintf('The file has %.1f MB; up to %.0f MB are read. Keep the sheet with the parts and save that alone.', strlen($bytes) / 1e6,
                self::MOST_BYTES / 1e6));
        }

        return match (true) {
            $bytes === '' => self::refuse('The file is empty.'),
            str_starts_with($bytes, "PK\x03\x04") => self::packed($bytes, $sheet),
            str_starts_with($bytes, self::OLD_BINARY) => self::refuse('This is the old binary kind of spreadsheet. Save it as XLSX, ODS or CSV, then choose it again.'),
            default => self::text($bytes),
        };
    }

    private static function packed(string $bytes, ?string $sheet): self
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'sheet');
        try {
            file_put_contents($path, $bytes);
            $reader = self::readerFor($path);
            $sizes = self::sizes($reader, $path);
            $names = array_keys($sizes);
            $name = $sheet !== null && isset($sizes[$sheet]) ? $sheet : ($names[0] ?? '');
            if ($names === []) {
                self::refuse('No sheet was found in this file.');
            }
            if ($sizes[$name] > self::MOST_ROWS) {
                self::refuse(sprintf('The sheet "%s" has %d rows; up to %d are read. Keep the rows of one build, then choose the file again.', $name,
                    $sizes[$name], self::MOST_ROWS));
            }

            return self::cells($reader, $path, $names, $name);
        } catch (ValidationException $known) {
            throw $known;
        } catch (Throwable) {
            self::refuse('This file could not be read as a spreadsheet. Open it where it was made, save it as XLSX, ODS or CSV, then choose it again.');
        } finally {
            unlink($path);
        }
    }

    private static function readerFor(string $path): Xlsx|Ods
    {
        $archive = new ZipArchive;
        if ($archive->open($path, ZipArchive::RDONLY) !== true) {
            self::refuse('This file is damaged: it could not be unpacked.');
        }
        $unpacked = 0;
        for ($at = 0; $at < min($archive->numFiles, self::MOST_PACKED_FILES + 1); $at++) {
            $unpacked += $archive->statIndex($at)['size'] ?? 0;
        }
        $isTooMuch = $unpacked > self::MOST_UNPACKED_BYTES || $archive->numFiles > self::MOST_PACKED_FILES;
        $isXlsx = $archive->locateName('[Content_Types].xml') !== false;
        $isOds = $archive->locateName('content.xml') !== false;
        $archive->close();
        if ($isTooMuch) {
            self::refuse(sprintf('This file unpacks to more than %.0f MB; it is not read. Keep the sheet with the parts and save that alone.',
                self::MOST_UNPACKED_BYTES / 1e6));
        }

        return match (true) {
            $isXlsx => new Xlsx,
            $isOds => new Ods,
            default => self::refuse('This is no spreadsheet: choose an XLSX, ODS or CSV file.'),
        };
    }

    /** @return array<string, int> rows of each sheet */
    private static function sizes(Xlsx|Ods $reader, string $path): array
    {
        $sizes = [];
        foreach ($reader->listWorksheetInfo($path) as $info) {
            $name = $info['worksheetName'] ?? null;
            $rows = $info['totalRows'] ?? null;
            if (is_string($name)) {
                $sizes[$name] = is_numeric($rows) ? (int) $rows : 0;
            }
        }

        return $sizes;
    }

    /** @param  list<string>  $names */
    private static function cells(IReader $reader, string $path, array $names, string $name): self
    {
        $reader->setReadFilter(new class(self::MOST_ROWS, self::MOST_COLUMNS) implements IReadFilter
        {
            public function __construct(private readonly int $rows, private readonly int $columns) {}

            public function readCell(string $columnAddress, int $row, string $worksheetName = ''): bool
            {
                return $row <= $this->rows && Coordinate::columnIndexFromString($columnAddress) <= $this->columns;
            }
        });
        $reader->setReadEmptyCells(false);
        $reader->setLoadSheetsOnly([$name]);
        $book = $reader->load($path);
        $sheet = $book->getActiveSheet();
        $rows = [];
        foreach ($sheet->getCoordinates() as $coordinate) {
            [$column, $row] = Coordinate::indexesFromString($coordinate);
            $rows[$row - 1][$column - 1] = self::value($sheet->getCell($coordinate));
        }
        $remarks = self::unmerge($sheet, $rows);
        $book->disconnectWorksheets();

        return new self($names, $name, self::filled($rows), $remarks);
    }

    private static function value(Cell $cell): string
    {
        $value = $cell->getDataType() === DataType::TYPE_FORMULA ? $cell->getOldCalculatedValue() : $cell->getValue();
        if (is_float($value) || is_int($value)) {
            $format = $cell->getStyle()->getNumberFormat()->getFormatCode() ?? '';
            $text = is_int($value) ? (string) $value : rtrim(rtrim(number_format($value, 6, '.', ''), '0'), '.');
            // The currency of a price is often only its format.
            $said = (string) preg_replace('/\[\$-[^]]*\]|\[\$([^\]-]+)-?[^]]*\]/u', '$1', $format);

            return preg_match('/€|£|\bEUR\b|\bUSD\b|\bGBP\b|\bCHF\b|\$(?!-)/u', $said, $found) === 1 ? "{$text} {$found[0]}" : $text;
        }

        return match (true) {
            is_bool($value) => $value ? 'yes' : 'no',
            $value instanceof RichText => mb_substr($value->getPlainText(), 0, self::MOST_CELL_SIGNS),
            is_string($value) => self::clean($value),
            default => '',
        };
    }

    /**
     * What several rows share in one merged cell is said of each of them.
     *
     * @param  array<int, array<int, string>>  $rows
     * @return list<string>
     */
    private static function unmerge(Worksheet $sheet, array &$rows): array
    {
        $merged = 0;
        foreach ($sheet->getMergeCells() as $range) {
            [$first, $last] = [...explode(':', (string) $range), ''];
            [$left, $top] = Coordinate::indexesFromString($first);
            [$right, $bottom] = Coordinate::indexesFromString($last === '' ? $first : $last);
            if ($left === $right && $bottom > $top && $bottom <= self::MOST_ROWS) {
                for ($row = $top; $row < $bottom; $row++) {
                    $rows[$row][$left - 1] = $rows[$top - 1][$left - 1] ?? '';
                }
                $merged++;
            }
        }

        return $merged === 0 ? [] : ['What stands in merged cells is taken for each of their rows.'];
    }

    private static function text(string $bytes): self
    {
        $text = match (true) {
            str_starts_with($bytes, "\xEF\xBB\xBF") => substr($bytes, 3),
            str_starts_with($bytes, "\xFF\xFE") => mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16LE'),
            str_starts_with($bytes, "\xFE\xFF") => mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16BE'),
            mb_check_encoding($bytes, 'UTF-8') => $bytes,
            default => mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252'),
        };
        if (str_contains($text, "\0") || preg_match('/^(?:%PDF|\x89PNG|GIF8|\xFF\xD8|<\?xml|<!doctype|<html)/i', substr($bytes, 0, 20)) === 1) {
            self::refuse('This is no spreadsheet: choose an XLSX, ODS or CSV file.');
        }
        $separator = self::separator($text);
        $stream = fopen('php://temp', 'w+b');
        if ($stream === false) {
            self::refuse('The file could not be kept while it is read. Try once more.');
        }
        fwrite($stream, (string) preg_replace('/\R/u', "\n", $text));
        rewind($stream);
        $rows = [];
        while (($cells = fgetcsv($stream, null, $separator, '"', '')) !== false) {
            if (count($rows) === self::MOST_ROWS) {
                self::refuse(sprintf('The file has more than %d rows; up to these are read. Keep the rows of one build, then choose the file again.',
                    self::MOST_ROWS));
            }
            $rows[] = array_map(static fn (mixed $cell): string => self::clean(is_string($cell) ? $cell : ''), $cells);
        }
        fclose($stream);

        return new self([''], '', self::filled($rows), []);
    }

    /** The sign that parts the first lines into the most equal columns. */
    private static function separator(string $text): string
    {
        $written = array_filter(explode("\n", substr($text, 0, 20_000)), static fn (string $line): bool => trim($line) !== '');
        $lines = array_slice($written, 0, 25);
        $best = [1.5, ','];
        foreach (["\t", ';', ',', '|'] as $separator) {
            $counts = array_count_values(array_map(static fn (string $line): int => count(str_getcsv($line, $separator, '"', '')), $lines));
            unset($counts[1]);
            foreach ($counts as $columns => $times) {
                $score = $times / max(1, count($lines)) * $columns;
                $best = $score > $best[0] || ($best[0] === 1.5 && $times * 2 >= count($lines)) ? [$score, $separator] : $best;
            }
        }

        return $best[1];
    }

    /**
     * @param  array<int, array<int, string>>  $rows
     * @return list<list<string>> without gaps
     */
    private static function filled(array $rows): array
    {
        $filled = [];
        $last = $rows === [] ? -1 : max(array_keys($rows));
        for ($row = 0; $row <= $last; $row++) {
            $cells = [];
            $most = isset($rows[$row]) && $rows[$row] !== [] ? min(self::MOST_COLUMNS, max(array_keys($rows[$row])) + 1) : 0;
            for ($column = 0; $column < $most; $column++) {
                $cells[] = $rows[$row][$column] ?? '';
            }
            $filled[] = $cells;
        }

        return $filled;
    }

    private static function clean(string $cell): string
    {
        $text = mb_substr((string) preg_replace('/[\x00-\x08\x0B\x0C\x0E-\x1F]/', '', mb_scrub($cell)), 0, self::MOST_CELL_SIGNS);

        // The mark that kept a spreadsheet from running it as a formula.
        return preg_match("/^'[=+\\-@]/", $text) === 1 ? substr($text, 1) : $text;
    }

    private static function refuse(string $words): never
    {
        throw ValidationException::withMessages(['file' => $words]);
    }
}
