<?php

declare(strict_types=1);

namespace CoreTests;

use PocketPlot\Appraisal;
use PocketPlot\Build\Build;
use PocketPlot\Check\Finding;
use PocketPlot\File\BuildReader;

/**
 * Builds as builders told them (core/tests/builds/told), each laid beside what an experienced friend says of it.
 *
 * A sentence of the friend's names the verdicts that would be right and the findings, as "rule/line" or "rule", of which
 * one has to say so; "fits" wants that none of them says worse. A run time is right within a tenth. What should be left
 * alone may be no more than *fits*. A clash or something missing that no sentence covers is a false alarm.
 */
final class Told
{
    /** How far a run time may lie from the friend's sum, as a share. */
    public const HOURS_WITHIN = 0.12;

    /** @return list<string> */
    public static function names(): array
    {
        return array_map(static fn (string $path): string => basename($path, '.pocketplot.json'), glob(__DIR__.'/builds/told/*.pocketplot.json') ?: []);
    }

    public static function build(string $name): Build
    {
        return BuildReader::read(Make::buildFormat()->decode(Make::read("core/tests/builds/told/{$name}.pocketplot.json")));
    }

    /** @return array{friend: list<array<string, mixed>>, leave: list<array<string, mixed>>, errs?: list<array<string, mixed>>} */
    public static function expected(string $name): array
    {
        /** @var array{friend: list<array<string, mixed>>, leave: list<array<string, mixed>>, errs?: list<array<string, mixed>>} $expected */
        $expected = json_decode(Make::read("core/tests/builds/told/{$name}.expected.json"), true, 16, JSON_THROW_ON_ERROR);

        return $expected;
    }

    /** @return list<array{says: string, right: bool, seen: string}> one for each sentence, then one for each false alarm */
    public static function judge(string $name): array
    {
        $appraisal = Make::appraise(self::build($name));
        $expected = self::expected($name);
        $answers = [];
        $covered = [];
        foreach ($expected['friend'] as $sentence) {
            if (isset($sentence['hours'])) {
                $answers[] = self::hours($sentence, $appraisal);
                /** @var list<string> $any */
                $any = $sentence['any'] ?? [];
                $covered = [...$covered, ...array_map(static fn (Finding $finding): string => $finding->key(), self::about($any, $appraisal))];

                continue;
            }
            [$answer, $by] = self::sentence($sentence, $appraisal);
            $answers[] = $answer;
            $covered = [...$covered, ...$by];
        }
        foreach ($expected['errs'] ?? [] as $sentence) {
            /** @var list<string> $any */
            $any = $sentence['any'];
            $covered = [...$covered, ...array_map(static fn (Finding $finding): string => $finding->key(), self::about($any, $appraisal))];
        }
        foreach ($expected['leave'] as $sentence) {
            $answers[] = self::leftAlone($sentence, $appraisal, $covered);
        }
        foreach ($appraisal->findings as $finding) {
            if (in_array($finding->verdict->value, ['clash', 'missing'], true) && ! in_array($finding->key(), $covered, true)) {
                $answers[] = ['says' => 'no other alarm', 'right' => false, 'seen' => self::seen($finding)];
            }
        }

        return $answers;
    }

    /**
     * @param  array<string, mixed>  $sentence
     * @return array{array{says: string, right: bool, seen: string}, list<string>} the answer and the keys of the findings that it covers
     */
    private static function sentence(array $sentence, Appraisal $appraisal): array
    {
        /** @var list<string> $is */
        $is = $sentence['is'];
        /** @var list<string> $any */
        $any = $sentence['any'];
        $about = self::about($any, $appraisal);
        $telling = array_filter($about, static fn (Finding $finding): bool => in_array($finding->verdict->value, $is, true));
        $quiet = in_array('fits', $is, true);
        $bad = array_filter($about, static fn (Finding $finding): bool => ! in_array($finding->verdict->value, $quiet ? ['fits', ...$is] : $is, true));
        $right = $quiet ? $bad === [] && $telling !== [] : $telling !== [];

        return [
            [
                'says' => self::text($sentence['no']).' '.implode('/', $is).': '.self::text($sentence['says']),
                'right' => $right,
                'seen' => implode('; ', array_map(self::seen(...), $quiet ? $bad : $about)),
            ],
            // A sentence that came true covers whatever else is said of the same matter.
            array_values(array_map(static fn (Finding $finding): string => $finding->key(), $right ? $about : $telling)),
        ];
    }

    /**
     * @param  array<string, mixed>  $sentence
     * @return array{says: string, right: bool, seen: string}
     */
    private static function hours(array $sentence, Appraisal $appraisal): array
    {
        $wanted = is_numeric($sentence['hours']) ? (float) $sentence['hours'] : 0.0;
        $usual = $appraisal->vitals->runTime->usual;

        return [
            'says' => self::text($sentence['no']).' hours '.$wanted.': '.self::text($sentence['says']),
            'right' => $usual !== null && abs($usual / $wanted - 1) <= self::HOURS_WITHIN,
            'seen' => $usual === null ? 'unknown' : round($usual, 2).' h',
        ];
    }

    /**
     * @param  array<string, mixed>  $sentence
     * @param  list<string>  $covered  keys of findings that one of the friend's own sentences asks for
     * @return array{says: string, right: bool, seen: string}
     */
    private static function leftAlone(array $sentence, Appraisal $appraisal, array $covered): array
    {
        /** @var list<string> $quiet */
        $quiet = $sentence['quiet'];
        $loud = array_filter(
            self::about($quiet, $appraisal),
            static fn (Finding $finding): bool => $finding->verdict->value !== 'fits' && ! in_array($finding->key(), $covered, true)
                && ! self::isKnownOpen($finding, $covered, $appraisal),
        );

        return ['says' => 'leave: '.self::text($sentence['says']), 'right' => $loud === [], 'seen' => implode('; ', array_map(self::seen(...), $loud))];
    }

    /**
     * Whether it only waits for a figure that one of the friend's own sentences calls unknown.
     *
     * @param  list<string>  $covered
     */
    private static function isKnownOpen(Finding $finding, array $covered, Appraisal $appraisal): bool
    {
        $lines = [];
        foreach ($appraisal->findings as $one) {
            if ($one->verdict->value === 'unmeasured' && in_array($one->key(), $covered, true)) {
                $lines = [...$lines, ...array_column($one->waitsFor, 0)];
            }
        }

        return $finding->verdict->value === 'unmeasured' && array_diff(array_column($finding->waitsFor, 0), $lines) === [];
    }

    /**
     * @param  list<string>  $keys  "rule" or "rule/line"
     * @return list<Finding>
     */
    private static function about(array $keys, Appraisal $appraisal): array
    {
        return array_values(array_filter($appraisal->findings, static function (Finding $finding) use ($keys): bool {
            foreach ($keys as $key) {
                [$rule, $line, $about] = [...explode('/', $key, 3), '', ''];
                if ($finding->rule === $rule && ($line === '' || in_array($line, $finding->lines, true))
                    && ($about === '' || $finding->about === $about || $finding->about === "stack/{$about}")) {
                    return true;
                }
            }

            return false;
        }));
    }

    private static function seen(Finding $finding): string
    {
        return "{$finding->verdict->value} {$finding->key()}: {$finding->says()}";
    }

    private static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }
}
