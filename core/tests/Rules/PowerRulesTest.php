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
        'accepts the volts of the full pack as a bound' => [['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => Make::load(9, 14.6)]], ['fits panel']],
        // One cell at 2.75 V has given nearly all it holds.
        'accepts a window that ends the play with the last of the charge' => [['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => Make::load(11, 16)]], ['fits panel']],
        'says tight when a fifth of the charge lies below it' => [['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => Make::load(12.7, 16)]], ['tight panel']],
        'flags a full pack above the window' => [['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => Make::load(9, 13)]], ['clash panel']],
        'flags a pack much of whose charge lies below the window' => [['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => Make::load(13.2, 16)]], ['clash panel']],
        'misses what feeds a load with no rail at all' => [['panel' => ['role' => 'display', 'facets' => Make::load(9, 13)]], ['missing panel']],
        // Sold for 12 V: 5 % about it fit, the rest of what may be borne is not known, and twice that breaks it.
        'accepts one voltage where the rail keeps to it' => [['pack' => $pack, 'twelve' => ['role' => 'regulator', 'facets' => Make::converter(6, 30, 12, 3000)], 'panel' => ['role' => 'display', 'facets' => [...Make::load(11, 13), 'supply' => [...Make::load(11, 13)['supply'], 'volts' => 12]]]], ['fits twelve', 'fits panel']],
        'does not know whether one voltage bears a pack about it' => [['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => [...Make::load(11, 13), 'supply' => [...Make::load(11, 13)['supply'], 'volts' => 12]]]], ['unmeasured panel']],
        'flags one voltage far from the rail' => [['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => [...Make::load(11, 13), 'supply' => [...Make::load(11, 13)['supply'], 'volts' => 5]]]], ['clash panel']],
        'is mended by a converter between them' => [[
            'pack' => $pack, 'panel' => ['role' => 'display', 'facets' => Make::load(11, 13)], 'tide' => ['role' => 'regulator', 'facets' => Make::converter(6, 30, 12, 3000)],
        ], ['fits tide', 'fits panel']],
        'does not know an unknown window' => [['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => ['supply' => ['drawMa' => 100, 'drawAtV' => 12]]]], ['unmeasured panel']],
        'does not know an unknown rail' => [[
            'bank' => ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'Li-ion', 'series' => 1, 'sealed' => true], 'outputs' => [['name' => 'out']]]],
            'panel' => ['role' => 'display', 'facets' => Make::load(4, 6)],
        ], ['unmeasured bank']],
    ]);

    it('says the two voltages, and how far apart they are, in the working', function () use ($pack): void {
        [$finding] = Make::findings(SupplyWindow::class, Make::build(['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => Make::load(9, 13)]]));
        // Low end: 10.0 − 9 = 1 V to spare. High end: 13 − 14.6 = −1.6 V.
        expect($finding->says())->toBe('Panel needs 9 to 13 V. Pack gives 10 to 14.6 V.')
            ->and($finding->working()[0]->toArray())->toBe(['label' => 'Panel needs', 'value' => '9 to 13', 'unit' => 'V', 'source' => 'datasheet'])
            ->and($finding->working()[1]->value)->toBe('10 to 14.6')
            ->and($finding->comparison())->toContain('1 V to spare at the low end, -1.6 V at the high end')
            ->and($finding->remedies())->not->toBeEmpty();
    });

    it('names the part, the figure and how to measure it when a figure is missing', function () use ($pack): void {
        [$finding] = Make::findings(SupplyWindow::class, Make::build(['pack' => $pack, 'panel' => ['role' => 'display', 'facets' => ['supply' => []]]]));
        expect($finding->says())->toContain('supply window of Panel')
            ->and($finding->remedies()[0]->lineId)->toBe('panel')
            ->and((string) $finding->remedies()[0]->figure)->toBe('supply.volts')
            ->and($finding->remedies()[0]->says)->toContain('current-limited');
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

    $steady = ['role' => 'regulator', 'facets' => [
        'supply' => ['volts' => Make::band(6, 30)], 'outputs' => [['name' => 'out', 'volts' => 5, 'continuousMa' => 1000, 'efficiency' => 0.9]],
    ]];
    $peaking = static fn (int $most): array => ['role' => 'board', 'facets' => [
        'supply' => ['volts' => Make::band(4.5, 5.5), 'drawMa' => Make::band(100, $most), 'drawAtV' => 5, 'peakMa' => 1500],
    ]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(RailCurrent::class, Make::build($lines)))->toBe($expected);
    })->with([
        // The converter gives 1000 mA; all peaks at once may take 930 of them, ordinary play 800.
        'accepts peaks up to the wanted share' => [['pack' => $pack, 'five' => $five, 'board' => $board(930)], ['fits five']],
        'says tight above' => [['pack' => $pack, 'five' => $five, 'board' => $board(931)], ['tight five']],
        'says tight of ordinary play above four fifths' => [['pack' => $pack, 'five' => $five, 'board' => ['role' => 'board', 'facets' => Make::load(4.5, 5.5, 100, 801, 900, 5)]], ['tight five']],
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
        // 1100 mA in heavy play are more than the 1000 it gives, whatever the peak is.
        'flags what is too much already, whatever the peak' => [[
            'pack' => $pack, 'five' => $five, 'board' => ['role' => 'board', 'facets' => ['supply' => ['volts' => Make::band(4.5, 5.5), 'drawMa' => Make::band(100, 1100), 'drawAtV' => 5]]],
        ], ['clash five']],
        // 1100 mA for hours of 1000, though nobody knows what it gives for a moment.
        'flags what is too much for hours, whatever it gives for a moment' => [['pack' => $pack, 'five' => $steady, 'board' => $peaking(1100)], ['clash five']],
        'does not know whether a moment is too much, while the hours are not' => [
            ['pack' => $pack, 'five' => $steady, 'board' => $peaking(700)], ['unmeasured five'],
        ],
        'does not know an unknown rating' => [[
            'pack' => $pack, 'five' => ['role' => 'regulator', 'facets' => ['supply' => ['volts' => Make::band(6, 30)], 'outputs' => [['name' => 'out', 'volts' => 5, 'efficiency' => 0.9]]]], 'board' => $board(500),
        ], ['unmeasured five']],
    ]);
});

describe(RunTimeWanted::id(), function (): void {
    $lines = ['pack' => ['role' => 'cells', 'facets' => Make::ironPack(10000)], 'panel' => ['role' => 'display', 'facets' => Make::load(9, 16, 500, 1000, 2000)]];

    it('works the band out by hand', function () use ($lines): void {
        // No way of playing named: "Flat out" at the worst, "Everyday" (a fifth idle, three fifths usual, a fifth heavy), "Quiet" at the best.
        // A gentle pack without resistance, all of it usable, and no cut-off: 4 × 3.2 V × 40 Ah = 512 Wh.
        // Watts at 12 V: 6 idle, 12 usual, 24 heavy, each 10 % more or less, being from a datasheet.
        // Worst 512 × 0.8 ÷ 26.4 = 15.52 h; usual 512 × 0.85 ÷ (0.2 × 6 + 0.6 × 12 + 0.2 × 24 = 13.2) = 32.97 h; best 512 × 0.9 ÷ 5.4 = 85.33 h.
        $lines['pack']['facets'] = Make::ironPack(40000);
        $lines['pack']['facets']['pack'] = [...$lines['pack']['facets']['pack'], 'internalResistanceMohm' => 0, 'cutOffV' => 0];
        $hours = Make::appraise(Make::build($lines, ['runTimeHours' => 4]))->vitals->runTime;
        expect($hours->least)->toEqualWithDelta(15.52, 0.1)->and($hours->usual)->toEqualWithDelta(32.97, 0.2)->and($hours->most)->toEqualWithDelta(85.33, 0.4);
    });

    it('answers', function (float $wanted, array $expected) use ($lines): void {
        expect(Make::verdicts(RunTimeWanted::class, Make::build($lines, ['runTimeHours' => $wanted])))->toBe($expected);
    })->with([
        // Everyday about 8.2 h; 3 % to both sides of the wish count as only just.
        'accepts what ordinary play surely reaches' => [7.8, ['fits pack']],
        'says tight when it only just does' => [8.1, ['tight pack']],
        'says tight when usual play misses it by less than cells differ' => [8.3, ['tight pack']],
        'flags what usual play does not reach' => [8.6, ['clash pack']],
        'says nothing when nothing is wanted' => [0, []],
    ]);

    it('promises no hours while a part gets more than it bears', function (array|float $volts, string $verdict) use ($lines): void {
        // The pack gives up to 14.6 V. What is sold for 12 V may bear 1.3 times as much, 15.6 V.
        $lines['panel']['facets']['supply']['volts'] = $volts;
        expect(Make::verdicts(RunTimeWanted::class, Make::build($lines, ['runTimeHours' => 2])))->toBe([$verdict]);
    })->with([
        'within' => [Make::band(9, 14.6), 'fits pack'],
        'above' => [Make::band(9, 14.5), 'tight pack'],
        'sold for one voltage' => [12.0, 'fits pack'],
        'sold for too little' => [11.0, 'tight pack'],
    ]);

    it('holds under a condition while a figure is only assumed', function () use ($lines): void {
        unset($lines['pack']['facets']['pack']['cutOffV']);
        [$finding] = Make::findings(RunTimeWanted::class, Make::build($lines, ['runTimeHours' => 2]));
        expect($finding->verdict)->toBe(Verdict::Tight)->and($finding->says())->toContain('cut-off')
            ->and(array_column(array_map(static fn ($remedy): array => $remedy->toArray(), $finding->remedies()), 'figure'))->toContain('pack.cutOffV');
    });

    it('goes by the ways of playing that the builder named', function () use ($lines): void {
        $verdict = static fn (array $profiles): array => Make::verdicts(RunTimeWanted::class, Make::build($lines, ['runTimeHours' => 7], ['profiles' => $profiles]));
        expect($verdict([['name' => 'Slow', 'idle' => 0.7, 'usual' => 0.3]]))->toBe(['fits pack'])
            ->and($verdict([['name' => 'Slow', 'idle' => 0.7, 'usual' => 0.3], ['name' => 'Wild', 'usual' => 0, 'heavy' => 1]]))->toBe(['fits pack'])
            ->and($verdict([['name' => 'Wild', 'usual' => 0, 'heavy' => 1]]))->toBe(['clash pack']);
    });

    it('says who gives up first', function () use ($lines): void {
        [$finding] = Make::findings(RunTimeWanted::class, Make::build($lines, ['runTimeHours' => 3]));
        expect($finding->says())->toContain('until the protection of Pack cuts off in heavy play, at 10 V; 3 h are wanted.');
    });

    it('does not know the run time of an unknown pack', function () use ($lines): void {
        unset($lines['pack']['facets']['pack']['capacityMah']);
        [$finding] = Make::findings(RunTimeWanted::class, Make::build($lines, ['runTimeHours' => 4]));
        expect($finding->verdict)->toBe(Verdict::Unmeasured)->and((string) $finding->remedies()[0]->figure)->toBe('pack.capacityMah');
    });
});

describe(ChargerMatch::id(), function () use ($pack): void {
    $charger = static fn (array $with = []): array => ['role' => 'charger', 'facets' => ['charger' => [
        'chemistries' => ['LiFePO4'], 'seriesLeast' => 4, 'seriesMost' => 4, 'inputVolts' => Make::band(9, 28), 'chargeMa' => 2000, ...$with,
    ]]];
    $coiled = ['role' => 'charger', 'facets' => [
        'charger' => ['chemistries' => ['LiFePO4'], 'seriesLeast' => 4, 'seriesMost' => 4, 'chargeMa' => 800, 'wireless' => true],
        'coil' => ['side' => 'receiver', 'watts' => 5],
    ]];
    $sender = ['role' => 'charger', 'facets' => ['coil' => ['side' => 'sender', 'watts' => 10]], 'part' => ['sits' => 'outside']];
    $sun = static fn (float $most): array => ['role' => 'charger', 'facets' => ['poweredBy' => 'sun', 'outputs' => [['name' => 'plug', 'volts' => Make::band(0, $most)]]], 'part' => ['sits' => 'outside']];

    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(ChargerMatch::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts the right charger with its source' => [['pack' => $pack, 'charger' => $charger(), 'sun' => $sun(21)], ['fits charger']],
        'accepts one that is filled over a coil, its sender on the list' => [['pack' => $pack, 'charger' => $coiled, 'sender' => $sender], ['fits charger']],
        'accepts one with an inlet as well, over the coil' => [['pack' => $pack, 'charger' => $charger(['wireless' => true]), 'sender' => $sender], ['fits charger']],
        'accepts one whose sender lies about' => [['pack' => $pack, 'charger' => $coiled], ['fits charger']],
        'misses what feeds the charger' => [['pack' => $pack, 'charger' => $charger()], ['missing charger']],
        'says nothing of alkaline cells' => [['cells' => ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'alkaline', 'series' => 4]]]], []],
        'misses: a pack without any charger' => [['pack' => $pack], ['missing pack']],
        'flags the wrong chemistry' => [['pack' => $pack, 'charger' => $charger(['chemistries' => ['Li-ion']])], ['clash charger']],
        'flags the wrong cell count' => [['pack' => $pack, 'charger' => $charger(['seriesLeast' => 1, 'seriesMost' => 3])], ['clash charger']],
        'flags a source above the charger\'s input' => [['pack' => $pack, 'charger' => $charger(), 'sun' => $sun(43)], ['clash charger']],
        'does not know an unknown input window' => [['pack' => $pack, 'charger' => $charger(['inputVolts' => null]), 'sun' => $sun(21)], ['unmeasured charger']],
    ]);
});

describe(CellProtection::id(), function (): void {
    $guard = ['role' => 'regulator', 'facets' => ['protector' => ['chemistries' => ['LiFePO4'], 'series' => 4]]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(CellProtection::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts a pack with its own' => [['pack' => ['role' => 'cells', 'facets' => Make::ironPack()]], ['fits pack']],
        'accepts a board that guards this pack' => [['pack' => ['role' => 'cells', 'facets' => Make::ironPack(10000, 'none')], 'guard' => $guard], ['fits pack']],
        'accepts a board although the pack is doubtful' => [['pack' => ['role' => 'cells', 'facets' => Make::ironPack(10000, 'unknown')], 'guard' => $guard], ['fits pack']],
        'says nothing of cells that cannot burn so' => [['cells' => ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'NiMH', 'series' => 4, 'protection' => 'none']]]], []],
        'misses: a bare pack' => [['pack' => ['role' => 'cells', 'facets' => Make::ironPack(10000, 'none')]], ['missing pack']],
        'misses: a board for another cell count' => [[
            'pack' => ['role' => 'cells', 'facets' => Make::ironPack(10000, 'none')], 'guard' => ['role' => 'regulator', 'facets' => ['protector' => ['chemistries' => ['LiFePO4'], 'series' => 2]]],
        ], ['missing pack']],
        'does not know a doubtful pack' => [['pack' => ['role' => 'cells', 'facets' => Make::ironPack(10000, 'unknown')]], ['unmeasured pack']],
    ]);
});
