<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\File\BadFile;
use PocketPlot\File\PartReader;
use PocketPlot\Report\PowerReport;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * The part with one of its figures mistyped: nothing, a decimal mark off to either side, or absurd.
 *
 * @param  array<string, mixed>  $raw
 * @return array<string, mixed>
 */
function mistyped(array $raw, Randomizer $random): array
{
    $places = [];
    $walk = static function (mixed $value, array $path) use (&$walk, &$places): void {
        if (is_array($value)) {
            foreach ($value as $key => $inner) {
                $walk($inner, [...$path, $key]);
            }
        } elseif (is_int($value) || is_float($value)) {
            $places[] = $path;
        }
    };
    $walk($raw['facets'] ?? [], ['facets']);
    if ($places !== []) {
        $at = &$raw;
        foreach ($places[$random->getInt(0, count($places) - 1)] as $key) {
            $at = &$at[$key];
        }
        $at = [0, $at * 0.01, $at * 100, 1e6, 1e-9][$random->getInt(0, 4)];
    }

    return $raw;
}

it('answers or refuses by name, whatever was mistyped', function (string $demo, int $seed): void {
    $random = new Randomizer(new Xoshiro256StarStar($seed));
    $build = $demo === 'small-pc-core' ? Make::trial($demo) : Make::demo($demo);
    $slips = 0;
    while ($slips < 3) {
        $part = $build->lines[$random->getInt(0, count($build->lines) - 1)]->part;
        try {
            $build = $build->withPart($part->id, PartReader::read(mistyped($part->raw, $random)));
            $slips++;
        } catch (BadFile $bad) {
            expect((string) $bad->problems[0])->toMatch('#^[a-z0-9/-]*facets/\w+#i');
        }
    }
    $report = new PowerReport($build);
    $power = $report->toArray();
    $appraisal = Make::appraise($build);
    expect(json_encode([$power, $appraisal->toArray(), $report->scatter(2)?->toArray(), $report->sizing(3.0, [])?->toArray()]))->toBeString();
    foreach ($power['sources'] as $source) {
        $used = $source['run']['used'] ?? null;
        if ($used !== null && $source['run']['hours'] > 0.05) {
            // Six figures, each rounded to a tenth of a milliwatt-hour.
            $gone = $used['used'] + $used['converters'] + $used['leads'] + $used['inside'] + $used['rate'];
            expect($gone)->toEqualWithDelta($used['stored'], 0.001 * $used['stored'] + 0.0006);
        }
    }
})->with(['refuge', 'thimble', 'small-pc-core', 'barge'])->with(range(1, 15));
