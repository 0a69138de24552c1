<?php

declare(strict_types=1);

use CoreTests\Make;
use CoreTests\Power;
use PocketPlot\Bench\Calibration;
use PocketPlot\Bench\Compared;
use PocketPlot\Bench\LogReader;
use PocketPlot\Bench\LogTally;
use PocketPlot\Bench\OddOneOut;
use PocketPlot\Bench\Replacement;
use PocketPlot\Bench\RunTests;
use PocketPlot\Bench\Sweep;
use PocketPlot\Build\Build;
use PocketPlot\Facts\Facts;
use PocketPlot\File\BadFile;
use PocketPlot\File\FigurePlace;
use PocketPlot\File\PartReader;
use PocketPlot\Part\DrawKind;

/** @param  array<string, mixed>  $with */
function reading(string $kind, string $line, array $with = []): array
{
    static $number = 0;
    $number++;

    return ['id' => "r{$number}", 'kind' => $kind, 'line' => $line, 'takenOn' => '2026-11-20', ...$with];
}

/** @param  list<array<string, mixed>>  $readings */
function onBench(array $readings, float $mah = 3000): Build
{
    $cell = Power::pack('Li-ion', 1, $mah, ['usableShare' => Make::band(0.85, 0.95, 0.9)]);

    return Make::build(['pack' => $cell, 'panel' => ['role' => 'display', 'facets' => Make::load(3.0, 5, 100, 250, 400, 3.6)]], [], ['readings' => $readings, 'profiles' => [['name' => 'Play', 'usual' => 1]]]);
}

/** @return list<Compared> */
function compared(Build $build): array
{
    $facts = new Facts($build);

    return (new RunTests($build, $facts->supplyTree(), $facts->leadOhms()))->compared();
}

describe('a voltage sweep', function (): void {
    $sweep = static function (array $steps, ?string $signal = null): Sweep {
        $rows = array_map(static fn (array $step): array => ['volts' => $step[0], 'lit' => $step[1], ...(isset($step[2]) ? ['milliamps' => $step[2]] : [])], $steps);

        return Sweep::of(onBench([reading('sweep', 'panel', ['steps' => $rows, ...($signal === null ? [] : ['signal' => $signal])])])->readings[0]);
    };

    it('finds the least volts and how surely', function () use ($sweep): void {
        $one = $sweep([[12, true], [10, true], [9, true], [8.5, false], [8, false]]);
        expect($one->worksAtV)->toBe(9.0)->and($one->darkAtV)->toBe(8.5)->and($one->says)->toContain('8.75 V ± 0.25 V')->and($one->asks)->toBe([]);
    });

    it('begins where the part is known to work, and knows what it may not be given', function (array $supply, ?float $from, ?float $most): void {
        $part = Make::build(['panel' => ['role' => 'display', 'facets' => ['supply' => $supply]]])->lines[0]->part;
        expect(Sweep::begin($part->supply ?? throw new RuntimeException))->toBe(['fromV' => $from, 'mostV' => $most]);
    })->with([
        'where its draw was taken' => [['volts' => Make::band(9, 13), 'drawMa' => 400, 'drawAtV' => 12], 12.0, 13.0],
        'the top of its window' => [['volts' => Make::band(4.7, 5.3)], 5.3, 5.3],
        'what breaks it outranks the window' => [['volts' => Make::band(4.7, 5.3), 'absoluteMaxV' => 6], 5.3, 6.0],
        'nothing is known' => [['drawMa' => 400], null, null],
    ]);

    it('asks what a careful builder would ask', function (array $steps, ?string $signal, string $asks) use ($sweep): void {
        expect(implode(' ', $sweep($steps, $signal)->asks))->toContain($asks);
    })->with([
        'dark at every step: was there a picture?' => [[[12, false], [10, false]], null, 'Did the panel have a picture signal?'],
        'dark with a picture: lead and polarity' => [[[12, false], [10, false]], 'yes', 'polarity'],
        'never dark' => [[[12, true], [6, true]], null, 'go on downwards'],
        'dark above lit' => [[[12, true], [10, false], [9, true], [8, false]], null, 'sweep again, slowly'],
        'steps too wide' => [[[12, true], [9, true], [6, false]], null, 'smaller steps'],
    ]);

    it('tells by the currents what the draw keeps', function (array $milliamps, ?DrawKind $keeps) use ($sweep): void {
        expect($sweep([[12, true, $milliamps[0]], [9, true, $milliamps[1]], [6, true, $milliamps[2]], [5, false]])->keeps)->toBe($keeps);
    })->with([
        'power: 6 W' => [[500, 667, 1000], DrawKind::Power],
        'current' => [[500, 502, 498], DrawKind::Current],
        'resistance: 24 Ω' => [[500, 375, 250], DrawKind::Resistance],
        'too few' => [[500, null, 250], null],
    ]);
});

