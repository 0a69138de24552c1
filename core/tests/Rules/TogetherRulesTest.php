<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Check\Audio\Hum;
use PocketPlot\Check\Body\Bears;
use PocketPlot\Check\Body\Spacers;
use PocketPlot\Check\Body\Tipping;
use PocketPlot\Check\Control\FaceShape;
use PocketPlot\Check\Control\Grip;
use PocketPlot\Check\Control\PinAssignment;
use PocketPlot\Check\Control\UsbSlots;
use PocketPlot\Check\People\Consumables;
use PocketPlot\Check\People\Skills;
use PocketPlot\Check\People\Tools;
use PocketPlot\Check\Power\FedInPlay;
use PocketPlot\Check\Power\KnownContacts;
use PocketPlot\Check\Power\LeadThere;
use PocketPlot\Check\Power\ParallelCells;
use PocketPlot\Check\Power\Polarity;
use PocketPlot\Check\Power\SupplyWindow;
use PocketPlot\Check\Power\TwoSupplies;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\RemedyKind;
use PocketPlot\Check\RuleBook;
use PocketPlot\Check\Software\Programming;
use PocketPlot\Check\Software\ReadyImage;
use PocketPlot\Check\Software\Rights;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Whole\Wanted;
use PocketPlot\Facts\Facts;
use PocketPlot\File\BuildReader;

$socket = static fn (string $connector, string $carries, string $direction, array $more = []): array => [
    'name' => "{$connector} {$direction}", 'connector' => $connector, 'carries' => $carries, 'direction' => $direction, ...$more,
];
$lead = static fn (string $one, string $other, array $carries = ['power', 'usb'], int $quantity = 1): array => [
    'role' => 'cable', 'facets' => ['cable' => ['oneEnd' => $one, 'otherEnd' => $other, 'carries' => $carries]], 'line' => ['quantity' => $quantity],
];
$bank = static fn (array $sockets): array => ['role' => 'cells', 'facets' => [
    'pack' => [...Make::ironPack()['pack'], 'sealed' => true],
    'outputs' => array_map(static fn (array $socket): array => ['name' => $socket['name'], 'volts' => 5, 'continuousMa' => 3000], $sockets), 'sockets' => $sockets,
]];
$load = static fn (string $role, array $sockets, array $facets = []): array => ['role' => $role, 'facets' => [...Make::load(4.5, 5.5, 100, 200, 400, 5), 'sockets' => $sockets, ...$facets]];

describe(LeadThere::id(), function () use ($socket, $lead, $bank, $load): void {
    $from = $bank([$socket('usb-c', 'power', 'out')]);
    $board = $load('board', [$socket('usb-c', 'power', 'in')]);
    it('answers', function (array $lines, array $expected, array $joins = []): void {
        expect(Make::verdicts(LeadThere::class, Make::build($lines, [], ['joins' => $joins])))->toBe($expected);
    })->with([
        'accepts a lead whose ends fit' => [['bank' => $from, 'board' => $board, 'lead' => $lead('usb-c', 'usb-c')], ['fits board']],
        'says nothing of a part that brings its own' => [['bank' => $from, 'board' => $load('board', [$socket('usb-c', 'power', 'in', ['ownLead' => true])])], []],
        'says nothing of wires by hand' => [['bank' => $from, 'board' => $board], [], [['kind' => 'power', 'from' => 'bank', 'to' => 'board', 'gaugeAwg' => 22, 'lengthMm' => 100]]],
        'says nothing where one side has no socket' => [['bank' => $from, 'board' => $load('board', [])], []],
        'misses a lead' => [['bank' => $from, 'board' => $board], ['missing board']],
        'misses one whose other end fits' => [['bank' => $from, 'board' => $board, 'lead' => $lead('usb-c', 'usb-micro')], ['missing board']],
        'gives one lead to one pair' => [['bank' => $from, 'board' => $board, 'panel' => $load('display', [$socket('usb-c', 'power', 'in')]), 'lead' => $lead('usb-c', 'usb-c')], ['fits board', 'missing panel']],
        'takes two of one kind' => [['bank' => $from, 'board' => $board, 'panel' => $load('display', [$socket('usb-c', 'power', 'in')]), 'lead' => $lead('usb-c', 'usb-c', ['power'], 2)], ['fits board', 'fits panel']],
        'counts no candidate that is not chosen' => [['bank' => $from, 'board' => $board, 'lead' => [...$lead('usb-c', 'usb-c'), 'line' => ['chosen' => false]]], ['missing board']],
    ]);
});

