<?php

declare(strict_types=1);

namespace CoreTests;

use PocketPlot\Clipping\Find;
use PocketPlot\Clipping\Reader;
use PocketPlot\Clipping\Weighing\Weigher;
use PocketPlot\Part\Role;

/**
 * Pasted texts with their right reading, in core/tests/texts: "== name role", the text, "--", then a line for each thing that it
 * bears out. "~" marks what may be left out, "|" another right reading of the line before, "!!" what must never be read,
 * "??" what the text leaves open.
 *
 * @phpstan-type Said array<string, string>
 * @phpstan-type Wanted array{readings: non-empty-list<Said>, isOptional: bool}
 * @phpstan-type Text array{name: string, role: string, text: string, expect: list<Wanted>, never: list<Said>, open: list<string>}
 * @phpstan-type Score array{right: int, wrong: list<string>, forbidden: list<string>, missed: list<string>, wanted: int, found: float}
 */
final class Texts
{
    private const BOUNDS = ['least', 'usual', 'most'];

    /** @return list<string> names of the files that the reader may learn from: those that begin with "aside" only say how well it reads what it never saw */
    public static function learnedFrom(): array
    {
        return array_values(array_filter(array_map(static fn (string $path): string => basename($path, '.txt'), glob(__DIR__.'/texts/*.txt') ?: []),
            static fn (string $set): bool => ! str_starts_with($set, 'aside')));
    }

    /** @return list<Text> */
    public static function of(string $file): array
    {
        $texts = [];
        foreach (preg_split('/^== /m', (string) file_get_contents(__DIR__."/texts/{$file}.txt")) ?: [] as $block) {
            if (trim($block) === '') {
                continue;
            }
            [$head, $rest] = explode("\n", $block, 2);
            $parts = preg_split('/\n--\n/', $rest, 2) ?: [];
            [$name, $role] = explode(' ', trim($head), 2);
            $text = ['name' => $name, 'role' => $role, 'text' => $parts[0] ?? '', 'expect' => [], 'never' => [], 'open' => []];
            foreach (explode("\n", trim($parts[1] ?? '')) as $line) {
                if (str_starts_with($line, '!! ')) {
                    $text['never'][] = self::said(substr($line, 3));
                } elseif (str_starts_with($line, '?? ')) {
                    $text['open'][] = explode(':', substr($line, 3))[0];
                } elseif (str_starts_with($line, '| ')) {
                    $text['expect'][count($text['expect']) - 1]['readings'][] = self::said(substr($line, 2));
                } elseif ($line !== '') {
                    $text['expect'][] = ['readings' => [self::said(ltrim($line, '~'))], 'isOptional' => $line[0] === '~'];
                }
            }
            $texts[] = $text;
        }

        return $texts;
    }

    /**
     * How well a text was read. Right in part counts half of what was wanted; a repeat of something right counts for nothing.
     *
     * @param  Text  $text
     * @return Score
     */
    public static function score(array $text, ?Weigher $weigher = null): array
    {
        $found = array_map(static fn (Find $find): array => array_map(self::plain(...), $find->toArray()), Reader::read($text['text'], Role::from($text['role']), $weigher));
        $pairs = [];
        foreach ($text['expect'] as $i => $wanted) {
            foreach ($found as $j => $got) {
                $grade = self::grade($wanted, $got);
                if ($grade > 0.0) {
                    $pairs[] = [-$grade, $wanted['isOptional'], $i, $j];
                }
            }
        }
        sort($pairs);
        $ofWanted = $ofFound = [];
        foreach ($pairs as [$grade, , $i, $j]) {
            if (! isset($ofWanted[$i]) && ! isset($ofFound[$j])) {
                $ofWanted[$i] = $ofFound[$j] = -$grade;
            }
        }
        $score = ['right' => 0, 'wrong' => [], 'forbidden' => [], 'missed' => [], 'wanted' => 0, 'found' => 0.0];
        foreach ($text['expect'] as $i => $wanted) {
            if (! $wanted['isOptional']) {
                $score['wanted']++;
                $score['found'] += ($ofWanted[$i] ?? 0.0) >= 2.0 ? 1.0 : ($ofWanted[$i] ?? 0.0) / 2;
                if (! isset($ofWanted[$i])) {
                    $score['missed'][] = self::line($wanted['readings'][0]);
                }
            }
        }
        foreach ($found as $j => $got) {
            $isRepeat = array_filter($text['expect'], static fn (array $wanted): bool => self::grade($wanted, $got) > 0.0) !== [];
            match (true) {
                array_filter($text['never'], static fn (array $rule): bool => self::isForbidden($rule, $got)) !== [] => $score['forbidden'][] = self::line($got),
                isset($ofFound[$j]) => $score['right']++,
                $isRepeat, in_array($got['what'], $text['open'], true) && isset($got['unsure']) => null,
                default => $score['wrong'][] = self::line($got),
            };
        }

        return $score;
    }

