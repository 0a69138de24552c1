<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Build\Build;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Power\CableDrop;
use PocketPlot\Check\Power\CableEnds;
use PocketPlot\Check\Power\ChargeRate;
use PocketPlot\Check\Power\ConverterHeadroom;
use PocketPlot\Check\Power\DeepDischarge;
use PocketPlot\Check\Power\KeepAwake;
use PocketPlot\Check\Power\LinearHeat;
use PocketPlot\Check\Power\ParallelCells;
use PocketPlot\Check\Power\PlayWhileCharging;
use PocketPlot\Check\Power\PortCurrent;
use PocketPlot\Check\Power\ShortCircuit;
use PocketPlot\Check\Power\SourceCurrent;
use PocketPlot\Check\Power\SwitchRating;
use PocketPlot\Check\Verdict;
use PocketPlot\Power\Wire;

// A pack of 10.0 to 14.6 V that gives 10 A and takes 5 A.
$pack = static fn (array $with = [], array $line = []): array => ['role' => 'cells', 'facets' => ['pack' => [...Make::ironPack()['pack'], 'cutOffV' => 10.0, ...$with]], 'line' => $line];
$panel = static fn (float $heavy, float $least = 9): array => ['role' => 'display', 'facets' => Make::load($least, 16, $heavy / 4, $heavy / 2, $heavy)];
$converter = static fn (array $output, float $least = 6): array => ['role' => 'regulator', 'facets' => [
    'supply' => ['volts' => Make::band($least, 30)], 'outputs' => [['name' => 'out', 'volts' => 5, 'continuousMa' => 3000, 'peakMa' => 3000, 'efficiency' => 0.9, ...$output]],
]];

describe(ConverterHeadroom::id(), function () use ($pack, $converter): void {
    it('answers', function (array $output, array $expected) use ($pack, $converter): void {
        expect(Make::verdicts(ConverterHeadroom::class, Make::build(['pack' => $pack(), 'five' => $converter($output)])))->toBe($expected);
    })->with([
        // The pack falls to 10.0 V: 10 − 5 = 5 V are left for the dropout.
        'accepts a step-down with room to spare' => [['topology' => 'buck', 'dropoutV' => 1.2], ['fits five']],
        'accepts exactly the wanted headroom' => [['topology' => 'buck', 'dropoutV' => 4.9], ['fits five']],
        'says tight with less' => [['topology' => 'buck', 'dropoutV' => 4.95], ['tight five']],
        'flags a linear one that runs out' => [['topology' => 'linear', 'dropoutV' => 5.1], ['clash five']],
        'accepts one that buck-boost' => [['topology' => 'buck-boost', 'volts' => 12], ['fits five']],
        'flags a step-up below its input' => [['topology' => 'boost', 'volts' => 12], ['clash five']],
        'accepts a step-up above its input' => [['topology' => 'boost', 'volts' => 19], ['fits five']],
        // Anything between 4.8 and 5.2 V: 10 − 5.2 = 4.8 V are left at the least.
        'accepts what is left above the upper end of its output' => [['topology' => 'buck', 'volts' => Make::band(4.8, 5.2), 'dropoutV' => 4.6], ['fits five']],
        'flags what is short at the upper end of its output' => [['topology' => 'buck', 'volts' => Make::band(4.8, 5.2), 'dropoutV' => 4.9], ['clash five']],
        // The pack stands at 14.6 V when full.
        'flags a step-up whose lower end is below its input' => [['topology' => 'boost', 'volts' => Make::band(14.4, 19)], ['clash five']],
        'does not know an unknown kind' => [[], ['unmeasured five']],
        'accepts an unknown dropout' => [['topology' => 'buck'], ['fits five']],
    ]);
});