describe(FedInPlay::id(), function (): void {
    $wall = ['role' => 'charger', 'facets' => ['poweredBy' => 'mains', 'outputs' => [['name' => 'plug', 'volts' => 12, 'continuousMa' => 2000]]], 'part' => ['sits' => 'outside']];
    $panel = ['role' => 'display', 'facets' => Make::load(11, 13)];
    $pack = ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'LiPo', 'series' => 1, 'capacityMah' => 3000]]];
    $join = [['kind' => 'power', 'from' => 'wall', 'to' => 'panel']];
    it('answers', function (array $lines, array $joins, array $expected): void {
        expect(Make::verdicts(FedInPlay::class, Make::build($lines, [], ['joins' => $joins])))->toBe($expected);
    })->with([
        'says nothing where there is only the wall' => [['wall' => $wall, 'panel' => $panel], [], []],
        'says nothing of what hangs on the pack' => [['pack' => $pack, 'wall' => $wall, 'panel' => $panel], [], []],
        'flags what was joined to the wall beside a pack' => [['pack' => $pack, 'wall' => $wall, 'panel' => $panel], $join, ['clash panel']],
    ]);
    it('never lets a part escape to the wall to look well', function () use ($wall, $panel, $pack): void {
        $tree = (new PocketPlot\Facts\Facts(Make::build(['pack' => $pack, 'wall' => $wall, 'panel' => $panel])))->supplyTree();
        expect($tree->feeds['panel']->railId)->toBe('pack:pack');
    });
});

describe(TwoSupplies::id(), function () use ($socket): void {
    $charger = static fn (array $sockets): array => ['role' => 'charger', 'facets' => ['charger' => ['chemistries' => ['LiPo'], 'seriesLeast' => 1, 'seriesMost' => 1], 'sockets' => $sockets]];
    $coil = ['role' => 'charger', 'facets' => ['coil' => ['side' => 'receiver'], 'outputs' => [['name' => 'out', 'volts' => 5]]]];
    $wall = ['role' => 'charger', 'facets' => ['poweredBy' => 'mains', 'outputs' => [['name' => 'plug', 'volts' => 5]]]];
    $two = [$socket('usb-c', 'power', 'in'), $socket('pads', 'power', 'in')];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(TwoSupplies::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts one inlet' => [['charger' => $charger([$two[0]]), 'coil' => $coil, 'wall' => $wall], []],
        'accepts no coil' => [['charger' => $charger($two), 'wall' => $wall], []],
        'says tight of a coil beside a lead' => [['charger' => $charger($two), 'coil' => $coil, 'wall' => $wall], ['tight charger']],
    ]);
});

describe(Polarity::id(), function () use ($socket): void {
    $pack = static fn (array $more, string $connector = 'jst-2.0'): array => ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'LiPo', 'series' => 1], 'sockets' => [$socket($connector, 'power', 'out', $more)]]];
    it('answers', function (array $pack, array $expected): void {
        expect(Make::verdicts(Polarity::class, Make::build(['pack' => $pack])))->toBe($expected);
    })->with([
        'accepts one that somebody looked at' => [$pack(['polarity' => 'yes']), ['fits pack']],
        'says nothing of wires' => [$pack([], 'wires'), []],
        'flags a reversed one' => [$pack(['polarity' => 'no']), ['clash pack']],
        'does not know one that nobody looked at' => [$pack([]), ['unmeasured pack']],
    ]);
});