    /** @return Said */
    private static function said(string $line): array
    {
        if (preg_match('/^(.*?) (-?[\d.]+)$/', $line, $found) === 1) {
            return ['what' => $found[1], 'value' => $found[2]];
        }
        $says = ['what' => (string) preg_replace('/ \w+=.*$/', '', $line)];
        preg_match_all('/(\w+)=(.*?)(?= \w+=|$)/', $line, $all, PREG_SET_ORDER);
        foreach ($all as [, $key, $value]) {
            $says[$key] = $value;
        }

        return $says;
    }

    /**
     * @param  Wanted  $wanted
     * @param  Said  $got
     * @return float 0 nothing, 1 in part, 2 right under another bound, 3 right
     */
    private static function grade(array $wanted, array $got): float
    {
        return max(array_map(static fn (array $want): float => self::compare($want, $got), $wanted['readings']));
    }

    /**
     * @param  Said  $want
     * @param  Said  $got
     */
    private static function compare(array $want, array $got): float
    {
        return match (true) {
            $want['what'] !== $got['what'] => 0.0,
            isset($want['is']) => strcasecmp($want['is'], $got['is'] ?? '') === 0 ? 3.0 : 0.0,
            isset($want['amount']) => self::price($want, $got),
            isset($want['connector']) => self::socket($want, $got),
            isset($want['length']) || isset($want['width']) || isset($want['height']) => self::box($want, $got),
            default => self::figure($want, $got),
        };
    }

    /**
     * @param  Said  $want
     * @param  Said  $got
     */
    private static function figure(array $want, array $got): float
    {
        $wanted = array_intersect_key($want, array_flip(self::BOUNDS));
        $given = array_intersect_key($got, array_flip(self::BOUNDS));
        if (isset($given['usual'], $given['least'], $given['most']) && ! isset($wanted['usual']) && self::isNear((string) (((float) $given['least'] + (float) $given['most']) / 2), $given['usual'])) {
            unset($given['usual']);
        }
        $covered = [];
        $moved = false;
        foreach ($given as $bound => $value) {
            $hits = isset($wanted[$bound]) && self::isNear($wanted[$bound], $value) ? [$bound] : array_keys(array_filter($wanted, static fn (string $one): bool => self::isNear($one, $value)));
            if ($hits === []) {
                return 0.0;
            }
            $moved = $moved || $hits !== [$bound];
            $covered = [...$covered, ...$hits];
        }
        if ($given === []) {
            return 0.0;
        }
        $left = array_filter($wanted, static fn (string $value, string $bound): bool => ! in_array($bound, $covered, true)
            && array_filter($covered, static fn (string $one): bool => self::isNear($wanted[$one], $value)) === [], ARRAY_FILTER_USE_BOTH);

        return $left !== [] ? 1.0 : ($moved ? 2.0 : 3.0);
    }