describe('a reading in the place of a spec figure', function (): void {
    $of = static fn (array $readings): array => array_map(static fn (Replacement $one): array => [(string) $one->figure, $one->typed], Replacement::of($build = onBench($readings), $build->readings[count($readings) - 1], []));

    it('writes what a builder would type', function (array $reading, array $expected) use ($of): void {
        expect($of([$reading]))->toBe($expected);
    })->with([
        'a sweep moves the lower end only' => fn () => [reading('sweep', 'panel', ['steps' => [['volts' => 4, 'lit' => true], ['volts' => 3.4, 'lit' => true], ['volts' => 3.3, 'lit' => false]]]), [['supply.volts', '3.4 to 5 V']]],
        'lit above its window, its upper end stays' => fn () => [reading('sweep', 'panel', ['steps' => [['volts' => 7, 'lit' => true], ['volts' => 4, 'lit' => true], ['volts' => 3.8, 'lit' => false]]]), [['supply.volts', '4 to 5 V']]],
        'lit only above what it may be given' => fn () => [reading('sweep', 'panel', ['steps' => [['volts' => 12, 'lit' => true], ['volts' => 9, 'lit' => true], ['volts' => 4, 'lit' => false]]]), []],
        'a dark sweep says nothing' => fn () => [reading('sweep', 'panel', ['steps' => [['volts' => 4, 'lit' => false]]]), []],
        // Stated 100 / 250 / 400 mA at 3.6 V; 300 mA usual is 1.2 times that.
        'one state metered moves the others along' => fn () => [reading('draw', 'panel', ['state' => 'usual', 'volts' => 3.6, 'milliamps' => 300]), [['supply.drawMa', '120 / 300 / 480 mA']]],
        'at other volts' => fn () => [reading('draw', 'panel', ['state' => 'usual', 'volts' => 4.5, 'milliamps' => 240]), [['supply.drawMa', '96 / 240 / 384 mA'], ['supply.drawAtV', '4.5 V']]],
        'switched off' => fn () => [reading('draw', 'panel', ['state' => 'off', 'volts' => 3.6, 'milliamps' => 0.2]), [['supply.offMa', '0.2 mA']]],
        'start-up' => fn () => [reading('draw', 'panel', ['state' => 'start-up', 'volts' => 3.6, 'milliamps' => 900]), [['supply.startUpMa', '900 mA']]],
        // (61 − 23) K ÷ (3.6 V × 0.5 A) = 21.111 K/W.
        'a temperature' => fn () => [reading('temperature', 'panel', ['celsius' => 61, 'airC' => 23, 'volts' => 3.6, 'milliamps' => 500]), [['heat.riseKPerW', '21.111 K/W']]],
        'a temperature without watts' => fn () => [reading('temperature', 'panel', ['celsius' => 61, 'airC' => 23]), []],
        'a side' => fn () => [reading('dimension', 'panel', ['figure' => 'heightMm', 'value' => 7.25]), [['size.heightMm', '7.25 mm']]],
        // Predicted: 9.72 Wh at 0.25 A × 3.6 V, 2700 mAh out of 3000; 0.25 A for 10 h are 2500: 0.9 × 2500 ÷ 2700 = 83.3 %.
        'a logged run' => fn () => [reading('run', 'pack', ['hours' => 10, 'stopped' => 'went dark', 'profile' => 'Play', 'log' => [[0, 4.1, 0.25], [36000, 3.0, 0.25]]]), [['pack.usableShare', '83.3 %']]],
        // 0.012 A for 10 h are 120 mAh: 0.9 × 120 ÷ 2700 = 4 %, which no pack is: the meter was not in the line.
        'a logged run without its current' => fn () => [reading('run', 'pack', ['hours' => 10, 'stopped' => 'went dark', 'profile' => 'Play', 'log' => [[0, 4.1, 0.012], [36000, 3.0, 0.012]]]), []],
        // 0.018 A: 180 mAh, 6 %.
        'a logged run of a pack that is worn out' => fn () => [reading('run', 'pack', ['hours' => 10, 'stopped' => 'went dark', 'profile' => 'Play', 'log' => [[0, 4.1, 0.018], [36000, 3.0, 0.018]]]), [['pack.usableShare', '6 %']]],
        'a run that was broken off' => fn () => [reading('run', 'pack', ['hours' => 10, 'stopped' => 'switched off by hand', 'log' => [[0, 4.1, 0.25], [36000, 3.0, 0.25]]]), []],
    ]);

    it('makes nothing up for the states of a part of which nothing is known', function (): void {
        $draw = static fn (string $state, float $ma): array => reading('draw', 'panel', ['state' => $state, 'volts' => 12, 'milliamps' => $ma]);
        $of = static function (array $readings): array {
            $build = Make::build(['panel' => ['role' => 'display', 'facets' => ['supply' => ['volts' => Make::band(9, 13)]]]], [], ['readings' => $readings]);

            return array_map(static fn (Replacement $one): string => $one->typed, Replacement::of($build, $build->readings[count($readings) - 1], []));
        };
        expect($of([$draw('usual', 430)]))->toBe([])->and($of([$draw('idle', 250), $draw('heavy', 560), $draw('usual', 430)]))->toBe(['250 / 430 / 560 mA', '12 V']);
    });

    it('takes all metered states together', function () use ($of): void {
        $draw = static fn (string $state, float $ma): array => reading('draw', 'panel', ['state' => $state, 'volts' => 3.6, 'milliamps' => $ma]);
        expect($of([$draw('idle', 90), $draw('heavy', 500), $draw('usual', 260)]))->toBe([['supply.drawMa', '90 / 260 / 500 mA']]);
    });

    it('is understood by the place it is written to', function (): void {
        $build = onBench([reading('draw', 'panel', ['state' => 'usual', 'volts' => 4.5, 'milliamps' => 240])]);
        $raw = $build->lines[1]->part->raw;
        foreach (Replacement::of($build, $build->readings[0], []) as $one) {
            $raw = FigurePlace::of($one->figure)?->write($raw, $one->typed, '2026-11-20') ?? throw new RuntimeException;
        }
        $supply = PartReader::read($raw)->supply;
        expect($supply?->drawMa->usual())->toBe(240.0)->and($supply?->drawMa->stated)->toContain('100 to 400 mA')->and($supply?->drawAtV->usual())->toBe(4.5);
    });
});