describe(KnownContacts::id(), function () use ($socket): void {
    it('answers', function (int $unknown, array $expected) use ($socket): void {
        expect(Make::verdicts(KnownContacts::class, Make::build(['phone' => ['role' => 'board', 'facets' => ['sockets' => [$socket('other:plug', 'power', 'in', ['unknownContacts' => $unknown])]]]])))->toBe($expected);
    })->with(['says nothing when all are known' => [0, []], 'does not know two of them' => [2, ['unmeasured phone']]]);
});

describe(Grip::id(), function (): void {
    $phone = static fn (float $long, float $thick): array => ['role' => 'board', 'facets' => ['size' => ['lengthMm' => $long, 'widthMm' => 72, 'heightMm' => $thick], 'software' => ['card' => 'built-in']]];
    $pad = ['role' => 'controls', 'facets' => ['controls' => ['players' => 1, 'speaks' => ['usb'], 'holdsLengthMm' => Make::band(110, 160), 'holdsThickMm' => Make::band(0, 11)]]];
    $case = ['role' => 'case', 'facets' => ['body' => ['wallMm' => 1.2]]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(Grip::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts a phone that it holds' => [['phone' => $phone(147, 9.4), 'pad' => $pad], ['fits pad', 'fits pad']],
        'flags one that is too long' => [['phone' => $phone(165, 9.4), 'pad' => $pad], ['clash pad', 'fits pad']],
        // 158 + 2 × 1.2 = 160.4 mm, 9.4 + 1.2 = 10.6 mm.
        'counts the case around it' => [['phone' => $phone(158, 9.4), 'pad' => $pad, 'case' => $case], ['clash pad', 'fits pad']],
        // 9.4 + 6 = 15.4 mm.
        'counts what lies on its back' => [['phone' => $phone(147, 9.4), 'pad' => $pad, 'cell' => ['role' => 'cells', 'facets' => ['size' => ['heightMm' => 6]], 'line' => ['place' => 'back']]], ['fits pad', 'clash pad']],
        'says nothing of a pad that holds nothing' => [['phone' => $phone(147, 9.4), 'pad' => ['role' => 'controls', 'facets' => ['controls' => ['players' => 1]]]], []],
        'does not know an unmeasured phone' => [['phone' => ['role' => 'board', 'facets' => ['software' => ['card' => 'built-in']]], 'pad' => $pad], ['unmeasured phone', 'unmeasured phone']],
    ]);
});

describe(Tipping::id(), function (): void {
    $stand = static fn (float $lid, float $base, array $more = []): array => ['role' => 'case', 'facets' => ['stand' => [
        'lidMassG' => $lid, 'lidCentreMm' => 85, 'stopsDeg' => 35, 'baseMassG' => $base, 'baseCentreMm' => 90, 'feetMm' => 10, ...$more,
    ]]];
    it('answers', function (array $stand, array $expected): void {
        expect(Make::verdicts(Tipping::class, Make::build(['body' => $stand])))->toBe($expected);
    })->with([
        // 85 × sin 35° + 10 = 58.8 mm behind the feet, 80 mm before them: 700 × 58.8 = 41 140, 860 × 80 = 68 800 g·mm.
        'accepts half as much again' => [$stand(700, 860), ['fits body']],
        // 700 × 80 = 56 000: 1.36 times.
        'says tight with less' => [$stand(700, 700), ['tight body']],
        // 1040 × 58.8 = 61 100 against 520 × 80 = 41 600.
        'flags one that falls back' => [$stand(1040, 520), ['clash body']],
        // 0.7 kg × 9.81 × 0.0488 m = 0.335 N·m.
        'flags hinges that do not hold it' => [$stand(700, 860, ['torqueNm' => 0.3]), ['fits body', 'clash body']],
        'accepts hinges that do' => [$stand(700, 860, ['torqueNm' => 0.5]), ['fits body', 'fits body']],
        'does not know an unweighed lid' => [$stand(700, 860, ['lidMassG' => null]), ['unmeasured body']],
    ]);
});