    /**
     * @param  Said  $want
     * @param  Said  $got
     */
    private static function box(array $want, array $got): float
    {
        $wanted = array_intersect_key($want, array_flip(['length', 'width', 'height', 'hz']));
        if (isset($want['round'])) {
            // Of a cylinder no order counts, and its width may be said twice.
            $given = array_intersect_key($got, $wanted + ['height' => '']);
            $isOf = static fn (array $some, array $all): bool => array_filter($some, static fn (string $one): bool => array_filter($all,
                static fn (string $other): bool => self::isNear($one, $other)) === []) === [];

            return $given !== [] && $isOf($given, $wanted) ? ($isOf($wanted, $given) ? 3.0 : 1.0) : 0.0;
        }
        $mayTurn = in_array($want['what'], ['size', 'room inside', 'hole spacing', 'printer bed'], true);
        $best = 0.0;
        foreach ($mayTurn ? [$got, [...$got, ...array_filter(['length' => $got['width'] ?? null, 'width' => $got['length'] ?? null], is_string(...))]] : [$got] as $one) {
            $given = array_intersect_key($one, array_flip(['length', 'width', 'height', 'hz']));
            $isRight = $given !== [] && array_filter($given, static fn (string $value, string $key): bool => ! isset($wanted[$key]) || ! self::isNear($wanted[$key], $value), ARRAY_FILTER_USE_BOTH) === [];
            $best = max($best, $isRight ? (count($given) === count($wanted) ? 3.0 : 1.0) : 0.0);
        }

        return $best;
    }

    /**
     * @param  Said  $want
     * @param  Said  $got
     */
    private static function price(array $want, array $got): float
    {
        $isSame = abs((float) $want['amount'] - (float) ($got['amount'] ?? 0)) < 0.005 && (int) ($want['packet'] ?? 1) === (int) ($got['packet'] ?? 1);

        return $isSame && ($want['currency'] ?? '') === ($got['currency'] ?? '') ? 3.0 : 0.0;
    }

    /**
     * @param  Said  $want
     * @param  Said  $got
     */
    private static function socket(array $want, array $got): float
    {
        if ($want['connector'] !== ($got['connector'] ?? '')) {
            return 0.0;
        }
        $grade = 3.0;
        foreach (['direction', 'carries'] as $key) {
            if (isset($want[$key])) {
                if (isset($got[$key]) && $got[$key] !== $want[$key]) {
                    return 0.0;
                }
                $grade = isset($got[$key]) ? $grade : 1.0;
            }
        }

        return (int) ($want['count'] ?? 1) === (int) ($got['count'] ?? 1) ? $grade : (isset($got['count']) ? 0.0 : 1.0);
    }

    /**
     * @param  Said  $rule
     * @param  Said  $got
     */
    private static function isForbidden(array $rule, array $got): bool
    {
        if ($rule['what'] !== $got['what']) {
            return false;
        }
        if (isset($rule['value'])) {
            return array_filter(array_intersect_key($got, array_flip(self::BOUNDS)), static fn (string $value): bool => self::isNear($rule['value'], $value)) !== [];
        }
        foreach (array_diff_key($rule, ['what' => true]) as $key => $value) {
            $seen = $got[$key] ?? (in_array($key, ['packet', 'count'], true) ? '1' : '');
            $isSame = is_numeric($value) ? is_numeric($seen) && self::isNear($value, $seen) : strcasecmp($value, $seen) === 0;
            if (! $isSame) {
                return false;
            }
        }

        return true;
    }

    private static function isNear(string $a, string $b): bool
    {
        return is_numeric($a) && is_numeric($b) && abs((float) $a - (float) $b) <= 0.005 * max(abs((float) $a), abs((float) $b));
    }

    private static function plain(float|int|string|bool $value): string
    {
        return is_bool($value) ? 'yes' : (string) $value;
    }

    /** @param  Said  $said */
    private static function line(array $said): string
    {
        return $said['what'].' '.implode(' ', array_map(static fn (string $key, string $value): string => "{$key}={$value}", array_keys($rest = array_diff_key($said, ['what' => true])), $rest));
    }
}