describe(SourceCurrent::id(), function () use ($pack, $panel, $converter): void {
    $board = static fn (int $mostMa): array => ['role' => 'regulator', 'facets' => [
        'protector' => ['chemistries' => ['LiFePO4'], 'series' => 4, 'cutOffV' => 10, 'mostMa' => $mostMa],
    ]];
    $bare = $pack(['protection' => 'none', 'maxDischargeMa' => null]);
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(SourceCurrent::class, Make::build($lines)))->toBe($expected);
    })->with([
        // 12 V × 7.7 A = 92.4 W; at the empty pack's 10 V that is 9240 mA of 10 000, below 93 hundredths.
        'accepts up to the wanted share' => [['pack' => $pack(), 'panel' => $panel(7700)], ['fits pack']],
        'says tight above' => [['pack' => $pack(), 'panel' => $panel(7800)], ['tight pack']],
        'flags more than the cells give' => [['pack' => $pack(), 'panel' => $panel(8400)], ['clash pack']],
        'counts side-by-side packs together' => [['pack' => $pack([], ['quantity' => 2]), 'panel' => $panel(8400)], ['fits pack']],
        'says nothing of a pack that feeds nothing' => [['pack' => $pack()], []],
        'does not know an unknown draw' => [['pack' => $pack(), 'panel' => ['role' => 'display', 'facets' => ['supply' => ['volts' => Make::band(9, 16), 'drawAtV' => 12]]]], ['unmeasured panel']],
        'takes a usual efficiency where none is written' => [['pack' => $pack(), 'five' => $converter(['efficiency' => null]), 'board' => ['role' => 'board', 'facets' => Make::load(4.5, 5.5, 100, 200, 300, 5)]], ['fits pack']],
        // The board lets 7 A through, whatever the cells give.
        'goes by the protection board where that carries less' => [['pack' => $pack(['protection' => 'none']), 'panel' => $panel(6000), 'guard' => $board(7000)], ['clash pack']],
        // What a board for 20 A lets through, cells of which nobody knows what they bear need not; but a board for 7 A opens at 7.2.
        'does not know what the cells give behind a strong board' => [['pack' => $bare, 'panel' => $panel(6000), 'guard' => $board(20_000)], ['unmeasured pack']],
        'flags more than the board lets through, whatever the cells give' => [['pack' => $bare, 'panel' => $panel(6000), 'guard' => $board(7000)], ['clash pack']],
        'does not know what the cells give' => [['pack' => $pack(['maxDischargeMa' => null]), 'panel' => $panel(100)], ['unmeasured pack']],
    ]);

    it('carries a converter\'s losses to the pack', function () use ($pack, $converter): void {
        [$finding] = Make::findings(SourceCurrent::class, Make::build(['pack' => $pack(), 'five' => $converter([]), 'board' => ['role' => 'board', 'facets' => Make::load(4.5, 5.5, 100, 200, 800, 5)]]));
        // Heavy: 5 V × 0.8 A = 4 W behind the converter, 4 ÷ 0.9 = 4.444 W before it; at the empty pack's 10 V that is 444 mA.
        expect($finding->says())->toContain('444 mA');
    });

    it('adds the sockets of a sealed bank', function (float $watts, array $expected): void {
        $bank = ['role' => 'cells', 'facets' => [
            'pack' => [...Make::ironPack()['pack'], 'sealed' => true, 'totalW' => $watts],
            'outputs' => [['name' => 'low', 'volts' => 5, 'continuousMa' => 3000, 'efficiency' => 0.9], ['name' => 'high', 'volts' => 12, 'continuousMa' => 2000, 'efficiency' => 0.9]],
        ]];
        // At the sockets 5 V × 1 A + 12 V × 1 A = 17 W; what the bank loses inside does not count against what it gives.
        $lines = ['bank' => $bank, 'board' => ['role' => 'board', 'facets' => Make::load(4.5, 5.5, 100, 200, 1000, 5)], 'panel' => ['role' => 'display', 'facets' => Make::load(11, 13, 100, 200, 1000)]];
        expect(Make::verdicts(SourceCurrent::class, Make::build($lines)))->toBe($expected);
    })->with([[24, ['fits bank']], [18, ['tight bank']], [16, ['clash bank']]]);
});

