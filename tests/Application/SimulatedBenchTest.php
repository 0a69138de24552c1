<?php

declare(strict_types=1);

use App\Actions\ImportBuild;
use App\Actions\StartBuild;
use App\Standins\Bench\SimulatedBench;
use PocketPlot\Bench\LogReader;
use PocketPlot\Bench\RunTests;
use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Build\Reading\Draw;
use PocketPlot\Build\Reading\MeteredState;
use PocketPlot\Build\Reading\Run;
use PocketPlot\Build\Reading\Stopped;
use PocketPlot\Build\Reading\TakenAs;
use PocketPlot\Facts\Facts;
use PocketPlot\File\BuildReader;
use PocketPlot\Quantity\Day;
use PocketPlot\WhatIf\ReadingEffect;

/** A demo build under a name of its own: each name has another hidden device behind the bench. */
function device(string $demo, int $number): Build
{
    $document = ImportBuild::read(StartBuild::demoFile($demo))[0];

    return BuildReader::read([...$document, 'name' => "{$demo} {$number}", 'readings' => []]);
}

/** Every draw metered in three states, and let count. */
function metered(Build $build, SimulatedBench $bench): Build
{
    foreach ($build->chosen() as $line) {
        if ($line->part->supply?->drawMa->isKnown() !== true) {
            continue;
        }
        $readings = [];
        foreach (['idle', 'usual', 'heavy'] as $state) {
            $is = $bench->draw($build, $line, $state);
            $readings[] = new Draw(new TakenAs("{$line->id}-{$state}", $line->id, Day::of('2026-11-24'), simulated: true, part: $line->name()), MeteredState::from($state), $is['volts'], $is['milliamps']);
        }
        $build = ReadingEffect::counting($build->withReadings($readings), $readings[2]);
    }

    return $build->withReadings([]);
}

/** A logged run on the bench, as it would be written down. */
function bench_run(Build $build, SimulatedBench $bench, Line $pack): Run
{
    $csv = "seconds,volts,amps\n";
    $stopped = '';
    foreach ($bench->run($build, $pack, 0) as $row) {
        $csv .= "{$row['seconds']},{$row['volts']},{$row['amps']}\n";
        $stopped = $row['stopped'];
    }
    $log = LogReader::read($csv);

    return new Run(
        new TakenAs('run', $pack->id, Day::of('2026-11-24'), simulated: true, part: $pack->name()), $log->sums->hours ?? 0.0, Stopped::from($stopped),
        $build->profilesOrDefaults()[0]->name, wattHours: ($pack->part->pack?->wattHours()->usual ?? 0.0) * $pack->quantity, log: $log->log,
    );
}

function predicted(Build $build, Run $run): float
{
    $facts = new Facts($build);

    return (new RunTests($build, $facts->supplyTree(), $facts->leadOhms()))->of($run)->ratio() ?? throw new RuntimeException('nothing was predicted');
}

it('finds the prediction within a tenth once the draws are metered, and closer once a logged run counts', function (string $demo, int $number): void {
    $bench = new SimulatedBench;
    $build = device($demo, $number);
    $pack = array_values(array_filter($build->chosen(), static fn (Line $line): bool => $line->part->pack !== null))[0];
    $run = bench_run($build, $bench, $pack);
    $metered = metered($build, $bench);
    expect($run->hours)->toBeGreaterThan(1.0)->and(predicted($metered, $run))->toBeGreaterThan(0.9)->toBeLessThan(1.1)
        ->and(predicted(ReadingEffect::counting($metered, $run), $run))->toBeGreaterThan(0.96)->toBeLessThan(1.04);
})->with(['refuge', 'thimble'])->with(range(1, 12));

it('needs the metering: some devices lie further off by their sheets alone', function (): void {
    $bench = new SimulatedBench;
    $off = static function (bool $isMetered) use ($bench): array {
        $found = [];
        foreach (range(1, 12) as $number) {
            foreach (['refuge', 'thimble'] as $demo) {
                $build = device($demo, $number);
                $pack = array_values(array_filter($build->chosen(), static fn (Line $line): bool => $line->part->pack !== null))[0];
                $found[] = abs(predicted($isMetered ? metered($build, $bench) : $build, bench_run($build, $bench, $pack)) - 1.0);
            }
        }

        return $found;
    };
    expect(array_sum($off(true)))->toBeLessThan(array_sum($off(false)));
});

it('measures the same device again after a measurement counts', function (): void {
    $bench = new SimulatedBench;
    $build = device('refuge', 1);
    $after = metered($build, $bench);
    foreach (['board', 'panel'] as $id) {
        $line = $after->line($id) ?? throw new RuntimeException($id);
        expect($bench->draw($after, $line, 'usual'))->toBe($bench->draw($build, $build->line($id) ?? $line, 'usual'))
            ->and(iterator_to_array($bench->sweep($after, $line, 14, 0.5, true)))->toBe(iterator_to_array($bench->sweep($build, $build->line($id) ?? $line, 14, 0.5, true)));
    }
    $pack = $after->line('pack') ?? throw new RuntimeException('pack');
    expect(iterator_to_array($bench->run($after, $pack, 0)))->toEqual(iterator_to_array($bench->run($build, $build->line('pack') ?? $pack, 0)));
});
