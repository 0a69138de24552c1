<?php

declare(strict_types=1);

use CoreTests\Make;
use CoreTests\Power;
use PocketPlot\Build\Profile;
use PocketPlot\Check\Power\DeepDischarge;
use PocketPlot\Check\Verdict;
use PocketPlot\Facts\Facts;
use PocketPlot\File\BadFile;
use PocketPlot\Power\Assumption;
use PocketPlot\Power\BadSupply;
use PocketPlot\Power\Balance;
use PocketPlot\Power\Chemistry;
use PocketPlot\Power\Circuit;
use PocketPlot\Power\Curve;
use PocketPlot\Power\Discharge;
use PocketPlot\Power\EndCause;
use PocketPlot\Power\Gaps;
use PocketPlot\Power\Moment;
use PocketPlot\Power\NoBalance;
use PocketPlot\Power\PackModel;
use PocketPlot\Power\PlayState;
use PocketPlot\Power\Run;
use PocketPlot\Power\TripBehaviour;
use PocketPlot\Report\PowerReport;

describe('by hand, a chemistry at a time', function (): void {
    // Without resistance or cut-off, constant power lasts as long as the energy: Ah × nominal volts × cells ÷ watts.
    it('empties gently', function (string $chemistry, int $series, float $mah, float $watts, float $hours): void {
        expect(Power::run(['pack' => Power::pack($chemistry, $series, $mah), 'panel' => Power::steady($watts * 100, 10)])->hours)->toEqualWithDelta($hours, $hours * 0.005);
    })->with([
        'Li-ion: 3.0 Ah × 3.6 V × 2 = 21.6 Wh; ÷ 2 W = 10.8 h' => ['Li-ion', 2, 3000, 2.0, 10.8],
        'LiPo: 2.0 Ah × 3.7 V = 7.4 Wh; ÷ 1 W = 7.4 h' => ['LiPo', 1, 2000, 1.0, 7.4],
        'LiFePO4: 12 Ah × 3.2 V × 4 = 153.6 Wh; ÷ 16 W = 9.6 h' => ['LiFePO4', 4, 12000, 16.0, 9.6],
        'NiMH: 2 Ah × 1.2 V × 4 = 9.6 Wh; ÷ 1.2 W = 8 h' => ['NiMH', 4, 2000, 1.2, 8.0],
        'alkaline: 2 Ah × 1.25 V × 4 = 10 Wh; ÷ 0.1 W = 100 h' => ['alkaline', 4, 2000, 0.1, 100.0],
    ]);

    // Drawn in a hurry the charge counts (I ÷ gentle I)^(k − 1) times.
    it('loses with the rate', function (string $chemistry, float $mah, float $ma, float $hours): void {
        expect(Power::run(['pack' => Power::pack($chemistry, 1, $mah), 'panel' => Power::steady($ma, 3.6, 'current')])->hours)->toEqualWithDelta($hours, $hours * 0.005);
    })->with([
        // 2 Ah ÷ 50 h = 40 mA is gentle; 400 mA is ten times that: 10^0.15 = 1.4125. 2 ÷ (0.4 × 1.4125) = 3.540 h.
        'alkaline' => ['alkaline', 2000, 400, 3.540],
        // 2 Ah ÷ 5 h = 400 mA; 2 A is five times that: 5^0.05 = 1.0838. 2 ÷ (2 × 1.0838) = 0.9227 h.
        'NiMH' => ['NiMH', 2000, 2000, 0.9227],
        // 3 Ah ÷ 5 h = 600 mA; 3 A is five times that: 5^0.02 = 1.0327. 3 ÷ (3 × 1.0327) = 0.9683 h.
        'Li-ion' => ['Li-ion', 3000, 3000, 0.9683],
        // 5^0.01 = 1.0162: 0.9840 h.
        'LiFePO4' => ['LiFePO4', 3000, 3000, 0.9840],
    ]);

    // At 0 °C so much of the capacity is left; at half of 500 full charges nine tenths.
    it('loses with cold and age', function (string $chemistry, float $share): void {
        $hours = Power::run(['pack' => Power::pack($chemistry, 1, 1000), 'panel' => Power::steady(10, 3.6, 'current')], celsius: 0)->hours;
        expect($hours)->toEqualWithDelta(100 * $share, 0.5);
    })->with([['Li-ion', 0.86], ['LiPo', 0.84], ['LiFePO4', 0.80], ['NiMH', 0.85], ['alkaline', 0.58]]);

    it('counts the charges a cell has been through', function (): void {
        expect(Power::run(['pack' => Power::pack('Li-ion', 1, 1000, ['cycles' => 250]), 'panel' => Power::steady(10, 3.6, 'current')])->hours)->toEqualWithDelta(90.0, 0.5)
            ->and(Chemistry::ageShare('Li-ion', 5000))->toBe(0.5)->and(Chemistry::ageShare('alkaline', 10))->toBe(1.0);
    });
});