describe(Spacers::id(), function (): void {
    it('answers', function (?float $spacer, array $expected): void {
        expect(Make::verdicts(Spacers::class, Make::build(['kit' => ['role' => 'case', 'facets' => ['pogo' => ['freeMm' => 4.0, 'pressMm' => Make::band(0.5, 1.2), 'spacerMm' => $spacer]]]])))->toBe($expected);
        // 4.0 − 1.2 = 2.8 mm to 4.0 − 0.5 = 3.5 mm would do.
    })->with([
        'accepts spacers between' => [3.0, ['fits kit']], 'accepts the very bound' => [3.5, ['fits kit']],
        'flags pins that hang short' => [4.5, ['clash kit']], 'flags pins pressed too far' => [2.5, ['clash kit']], 'does not know unmeasured ones' => [null, ['unmeasured kit']],
    ]);
});

describe(Hum::id(), function () use ($socket, $load): void {
    $board = $load('board', [$socket('jack-3.5', 'analogue-audio', 'out')], ['software' => ['card' => 'microsd']]);
    $amp = static fn (string $connector): array => $load('sound', [$socket($connector, 'analogue-audio', 'in')], ['amp' => ['channels' => 2]]);
    $pack = ['role' => 'cells', 'facets' => ['pack' => [...Make::ironPack()['pack'], 'sealed' => true], 'outputs' => [['name' => 'out', 'volts' => 5, 'continuousMa' => 3000]]]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(Hum::class, Make::build($lines)))->toBe($expected);
    })->with([
        'does not know an amplifier on the board\'s jack' => [['pack' => $pack, 'board' => $board, 'amp' => $amp('jack-3.5')], ['unmeasured amp']],
        'accepts a transformer between them' => [['pack' => $pack, 'board' => $board, 'amp' => $amp('jack-3.5'), 'iron' => ['role' => 'sound', 'part' => ['serves' => ['audio isolation']]]], ['fits amp']],
        'says nothing of short wires' => [['pack' => $pack, 'board' => $board, 'amp' => $amp('wires')], []],
    ]);
});

describe(Programming::id(), function () use ($lead): void {
    $board = ['role' => 'board', 'facets' => ['software' => ['card' => 'built-in', 'programmedBy' => 'usb-c']]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(Programming::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts a lead that carries data' => [['board' => $board, 'lead' => $lead('usb-a', 'usb-c')], ['fits board']],
        'misses one beside a charging lead' => [['board' => $board, 'lead' => $lead('usb-a', 'usb-c', ['power'])], ['missing board']],
        'says nothing of a board that needs none' => [['board' => ['role' => 'board', 'facets' => ['software' => ['card' => 'microsd']]]], []],
    ]);
});

it('holds an image against the generation of the board', function (string $generation, array $madeFor, array $expected): void {
    $lines = ['board' => ['role' => 'board', 'facets' => ['software' => ['card' => 'microsd', 'image' => 'yes', 'generation' => $generation]]], 'card' => ['role' => 'storage', 'facets' => ['image' => ['madeFor' => $madeFor]]]];
    expect(Make::verdicts(ReadyImage::class, Make::build($lines)))->toBe($expected);
})->with([
    'made for it' => ['quill-5', ['quill-4', 'quill-5'], ['fits board']],
    'made for others' => ['quill-5', ['quill-3', 'quill-4'], ['clash board']],
    'nobody says which it is' => ['', ['quill-4'], ['unmeasured board']],
    'for whatever board' => ['quill-5', [], ['fits board']],
]);

it('flags a card that is sold full of games', function (): void {
    $card = ['role' => 'storage', 'facets' => ['storage' => ['capacityGb' => 32, 'soldWithGames' => 'yes']]];
    expect(Make::verdicts(Rights::class, Make::build(['card' => $card])))->toBe(['clash card']);
});