describe(PortCurrent::id(), function () use ($pack): void {
    $board = static fn (array $socket = []): array => ['role' => 'board', 'facets' => [
        'supply' => ['volts' => Make::band(9, 16), 'drawMa' => 200, 'drawAtV' => 12, 'peakMa' => 300],
        'outputs' => [['name' => 'USB', 'volts' => 5, 'continuousMa' => 3000, 'efficiency' => 0.9]],
        'sockets' => [['name' => 'USB', 'connector' => 'usb-a', 'carries' => 'usb', 'direction' => 'out', 'count' => 4, ...$socket]],
    ]];
    $stick = static fn (float $peak, int $quantity = 1): array => ['role' => 'cable', 'facets' => [
        'supply' => ['volts' => Make::band(4.5, 5.5), 'drawMa' => Make::band(10, 100), 'drawAtV' => 5, 'peakMa' => $peak],
        'sockets' => [['name' => 'plug', 'connector' => 'usb-a', 'carries' => 'usb', 'direction' => 'in', 'ownLead' => true]],
    ], 'line' => ['quantity' => $quantity]];
    it('answers', function (array $lines, array $expected) use ($pack): void {
        expect(Make::verdicts(PortCurrent::class, Make::build(['pack' => $pack(), ...$lines])))->toBe($expected);
    })->with([
        // A port gives 500 mA for sure; 93 hundredths of it are 465 mA.
        'accepts up to the wanted share of the standard' => [['board' => $board(), 'stick' => $stick(460)], ['fits stick']],
        'says tight above' => [['board' => $board(), 'stick' => $stick(480)], ['tight stick']],
        'does not know whether an unrated port gives more than the standard' => [['board' => $board(), 'stick' => $stick(600)], ['unmeasured board']],
        'flags more than the maker allows' => [['board' => $board(['ratingMa' => 550]), 'stick' => [...$stick(600), 'facets' => [...$stick(600)['facets'], 'sockets' => [['name' => 'plug', 'connector' => 'usb-a', 'carries' => 'usb', 'direction' => 'in', 'ownLead' => true, 'ratingMa' => 1500]]]]], ['clash stick']],
        'accepts more where the maker says so' => [['board' => $board(['ratingMa' => 1200]), 'stick' => $stick(600)], ['fits stick']],
        'gives each of several a port of its own' => [['board' => $board(), 'stick' => $stick(300, 3)], ['fits stick']],
        'does not know an unknown peak' => [['board' => $board(), 'stick' => ['role' => 'cable', 'facets' => [...$stick(1)['facets'], 'supply' => ['volts' => Make::band(4.5, 5.5), 'drawMa' => 100, 'drawAtV' => 5]]]], ['unmeasured stick']],
        'does not know a connector without a standard' => [['board' => $board(['connector' => 'usb-a']), 'fed' => ['role' => 'cable', 'facets' => [
            'supply' => ['volts' => Make::band(4.5, 5.5), 'drawMa' => 10, 'drawAtV' => 5, 'peakMa' => 10], 'sockets' => [['name' => 'plug', 'connector' => 'pogo', 'carries' => 'power', 'direction' => 'in']],
        ]], 'lead' => ['role' => 'cable', 'facets' => ['cable' => ['oneEnd' => 'usb-a', 'otherEnd' => 'pogo', 'carries' => ['usb', 'power']]]]], ['unmeasured fed']],
    ]);
});

