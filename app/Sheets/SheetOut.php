<?php

declare(strict_types=1);

namespace App\Sheets;

use Illuminate\Http\Response;
use PhpOffice\PhpSpreadsheet\Cell\Coordinate;
use PhpOffice\PhpSpreadsheet\Cell\DataType;
use PhpOffice\PhpSpreadsheet\Spreadsheet;
use PhpOffice\PhpSpreadsheet\Worksheet\Worksheet;
use PhpOffice\PhpSpreadsheet\Writer\Ods;
use PhpOffice\PhpSpreadsheet\Writer\Xlsx;

/** Rows as a file that a spreadsheet opens: CSV (RFC 4180: CRLF, quotes doubled, a byte order mark), ODS or XLSX. No cell is ever a formula. */
final class SheetOut
{
    /** What the web address ends with => what the answer is. */
    public const FORMATS = [
        'csv' => 'text/csv; charset=utf-8',
        'ods' => 'application/vnd.oasis.opendocument.spreadsheet',
        'xlsx' => 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
    ];

    /** @param  non-empty-array<string, list<list<string|int|float>>>  $sheets  rows by the sheet's name; a CSV file has the first only */
    public static function answer(array $sheets, string $format, string $name): Response
    {
        return new Response($format === 'csv' ? self::csv(array_values($sheets)[0]) : self::packed($sheets, $format), 200, [
            'Content-Type' => self::FORMATS[$format] ?? '',
            'Content-Disposition' => "attachment; filename=\"{$name}.{$format}\"",
        ]);
    }

    /** @param  list<list<string|int|float>>  $rows */
    public static function csv(array $rows): string
    {
        return "\u{FEFF}".implode('', array_map(
            static fn (array $row): string => implode(',', array_map(self::cell(...), $row))."\r\n",
            $rows,
        ));
    }

    private static function cell(string|int|float $value): string
    {
        if (! is_string($value)) {
            // Money is all that is no whole number.
            return is_float($value) ? number_format($value, 2, '.', '') : (string) $value;
        }
        // A leading =, +, - or @ would be run as a formula by a spreadsheet.
        $text = preg_match('/^[=+\-@\t\r]/', $value) === 1 ? "'{$value}" : $value;

        return preg_match('/[",\r\n]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }

    /** @param  array<string, list<list<string|int|float>>>  $sheets */
    private static function packed(array $sheets, string $format): string
    {
        $book = new Spreadsheet;
        $book->removeSheetByIndex(0);
        foreach ($sheets as $title => $rows) {
            self::fill($book->addSheet(new Worksheet($book, $title)), $rows);
        }
        $book->setActiveSheetIndex(0);
        $writer = $format === 'ods' ? new Ods($book) : new Xlsx($book);
        $writer->setPreCalculateFormulas(false);
        ob_start();
        $writer->save('php://output');
        $bytes = (string) ob_get_clean();
        $book->disconnectWorksheets();

        return $bytes;
    }

    /** @param  list<list<string|int|float>>  $rows */
    private static function fill(Worksheet $sheet, array $rows): void
    {
        foreach ($rows as $at => $row) {
            foreach ($row as $column => $value) {
                if ($value !== '') {
                    $sheet->setCellValueExplicit([$column + 1, $at + 1], $value, is_string($value) ? DataType::TYPE_STRING : DataType::TYPE_NUMERIC);
                }
            }
        }
        $last = Coordinate::stringFromColumnIndex(max(1, count($rows[0] ?? [])));
        $sheet->getStyle("A1:{$last}1")->getFont()->setBold(true);
        $sheet->freezePane('A2');
        foreach ($rows[0] ?? [] as $column => $_) {
            $widest = max(array_map(static fn (array $row): int => mb_strlen((string) ($row[$column] ?? '')), $rows));
            $sheet->getColumnDimensionByColumn($column + 1)->setWidth(min(60, $widest + 2));
        }
    }
}
