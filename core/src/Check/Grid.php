<?php

declare(strict_types=1);

namespace PocketPlot\Check;

/** Part against part: the worst mark of what the rules say of the two together. */
final class Grid
{
    /**
     * @param  list<Finding>  $findings
     * @return list<array{one: string, other: string, verdict: string, findings: list<string>}> pairs of line ids in rising order
     */
    public static function of(array $findings): array
    {
        $cells = [];
        foreach ($findings as $finding) {
            if ($finding->ofWhole || count($finding->lines) < 2) {
                continue;
            }
            // The first line is the one it stands beside; the others are what it is held against.
            foreach (array_slice($finding->lines, 1) as $other) {
                $pair = [$finding->lines[0], $other];
                sort($pair);
                $cells["{$pair[0]} {$pair[1]}"]['pair'] = $pair;
                $cells["{$pair[0]} {$pair[1]}"]['findings'][] = $finding;
            }
        }

        return array_values(array_map(static fn (array $cell): array => [
            'one' => $cell['pair'][0],
            'other' => $cell['pair'][1],
            'verdict' => array_reduce(
                $cell['findings'],
                static fn (Verdict $worst, Finding $finding): Verdict => $worst->worseOf($finding->verdict),
                Verdict::Fits,
            )->value,
            'findings' => array_map(static fn (Finding $finding): string => $finding->key(), $cell['findings']),
        ], $cells));
    }
}