it('keeps apart what two parts want of one pin', function (array $takes, array $shares, array $expected): void {
    $pins = ['P1' => ['gpio', 'spi'], 'P2' => ['gpio', 'spi'], 'P3' => ['gpio', 'audio']];
    $needs = static fn (array $takes, array $shares, string $function): array => ['role' => 'display', 'facets' => ['pinNeeds' => ['logicV' => 3.3, 'takes' => $takes, 'shares' => $shares, 'wants' => [$function => 1]]]];
    $build = Make::build(['board' => ['role' => 'board', 'facets' => ['pins' => ['logicV' => 3.3, 'does' => $pins]]], 'panel' => $needs(['P1', 'P2'], $shares, 'spi'), 'other' => $needs($takes, $shares, 'spi')]);
    expect(Make::verdicts(PinAssignment::class, $build))->toBe($expected);
})->with([
    'a bus with selects of their own' => [['P1'], ['P1'], []],
    'one pin for two uses' => [['P1'], [], ['clash board']],
]);

it('knows pins that cannot do what is wanted of them', function (string $pin, array $expected): void {
    $build = Make::build([
        'board' => ['role' => 'board', 'facets' => ['pins' => ['logicV' => 3.3, 'does' => ['P17' => ['gpio'], 'P25' => ['gpio', 'audio']]]]],
        'amp' => ['role' => 'sound', 'facets' => ['pinNeeds' => ['logicV' => 3.3, 'takes' => [$pin], 'wants' => ['audio' => 1]]]],
    ]);
    expect(Make::verdicts(PinAssignment::class, $build))->toBe($expected);
})->with([['P25', []], ['P17', ['clash board']]]);

it('holds what a part puts on pins against what they bear', function (float $fedWith, array $needs, array $expected): void {
    $build = Make::build([
        'pack' => ['role' => 'cells', 'facets' => ['pack' => [...Make::ironPack()['pack'], 'sealed' => true], 'outputs' => [['name' => 'out', 'volts' => $fedWith, 'continuousMa' => 1000]]]],
        'board' => ['role' => 'board', 'facets' => ['pins' => ['logicV' => 3.3, 'absoluteMaxV' => 3.6, 'does' => ['P6' => ['gpio']]]]],
        'eye' => ['role' => 'controls', 'facets' => ['supply' => ['volts' => Make::band(2.5, 5.5), 'drawMa' => 1, 'drawAtV' => 3.3, 'peakMa' => 1], 'pinNeeds' => ['takes' => ['P6'], 'wants' => ['gpio' => 1], ...$needs]]],
    ]);
    expect(Make::verdicts(PinAssignment::class, $build))->toBe($expected);
})->with([
    'outputs that swing to 5 V' => [5.0, ['followsSupply' => 'yes'], ['clash eye']],
    'the same, fed with 3.3 V' => [3.3, ['followsSupply' => 'yes'], []],
    // 0.7 × 4.2 = 2.94 V is below the pins' 3.3 V, 0.7 × 5 = 3.5 V above.
    'a lamp that hears 3.3 V' => [4.2, ['highShare' => 0.7], []],
    'a lamp that does not' => [5.0, ['highShare' => 0.7], ['clash eye']],
]);

it('misses an adapter for a plug that no USB socket takes', function (string $plug, array $more, array $expected) use ($socket, $load): void {
    $lines = ['board' => $load('board', [$socket('usb-micro', 'usb', 'out', ['count' => 2])]), 'pad' => $load('controls', [$socket($plug, 'usb', 'in', ['ownLead' => true])]), ...$more];
    expect(Make::verdicts(UsbSlots::class, Make::build($lines)))->toBe($expected);
})->with([
    'the same plug' => ['usb-micro', [], ['fits pad']],
    'another plug' => ['usb-a', [], ['missing pad', 'fits pad']],
    'another plug with an adapter' => ['usb-a', ['adapter' => $lead('usb-micro', 'usb-a', ['usb'])], ['fits pad']],
]);

it('finds no USB socket of a bank to plug a pad into', function () use ($socket, $bank, $load): void {
    $lines = ['bank' => $bank([$socket('usb-a', 'usb', 'out', ['count' => 4])]), 'pad' => $load('controls', [$socket('usb-a', 'usb', 'in', ['ownLead' => true])])];
    expect(Make::verdicts(UsbSlots::class, Make::build($lines)))->toBe(['clash pad']);
});