describe(CableDrop::id(), function (): void {
    $bank = ['role' => 'cells', 'facets' => [
        'pack' => [...Make::ironPack()['pack'], 'sealed' => true], 'outputs' => [['name' => 'socket', 'volts' => 5, 'continuousMa' => 3000, 'efficiency' => 0.9]],
        'sockets' => [['name' => 'socket', 'connector' => 'usb-a', 'carries' => 'power', 'direction' => 'out']],
    ]];
    $board = static fn (float $peak): array => ['role' => 'board', 'facets' => [
        'supply' => ['volts' => Make::band(4.5, 5.3), 'drawMa' => Make::band(100, 200), 'drawAtV' => 5, 'peakMa' => $peak, 'warnVolts' => 4.63],
        'sockets' => [['name' => 'inlet', 'connector' => 'usb-c', 'carries' => 'power', 'direction' => 'in']],
    ]];
    $lead = static fn (array $with): array => ['role' => 'cable', 'facets' => ['cable' => ['oneEnd' => 'usb-a', 'otherEnd' => 'usb-c', 'carries' => ['power'], ...$with]]];

    it('works out copper by hand', function (): void {
        // Gauge 24: d = 0.127 mm × 92^(12/39) = 0.5106 mm, A = 0.2047 mm². 1.724e-8 × 2 m ÷ 0.2047e-6 = 0.1684 Ω for a metre there and back.
        expect(Wire::ohm(24, 1000))->toEqualWithDelta(0.1684, 0.0002)
            // Two plugs of two poles, half worn: 4 × 20 mΩ on top.
            ->and(Wire::leadOhm(24, 1000))->toEqualWithDelta(0.2484, 0.0002)
            // USB-C has four contacts a pole in parallel: new 4 × 4 mΩ, worn 4 × 12.5 mΩ.
            ->and(Wire::leadOhm(24, 1000, 'usb-c', 'usb-c', 0.0))->toEqualWithDelta(0.1844, 0.0002)
            ->and(Wire::leadOhm(24, 1000, 'usb-c', 'usb-c', 1.0))->toEqualWithDelta(0.2184, 0.0002);
    });
    it('answers', function (float $peak, array $cable, array $expected) use ($bank, $board, $lead): void {
        expect(Make::verdicts(CableDrop::class, Make::build(['bank' => $bank, 'board' => $board($peak), 'lead' => $lead($cable)])))->toBe($expected);
    })->with([
        // Worn, usb-a 2 × 30 and usb-c 2 × 12.5 mΩ: 0.1684 + 0.085 = 0.253 Ω; 5 W take 1.06 A through it: 4.73 V arrive.
        'accepts a good metre' => [1000, ['gaugeAwg' => 24, 'lengthMm' => 1000], ['fits board']],
        // 7.5 W take 1.63 A: 0.41 V are lost, 4.59 V arrive, below the warning at 4.63 V.
        'says tight below the warning' => [1500, ['gaugeAwg' => 24, 'lengthMm' => 1000], ['tight board']],
        // Gauge 28, two metres: 0.851 Ω and new plugs 0.028: 5 W cannot be had without losing a volt.
        'flags a thin long lead' => [1000, ['gaugeAwg' => 28, 'lengthMm' => 2000], ['clash board']],
        // A metre of gauge 22 and new plugs would do, one of gauge 28 and worn ones loses 0.6 V.
        'says tight where only a good lead would do' => [1000, ['lengthMm' => 1000], ['tight board']],
        'takes a usual length where none is written' => [1000, ['gaugeAwg' => 24], ['fits board']],
    ]);
    it('judges wires that a join names', function (float $gauge, array $expected) use ($bank, $board): void {
        $build = Make::build(['bank' => $bank, 'board' => $board(1500)], more: ['joins' => [['kind' => 'power', 'from' => 'bank', 'to' => 'board', 'gaugeAwg' => $gauge, 'lengthMm' => 500]]]);
        expect(Make::verdicts(CableDrop::class, $build))->toBe($expected);
        // Gauge 20, half a metre: 0.0333 Ω; gauge 30: 0.3386 Ω × 1.5 A = 0.51 V.
    })->with([[20, ['fits board']], [30, ['clash board']]]);
    it('tells the two ways into one part apart', function () use ($bank): void {
        $way = static fn (string $name, ?array $volts): array => ['name' => $name, 'volts' => $volts, 'drawMa' => Make::band(100, 200), 'drawAtV' => 5, 'peakMa' => 400];
        $join = static fn (string $input): array => ['kind' => 'power', 'from' => 'bank', 'to' => 'amp', 'input' => $input, 'gaugeAwg' => 24, 'lengthMm' => 300];
        $build = static fn (?array $aux): Build => Make::build(
            ['bank' => $bank, 'amp' => ['role' => 'sound', 'facets' => ['supply' => $way('main', Make::band(4.5, 5.5)), 'supplies' => [$way('aux', $aux)]]]], more: ['joins' => [$join('main'), $join('aux')]],
        );
        $keys = static fn (Build $build): array => array_map(static fn (Finding $finding): string => $finding->key(), Make::findings(CableDrop::class, $build));
        expect($keys($build(Make::band(4.5, 5.5))))->toBe(['power.cable-drop/amp/bank', 'power.cable-drop/amp/aux/bank']);
        $open = Make::findings(CableDrop::class, $build(null))[1];
        expect($open->verdict)->toBe(Verdict::Unmeasured)->and((string) $open->remedies()[0]->figure)->toBe('supply.volts@aux');
    });
    it('says nothing of wires nobody described', function () use ($bank, $board): void {
        expect(Make::verdicts(CableDrop::class, Make::build(['bank' => $bank, 'board' => $board(1000)])))->toBe([]);
    });
});