describe('predicted against measured', function (): void {
    // 3 Ah × 3.6 V × 0.9 = 9.72 Wh ÷ (0.25 A × 3.6 V = 0.9 W) = 10.8 h.
    $run = static fn (float $hours, array $with = []): array => reading('run', 'pack', ['hours' => $hours, 'stopped' => 'went dark', 'profile' => 'Play', ...$with]);

    it('lays the test beside the discharge', function () use ($run): void {
        [$one] = compared(onBench([$run(10.0)]));
        expect($one->predictedHours)->toEqualWithDelta(10.8, 0.06)->and($one->ratio())->toEqualWithDelta(10 / 10.8, 0.005)->and($one->isWithin())->toBeTrue()->and($one->says())->toContain('agrees');
    });

    it('predicts nothing for a run of what is no pack', function () use ($run): void {
        [$one] = compared(onBench([[...$run(3.0), 'line' => 'panel']]));
        expect($one->predictedHours)->toBeNull()->and($one->says())->toContain('Nothing can be predicted');
    });

    it('makes nothing of a test that was broken off', function () use ($run): void {
        [$one] = compared(onBench([$run(3.0, ['stopped' => 'switched off by hand'])]));
        expect($one->ratio())->toBeNull()->and($one->says())->toContain('at least that long');
    });

    it('goes by the pack that was in the test', function () use ($run): void {
        // A pack of half the watt-hours: 5.4 h.
        [$one] = compared(onBench([$run(5.0, ['wattHours' => 5.4])]));
        expect($one->predictedHours)->toEqualWithDelta(5.4, 0.06);
    });

    it('fits what the tests can tell, and says what they cannot', function () use ($run): void {
        // 0.3 A at a mean of 3.6 V instead of 0.25 A: 1.2 times the draw; 0.3 A × 8.1 h = 2430 mAh of 2700 usable: 0.9.
        $log = ['log' => [[0, 3.6, 0.3], [29160, 3.6, 0.3]]];
        $build = onBench([$run(8.1, $log), $run(8.1, $log)]);
        $fit = Calibration::of($build, (new Facts($build))->supplyTree(), compared($build));
        $factors = array_column($fit->factors, 'factor', 'what');
        expect($factors['Capacity that really comes out'])->toEqualWithDelta(0.9, 0.01)->and($factors['Mean draw at the pack'])->toEqualWithDelta(1.2, 0.01)
            ->and($factors['Run time, capacity and draw together'])->toEqualWithDelta(0.75, 0.01);
        $build = onBench([$run(8.1)]);
        $fit = Calibration::of($build, (new Facts($build))->supplyTree(), compared($build));
        expect($fit->factors)->toBe([])->and(implode(' ', $fit->lacking))->toContain('0 of 2 tests; wanted is a log');
    });

    it('finds a converter\'s efficiency by a meter on both sides', function (): void {
        $draw = static fn (string $line, float $volts, float $ma): array => reading('draw', $line, ['state' => 'usual', 'volts' => $volts, 'milliamps' => $ma]);
        // 5 V × 0.9 A = 4.5 W behind, 7.2 V × 0.7 A = 5.04 W before: 0.893.
        $lines = ['pack' => Power::pack('Li-ion', 2, 3000), 'five' => Power::converter(5, 0.9), 'board' => ['role' => 'board', 'facets' => Make::load(4.6, 5.4, 300, 800, 900, 5)]];
        $lines['pack']['facets']['pack']['cellFullV'] = 4.2;
        $build = Make::build($lines, [], ['readings' => [$draw('five', 7.2, 700), $draw('board', 5, 900)], 'joins' => [['kind' => 'power', 'from' => 'five', 'to' => 'board'], ['kind' => 'power', 'from' => 'pack', 'to' => 'five']]]);
        expect(array_column(Calibration::of($build, (new Facts($build))->supplyTree(), [])->factors, 'factor', 'what')['Efficiency of Five, watts out ÷ watts in'])->toBe(0.893);
    });
});