it('flags packs in parallel that are charged to different volts', function (float $full, string $expected): void {
    $pack = static fn (float $full): array => ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'LiPo', 'series' => 1, 'capacityMah' => 3000, 'cellFullV' => $full]]];
    $build = Make::build(['one' => $pack(4.2), 'other' => $pack($full)], [], ['joins' => [['kind' => 'parallel', 'from' => 'one', 'to' => 'other']]]);
    expect(Make::verdicts(ParallelCells::class, $build))->toBe(["{$expected} one"]);
})->with([[4.2, 'fits'], [4.45, 'clash']]);

describe(Wanted::id(), function () use ($load): void {
    it('answers', function (array $part, array $expected) use ($load): void {
        expect(Make::verdicts(Wanted::class, Make::build(['panel' => [...$load('display', []), 'part' => $part]])))->toBe($expected);
    })->with([
        'says nothing of a part that is there' => [[], []],
        'says nothing of one that is expressly there' => [['wanted' => false], []],
        'misses what is only wanted' => [['wanted' => true], ['missing panel']],
    ]);

    it('says what it has to be', function (array $part, string $says) use ($load): void {
        expect(Make::findings(Wanted::class, Make::build(['panel' => [...$load('display', []), 'part' => ['wanted' => true, ...$part]]]))[0]->says())->toBe($says);
    })->with([
        'by its summary' => [['summary' => 'Display: 640 × 480 pixels or more.'], 'Still to be found: display: 640 × 480 pixels or more.'],
        'by its name' => [['name' => 'Panel'], 'Still to be found: panel.'],
    ]);
});

it('says what a part does less of below its rated volts, and goes on calling it a fit', function (string $role, float $rated, ?string $says): void {
    $build = Make::build([
        'part' => ['role' => $role, 'facets' => Make::load(4, 13.8, 50, 60, 80, 12), 'part' => []],
        'wall' => ['role' => 'charger', 'facets' => ['poweredBy' => 'mains', 'outputs' => [['name' => 'plug', 'volts' => 5, 'continuousMa' => 2000]]], 'part' => ['sits' => 'outside']],
    ]);
    $document = Make::document(['part' => ['role' => $role, 'facets' => Make::load(4, 13.8, 50, 60, 80, 12)], 'wall' => ['role' => 'charger', 'facets' => ['poweredBy' => 'mains', 'outputs' => [['name' => 'plug', 'volts' => 5, 'continuousMa' => 2000]]], 'part' => ['sits' => 'outside']]]);
    $document['parts'][0]['facets']['supply']['ratedV'] = $rated;
    $finding = Make::findings(SupplyWindow::class, BuildReader::read($document))[0];
    expect($finding->verdict)->toBe(Verdict::Fits)->and($finding->says())->toBe('Part needs 4 to 13.8 V. Wall (plug) gives 5 V.'.($says === null ? '' : " It runs {$says} than at the {$rated} V that it is rated at."))
        ->and(Make::findings(SupplyWindow::class, $build)[0]->says())->toBe('Part needs 4 to 13.8 V. Wall (plug) gives 5 V.');
})->with([['cooling', 12, 'slower'], ['display', 12, 'dimmer'], ['sound', 6, 'quieter'], ['controls', 12, 'weaker'], ['cooling', 5, null]]);

it('asks for the work of an extra only when the brief wants the extra', function (array $mustHaves, array $expected): void {
    $board = ['role' => 'board', 'facets' => ['software' => ['card' => 'built-in']], 'part' => [
        'skills' => ['writing images'],
        'extras' => [['gives' => 'headphones', 'skills' => ['fine soldering'], 'tools' => ['soldering iron'], 'consumables' => ['solder']], ['gives' => 'rumble', 'skills' => ['woodwork']]],
    ]];
    $build = Make::build(['board' => $board], ['skills' => ['writing images'], 'tools' => ['multimeter'], 'consumables' => [], 'mustHaves' => $mustHaves]);
    expect([...Make::verdicts(Skills::class, $build), ...Make::verdicts(Tools::class, $build), ...Make::verdicts(Consumables::class, $build)])->toBe($expected);
})->with([
    'not wanted' => [[], ['fits board']],
    'wanted' => [['headphones'], ['clash board', 'missing board', 'tight board']],
    'another' => [['rumble'], ['tight board']],
]);