describe(DeepDischarge::id(), function () use ($pack): void {
    $guard = static fn (?float $volts): array => ['role' => 'regulator', 'facets' => ['protector' => ['chemistries' => ['LiFePO4'], 'series' => 4, 'cutOffV' => $volts]]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(DeepDischarge::class, Make::build($lines)))->toBe($expected);
    })->with([
        // Four iron cells: harm below 8.0 V, empty at 10.0 V, nominal 12.8 V.
        'accepts a cut-off at empty' => [['pack' => $pack()], ['fits pack']],
        'says tight below empty' => [['pack' => $pack(['cutOffV' => 9.0])], ['tight pack']],
        'flags a cut-off that comes too late' => [['pack' => $pack(['cutOffV' => 7.5])], ['clash pack']],
        'says tight when half the charge is left' => [['pack' => $pack(['cutOffV' => 13.0])], ['tight pack']],
        'goes by the board that guards it' => [['pack' => $pack(['protection' => 'none']), 'guard' => $guard(10.4)], ['fits pack']],
        'misses: lithium without any' => [['pack' => $pack(['protection' => 'none'])], ['missing pack']],
        'says tight of nickel cells without any' => [['cells' => ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'NiMH', 'series' => 4, 'protection' => 'none']]]], ['tight cells']],
        'says nothing of alkaline cells and sealed banks' => [['cells' => ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'alkaline', 'series' => 4]]], 'bank' => $pack(['sealed' => true])], []],
        'does not know a doubtful pack' => [['pack' => $pack(['protection' => 'unknown'])], ['unmeasured pack']],
        'does not know an unknown cut-off' => [['pack' => $pack(['cutOffV' => null])], ['unmeasured pack']],
        'does not know an unknown cut-off of the board' => [['pack' => $pack(['protection' => 'none']), 'guard' => $guard(null)], ['unmeasured guard']],
    ]);
});

$charger = static fn (array $with = []): array => ['role' => 'charger', 'facets' => ['charger' => [
    'chemistries' => ['LiFePO4'], 'seriesLeast' => 4, 'seriesMost' => 4, 'inputVolts' => Make::band(9, 28), 'chargeMa' => 2000, 'powerPath' => 'yes', ...$with,
]]];

describe(ChargeRate::id(), function () use ($pack, $charger): void {
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(ChargeRate::class, Make::build($lines)))->toBe($expected);
    })->with([
        // 10 Ah ÷ 2 A × 1.2 = 6 h.
        'accepts a night' => [['pack' => $pack(), 'charger' => $charger()], ['fits charger']],
        // 10 Ah ÷ 0.9 A × 1.2 = 13.3 h.
        'says tight when a night will not do' => [['pack' => $pack(), 'charger' => $charger(['chargeMa' => 900])], ['tight charger']],
        'flags more current than the cells take' => [['pack' => $pack(), 'charger' => $charger(['chargeMa' => 5001])], ['clash charger']],
        'shares the current among packs in parallel' => [['pack' => $pack([], ['quantity' => 2]), 'charger' => $charger(['chargeMa' => 8000])], ['fits charger']],
        'does not know an unknown charge current' => [['pack' => $pack(), 'charger' => $charger(['chargeMa' => null])], ['unmeasured charger']],
        'accepts what an unlabelled pack takes' => [['pack' => $pack(['maxChargeMa' => null]), 'charger' => $charger()], ['fits charger']],
        'does not know an unknown capacity' => [['pack' => $pack(['capacityMah' => null]), 'charger' => $charger()], ['unmeasured pack']],
    ]);
});