describe('the odd one out', function (): void {
    $run = static fn (float $hours, float $wattHours, string $part): array => reading('run', 'pack', ['hours' => $hours, 'stopped' => 'went dark', 'profile' => 'Play', 'wattHours' => $wattHours, 'part' => $part]);

    it('keeps still while all can be true', function () use ($run): void {
        expect(OddOneOut::among(compared(onBench([$run(10.4, 10.8, 'Large'), $run(5.2, 5.4, 'Small')]))))->toBeNull()
            ->and(OddOneOut::among(compared(onBench([$run(2.0, 10.8, 'Large')]))))->toBeNull();
    });

    it('names a pack of twice the capacity that runs hardly longer', function () use ($run): void {
        // Predicted 10.8 and 5.4 h; the large one ran 5.9 h, as if it held 5.9 ÷ 10.8 ÷ (5.3 ÷ 5.4) = 56 % of what is printed.
        $odd = OddOneOut::among(compared(onBench([$run(5.9, 10.8, 'Large cell'), $run(5.3, 5.4, 'Small cell')]))) ?? throw new RuntimeException('not seen');
        expect(count($odd->odd))->toBe(2)->and($odd->says)->toContain('cannot both be true')->toContain('Large cell')
            ->and(implode(' ', array_column($odd->explanations, 'says')))->toContain('Large cell holds 55.7 % of what is printed')
            // 1 ÷ 0.557 = 1.797, in three figures.
            ->toContain('took 180 % of its usual watts')->toContain('their packs hold 180 %');
        $off = array_column($odd->explanations, 'off');
        $sorted = $off;
        sort($sorted);
        expect($off)->toBe($sorted)->and($odd->measure)->toContain('logs volts and amps')->toContain('mAh');
    });

    it('points at one where the others agree', function () use ($run): void {
        $odd = OddOneOut::among(compared(onBench([$run(10.5, 10.8, 'One'), $run(5.3, 5.4, 'Two'), $run(6.0, 10.8, 'Three'), $run(10.9, 10.8, 'Four')]))) ?? throw new RuntimeException('not seen');
        expect(count($odd->odd))->toBe(1)->and($odd->odd[0]->reading->part)->toBe('Three')->and($odd->says)->toContain('does not go with the 3 others');
    });

    it('makes each explanation add up', function () use ($run): void {
        $odd = OddOneOut::among(compared(onBench([$run(5.9, 10.8, 'Large'), $run(5.3, 5.4, 'Small')]))) ?? throw new RuntimeException('not seen');
        foreach ($odd->explanations as $one) {
            expect(min($one['times'], 1 / $one['times']))->toEqualWithDelta(0.557, 0.01, $one['says']);
        }
    });
});

