<?php

declare(strict_types=1);

namespace CoreTests;

use PocketPlot\Check\Finding;

/** What is worse about a build after a fix, worked out from nothing but the findings before and after. */
final class Worse
{
    public const WEIGHTS = ['fits' => 0, 'tight' => 1, 'unmeasured' => 2, 'missing' => 3, 'clash' => 4];

    /**
     * Of findings in the form in which the API gives them.
     *
     * @param  list<array{key: string, rule: string, verdict: string, lines: list<string>}>  $was
     * @param  list<array{key: string, rule: string, verdict: string, lines: list<string>}>  $is
     * @param  string  $meant  the key of the finding that was to be mended
     * @return list<string> "verdict key"
     */
    public static function after(array $was, array $is, string $meant): array
    {
        [$was, $is] = [self::worst($was), self::worst($is)];
        // The same trouble may stand under another key, where a rail has another name.
        $gone = array_values(array_filter(array_diff_key($was, $is), static fn (array $finding): bool => $finding['key'] !== $meant));
        $worse = [];
        foreach ($is as $key => $finding) {
            $weight = self::WEIGHTS[$finding['verdict']];
            if ($key === $meant || $weight <= self::WEIGHTS[$was[$key]['verdict'] ?? 'fits']) {
                continue;
            }
            foreach (isset($was[$key]) ? [] : $gone as $at => $other) {
                if ($other['rule'] === $finding['rule'] && ($other['lines'][0] ?? '') === ($finding['lines'][0] ?? '') && self::WEIGHTS[$other['verdict']] >= $weight) {
                    unset($gone[$at]);

                    continue 2;
                }
            }
            $worse[] = "{$finding['verdict']} {$key}";
        }

        return $worse;
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<array{key: string, rule: string, verdict: string, lines: list<string>}>
     */
    public static function plain(array $findings): array
    {
        return array_map(static fn (Finding $finding): array => [
            'key' => $finding->key(), 'rule' => $finding->rule, 'verdict' => $finding->verdict->value, 'lines' => $finding->lines,
        ], $findings);
    }

    /**
     * @param  list<array{key: string, rule: string, verdict: string, lines: list<string>}>  $findings
     * @return array<string, array{key: string, rule: string, verdict: string, lines: list<string>}>
     */
    public static function worst(array $findings): array
    {
        $worst = [];
        foreach ($findings as $finding) {
            if (! isset($worst[$finding['key']]) || self::WEIGHTS[$finding['verdict']] > self::WEIGHTS[$worst[$finding['key']]['verdict']]) {
                $worst[$finding['key']] = $finding;
            }
        }

        return $worst;
    }
}