describe(PlayWhileCharging::id(), function () use ($pack, $panel, $charger): void {
    it('answers', function (array $lines, array $brief, array $expected): void {
        expect(Make::verdicts(PlayWhileCharging::class, Make::build($lines, $brief)))->toBe($expected);
    })->with([
        // The charger gives 2 A × 12.8 V = 25.6 W; the panel takes 12 V × 1 A = 12 W usually.
        'accepts a charger that feeds past the pack' => [['pack' => $pack(), 'panel' => $panel(2000), 'charger' => $charger()], [], ['fits charger']],
        'says tight when the play takes more' => [['pack' => $pack(), 'panel' => $panel(5000), 'charger' => $charger()], [], ['tight charger']],
        // A supply of 24 V × 4 A = 96 W leaves 36 W beside the play's 60 W; one of 24 V × 2 A does not even feed the play.
        'accepts heavy play on a strong supply, past the pack' => [['pack' => $pack(), 'panel' => $panel(10000), 'charger' => $charger(['chargeMa' => 2000]), 'wall' => ['role' => 'charger', 'facets' => ['poweredBy' => 'mains', 'outputs' => [['name' => 'plug', 'volts' => 24, 'continuousMa' => 4000]]], 'part' => ['sits' => 'outside'], 'line' => []]], [], ['fits charger']],
        'says tight on a weak supply' => [['pack' => $pack(), 'panel' => $panel(10000), 'charger' => $charger(['chargeMa' => 2000]), 'wall' => ['role' => 'charger', 'facets' => ['poweredBy' => 'mains', 'outputs' => [['name' => 'plug', 'volts' => 24, 'continuousMa' => 2000]]], 'part' => ['sits' => 'outside'], 'line' => []]], [], ['tight charger']],
        'accepts without a power path' => [['pack' => $pack(), 'panel' => $panel(2000), 'charger' => $charger(['powerPath' => 'no'])], [], ['fits charger']],
        'flags it when the brief wants it' => [['pack' => $pack(), 'panel' => $panel(2000), 'charger' => $charger(['powerPath' => 'no'])], ['playWhileCharging' => true], ['clash charger']],
        'says nothing when the brief does not' => [['pack' => $pack(), 'panel' => $panel(2000), 'charger' => $charger(['powerPath' => 'no'])], ['playWhileCharging' => false], []],
        'says nothing of a charger that stays on the table' => [['pack' => $pack(), 'panel' => $panel(2000), 'charger' => [...$charger(), 'part' => ['sits' => 'outside']]], [], []],
        'accepts an unknown power path' => [['pack' => $pack(), 'panel' => $panel(2000), 'charger' => $charger(['powerPath' => 'unknown'])], [], ['fits charger']],
        'does not know an unknown charge current' => [['pack' => $pack(), 'panel' => $panel(2000), 'charger' => $charger(['chargeMa' => null])], [], ['unmeasured charger']],
    ]);
});

describe(CableEnds::id(), function (): void {
    $inlet = static fn (string $sense, string $connector = 'usb-c'): array => ['role' => 'charger', 'facets' => ['sockets' => [['name' => 'inlet', 'connector' => $connector, 'carries' => 'power', 'direction' => 'in', 'sense' => $sense]]]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(CableEnds::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts an inlet that asks' => [['charger' => $inlet('yes')], ['fits charger']],
        'misses a flat lead for one that does not' => [['charger' => $inlet('no')], ['missing charger']],
        'accepts it with the flat-plug lead on the list' => [['charger' => $inlet('no'), 'lead' => ['role' => 'cable', 'facets' => ['cable' => ['oneEnd' => 'usb-c', 'otherEnd' => 'usb-a', 'carries' => ['power']]]]], ['fits charger']],
        'says nothing of other inlets' => [['charger' => $inlet('no', 'barrel-5.5')], []],
        'does not know an unknown inlet' => [['charger' => $inlet('unknown')], ['unmeasured charger']],
    ]);
});