describe('a meter\'s log', function (): void {
    it('understands what meters write', function (string $text, array $first, int $taken): void {
        $file = LogReader::read($text);
        expect($file->taken)->toBe($taken)->and($file->log[1])->toEqualWithDelta($first, 1e-6)->and($file->troubles)->toBe([]);
    })->with([
        'plain' => ["0,4.1,0.5\n1,4.0,0.5\n", [1, 4.0, 0.5], 2],
        'headings with units' => ["Time (s),Voltage (V),Current (mA)\n0,4.1,500\n60,4.0,510\n", [60, 4.0, 0.51], 2],
        'decimal commas' => ["Zeit [min];Spannung [V];Strom [A]\n0;4,1;0,5\n1,5;4,0;0,49\n", [90, 4.0, 0.49], 2],
        'millivolts and hours in another order' => ["current_ma\tvoltage_mv\thours\n500\t4100\t0\n510\t4000\t0.5\n", [1800, 4.0, 0.51], 2],
        'clock of the day' => ["time,volts,amps\n10:00:00,4.1,0.5\n10:00:30,4.0,0.5\n", [30, 4.0, 0.5], 2],
        'past midnight' => ["time,volts,amps\n23:59:30,4.1,0.5\n00:00:30,4.0,0.5\n", [60, 4.0, 0.5], 2],
        'dates' => ["time,volts,amps\n2026-11-20T23:59:00Z,4.1,0.5\n2026-11-21T00:01:00Z,4.0,0.5\n", [120, 4.0, 0.5], 2],
        'units in the cells, marks, remarks and a byte order mark' => ["\u{FEFF}# a meter\ntime;u;i\n\"0 s\";\"4100 mV\";\"500mA\"\n\n\"2 s\";\"4000 mV\";\"490mA\"\n", [2, 4.0, 0.49], 2],
        'Windows line ends' => ["t,v,a\r\n0,4.1,0.5\r\n5,4.0,0.5\r\n", [5, 4.0, 0.5], 2],
    ]);

    it('tells line by line what it could not take', function (string $rows, int $line, string $says, int $taken): void {
        $file = LogReader::read("time,volts,amps\n".$rows);
        expect(array_column($file->troubles, 'says', 'line')[$line] ?? 'nothing')->toContain($says)->and($file->taken)->toBe($taken);
    })->with([
        'a word for a figure' => ["0,4.1,0.5\n1,OVER,0.5\n2,4.0,0.5\n", 3, '"OVER" cannot be read', 2],
        'a missing cell' => ["0,4.1,0.5\n1,4.1\n2,4.0,0.5\n", 3, 'amps are missing', 2],
        'a clock that runs backwards' => ["0,4.1,0.5\n10,4.1,0.5\n5,4.1,0.5\n11,4.0,0.5\n", 4, 'runs backwards', 3],
        'a clock that is set back goes on from where it stood' => ["0,4.1,0.5\n3600,4.1,0.5\n20,4.1,0.5\n30,4.0,0.5\n40,4.0,0.5\n", 4, 'set back from 3600 s to 20 s', 5],
        'two rows at once' => ["0,4.1,0.5\n1,4.1,0.5\n1,4.0,0.6\n2,4.0,0.5\n", 4, 'second row', 3],
        'a jump and back' => ["0,4.1,0.5\n1,41,0.5\n2,4.1,0.5\n3,4.1,0.5\n", 3, 'jump', 3],
        'a gap' => ["0,4.1,0.5\n1,4.1,0.5\n2,4.1,0.5\n3,4.1,0.5\n300,4.0,0.5\n", 6, 'gap of 297 s', 5],
        'an unknown unit' => ["0,4.1,0.5\n1,4.1,500 furlongs\n2,4.0,0.5\n", 3, 'cannot be read', 2],
    ]);

    it('loses nothing of a log whose clock is set back', function (): void {
        // An hour at 0.5 A, then the clock starts anew, 10 s a row: 3600 + 10 + 10 + 10 s at 0.5 A = 504.17 mAh.
        $file = LogReader::read("seconds,volts,amps\n0,4.1,0.5\n3600,4.1,0.5\n20,4.1,0.5\n30,4.0,0.5\n40,4.0,0.5\n");
        expect($file->sums?->milliampHours)->toEqualWithDelta(504.167, 0.01)->and(count(array_filter($file->troubles, static fn (array $one): bool => str_contains($one['says'], 'set back'))))->toBe(1);
        // Dates do not save a clock that is set back for the winter: an hour of rows is read twice, none is lost.
        $file = LogReader::read("time,volts,amps\n2026-10-25 02:58:00,4.1,0.5\n2026-10-25 02:59:00,4.1,0.5\n2026-10-25 02:00:00,4.1,0.5\n2026-10-25 02:01:00,4.0,0.5\n");
        expect($file->taken)->toBe(4)->and($file->log[3][0])->toBe(180.0);
    });

    it('says so when there are no figures at all', function (): void {
        expect(LogReader::read("hello\nworld\n")->troubles[0]['says'])->toContain('no line with three figures')->and(LogReader::read('')->taken)->toBe(0);
    });

    it('takes two hundred thousand lines and counts every one', function (): void {
        $text = "time,volts,amps\n";
        for ($row = 0; $row < 200000; $row++) {
            $text .= $row % 1000 === 999 ? "{$row},bad,0.5\n" : "{$row},3.7,0.5\n";
        }
        $file = LogReader::read($text);
        // 199,998 s at 0.5 A are 27.78 Ah; 200 lines could not be read, all of them told.
        expect($file->taken)->toBe(199800)->and(count($file->troubles) + $file->notListed)->toBe(200)->and($file->sums?->milliampHours)->toEqualWithDelta(27777.5, 0.5)
            ->and(count($file->log))->toBeLessThanOrEqual(600);
        // The picture of it: means of what never changes are what never changes, in the order of time, the last row too.
        $seconds = array_column($file->log, 0);
        $sorted = $seconds;
        sort($sorted);
        expect(min(array_column($file->log, 1)))->toEqualWithDelta(3.7, 1e-6)->and(max(array_column($file->log, 1)))->toEqualWithDelta(3.7, 1e-6)
            ->and($seconds)->toBe($sorted)->and(count(array_unique($seconds)))->toBe(count($seconds))->and($seconds[0])->toBe(0.0)->and(end($seconds))->toBe(199998.0);
    });

    it('adds up by trapezoids', function (): void {
        // 0 to 1 A over an hour at 4 V: half an amp-hour, 2 Wh.
        $sums = LogTally::sumsOf([[0.0, 4.0, 0.0], [3600.0, 4.0, 1.0]]);
        expect($sums?->milliampHours)->toEqualWithDelta(500.0, 1e-9)->and($sums?->wattHours)->toEqualWithDelta(2.0, 1e-9)->and($sums?->meanW)->toEqualWithDelta(2.0, 1e-9)->and(LogTally::sumsOf([[0.0, 1.0, 1.0]]))->toBeNull();
    });

    it('adds up rows of their own length, wherever the clock began', function (): void {
        // From 1000 s: 1800 s at 1 A, 4 V are 500 mAh, 2 Wh; 900 s from 1 to 3 A, 4 V to 3 V (4 W to 9 W) are 2 A × 900 s = 500 mAh, 6.5 W × 900 s = 1.625 Wh.
        $sums = LogTally::sumsOf([[1000.0, 4.0, 1.0], [2800.0, 4.0, 1.0], [3700.0, 3.0, 3.0]]);
        expect($sums?->milliampHours)->toEqualWithDelta(1000.0, 1e-9)->and($sums?->wattHours)->toEqualWithDelta(3.625, 1e-9)
            ->and($sums?->hours)->toEqualWithDelta(0.75, 1e-12)->and($sums?->meanW)->toEqualWithDelta(3.625 / 0.75, 1e-9)
            ->and($sums?->firstV)->toBe(4.0)->and($sums?->lastV)->toBe(3.0);
    });

    it('makes nothing of rows between which no time went by', function (): void {
        expect(LogTally::sumsOf([[5.0, 4.0, 1.0], [5.0, 4.0, 1.0]]))->toBeNull();
    });
});