it('gives constant current for capacity ÷ current', function (): void {
    // 2.5 Ah ÷ 0.25 A = 10 h.
    expect(Power::run(['pack' => Power::pack('Li-ion', 1, 2500), 'panel' => Power::steady(250, 3.6, 'current')])->hours)->toEqualWithDelta(10.0, 0.05);
});

it('keeps the balance of energy behind a converter', function (): void {
    // 3 Ah × 3.6 V × 3 = 32.4 Wh × 0.9 = 29.16 Wh at the load; ÷ 5 W = 5.832 h.
    $run = Power::run(['pack' => Power::pack('Li-ion', 3, 3000), 'five' => Power::converter(5, 0.9), 'panel' => Power::steady(1000, 5, leastV: 4)]);
    expect($run->hours)->toEqualWithDelta(5.832, 5.832 * 0.005)
        ->and($run->used->usedWh)->toEqualWithDelta(29.16, 29.16 * 0.005)
        ->and($run->used->converterWh)->toEqualWithDelta(3.24, 3.24 * 0.01);
});

it('gives two equal packs in parallel twice the time', function (): void {
    $load = ['panel' => Power::steady(200, 3.6)];
    $one = Power::run(['pack' => Power::pack('Li-ion', 1, 2000, ['internalResistanceMohm' => 50]), ...$load])->hours;
    $two = Power::run(['pack' => [...Power::pack('Li-ion', 1, 2000, ['internalResistanceMohm' => 50]), 'line' => ['quantity' => 2]], ...$load])->hours;
    $joined = Power::run(['pack' => Power::pack('Li-ion', 1, 2000, ['internalResistanceMohm' => 50]), 'other' => Power::pack('Li-ion', 1, 2000, ['internalResistanceMohm' => 50]), ...$load], more: ['joins' => [
        ['kind' => 'parallel', 'from' => 'pack', 'to' => 'other'], ['kind' => 'power', 'from' => 'pack', 'to' => 'panel'],
    ]])->hours;
    expect($two)->toEqualWithDelta(2 * $one, 0.02 * $one)->and($joined)->toEqualWithDelta($two, 0.01 * $two);
});

it('lets a small pack beside a large one give its share', function (): void {
    // 1 Ah and 3 Ah of the same cell, the resistance the inverse of the size: together 4 Ah ÷ 0.2 A = 20 h.
    $run = Power::run(['pack' => Power::pack('Li-ion', 1, 1000, ['internalResistanceMohm' => 90]), 'other' => Power::pack('Li-ion', 1, 3000, ['internalResistanceMohm' => 30]), 'panel' => Power::steady(200, 3.6, 'current')], more: ['joins' => [
        ['kind' => 'parallel', 'from' => 'pack', 'to' => 'other'], ['kind' => 'power', 'from' => 'pack', 'to' => 'panel'],
    ]]);
    expect($run->hours)->toEqualWithDelta(20.0, 0.2)->and(count($run->circuit->cells))->toBe(2);
});

it('counts a bank at its cells, whatever its socket gives', function (float $volts): void {
    // 10 Ah × 3.7 V = 37 Wh × 0.85 = 31.45 Wh; ÷ 5 W = 6.29 h, at 5 V as at 9 V and 12 V.
    $bank = Power::pack('LiPo', 1, 10000, ['sealed' => true]);
    $bank['facets']['outputs'] = [['name' => 'socket', 'volts' => $volts, 'continuousMa' => 3000, 'efficiency' => 0.85]];
    expect(Power::run(['bank' => $bank, 'panel' => Power::steady(5000 / $volts, $volts)])->hours)->toEqualWithDelta(6.29, 6.29 * 0.005);
})->with([5.0, 9.0, 12.0]);