describe(ParallelCells::id(), function () use ($pack): void {
    $join = ['joins' => [['kind' => 'parallel', 'from' => 'pack', 'to' => 'other']]];
    it('answers', function (array $lines, array $more, array $expected): void {
        expect(Make::verdicts(ParallelCells::class, Make::build($lines, [], $more)))->toBe($expected);
    })->with([
        'says nothing of one pack' => [['pack' => $pack()], [], []],
        'says nothing of loose cells and sealed banks' => [['pack' => $pack(['loose' => true], ['quantity' => 4]), 'bank' => $pack(['sealed' => true], ['quantity' => 2])], [], []],
        'accepts two alike: level them first' => [['pack' => $pack([], ['quantity' => 2])], [], ['fits pack']],
        'accepts a join of two alike' => [['pack' => $pack(), 'other' => $pack()], $join, ['fits pack']],
        'says tight of different capacities' => [['pack' => $pack(), 'other' => $pack(['capacityMah' => 5000])], $join, ['tight pack']],
        'flags different cell counts' => [['pack' => $pack(), 'other' => $pack(['series' => 3])], $join, ['clash pack']],
        'flags different chemistries' => [['pack' => $pack(), 'other' => $pack(['chemistry' => 'Li-ion'])], $join, ['clash pack']],
        'does not know an unknown capacity' => [['pack' => $pack(), 'other' => $pack(['capacityMah' => null])], $join, ['unmeasured other']],
        'flags a join to what is no pack any more' => [['pack' => $pack(), 'other' => ['role' => 'board', 'facets' => []]], $join, ['clash other']],
        'flags it from either end' => [['other' => ['role' => 'board', 'facets' => []], 'pack' => $pack()], $join, ['clash other']],
    ]);
});

describe(KeepAwake::id(), function (): void {
    $bank = static fn (?float $off): array => ['role' => 'cells', 'facets' => ['pack' => [...Make::ironPack()['pack'], 'sealed' => true], 'outputs' => [['name' => 'socket', 'volts' => 5, 'continuousMa' => 2000, 'efficiency' => 0.9, 'switchOffMa' => $off]]]];
    $board = static fn (float $idle, float $usual): array => ['role' => 'board', 'facets' => Make::load(4.5, 5.5, $idle, $usual, $usual * 2, 5)];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(KeepAwake::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts a bank that never sleeps' => [['bank' => $bank(0), 'board' => $board(5, 20)], ['fits bank']],
        'accepts enough even when idle' => [['bank' => $bank(60), 'board' => $board(67, 200)], ['fits bank']],
        'says tight with less than a tenth to spare' => [['bank' => $bank(60), 'board' => $board(61, 200)], ['tight bank']],
        'flags a bank that sleeps in idle moments' => [['bank' => $bank(60), 'board' => $board(40, 200)], ['clash bank']],
        'flags a bank that sleeps in the play' => [['bank' => $bank(60), 'board' => $board(20, 50)], ['clash bank']],
        'does not know an unknown switch-off' => [['bank' => $bank(null), 'board' => $board(20, 50)], ['unmeasured bank']],
        'does not know an unknown draw' => [['bank' => $bank(60), 'board' => ['role' => 'board', 'facets' => ['supply' => ['volts' => Make::band(4.5, 5.5), 'drawAtV' => 5]]]], ['unmeasured board']],
    ]);
});

describe(LinearHeat::id(), function () use ($pack): void {
    $linear = static fn (array $heat = []): array => ['role' => 'regulator', 'facets' => [
        'supply' => ['volts' => Make::band(6, 20)], 'outputs' => [['name' => 'out', 'volts' => 5, 'continuousMa' => 1000, 'peakMa' => 1000, 'efficiency' => 0.4, 'topology' => 'linear', 'dropoutV' => 1]], ...($heat === [] ? [] : ['heat' => $heat]),
    ]];
    $load = static fn (float $heavy): array => ['role' => 'board', 'facets' => Make::load(4.5, 5.5, 10, 20, $heavy, 5)];
    it('answers', function (array $lines, array $expected) use ($pack): void {
        expect(Make::verdicts(LinearHeat::class, Make::build(['pack' => $pack(), ...$lines])))->toBe($expected);
    })->with([
        // The full pack's 14.6 − 5 = 9.6 V burn: 50 mA make 0.48 W.
        'accepts next to nothing' => [['five' => $linear(), 'board' => $load(50)], ['fits five']],
        // 100 mA: 0.96 W × 60 K/W + 25 °C = 82.6 °C, limit 125 °C.
        'accepts a warm one below its limit' => [['five' => $linear(['riseKPerW' => 60, 'limitC' => 125]), 'board' => $load(100)], ['fits five']],
        // 165 mA: 1.584 W × 60 + 25 = 120 °C, 5 K below.
        'says tight near its limit' => [['five' => $linear(['riseKPerW' => 60, 'limitC' => 125]), 'board' => $load(165)], ['tight five']],
        // The same 120 °C, above the lower end of what nobody knows better.
        'goes by the lowest limit it may have' => [['five' => $linear(['riseKPerW' => 60, 'limitC' => Make::band(115, 140)]), 'board' => $load(165)], ['clash five']],
        'goes by the largest rise it may have' => [['five' => $linear(['riseKPerW' => Make::band(50, 70), 'limitC' => 125]), 'board' => $load(165)], ['clash five']],
        'flags one that burns' => [['five' => $linear(['riseKPerW' => 60, 'limitC' => 125]), 'board' => $load(300)], ['clash five']],
        'says nothing of switching converters' => [['five' => ['role' => 'regulator', 'facets' => Make::converter(6, 30, 5, 1000)], 'board' => $load(300)], []],
        'does not know an unknown rise' => [['five' => $linear(), 'board' => $load(300)], ['unmeasured five']],
        'does not know an unknown limit' => [['five' => $linear(['riseKPerW' => 60]), 'board' => $load(300)], ['unmeasured five']],
    ]);
});