describe('in files', function (): void {
    it('refuses a reading or a way of playing that cannot be, naming field and fix', function (array $more, string $says): void {
        try {
            Make::build(['pack' => Power::pack('Li-ion', 1, 3000)], [], $more);
            $this->fail('it went through');
        } catch (BadFile $bad) {
            expect((string) $bad->problems[0])->toContain($says);
        }
    })->with([
        'a profile of 300 %' => [['profiles' => [['name' => 'Wild', 'idle' => 1, 'usual' => 1, 'heavy' => 1]]], 'profiles/0/usual: the shares of off, idle, usual and heavy add up to 300 %'],
        'a profile of nothing' => [['profiles' => [['name' => 'Nothing']]], 'add up to 0 %'],
        'a share beyond the whole' => [['profiles' => [['name' => 'Odd', 'idle' => 1.4, 'usual' => -0.4]]], 'profiles/0/idle: 140 % lies outside'],
        'two of one name' => [['profiles' => [['name' => 'A', 'usual' => 1], ['name' => 'A', 'idle' => 1]]], '"A" is there twice'],
        'a draw without amps' => [['readings' => [['id' => 'x', 'kind' => 'draw', 'line' => 'pack', 'takenOn' => '2026-01-01', 'state' => 'idle', 'volts' => 3]]], 'readings/0/milliamps: is missing; write the amps'],
        'a run without an end' => [['readings' => [['id' => 'x', 'kind' => 'run', 'line' => 'pack', 'takenOn' => '2026-01-01', 'hours' => 3]]], 'readings/0/stopped: is missing'],
        'a run of no hours' => [['readings' => [['id' => 'x', 'kind' => 'run', 'line' => 'pack', 'takenOn' => '2026-01-01', 'hours' => 0, 'stopped' => 'went dark']]], 'readings/0/hours: 0 lies outside'],
        'a run on a pack of nothing' => [['readings' => [['id' => 'x', 'kind' => 'run', 'line' => 'pack', 'takenOn' => '2026-01-01', 'hours' => 3, 'stopped' => 'went dark', 'wattHours' => 0]]], 'readings/0/wattHours: 0 lies outside'],
        'a line that is not there' => [['readings' => [['id' => 'x', 'kind' => 'dimension', 'line' => 'ghost', 'takenOn' => '2026-01-01', 'figure' => 'lengthMm', 'value' => 3]]], 'there is no line "ghost"'],
        'a log out of order' => [['readings' => [['id' => 'x', 'kind' => 'run', 'line' => 'pack', 'takenOn' => '2026-01-01', 'hours' => 3, 'stopped' => 'went dark', 'log' => [[5, 1, 1], [2, 1, 1]]]]], 'readings/0/log/1: lies before the row above it'],
        'no kind we know' => [['readings' => [['id' => 'x', 'kind' => 'smell', 'line' => 'pack', 'takenOn' => '2026-01-01']]], '"smell" is no kind of reading'],
    ]);

    it('brings readings and ways of playing through a round trip', function (): void {
        $more = [
            'profiles' => [['name' => 'Dim', 'idle' => 0.5, 'usual' => 0.5, 'brightness' => 0, 'radio' => false, 'x-mood' => 'calm']],
            'readings' => [['id' => 'a', 'kind' => 'sweep', 'line' => 'pack', 'takenOn' => '2026-01-01', 'instrument' => 'Bench supply', 'steps' => [['volts' => 12, 'lit' => true, 'milliamps' => 3], ['volts' => 9.5, 'lit' => false]], 'signal' => 'yes', 'simulated' => true, 'x-by' => 'Ada']],
        ];
        $document = Make::document(['pack' => Power::pack('Li-ion', 1, 3000)], ['purpose' => 'a trial'], $more);
        $build = PocketPlot\File\BuildReader::read(Make::buildFormat()->decode((string) json_encode($document)));
        $written = PocketPlot\File\BuildWriter::document($build, ['purpose' => 'a trial']);
        expect($written['profiles'])->toEqual($more['profiles'])->and($written['readings'])->toEqual($more['readings']);
    });
});