it('loses no energy on the way', function (string $name, string $profile): void {
    $build = Make::demo($name);
    $facts = new Facts($build);
    foreach ([...$build->profiles, ...Profile::defaults()] as $one) {
        if ($one->name !== $profile) {
            continue;
        }
        $circuit = Power::of($facts, $one, Assumption::usual());
        $run = Discharge::run($circuit);
        $used = $run->used;
        $gone = $used->usedWh + $used->converterWh + $used->leadWh + $used->insideWh + $used->rateWh;
        // What left the cells is the table's own integral from full to the end; where it went is summed along the way.
        $left = $circuit->cells[0]->wattHours($run->chargeLeft, 1.0);
        expect($gone)->toEqualWithDelta($left, $left * 0.001)->and($used->storedWh)->toEqualWithDelta($left, $left * 0.001)
            ->and($run->leftWh() + $left)->toEqualWithDelta($circuit->cells[0]->wattHours(0.0, 1.0), 1e-6);
    }
})->with([['refuge', 'Two at the table'], ['refuge', 'A rainy day, all out'], ['refuge', 'Flat out'], ['thimble', 'On the bus'], ['thimble', 'Quiet']]);

it('says the same in short as step by step', function (string $name): void {
    $build = Make::demo($name);
    $facts = new Facts($build);
    foreach ([...$build->profiles, ...Profile::defaults()] as $profile) {
        foreach ([-1.0, 0.0, 1.0] as $at) {
            $circuit = Power::of($facts, $profile, new Assumption($at), 5);
            $short = Discharge::hours($circuit);
            $long = Discharge::run($circuit);
            expect($short->hours)->toEqualWithDelta($long->hours, 0.003 * $long->hours)->and($short->end?->cause)->toBe($long->end?->cause)
                ->and($short->chargeLeft)->toEqualWithDelta($long->chargeLeft, 0.001);
        }
    }
})->with(['refuge', 'thimble']);

