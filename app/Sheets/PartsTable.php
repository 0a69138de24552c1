<?php

declare(strict_types=1);

namespace App\Sheets;

use PocketPlot\Appraisal;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Verdict;
use PocketPlot\Sourcing\Costs;

/** The parts list of a build as rows of a spreadsheet, headings first. Numbers are numbers. */
final class PartsTable
{
    /** @return list<list<string|int|float>> */
    public static function lines(Appraisal $appraisal): array
    {
        $rows = [[
            'line', 'role', 'part', 'maker', 'chosen', 'quantity', 'state', 'origin', 'unit price', 'currency', 'in '.$appraisal->costs->planned->currency,
            'vendor', 'expected', 'verdict', 'note',
        ]];
        $costs = $appraisal->costs->byLine();
        foreach ($appraisal->build->lines as $line) {
            $verdict = Verdict::Fits;
            foreach ($appraisal->findings as $finding) {
                $verdict = in_array($line->id, $finding->lines, true) ? $verdict->worseOf($finding->verdict) : $verdict;
            }
            $price = Costs::unitPrice($line);
            $whole = $costs[$line->id] ?? null;
            $rows[] = [
                $line->id, $line->role->says(), $line->name(), $line->part->maker, $line->chosen ? 'yes' : 'no', $line->quantity,
                $line->state->value, $line->origin->value, $price === null ? '' : (float) $price->rounded(), $price->currency ?? '',
                $whole === null ? '' : (float) $whole->rounded(), $line->vendor,
                $line->expectedOn === null ? '' : (string) $line->expectedOn, $line->chosen ? $verdict->value : '', $line->note,
            ];
        }

        return $rows;
    }

    /** @return list<list<string|int|float>> what does not fit, worst first */
    public static function findings(Appraisal $appraisal): array
    {
        $names = [];
        foreach ($appraisal->build->lines as $line) {
            $names[$line->id] = $line->name();
        }
        $open = array_filter($appraisal->findings, static fn (Finding $finding): bool => $finding->verdict !== Verdict::Fits);

        return [['verdict', 'rule', 'about', 'finding'], ...array_values(array_map(static fn (Finding $finding): array => [
            $finding->verdict->value, $finding->rule,
            implode(', ', array_map(static fn (string $line): string => $names[$line] ?? $line, $finding->lines)), $finding->says(),
        ], $open))];
    }
}
