<?php

declare(strict_types=1);

namespace PocketPlot\WhatIf;

use PocketPlot\Appraisal;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Verdict;

/** What is worse about a build after a change: new findings, old ones with a worse verdict, vitals that got lost. */
final class Worsening
{
    /**
     * @param  Finding  $meant  what the change is to mend: milder under its own key is not new
     * @return list<Finding> of the build after the change, worst first
     */
    public static function between(Appraisal $before, Appraisal $after, Finding $meant): array
    {
        $was = self::worstByKey($before);
        $is = self::worstByKey($after);
        $gone = [];
        foreach (array_diff_key($was, $is, [$meant->key() => true]) as $finding) {
            $gone[self::place($finding)][] = $finding->verdict->weight();
        }
        $worse = [];
        foreach ($is as $key => $finding) {
            $weight = $finding->verdict->weight();
            if ($finding->verdict === Verdict::Fits || $key === $meant->key() || (isset($was[$key]) && $was[$key]->verdict->weight() >= $weight)) {
                continue;
            }
            // A rail that has another name now, say, is the same trouble under another key.
            $same = isset($was[$key]) ? null : array_key_last(array_filter($gone[self::place($finding)] ?? [],
                static fn (int $before): bool => $before >= $weight));
            if ($same !== null) {
                unset($gone[self::place($finding)][$same]);

                continue;
            }
            $worse[] = $finding;
        }

        return $worse;
    }

    /** @return list<string> vitals of which less is known than before */
    public static function lostVitals(Appraisal $before, Appraisal $after): array
    {
        [$was, $is] = [$before->vitals, $after->vitals];
        $unpriced = static fn (Appraisal $appraisal): int => count($appraisal->facts->costs()->unpriced) + count($appraisal->facts->costs()->withoutRate);

        return array_keys(array_filter([
            'run time' => $was->runTime->isKnown() && ! $is->runTime->isKnown(),
            'size' => $was->sidesMm !== [] && $is->sidesMm === [],
            'weight' => $is->unweighed > $was->unweighed,
            'cost' => $unpriced($after) > $unpriced($before),
            'finish' => $was->finish() !== null && $is->finish() === null,
        ]));
    }

    private static function place(Finding $finding): string
    {
        return $finding->rule.'/'.($finding->lines[0] ?? '');
    }

    /** @return array<string, Finding> worst first */
    private static function worstByKey(Appraisal $appraisal): array
    {
        $byKey = [];
        foreach ($appraisal->findings as $finding) {
            $byKey[$finding->key()] ??= $finding;
        }

        return $byKey;
    }
}