describe('who gives up first', function (): void {
    $cell = static fn (array $with = []): array => Power::pack('Li-ion', 1, 3000, $with);

    it('names it', function (array $lines, string $cause, string $line, ?Profile $profile = null): void {
        $end = Power::run($lines, $profile)->end;
        expect([$end?->cause, $end?->line->id])->toBe([$cause, $line]);
    })->with([
        'the pack, when nothing else does' => fn () => [['pack' => $cell(), 'panel' => Power::steady(200, 3.6)], EndCause::EMPTY, 'pack'],
        'the panel at its least volts' => fn () => [['pack' => $cell(), 'panel' => Power::steady(200, 3.6, leastV: 3.5)], EndCause::TOO_LOW, 'panel'],
        'a linear regulator out of headroom' => fn () => [['pack' => $cell(), 'five' => Power::converter(3.3, 1, 'linear'), 'panel' => Power::steady(200, 3.3, leastV: 3.2)], EndCause::HEADROOM, 'panel'],
        'the protection of the pack' => fn () => [['pack' => $cell(['protection' => 'built-in', 'cutOffV' => 3.4]), 'panel' => Power::steady(200, 3.6)], EndCause::CUT_OFF, 'pack'],
        'a protection board in ordinary play' => fn () => [[
            'pack' => $cell(), 'guard' => ['role' => 'regulator', 'facets' => ['protector' => ['chemistries' => ['Li-ion'], 'series' => 1, 'cutOffV' => 2.8, 'mostMa' => 1200]]],
            'panel' => Power::steady(1150, 3.6),
        ], EndCause::TRIPS, 'pack'],
        // power.source-current says it once; a moment does not end the run.
        'no protection board on a peak' => fn () => [[
            'pack' => $cell(), 'guard' => ['role' => 'regulator', 'facets' => ['protector' => ['chemistries' => ['Li-ion'], 'series' => 1, 'cutOffV' => 2.8, 'mostMa' => 1200]]],
            'panel' => Power::steady(200, 3.6, with: ['peakMa' => 1150]),
        ], EndCause::EMPTY, 'pack'],
        'a pack that cannot push it through' => fn () => [['pack' => $cell(['internalResistanceMohm' => 1500]), 'panel' => Power::steady(500, 3.6)], EndCause::NO_BALANCE, 'pack'],
    ]);

    it('goes by the state that lasts shortest, be it the one called off', function (float $offMa, bool $atOnce): void {
        // Behind 150 mΩ a cell of 3.0 to 4.2 V can push 3.0² ÷ 0.6 = 15 W to 4.2² ÷ 0.6 = 29.4 W: 18 W until it stands at 3.29 V, 72 W never.
        $lines = ['pack' => Power::pack('Li-ion', 1, 3000, ['internalResistanceMohm' => 150]), 'panel' => Power::steady(200, 3.6, leastV: 1, with: ['offMa' => $offMa])];
        $odd = new Profile('odd', off: 0.5, usual: 0.5);
        $run = Power::run($lines, $odd);
        $short = Discharge::hours(Power::circuit($lines, $odd));
        expect($run->end?->cause)->toBe(EndCause::NO_BALANCE)->and($run->end?->state)->toBe(PlayState::Off)->and($run->hours === 0.0)->toBe($atOnce)
            ->and($short->hours)->toEqualWithDelta($run->hours, 0.005 * $run->hours)
            ->and($atOnce || abs($run->circuit->cells[0]->openCircuitVolts($run->chargeLeft) - sqrt(0.6 * $offMa * 0.0036)) < 0.01)->toBeTrue();
        $build = Make::build($lines, ['runTimeHours' => 3], ['profiles' => [['name' => 'odd', 'off' => 0.5, 'usual' => 0.5]]]);
        expect(Make::appraise($build)->vitals->runTime->usual())->toEqualWithDelta($short->hours, 1e-3);
    })->with([[5000, false], [20000, true]]);

    it('goes by the cut-off that comes first of two', function (float $own, float $boards, float $first, string $by): void {
        $lines = ['pack' => Power::pack('Li-ion', 1, 3000, ['protection' => 'built-in', 'cutOffV' => $own]), 'panel' => Power::steady(200, 3.6),
            'guard' => ['role' => 'regulator', 'facets' => ['protector' => ['chemistries' => ['Li-ion'], 'series' => 1, 'cutOffV' => $boards, 'mostMa' => 5000]]]];
        $run = Power::run($lines);
        $build = Make::build($lines);
        $pack = $build->lines[0]->part->pack ?? throw new RuntimeException;
        expect($run->end?->limit)->toBe(max($first, 3.0))
            ->and(TripBehaviour::of($build, $build->lines[0], $pack, $run)->by?->id)->toBe($by)
            ->and(implode(' ', Make::verdicts(DeepDischarge::class, $build)))->toBe($first < 2.5 ? 'clash pack' : 'fits pack');
    })->with(['its own' => [3.1, 2.4, 3.1, 'pack'], 'the board\'s' => [3.0, 3.2, 3.2, 'guard'], 'both too late' => [2.2, 2.4, 2.4, 'guard']]);

    it('trips the pack that carries more than its share', function (float $otherOhm, ?string $line): void {
        // 2 A out of 50 mΩ beside 150 mΩ: the first carries 150 ÷ 200 of it, 1.5 A; beside its equal 1 A. It trips above 1.2 A.
        $pack = static fn (float $ohm): array => Power::pack('Li-ion', 1, 3000, ['internalResistanceMohm' => $ohm, 'protection' => 'none']);
        $guard = ['role' => 'regulator', 'facets' => ['protector' => ['chemistries' => ['Li-ion'], 'series' => 1, 'cutOffV' => 2.5, 'mostMa' => 1200]]];
        $run = Power::run(['pack' => $pack(50), 'other' => $pack($otherOhm), 'guard' => $guard, 'panel' => Power::steady(2000, 3.6, 'current')], more: ['joins' => [
            ['kind' => 'parallel', 'from' => 'pack', 'to' => 'other'], ['kind' => 'power', 'from' => 'pack', 'to' => 'panel'],
        ]]);
        expect($run->end?->cause === EndCause::TRIPS && $run->hours === 0.0 ? $run->end->line->id : null)->toBe($line);
    })->with(['beside a weaker one' => [150, 'pack'], 'beside its equal' => [50, null]]);

    it('stops a linear regulator where its input is short of the output and the dropout', function () use ($cell): void {
        // 3.2 V at the panel need 3.5 V at the regulator: the charge left is where the rested cell stands at 3.5 V.
        $run = Power::run(['pack' => $cell(), 'five' => Power::converter(3.3, 1, 'linear'), 'panel' => Power::steady(200, 3.3, leastV: 3.2)]);
        expect($run->circuit->cells[0]->openCircuitVolts($run->chargeLeft))->toEqualWithDelta(3.5, 0.005)
            ->and($run->end?->says())->toContain('out of headroom')
            ->and(array_map(static fn (Moment $one): string => $one->kind, $run->moments))->toBe(['headroom', 'end']);
    });

    it('marks the moments that matter in order of time', function () use ($cell): void {
        $run = Power::run(['pack' => $cell(), 'panel' => Power::steady(200, 3.6, leastV: 3.3, with: ['warnVolts' => 3.5])]);
        expect(array_map(static fn (Moment $one): string => $one->kind, $run->moments))->toBe(['warns', 'end'])
            ->and($run->moments[0]->hours)->toBeLessThan($run->moments[1]->hours);
    });

    it('lets a thin wire cost run time', function () use ($cell): void {
        $lines = ['pack' => $cell(), 'panel' => Power::steady(1000, 3.6, leastV: 3.3)];
        $wire = static fn (float $gauge): Run => Power::run($lines, more: ['joins' => [['kind' => 'power', 'from' => 'pack', 'to' => 'panel', 'gaugeAwg' => $gauge, 'lengthMm' => 500]]]);
        // 0.5 m there and back of gauge 28: 0.213 Ω, a fifth of a volt at an amp.
        expect($wire(28)->hours)->toBeLessThan($wire(18)->hours)->and($wire(28)->end?->line->id)->toBe('panel')
            ->and($wire(28)->used->leadWh / $wire(28)->hours)->toBeGreaterThan(8 * $wire(18)->used->leadWh / $wire(18)->hours);
    });

    it('sees a bank go to sleep', function (): void {
        $bank = Power::pack('LiPo', 1, 10000, ['sealed' => true]);
        $bank['facets']['outputs'] = [['name' => 'socket', 'volts' => 5, 'continuousMa' => 3000, 'efficiency' => 0.85, 'switchOffMa' => 80]];
        $run = Power::run(['bank' => $bank, 'panel' => ['role' => 'display', 'facets' => Make::load(4.5, 5.5, 50, 400, 600, 5)]], new Profile('on and off', idle: 0.5, usual: 0.5));
        expect($run->moments[0]->kind)->toBe('sleeps')->and($run->moments[0]->says)->toContain('80 mA');
    });

    it('says so where a full pack cannot push it through', function () use ($cell): void {
        // 4.2² ÷ (4 × 3 Ω) = 1.47 W is the most; 3.6 W are asked.
        $lines = ['pack' => $cell(['internalResistanceMohm' => 3000]), 'panel' => Power::steady(1000, 3.6)];
        $run = Power::run($lines);
        expect($run->end?->cause)->toBe(EndCause::NO_BALANCE)->and($run->hours)->toBe(0.0)->and($run->rows)->toBe([])
            ->and((new PowerReport(Make::build($lines)))->toArray()['sources'][0]['run']['end']['says'])->toContain('volts collapse');
    });

    it('gives up at once where even a full pack is not enough', function () use ($cell): void {
        $run = Power::run(['pack' => $cell(), 'panel' => Power::steady(200, 12, leastV: 9)]);
        expect($run->hours)->toBe(0.0)->and($run->chargeLeft)->toBe(1.0)->and($run->end?->cause)->toBe(EndCause::TOO_LOW);
    });
});