describe(SwitchRating::id(), function () use ($pack, $panel): void {
    $switch = static fn (?float $milliamps, ?float $volts = 24, bool $carries = true): array => ['role' => 'switch', 'facets' => ['switch' => ['kind' => 'slide', 'ratingMa' => $milliamps, 'ratingV' => $volts, 'carriesPower' => $carries]]];
    it('answers', function (array $lines, array $expected) use ($pack, $panel): void {
        // 12 V × 1 A at the empty pack's 10 V: 1200 mA.
        expect(Make::verdicts(SwitchRating::class, Make::build(['pack' => $pack(), 'panel' => $panel(1000), ...$lines])))->toBe($expected);
    })->with([
        'accepts up to the wanted share' => [['switch' => $switch(1300)], ['fits switch']],
        'says tight above' => [['switch' => $switch(1250)], ['tight switch']],
        'flags too much current' => [['switch' => $switch(1000)], ['clash switch']],
        'flags too many volts' => [['switch' => $switch(5000, 12)], ['clash switch']],
        'says nothing of one that only pulls an enable pin' => [['switch' => $switch(50, 12, false)], []],
        'does not know an unknown rating' => [['switch' => $switch(null)], ['unmeasured switch']],
        'asks for no volts below what any power switch bears' => [['switch' => $switch(5000, null)], ['fits switch']],
    ]);
});

describe(ShortCircuit::id(), function () use ($pack, $panel): void {
    $fuse = static fn (?float $milliamps): array => ['role' => 'material', 'facets' => ['fuse' => ['ratingMa' => $milliamps]]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(ShortCircuit::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts a fuse above the need and below what the pack gives' => [['pack' => $pack(), 'panel' => $panel(1000), 'fuse' => $fuse(3000)], ['fits fuse']],
        'accepts the pack\'s own protection' => [['pack' => $pack(), 'panel' => $panel(1000)], ['fits pack']],
        'misses a fuse before a board that stands by itself' => [['pack' => $pack(['protection' => 'none']), 'guard' => ['role' => 'regulator', 'facets' => ['protector' => ['chemistries' => ['LiFePO4'], 'series' => 4]]]], ['missing pack']],
        // 1200 mA flow at the worst moment.
        'flags a fuse that blows in use' => [['pack' => $pack(), 'panel' => $panel(1000), 'fuse' => $fuse(1000)], ['clash fuse']],
        'says tight of a fuse the pack may not blow' => [['pack' => $pack(), 'panel' => $panel(1000), 'fuse' => $fuse(31000)], ['tight fuse']],
        'misses: bare lithium' => [['pack' => $pack(['protection' => 'none'])], ['missing pack']],
        'accepts bare nickel cells' => [['cells' => ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'NiMH', 'series' => 4, 'protection' => 'none']]]], ['fits cells']],
        'does not know a doubtful pack' => [['pack' => $pack(['protection' => 'unknown'])], ['unmeasured pack']],
        'does not know an unknown fuse' => [['pack' => $pack(), 'panel' => $panel(1000), 'fuse' => $fuse(null)], ['unmeasured fuse']],
    ]);
});
