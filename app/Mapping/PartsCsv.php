<?php

declare(strict_types=1);

namespace App\Mapping;

use PocketPlot\Appraisal;
use PocketPlot\Check\Verdict;
use PocketPlot\Sourcing\Costs;

/** The parts list as CSV (RFC 4180): CRLF, quotes doubled, a byte order mark for spreadsheets. */
final class PartsCsv
{
    public static function of(Appraisal $appraisal): string
    {
        $rows = [
            [
                'line',
                'role',
                'part',
                'maker',
                'chosen',
                'quantity',
                'state',
                'from',
                'unit price',
                'currency',
                'in '.$appraisal->costs->planned->currency,
                'vendor',
                'expected',
                'verdict',
                'note',
            ],
        ];
        foreach ($appraisal->build->lines as $line) {
            $verdict = Verdict::Fits;
            foreach ($appraisal->findings as $finding) {
                $verdict = in_array($line->id, $finding->lines, true) ? $verdict->worseOf($finding->verdict) : $verdict;
            }
            $price = Costs::unitPrice($line);
            $rows[] = [
                $line->id, $line->role->says(), $line->name(), $line->part->maker, $line->chosen ? 'yes' : 'no', (string) $line->quantity,
                $line->state->value, $line->origin->value, $price?->rounded() ?? '', $price->currency ?? '',
                ($appraisal->costs->byLine[$line->id] ?? null)?->rounded() ?? '', $line->vendor,
                $line->expectedOn === null ? '' : (string) $line->expectedOn, $line->chosen ? $verdict->value : '', $line->note,
            ];
        }

        return "\u{FEFF}".implode('', array_map(self::row(...), $rows));
    }

    /** @param  list<string>  $cells */
    private static function row(array $cells): string
    {
        return implode(',', array_map(self::cell(...), $cells))."\r\n";
    }

    private static function cell(string $text): string
    {
        // A leading =, +, - or @ would be run as a formula by a spreadsheet.
        $text = preg_match('/^[=+\-@\t\r]/', $text) === 1 ? "'{$text}" : $text;

        return preg_match('/[",\r\n]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }
}