describe('monotone', function (): void {
    $hours = static fn (float $mah, float $ma, float $celsius): float => Power::run([
        'pack' => Power::pack('Li-ion', 2, $mah, ['internalResistanceMohm' => 120, 'protection' => 'built-in', 'cutOffV' => 6.2]),
        'five' => Power::converter(5, 0.88, 'buck'), 'board' => Power::steady($ma, 5, leastV: 4.6), 'fan' => Power::steady(60, 7.2, 'resistance', 4), 'lamp' => Power::steady(40, 7.2, 'current', 4),
    ], celsius: $celsius)->hours;

    it('never lasts longer with more load', function () use ($hours): void {
        $last = INF;
        foreach ([50, 100, 200, 400, 800, 1600, 3200] as $ma) {
            expect($now = $hours(3000, $ma, 25))->toBeLessThan($last);
            $last = $now;
        }
    });
    it('never lasts shorter with more capacity', function () use ($hours): void {
        $last = 0.0;
        foreach ([500, 1000, 2000, 4000, 8000] as $mah) {
            expect($now = $hours($mah, 500, 25))->toBeGreaterThan($last);
            $last = $now;
        }
    });
    it('never lasts longer in the cold', function () use ($hours): void {
        $last = 0.0;
        foreach ([-30, -20, -12, -5, 0, 8, 15, 25] as $celsius) {
            expect($now = $hours(3000, 500, $celsius))->toBeGreaterThanOrEqual($last);
            $last = $now;
        }
        expect($hours(3000, 500, 25))->toBeGreaterThan(1.1 * $hours(3000, 500, 0));
    });
    it('never lasts longer dimmed up, louder, or with the radio on', function (): void {
        $lines = ['pack' => Power::pack('Li-ion', 1, 3000), 'panel' => [...Power::steady(0, 3.6), 'facets' => ['panel' => ['widthPx' => 1, 'heightPx' => 1, 'lightMa' => Make::band(20, 120)], 'supply' => ['volts' => Make::band(3, 5), 'drawMa' => Make::band(60, 200, 120), 'drawAtV' => 3.6, 'peakMa' => 200]]]];
        $dim = Power::run($lines, new Profile('dim', brightness: 0.0))->hours;
        $bright = Power::run($lines, new Profile('bright', brightness: 1.0))->hours;
        // Usual 120 mA holds 70 mA of light: 50 mA without, 70 mA dimmed, 170 mA at full light.
        expect($dim / $bright)->toEqualWithDelta(170 / 70, 0.01);
    });
});

