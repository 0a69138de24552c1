<?php

declare(strict_types=1);

namespace PocketPlot\Check;

/** What became better and worse since somebody last looked. */
final class VerdictChanges
{
    /**
     * @param  array<string, string>  $looked  finding key => verdict at the last look
     * @param  list<Finding>  $findings
     * @return list<array{key: string, says: string, was: ?string, is: ?string, better: bool}>
     */
    public static function compare(array $looked, array $findings): array
    {
        $changes = [];
        $now = [];
        foreach ($findings as $finding) {
            $key = $finding->key();
            $now[$key] = true;
            $was = isset($looked[$key]) ? Verdict::tryFrom($looked[$key]) : null;
            // A new finding that fits is no news.
            if ($was === $finding->verdict || ($was === null && $finding->verdict === Verdict::Fits) || $finding->rule === 'whole.unmeasured') {
                continue;
            }
            $changes[] = [
                'key' => $key,
                'says' => $finding->says(),
                'was' => $was?->value,
                'is' => $finding->verdict->value,
                'better' => $was !== null && $finding->verdict->weight() < $was->weight(),
            ];
        }
        foreach ($looked as $key => $verdict) {
            if (! isset($now[$key]) && $verdict !== Verdict::Fits->value && ! str_starts_with($key, 'whole.unmeasured/')) {
                $changes[] = ['key' => $key, 'says' => 'Gone: '.explode('/', $key)[0], 'was' => $verdict, 'is' => null, 'better' => true];
            }
        }

        return $changes;
    }

    /**
     * @param  list<Finding>  $findings
     * @return array<string, string> to be kept as the last look
     */
    public static function keep(array $findings): array
    {
        $kept = [];
        foreach ($findings as $finding) {
            $kept[$finding->key()] = $finding->verdict->value;
        }

        return $kept;
    }
}
