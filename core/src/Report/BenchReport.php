<?php

declare(strict_types=1);

namespace PocketPlot\Report;

use PocketPlot\Bench\Calibration;
use PocketPlot\Bench\Compared;
use PocketPlot\Bench\OddOneOut;
use PocketPlot\Bench\Replacement;
use PocketPlot\Bench\RunTests;
use PocketPlot\Bench\Sweep;
use PocketPlot\Build\Build;
use PocketPlot\Build\Reading;
use PocketPlot\Build\Reading\Charge;
use PocketPlot\Build\Reading\Draw;
use PocketPlot\Build\Reading\Run;
use PocketPlot\Build\Reading\Sweep as SweepReading;
use PocketPlot\Check\Measuring;
use PocketPlot\Facts\Facts;
use PocketPlot\File\FigurePlace;
use PocketPlot\File\ReadingReader;
use PocketPlot\Part\SupplyInput;
use PocketPlot\Power\ChargePlan;
use PocketPlot\Quantity\Number;

/** Everything that was measured on a build's bench, and what it says beside what was expected. */
final class BenchReport
{
    /** @return array<string, mixed> the shape that the API answers (contract/openapi.json, "Bench"), without what only the store knows */
    public static function of(Build $build): array
    {
        $facts = new Facts($build);
        $tests = (new RunTests($build, $facts->supplyTree(), $facts->leadOhms()))->compared();
        $calibration = Calibration::of($build, $facts->supplyTree(), $tests);
        $odd = OddOneOut::among($tests);

        return [
            'readings' => array_map(static fn (Reading $reading): array => self::reading($reading, $facts), array_reverse($build->readings)),
            'tests' => array_map(self::test(...), $tests),
            'fit' => ['factors' => $calibration->factors, 'lacking' => $calibration->lacking],
            'odd' => $odd === null ? null : [
                'readings' => array_map(
                    static fn (Compared $one): string => $one->reading->id,
                    $odd->odd,
                ), 'says' => $odd->says, 'explanations' => $odd->explanations, 'measure' => $odd->measure,
            ],
            'sweeps' => (object) array_map(Sweep::begin(...), self::supplies($build)),
            'profiles' => array_map(static fn ($profile): string => $profile->name, $build->profilesOrDefaults()),
        ];
    }

    /** @return array<string, SupplyInput> the main input of every part that has one, by line */
    private static function supplies(Build $build): array
    {
        $supplies = [];
        foreach ($build->chosen() as $line) {
            if ($line->part->supply !== null) {
                $supplies[$line->id] = $line->part->supply;
            }
        }

        return $supplies;
    }

    /** @return array<string, mixed> */
    private static function reading(Reading $reading, Facts $facts): array
    {
        $build = $facts->build;
        $line = $build->line($reading->line);
        $sweep = $reading instanceof SweepReading ? Sweep::of($reading) : null;
        $isOfThisPart = $line !== null && $reading->isOf($line);
        $replacements = Replacement::of($build, $reading, $facts->leadOhms());
        $asks = $sweep === null ? [] : $sweep->asks;
        $supply = $line?->part->supply;
        if ($isOfThisPart && $sweep !== null && $supply !== null && $sweep->isBeyond($supply)) {
            $asks[] = sprintf(
                'It was lit only above the %s V that its sheet allows: read both again before it is given that much once more.',
                Number::says(Sweep::begin($supply)['mostV'] ?? 0.0),
            );
        }
        if ($isOfThisPart && $replacements === [] && $reading instanceof Draw && $reading->state->isOfPlay()) {
            $asks[] = 'Nothing is known of its other states: meter it idle, in usual play and at its heaviest, then it can count.';
        }

        return [
            ...array_diff_key(ReadingReader::document($reading), ['log' => true, 'photo' => true] + $reading->taken->extra),
            'part' => $reading->part === '' ? ($line?->name() ?? '') : $reading->part,
            'rows' => $reading instanceof Run || $reading instanceof Charge ? count($reading->log) : 0,
            'says' => $sweep === null ? $reading->says().self::predictedCharge($reading, $build) : $sweep->says,
            'asks' => $asks,
            'isOfThisPart' => $isOfThisPart,
            'replaces' => array_map(static fn (Replacement $one): array => [
                'figure' => (string) $one->figure, 'name' => Measuring::isKnown($one->figure)
                    ? Measuring::name($one->figure)
                    : $one->says, 'typed' => $one->typed, 'stated' => $one->stated, 'says' => $one->says,
                'counts' => $line !== null && FigurePlace::of($one->figure)?->holds($line->part->raw, $one->typed) === true,
            ], $replacements),
        ];
    }

    /** What was predicted for a charge test, where the charger's figures are known. */
    private static function predictedCharge(Reading $reading, Build $build): string
    {
        $line = $reading instanceof Charge ? $build->line($reading->line) : null;
        $hours = ! $reading instanceof Charge || $line === null
            ? null
            : ChargePlan::of($build, $line, null)?->atRest?->hoursBetween($reading->fromShare ?? 0.0, $reading->toShare ?? 1.0);

        return $hours === null ? '' : '; '.Number::says($hours).' h were predicted';
    }

    /** @return array<string, mixed> */
    private static function test(Compared $test): array
    {
        $round = static fn (?float $value): ?float => $value === null || ! is_finite($value) ? null : round($value, 3);

        return [
            'reading' => $test->reading->id,
            'takenOn' => (string) $test->reading->takenOn,
            'part' => $test->reading->part,
            'profile' => $test->reading->profile,
            'simulated' => $test->reading->taken->simulated,
            'measuredHours' => $round($test->measuredHours),
            'predictedHours' => $round($test->predictedHours),
            'leastHours' => $round($test->leastHours),
            'mostHours' => $round($test->mostHours),
            'ratio' => $round($test->ratio()), 'within' => $test->isWithin(), 'says' => $test->says(),
            'predicted' => array_map(
                static fn (array $row): array => [round($row['h'], 4), round($row['volts'], 3), round($row['amps'], 4)],
                $test->run->rows ?? [],
            ),
            'measured' => array_map(static fn (array $row): array => [round($row[0] / 3600, 4), $row[1], $row[2]], $test->reading->log),
        ];
    }
}