it('finds the balance of a converter by hand', function (): void {
    // 5 W ÷ 0.8 = 6.25 W behind 0.1 Ω from 7.2 V: V = (7.2 + √(7.2² − 4 × 0.1 × 6.25)) ÷ 2 = 7.1121 V; 6.25 ÷ 7.1121 = 0.8788 A.
    [$volts, $amps] = Power::circuit(['pack' => Power::pack('Li-ion', 2, 3000, ['internalResistanceMohm' => 100]), 'five' => Power::converter(5, 0.8), 'panel' => Power::steady(1000, 5)])->balance(7.2, 0.1, 2);
    expect($volts)->toEqualWithDelta(7.1121, 0.0001)->and($amps)->toEqualWithDelta(0.8788, 0.0001);
});

it('finds amps behind a resistance', function (Closure $drawn, float $start, ?float $amps): void {
    // 10 V behind 0.5 Ω.
    $found = Balance::amps(10.0, 0.5, $start, $drawn);
    $amps === null ? expect($found)->toBeNull() : expect($found)->toEqualWithDelta($amps, 1e-6);
})->with([
    // 8 W: V² − 10 V + 4 = 0; V = (10 + √84) ÷ 2 = 9.58258 V; 8 ÷ V = 0.834849 A.
    'constant power' => [static fn (float $v): float => 8.0 / $v, 0.0, 0.834849],
    'from a start far off' => [static fn (float $v): float => 8.0 / $v, 9.0, 0.834849],
    'constant current' => [static fn (float $v): float => 1.25, 0.0, 1.25],
    // 10 ÷ (4.5 + 0.5).
    'a resistance' => [static fn (float $v): float => $v / 4.5, 0.0, 2.0],
    'a resistance less than that before it, where every step goes too far' => [static fn (float $v): float => $v / 0.6, 0.0, 10 / 1.1],
    // Below 9.5 V another 0.4 A join in: 0.8 A leave 9.6 V, so they do not.
    'a load that joins in below its volts' => [static fn (float $v): float => $v < 9.5 ? 1.2 : 0.8, 0.0, 0.8],
    // 10² ÷ (4 × 0.5) = 50 W is the most.
    'close to the most' => [static fn (float $v): float => 49.5 / $v, 0.0, 9.0],
    'beyond the most' => [static fn (float $v): float => 50.5 / $v, 0.0, null],
]);