it('says which wish alone asks for work that cannot be done', function (array $own, ?string $says): void {
    $board = ['role' => 'board', 'part' => ['tools' => $own, 'extras' => [['gives' => 'headphones', 'tools' => ['soldering iron']]]]];
    $finding = RuleBook::askOne(new Tools, new Facts(Make::build(['board' => $board], ['tools' => [], 'mustHaves' => ['headphones', 'stereo']])))[0];
    $briefs = array_values(array_filter(array_map(static fn (Remedy $one): ?string => $one->kind === RemedyKind::Brief ? $one->says : null, $finding->remedies())));
    expect($briefs[1] ?? null)->toBe($says);
})->with([
    'only for the extra' => [[], 'Leave "headphones" out of the brief: only for that does Board ask for soldering iron'],
    'the part itself needs it, too' => [['soldering iron'], null],
]);

describe(Bears::id(), function (): void {
    $box = static fn (float $wall, string $process = 'printed filament'): array => ['role' => 'case', 'facets' => ['body' => ['drawn' => true, 'wallMm' => $wall, 'process' => $process]]];
    $board = static fn (?float $grams): array => ['role' => 'board', 'facets' => ['mount' => ['pattern' => '58x49'], ...($grams === null ? [] : ['size' => ['massG' => $grams]])]];
    it('answers', function (array $box, array $board, array $expected): void {
        expect(Make::verdicts(Bears::class, Make::build(['box' => $box, 'board' => $board])))->toBe($expected);
    })->with([
        // 3 MPa × 20 mm × 4 mm² ÷ 90 mm = 2.67 N; ÷ 0.00981 N/g = 271.8 g.
        'accepts what 2 mm bear' => [$box(2), $board(271), ['fits board']],
        'flags a little more' => [$box(2), $board(273), ['tight board']],
        // Half again as thick: 2.25 times 271.8 g.
        'accepts it on 3 mm' => [$box(3), $board(611), ['fits board']],
        'flags much on thin posts' => [$box(1.2), $board(120), ['tight board']],
        'says nothing of wood' => [$box(2, 'wood'), $board(900), []],
        'says nothing of what nobody weighed' => [$box(2), $board(null), []],
    ]);
});

describe(FaceShape::id(), function (): void {
    $buttons = static fn (string $shape): array => ['role' => 'controls', 'facets' => ['controls' => ['buttons' => 4, 'faceShape' => $shape]]];
    $case = static fn (array $body): array => ['role' => 'case', 'facets' => ['body' => $body]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(FaceShape::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts a face of the same shape' => [['pads' => $buttons('tapered'), 'case' => $case(['faceShape' => 'tapered'])], ['fits pads']],
        'accepts a face that is drawn yet' => [['pads' => $buttons('curved'), 'case' => $case(['drawn' => true])], ['fits pads']],
        'says nothing of buttons that suit any' => [['pads' => $buttons(''), 'case' => $case(['faceShape' => 'flat'])], []],
        'says nothing without a body' => [['pads' => $buttons('tapered')], []],
        'flags a face of another shape' => [['pads' => $buttons('tapered'), 'case' => $case(['faceShape' => 'flat'])], ['clash pads']],
        'flags a drawn face of another shape' => [['pads' => $buttons('tapered'), 'case' => $case(['drawn' => true, 'faceShape' => 'flat'])], ['clash pads']],
        'asks for the shape of a given face' => [['pads' => $buttons('tapered'), 'case' => $case(['cavityLengthMm' => 100])], ['unmeasured case']],
    ]);
});
