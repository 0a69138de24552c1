<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Check\Power\CellProtection;
use PocketPlot\Check\Power\ChargerMatch;
use PocketPlot\Check\Power\RailCurrent;
use PocketPlot\Check\Power\RunTimeWanted;
use PocketPlot\Check\Power\SupplyWindow;
use PocketPlot\Check\Verdict;

$pack = ['role' => 'cells', 'facets' => Make::ironPack()];

describe(SupplyWindow::id(), function () use ($pack): void {
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(SupplyWindow::class, Make::build($lines)))->toBe($expected);
    })->with([
        // The pack gives 10.0 to 14.6 V.
        'accepts a window with volts to spare' => [['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => Make::load(9, 16)]], ['fits panel']],
        'accepts exactly the wanted margin' => [['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => Make::load(9.9, 14.7)]], ['fits panel']],
        'says nothing of parts without a supply' => [['pack' => $pack, 'screws' => ['role' => 'fastener']], []],
        'says tight within the margin' => [['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => Make::load(9.95, 16)]], ['tight panel']],
        'says tight at the very bound' => [['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => Make::load(9, 14.6)]], ['tight panel']],
        'flags a full pack above the window' => [['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => Make::load(9, 13)]], ['clash panel']],
        'flags an empty pack below the window' => [['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => Make::load(11, 16)]], ['clash panel']],
        'flags a load with no rail at all' => [['panel' => ['role' => 'display', 'facets' => Make::load(9, 13)]], ['clash panel']],
        'is mended by a converter between them' => [[
            'pack' => $pack, 'panel' => ['role' => 'display', 'facets' => Make::load(11, 13)], 'tide' => ['role' => 'regulator', 'facets' => Make::converter(6, 30, 12, 3000)],
        ], ['fits tide', 'fits panel']],
        'does not know an unknown window' => [['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => ['supply' => ['drawMa' => 100, 'drawAtV' => 12]]]], ['unmeasured panel']],
        'does not know an unknown rail' => [[
            'bank' => ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'lithium-ion', 'series' => 1, 'sealed' => true], 'outputs' => [['name' => 'out']]]],
            'panel' => ['role' => 'display', 'facets' => Make::load(4, 6)],
        ], ['unmeasured bank']],
    ]);

    it('says the two voltages, and how far apart they are, in the working', function () use ($pack): void {
        [$finding] = Make::findings(SupplyWindow::class, Make::build(['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => Make::load(9, 13)]]));
        // Low end: 10.0 − 9 = 1 V to spare. High end: 13 − 14.6 = −1.6 V.
        expect($finding->says)->toBe('Panel needs 9 to 13 V. Pack gives 10 to 14.6 V.')
            ->and($finding->working[0]->toArray())->toBe(['label' => 'Panel needs', 'value' => '9 to 13', 'unit' => 'V', 'source' => 'datasheet'])
            ->and($finding->working[1]->value)->toBe('10 to 14.6')
            ->and($finding->comparison)->toContain('1 V to spare at the low end, -1.6 V at the high end')
            ->and($finding->remedies)->not->toBeEmpty();
    });

    it('names the part, the figure and how to measure it when a figure is missing', function () use ($pack): void {
        [$finding] = Make::findings(SupplyWindow::class, Make::build(['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => ['supply' => []]]]));
        expect($finding->says)->toContain('supply window of Panel')
            ->and($finding->remedies[0]->lineId)->toBe('panel')
            ->and($finding->remedies[0]->figure)->toBe('supply.volts')
            ->and($finding->remedies[0]->says)->toContain('current-limited');
    });

    it('keeps a join that the builder settled, even a bad one', function () use ($pack): void {
        $build = Make::build([
            'pack' => $pack, 'panel' => ['role' => 'display', 'facets' => Make::load(11, 13)], 'tide' => ['role' => 'regulator', 'facets' => Make::converter(6, 30, 12, 3000)],
        ], more: ['joins' => [['kind' => 'power', 'from' => 'pack', 'to' => 'panel']]]);
        expect(Make::verdicts(SupplyWindow::class, $build))->toContain('clash panel');
    });

    it('flags a converter that would be fed by itself', function () use ($pack): void {
        $build = Make::build([
            'pack' => $pack, 'one' => ['role' => 'regulator', 'facets' => Make::converter(6, 30, 12, 3000)], 'two' => ['role' => 'regulator', 'facets' => Make::converter(6, 30, 9, 3000)],
        ], more: ['joins' => [['kind' => 'power', 'from' => 'one', 'to' => 'two'], ['kind' => 'power', 'from' => 'two', 'to' => 'one']]]);
        expect(Make::verdicts(SupplyWindow::class, $build))->toContain('clash one');
    });
});

describe(RailCurrent::id(), function () use ($pack): void {
    $board = static fn (float $heavy): array => ['role' => 'board', 'facets' => Make::load(4.5, 5.5, 100, 200, $heavy, 5)];
    $five = ['role' => 'regulator', 'facets' => Make::converter(6, 30, 5, 1000)];

    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(RailCurrent::class, Make::build($lines)))->toBe($expected);
    })->with([
        // The converter gives 1000 mA; four fifths of it are 800 mA.
        'accepts up to four fifths' => [['pack' => $pack, 'five' => $five, 'board' => $board(800)], ['fits five']],
        'says tight above four fifths' => [['pack' => $pack, 'five' => $five, 'board' => $board(801)], ['tight five']],
        'flags more than the rating' => [['pack' => $pack, 'five' => $five, 'board' => $board(1001)], ['clash five']],
        'counts quantities' => [['pack' => $pack, 'five' => $five, 'board' => [...$board(400), 'line' => ['quantity' => 3]]], ['clash five']],
        'flags a peak that is too high, though the rest is not' => [[
            'pack' => $pack, 'five' => $five,
            'board' => ['role' => 'board', 'facets' => ['supply' => ['volts' => Make::band(4.5, 5.5), 'drawMa' => Make::band(100, 300), 'drawAtV' => 5, 'peakMa' => 1300]]],
        ], ['clash five']],
        'does not know an unknown draw, on every rail above it' => [[
            'pack' => $pack, 'five' => $five, 'board' => ['role' => 'board', 'facets' => ['supply' => ['volts' => Make::band(4.5, 5.5), 'drawAtV' => 5]]],
        ], ['unmeasured board']],
        'does not know an unknown peak' => [[
            'pack' => $pack, 'five' => $five, 'board' => ['role' => 'board', 'facets' => ['supply' => ['volts' => Make::band(4.5, 5.5), 'drawMa' => Make::band(100, 300), 'drawAtV' => 5]]],
        ], ['unmeasured board']],
        'does not know an unknown rating' => [[
            'pack' => $pack, 'five' => ['role' => 'regulator', 'facets' => ['supply' => ['volts' => Make::band(6, 30)], 'outputs' => [['name' => 'out', 'volts' => 5, 'efficiency' => 0.9]]]], 'board' => $board(500),
        ], ['unmeasured five']],
    ]);
});

describe(RunTimeWanted::id(), function (): void {
    $lines = ['pack' => ['role' => 'cells', 'facets' => Make::ironPack(10000)], 'panel' => ['role' => 'display', 'facets' => Make::load(9, 16, 500, 1000, 2000)]];

    it('works the band out by hand', function () use ($lines): void {
        $hours = Make::appraise(Make::build($lines, ['runTimeHours' => 4]))->vitals->runTime;
        // Energy: 4 cells × 3.2 V × 10 Ah = 128 Wh. Watts at 12 V: 6 idle, 12 usual, 24 heavy.
        // Least 128 × 0.8 ÷ 24 = 4.267 h; usual 128 × 0.85 ÷ 12 = 9.067 h; most 128 × 0.9 ÷ 6 = 19.2 h.
        expect($hours->least)->toEqualWithDelta(4.267, 0.001)
            ->and($hours->usual)->toEqualWithDelta(9.067, 0.001)
            ->and($hours->most)->toEqualWithDelta(19.2, 0.001);
    });

    it('answers', function (float $wanted, array $expected) use ($lines): void {
        expect(Make::verdicts(RunTimeWanted::class, Make::build($lines, ['runTimeHours' => $wanted])))->toBe($expected);
    })->with([
        'accepts what even heavy play reaches' => [4.2, ['fits pack']],
        'says tight when only usual play reaches it' => [9.0, ['tight pack']],
        'flags what usual play does not reach' => [9.1, ['clash pack']],
        'says nothing when nothing is wanted' => [0, []],
    ]);

    it('counts a power bank\'s printed capacity at the cell, whatever its socket gives', function (): void {
        $bank = ['role' => 'cells', 'facets' => [
            'pack' => ['chemistry' => 'lithium-polymer', 'series' => 1, 'capacityMah' => 10000, 'cellFullV' => 4.2, 'cellNominalV' => 3.7, 'cellEmptyV' => 3.0, 'usableShare' => 0.9, 'sealed' => true, 'protection' => 'built-in'],
            'outputs' => [['name' => 'socket', 'volts' => 5, 'continuousMa' => 2400, 'efficiency' => 0.85]],
        ]];
        $hours = Make::appraise(Make::build(['bank' => $bank, 'panel' => ['role' => 'display', 'facets' => Make::load(4.5, 5.5, 1000, 1000, 1000, 5)]]))->vitals->runTime;
        // 3.7 V × 10 Ah = 37 Wh, not 5 V × 10 Ah = 50 Wh. 37 × 0.9 × 0.85 ÷ 5 W = 5.661 h.
        expect($hours->usual)->toEqualWithDelta(5.661, 0.001);
    });

    it('gives two packs twice the time of one', function () use ($lines): void {
        $one = Make::appraise(Make::build($lines))->vitals->runTime->usual();
        $lines['pack']['line'] = ['quantity' => 2];
        expect(Make::appraise(Make::build($lines))->vitals->runTime->usual())->toEqualWithDelta(2 * $one, 1e-9);
    });

    it('does not know the run time of an unknown pack', function () use ($lines): void {
        unset($lines['pack']['facets']['pack']['capacityMah']);
        [$finding] = Make::findings(RunTimeWanted::class, Make::build($lines, ['runTimeHours' => 4]));
        expect($finding->verdict)->toBe(Verdict::Unmeasured)->and($finding->remedies[0]->figure)->toBe('pack.capacityMah');
    });
});

describe(ChargerMatch::id(), function () use ($pack): void {
    $charger = static fn (array $with = []): array => ['role' => 'charger', 'facets' => ['charger' => [
        'chemistries' => ['iron-phosphate'], 'seriesLeast' => 4, 'seriesMost' => 4, 'inputVolts' => Make::band(9, 28), 'chargeMa' => 2000, ...$with,
    ]]];
    $sun = static fn (float $most): array => ['role' => 'charger', 'facets' => ['livesOn' => 'sun', 'outputs' => [['name' => 'plug', 'volts' => Make::band(0, $most)]]], 'part' => ['sits' => 'outside']];

    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(ChargerMatch::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts the right charger with its source' => [['pack' => $pack, 'charger' => $charger(), 'sun' => $sun(21)], ['fits charger']],
        'says tight when nothing feeds the charger' => [['pack' => $pack, 'charger' => $charger()], ['tight charger']],
        'says nothing of alkaline cells' => [['cells' => ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'alkaline', 'series' => 4]]]], []],
        'flags a pack without any charger' => [['pack' => $pack], ['clash pack']],
        'flags the wrong chemistry' => [['pack' => $pack, 'charger' => $charger(['chemistries' => ['lithium-ion']])], ['clash charger']],
        'flags the wrong cell count' => [['pack' => $pack, 'charger' => $charger(['seriesLeast' => 1, 'seriesMost' => 3])], ['clash charger']],
        'flags a source above the charger\'s input' => [['pack' => $pack, 'charger' => $charger(), 'sun' => $sun(43)], ['clash charger']],
        'does not know an unknown input window' => [['pack' => $pack, 'charger' => $charger(['inputVolts' => null]), 'sun' => $sun(21)], ['unmeasured charger']],
    ]);
});

describe(CellProtection::id(), function (): void {
    $guard = ['role' => 'regulator', 'facets' => ['protector' => ['chemistries' => ['iron-phosphate'], 'series' => 4]]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(CellProtection::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts a pack with its own' => [['pack' => ['role' => 'cells', 'facets' => Make::ironPack()]], ['fits pack']],
        'accepts a board that guards this pack' => [['pack' => ['role' => 'cells', 'facets' => Make::ironPack(10000, 'none')], 'guard' => $guard], ['fits pack']],
        'accepts a board although the pack is doubtful' => [['pack' => ['role' => 'cells', 'facets' => Make::ironPack(10000, 'unknown')], 'guard' => $guard], ['fits pack']],
        'says nothing of cells that cannot burn so' => [['cells' => ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'nickel-metal-hydride', 'series' => 4, 'protection' => 'none']]]], []],
        'flags a bare pack' => [['pack' => ['role' => 'cells', 'facets' => Make::ironPack(10000, 'none')]], ['clash pack']],
        'flags a board for another cell count' => [[
            'pack' => ['role' => 'cells', 'facets' => Make::ironPack(10000, 'none')], 'guard' => ['role' => 'regulator', 'facets' => ['protector' => ['chemistries' => ['iron-phosphate'], 'series' => 2]]],
        ], ['clash pack']],
        'does not know a doubtful pack' => [['pack' => ['role' => 'cells', 'facets' => Make::ironPack(10000, 'unknown')]], ['unmeasured pack']],
    ]);
});