it('reports that there is no balance instead of hiding it', function (): void {
    // The most that 7.2 V push through 1 Ω is 7.2² ÷ 4 = 12.96 W.
    $circuit = Power::circuit(['pack' => Power::pack('Li-ion', 2, 3000), 'panel' => Power::steady(1300, 10)]);
    expect(fn () => $circuit->balance(7.2, 1.0, 2))->toThrow(NoBalance::class);
});

it('goes by the converter\'s curve where there is one', function (): void {
    $points = [['load' => 0.01, 'share' => 0.5], ['load' => 0.5, 'share' => 0.9], ['load' => 1, 'share' => 0.8]];
    $watts = static fn (float $ma): float => Power::circuit(['pack' => Power::pack('Li-ion', 2, 3000), 'five' => Power::converter(5, 0.9, with: ['continuousMa' => 2000, 'efficiencyAt' => $points]), 'panel' => Power::steady($ma, 5)])->balance(7.2, 0.0, 2)[1] * 7.2;
    // 1 A is half of 2 A: 0.9; 1.5 A is three quarters: half way from 0.9 to 0.8 = 0.85.
    expect($watts(1000))->toEqualWithDelta(5 / 0.9, 1e-6)->and($watts(1500))->toEqualWithDelta(7.5 / 0.85, 1e-6)->and($watts(20))->toEqualWithDelta(0.1 / 0.5, 1e-6);
});

it('refuses what cannot be, naming part and figure', function (array $lines, string $figure): void {
    try {
        Power::circuit($lines);
        $this->fail('it went through');
    } catch (BadSupply $bad) {
        expect((string) $bad->figure)->toBe($figure)->and($bad->getMessage())->toContain('write');
    }
})->with([
    'no efficiency worth the name' => fn () => [['pack' => Power::pack('Li-ion', 2, 3000), 'five' => Power::converter(5, 0.0), 'panel' => Power::steady(1000, 5)], 'output.efficiency@out'],
    'no capacity' => fn () => [['pack' => Power::pack('Li-ion', 2, 0), 'panel' => Power::steady(1000, 5)], 'pack.capacityMah'],
    'a draw at no volts' => fn () => [['pack' => Power::pack('Li-ion', 2, 3000), 'panel' => Power::steady(1000, 0)], 'supply.drawAtV'],
]);

it('breaks a circle of joins, names it and reckons the rest', function (array $circle): void {
    $lines = [
        'pack' => Power::pack('Li-ion', 2, 3000), 'panel' => Power::steady(200, 7.2),
        'one' => Power::converter(5, 0.9), 'two' => Power::converter(9, 0.9), 'three' => Power::converter(12, 0.9),
    ];
    $joins = array_map(static fn (array $pair): array => ['kind' => 'power', 'from' => $pair[0], 'to' => $pair[1]], [['pack', 'panel'], ...$circle]);
    $build = Make::build($lines, ['runTimeHours' => 3], ['joins' => $joins]);
    $power = (new PowerReport($build))->toArray();
    expect($power['inCircles'])->not->toBe([])->and(array_diff($power['inCircles'], ['one', 'two', 'three']))->toBe([])
        // 3 Ah × 3.6 V × 2 = 21.6 Wh ÷ 1.44 W = 15 h: what is no part of the circle runs as it would.
        ->and($power['sources'][0]['run']['hours'])->toEqualWithDelta(15.0, 0.08)
        ->and(implode(' ', Make::appraise($build)->keysOf(Verdict::Clash)))->toContain("power.supply-window/{$power['inCircles'][0]}");
})->with([
    'of two' => [[['one', 'two'], ['two', 'one']]],
    'of three' => [[['one', 'two'], ['two', 'three'], ['three', 'one']]],
]);

it('refuses a resistance below nought, stated or measured, and takes nought', function (mixed $resistance, ?string $says): void {
    try {
        $run = Power::run(['pack' => Power::pack('Li-ion', 1, 3000, ['internalResistanceMohm' => $resistance]), 'panel' => Power::steady(200, 3.6)]);
        expect($says)->toBeNull()->and($run->hours)->toEqualWithDelta(15.0, 0.08);
    } catch (BadFile $bad) {
        expect((string) $bad->problems[0])->toContain($says ?? 'nothing');
    }
})->with([
    'nought' => [0, null],
    'below' => [-20, 'pack/internalResistanceMohm: is below nought; write the internal resistance in mΩ'],
    'measured below' => [['value' => 40, 'measured' => ['value' => -3]], 'pack/internalResistanceMohm: is below nought'],
    'a band that begins below' => [['least' => -1, 'most' => 30], 'pack/internalResistanceMohm: is below nought'],
]);

it('says which figures it misses', function (array $drop, string $figure): void {
    $lines = ['pack' => Power::pack('Li-ion', 2, 3000), 'five' => Power::converter(5, 0.9), 'panel' => Power::steady(1000, 5)];
    [$line, $path] = $drop;
    $at = &$lines[$line]['facets'];
    foreach (array_slice($path, 0, -1) as $key) {
        $at = &$at[$key];
    }
    unset($at[$path[count($path) - 1]]);
    $joins = ['joins' => [['kind' => 'power', 'from' => 'pack', 'to' => 'five'], ['kind' => 'power', 'from' => 'five', 'to' => 'panel']]];
    $appraisal = Make::appraise(Make::build($lines, ['runTimeHours' => 1], $joins));
    expect($appraisal->vitals->runTime->isKnown())->toBeFalse();
    $findings = array_values(array_filter($appraisal->findings, static fn ($one): bool => $one->rule === 'power.runtime'));
    expect((string) $findings[0]->remedies()[0]->figure)->toBe($figure);
})->with([
    'output volts' => [['five', ['outputs', 0, 'volts']], 'output.volts@out'],
    'draw' => [['panel', ['supply', 'drawMa']], 'supply.drawMa'],
    'capacity' => [['pack', ['pack', 'capacityMah']], 'pack.capacityMah'],
]);

it('takes what is usual of a cell of its size where the resistance is not known', function (): void {
    $lines = ['pack' => Power::pack('Li-ion', 2, 3000), 'panel' => Power::steady(500, 7.2)];
    unset($lines['pack']['facets']['pack']['internalResistanceMohm']);
    $gaps = new Gaps;
    $facts = new Facts(Make::build($lines));
    $ohm = static fn (Assumption $at): ?float => Circuit::of($facts->build, $facts->supplyTree(), $facts->lines()[0], new Profile('steady'), $at, [], 25, $gaps)?->cells[0]->ohm;
    // Two cells in series of 0.12 Ω·Ah ÷ 3 Ah = 40 mΩ each, 80 together; ordinary ones lie between 0.6 and 1.8 times that, and the
    // largest discharge of 20 A bounds them: 2 × 0.6 V ÷ 20 A = 60 mΩ.
    expect($ohm(Assumption::usual()))->toEqualWithDelta(0.06, 1e-6)->and($ohm(Assumption::worst()))->toEqualWithDelta(0.06, 1e-6)
        ->and($ohm(Assumption::best()))->toEqualWithDelta(0.048, 1e-6)->and($gaps->allMissing())->toBe([]);
});

describe('curves', function (): void {
    it('never overshoots its points', function (): void {
        $curve = new Curve([0.0, 1.0, 2.0, 3.0], [0.0, 0.0, 1.0, 1.0]);
        for ($x = -0.5; $x <= 3.5; $x += 0.01) {
            expect($curve->at($x))->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual(1.0);
        }
        expect($curve->at(2.0))->toBe(1.0)->and($curve->at(1.5))->toEqualWithDelta(0.5, 1e-9);
    });

    it('rises from empty to full with the cell\'s own ends and mean', function (string $chemistry): void {
        [$full, $nominal, $empty] = Chemistry::cellVolts($chemistry);
        $volts = Chemistry::openCircuitVolts($chemistry, $full, $nominal, $empty);
        $sorted = $volts;
        sort($sorted);
        expect($volts)->toBe($sorted)->and($volts[0])->toEqualWithDelta($empty, 1e-9)->and($volts[100])->toEqualWithDelta($full, 1e-9);
        // The mean of the curve is the nominal volts, so that capacity × nominal volts is the energy.
        $cells = new PackModel(Make::build(['pack' => Power::pack($chemistry, 1, 1000)])->lines[0], $chemistry, 1, 3600.0, 3600.0, 0.0, $full, $nominal, $empty, null, null);
        expect($cells->wattHours(0.0, 1.0))->toEqualWithDelta($nominal, 0.002);
    })->with(Chemistry::all());
});
