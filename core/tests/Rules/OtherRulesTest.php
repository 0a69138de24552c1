<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Check\Body\FitsInside;
use PocketPlot\Check\Body\Openings;
use PocketPlot\Check\Body\Variant;
use PocketPlot\Check\Control\Coverage;
use PocketPlot\Check\Control\UsbSlots;
use PocketPlot\Check\Money\WithinBudget;
use PocketPlot\Check\People\Skills;
use PocketPlot\Check\People\Wires;
use PocketPlot\Check\Software\StorageRoom;
use PocketPlot\Check\Video\VideoPath;
use PocketPlot\Check\Whole\MissingRole;

$socket = static fn (string $carries, string $connector, string $direction, int $count = 1, bool $outside = false, bool $ownLead = false): array => [
    'name' => "{$carries} socket", 'connector' => $connector, 'carries' => $carries, 'direction' => $direction, 'count' => $count, 'outside' => $outside, 'ownLead' => $ownLead,
];
$size = static fn (float $length, float $width, float $height): array => ['lengthMm' => $length, 'widthMm' => $width, 'heightMm' => $height, 'massG' => 10];
$box = static fn (float $length, float $width, float $height, array $more = []): array => ['role' => 'case', 'facets' => [
    'size' => ['lengthMm' => $length + 6, 'widthMm' => $width + 6, 'heightMm' => $height + 6],
    'body' => ['cavityLengthMm' => $length, 'cavityWidthMm' => $width, 'cavityHeightMm' => $height, 'wallMm' => 3, ...$more],
]];

describe(VideoPath::id(), function () use ($socket): void {
    $board = static fn (array ...$sockets): array => ['role' => 'board', 'facets' => ['sockets' => $sockets]];
    $panel = static fn (array ...$sockets): array => ['role' => 'display', 'facets' => ['sockets' => $sockets]];
    $lead = static fn (string $one, string $other, string $carries = 'hdmi'): array => ['role' => 'cable', 'facets' => ['cable' => ['oneEnd' => $one, 'otherEnd' => $other, 'carries' => [$carries]]]];
    $adapter = static fn (array $in, array $out): array => ['role' => 'cable', 'facets' => ['sockets' => [$in, $out]]];
    $micro = $socket('hdmi', 'hdmi-micro', 'out');
    $full = $socket('hdmi', 'hdmi-a', 'in');

    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(VideoPath::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts a lead with the right ends' => [['board' => $board($micro), 'panel' => $panel($full), 'lead' => $lead('hdmi-micro', 'hdmi-a')], ['fits panel']],
        'accepts the lead the other way round' => [['board' => $board($micro), 'panel' => $panel($full), 'lead' => $lead('hdmi-a', 'hdmi-micro')], ['fits panel']],
        'accepts a panel with its own ribbon' => [['board' => $board($socket('dsi', 'ribbon-15', 'out')), 'panel' => $panel($socket('dsi', 'ribbon-15', 'in', ownLead: true))], ['fits panel']],
        'accepts one adapter between two leads' => [[
            'board' => $board($micro), 'panel' => $panel($socket('composite', 'rca', 'in', ownLead: true)), 'lead' => $lead('hdmi-micro', 'hdmi-a'),
            'box' => $adapter($full, $socket('composite', 'rca', 'out')),
        ], ['fits panel']],
        'accepts two adapters in a chain' => [[
            'board' => $board($socket('dsi', 'ribbon-15', 'out')), 'panel' => $panel($socket('composite', 'rca', 'in', ownLead: true)),
            'one' => $adapter($socket('dsi', 'ribbon-15', 'in', ownLead: true), $socket('hdmi', 'hdmi-a', 'out')),
            'two' => $adapter($socket('hdmi', 'hdmi-a', 'in', ownLead: true), $socket('composite', 'rca', 'out')),
        ], ['fits panel']],
        'says nothing without a board' => [['panel' => $panel($full)], []],
        'misses a lead' => [['board' => $board($micro), 'panel' => $panel($full)], ['missing panel']],
        'flags a lead with a wrong end' => [['board' => $board($micro), 'panel' => $panel($full), 'lead' => $lead('hdmi-mini', 'hdmi-a')], ['clash panel']],
        'misses: a lead that carries something else' => [['board' => $board($micro), 'panel' => $panel($full), 'lead' => $lead('hdmi-micro', 'hdmi-a', 'power')], ['missing panel']],
        'flags signals that nothing translates' => [['board' => $board($micro), 'panel' => $panel($socket('edp', 'ribbon-30', 'in'))], ['clash panel']],
        'flags a second panel that finds no second lead end' => [['board' => $board($micro), 'panel' => $panel($full), 'lead' => $lead('hdmi-micro', 'hdmi-a'), 'other' => $panel($socket('dsi', 'ribbon-15', 'in'))], ['fits panel', 'clash other']],
        'does not know a panel without known sockets' => [['board' => $board($micro), 'panel' => $panel()], ['unmeasured panel']],
        'does not know a board without known sockets' => [['board' => $board(), 'panel' => $panel($full)], ['unmeasured board']],
    ]);
});

describe(Coverage::id(), function (): void {
    $controls = static fn (int $players, int $crosses, int $buttons, int $sticks = 0, int $knobs = 0, int $quantity = 1): array => ['role' => 'controls', 'facets' => [
        'controls' => ['players' => $players, 'dPads' => $crosses, 'buttons' => $buttons, 'sticks' => $sticks, 'knobs' => $knobs],
    ], 'line' => ['quantity' => $quantity]];
    $games = static fn (int $players, int $crosses, int $buttons, int $sticks = 0, int $knobs = 0, bool $touch = false): array => ['games' => [
        ['class' => 'some', 'players' => $players, 'dPads' => $crosses, 'buttons' => $buttons, 'sticks' => $sticks, 'knobs' => $knobs, 'touch' => $touch],
    ]];
    it('answers', function (array $lines, array $brief, array $expected): void {
        expect(Make::verdicts(Coverage::class, Make::build($lines, $brief)))->toBe($expected);
    })->with([
        'accepts exactly enough' => [['pad' => $controls(1, 1, 4)], $games(1, 1, 4), ['fits pad']],
        'accepts a pad each' => [['pad' => $controls(1, 1, 4, quantity: 2)], $games(2, 1, 4), ['fits pad']],
        'accepts pads that differ when both have enough' => [['pad' => $controls(1, 1, 4), 'big' => $controls(1, 1, 8)], $games(2, 1, 4), ['fits pad']],
        'adds loose controls to one player\'s pad' => [['pad' => $controls(1, 1, 4), 'knob' => $controls(0, 0, 0, knobs: 1)], $games(1, 1, 4, knobs: 1), ['fits pad']],
        'accepts touch from the panel' => [['pad' => $controls(1, 1, 4), 'panel' => ['role' => 'display', 'facets' => ['panel' => ['widthPx' => 9, 'heightPx' => 9, 'touch' => true]]]], $games(1, 0, 0, touch: true), ['fits pad']],
        'says nothing when the brief names no games' => [['pad' => $controls(1, 1, 4)], [], []],
        'flags too few buttons' => [['pad' => $controls(1, 1, 4)], $games(1, 1, 5), ['clash pad']],
        'flags a player without a pad' => [['pad' => $controls(1, 1, 4)], $games(2, 1, 4), ['clash pad']],
        'flags the poorer of two pads' => [['pad' => $controls(1, 1, 4), 'big' => $controls(1, 1, 8)], $games(2, 1, 8), ['clash pad']],
        'does not give loose controls to everyone' => [['pad' => $controls(1, 1, 4, quantity: 2), 'strip' => $controls(0, 0, 5)], $games(2, 1, 8), ['clash pad']],
        'flags a missing stick' => [['pad' => $controls(1, 1, 12)], $games(1, 1, 12, sticks: 2), ['clash pad']],
        'flags a panel that feels nothing' => [['pad' => $controls(1, 1, 4)], $games(1, 0, 0, touch: true), ['clash pad']],
        'does not know controls that nobody counted' => [['pad' => ['role' => 'controls']], $games(1, 1, 4), ['unmeasured pad']],
    ]);
    it('counts in its working what the games ask for, and nothing else', function () use ($controls, $games): void {
        $build = Make::build(['pad' => $controls(1, 2, 8, sticks: 2)], $games(1, 1, 10));
        [$finding] = Make::findings(Coverage::class, $build);
        expect(array_map(static fn ($row): string => "{$row->label}: {$row->value}", $finding->working()))->toBe([
            'players needed: 1', 'players there: 1', 'd-pads needed: 1', 'd-pads there: 2', 'buttons needed: 10', 'buttons there: 8',
        ])->and($finding->says())->toBe('Some games need 10 buttons, and find 8.');
    });
});

describe(UsbSlots::id(), function () use ($socket): void {
    $board = static fn (int $sockets): array => ['role' => 'board', 'facets' => ['sockets' => [$socket('usb', 'usb-a', 'out', $sockets)]]];
    $pad = static fn (int $quantity): array => ['role' => 'controls', 'facets' => ['sockets' => [$socket('usb', 'usb-a', 'in')]], 'line' => ['quantity' => $quantity]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(UsbSlots::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts one to spare' => [['board' => $board(3), 'pad' => $pad(2)], ['fits pad']],
        'accepts more through a hub' => [['board' => $board(1), 'hub' => ['role' => 'cable', 'facets' => ['sockets' => [$socket('usb', 'usb-a', 'in'), $socket('usb', 'usb-a', 'out', 4)]]], 'pad' => $pad(3)], ['fits hub']],
        'says nothing when nothing plugs in' => [['board' => $board(4)], []],
        'says tight when all are taken' => [['board' => $board(2), 'pad' => $pad(2)], ['tight pad']],
        'flags one too many' => [['board' => $board(1), 'pad' => $pad(2)], ['clash pad']],
    ]);
});

describe(FitsInside::id(), function () use ($size, $box): void {
    $block = static fn (float $length, float $width, float $height, array $line = []): array => ['role' => 'board', 'facets' => ['size' => $size($length, $width, $height)], 'line' => $line];
    it('answers', function (array $lines, array $brief, array $expected): void {
        expect(Make::verdicts(FitsInside::class, Make::build($lines, $brief)))->toBe($expected);
    })->with([
        // The cavity is 100 × 80 × 50 = 400 cm³.
        'accepts a small block' => [['box' => $box(100, 80, 50), 'block' => $block(50, 40, 20)], [], ['fits box']],
        'accepts a block that goes in when turned' => [['box' => $box(100, 80, 50), 'block' => $block(20, 95, 40)], [], ['fits box']],
        'accepts up to 45 % of the room' => [['box' => $box(100, 80, 50), 'block' => $block(60, 60, 50 - 1)], [], ['fits box']],
        'says tight within a millimetre' => [['box' => $box(100, 80, 50), 'block' => $block(99.5, 10, 10)], [], ['tight block', 'fits box']],
        // 5 × 40 × 40 × 25 = 200 cm³, 50 %.
        'says tight above 45 % of the room' => [['box' => $box(100, 80, 50), 'block' => $block(40, 40, 25, ['quantity' => 5])], [], ['tight box']],
        // 7 × 40 × 40 × 25 = 280 cm³, 70 %.
        'flags more than 65 % of the room' => [['box' => $box(100, 80, 50), 'block' => $block(40, 40, 25, ['quantity' => 7])], [], ['clash box']],
        'flags a block that goes in no way round' => [['box' => $box(100, 80, 50), 'block' => $block(101, 10, 10)], [], ['clash block', 'fits box']],
        'leaves out what sits outside' => [['box' => $box(100, 80, 50), 'block' => $block(50, 40, 20), 'pad' => ['role' => 'controls', 'facets' => ['size' => $size(300, 90, 90)], 'part' => ['sits' => 'outside']]], [], ['fits box']],
        'holds the outside against the brief' => [['box' => $box(100, 80, 50), 'block' => $block(50, 40, 20)], ['largestMm' => ['lengthMm' => 86, 'widthMm' => 106, 'heightMm' => 56]], ['fits box', 'fits box']],
        'flags a body larger than the brief' => [['box' => $box(100, 80, 50), 'block' => $block(50, 40, 20)], ['largestMm' => ['lengthMm' => 105, 'widthMm' => 90, 'heightMm' => 90]], ['fits box', 'clash box']],
        'does not know an unknown size' => [['box' => $box(100, 80, 50), 'block' => ['role' => 'board', 'facets' => ['size' => ['lengthMm' => 10, 'widthMm' => 10]]]], [], ['unmeasured block']],
        'does not know an unknown cavity' => [['box' => ['role' => 'case', 'facets' => ['body' => ['cavityLengthMm' => 10]]], 'block' => $block(5, 5, 5)], [], ['unmeasured box']],
        'does not know a drawn body without its wall' => [['box' => ['role' => 'case', 'facets' => ['body' => ['drawn' => true]]], 'block' => $block(5, 5, 5)], ['largestMm' => ['lengthMm' => 90, 'widthMm' => 90, 'heightMm' => 90]], ['unmeasured box']],
    ]);

    it('estimates a drawn body from its parts', function () use ($size): void {
        $build = Make::build([
            'body' => ['role' => 'case', 'facets' => ['body' => ['drawn' => true, 'wallMm' => 2]]],
            'panel' => ['role' => 'display', 'facets' => ['size' => $size(60, 40, 5)]],
            'block' => ['role' => 'board', 'facets' => ['size' => $size(50, 30, 20)]],
        ]);
        // Face 60 × 40. Volume 60×40×5 + 50×30×20 = 42 000 mm³; ÷ 0.45 ÷ (60×40) = 38.9 mm deep; two walls of 2 mm.
        expect(Make::appraise($build)->vitals->sidesMm)->toBe([64.0, 44.0, 42.9]);
    });
});

describe(Openings::id(), function () use ($socket, $box): void {
    $charger = ['role' => 'charger', 'facets' => ['sockets' => [$socket('power', 'usb-c', 'in', 1, true)]]];
    $hole = static fn (?float $width, ?float $height): array => ['openings' => [['name' => 'slot', 'connector' => 'usb-c', 'widthMm' => $width, 'heightMm' => $height]]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(Openings::class, Make::build($lines)))->toBe($expected);
    })->with([
        // The plug's shell is 12.4 × 6.5 mm; 0.4 mm are wanted to spare.
        'accepts a roomy opening' => [['box' => $box(90, 90, 90, $hole(12.8, 6.9)), 'charger' => $charger], ['fits charger']],
        'says tight below the wanted room' => [['box' => $box(90, 90, 90, $hole(12.5, 6.9)), 'charger' => $charger], ['tight charger']],
        'says tight when it can be cut' => [['box' => $box(90, 90, 90, ['cuttable' => true]), 'charger' => $charger], ['tight charger']],
        'says nothing of a body drawn around its parts' => [['box' => ['role' => 'case', 'facets' => ['body' => ['drawn' => true]]], 'charger' => $charger], []],
        'says nothing of sockets that stay inside' => [['box' => $box(90, 90, 90), 'board' => ['role' => 'board', 'facets' => ['sockets' => [$socket('hdmi', 'hdmi-a', 'out')]]]], []],
        'flags a plug that is too large' => [['box' => $box(90, 90, 90, $hole(12.3, 6.9)), 'charger' => $charger], ['clash charger']],
        'does not know a body without openings on it' => [['box' => $box(90, 90, 90), 'charger' => $charger], ['unmeasured box']],
        'uses an opening only once' => [['box' => $box(90, 90, 90, $hole(12.8, 6.9)), 'charger' => $charger, 'second' => $charger], ['fits charger', 'clash second']],
        'does not know an unmeasured opening' => [['box' => $box(90, 90, 90, $hole(12.8, null)), 'charger' => $charger], ['unmeasured box']],
    ]);
});

describe(Variant::id(), function (): void {
    $shell = ['role' => 'case', 'facets' => ['variant' => ['wants' => ['display.lens' => 'glued lens']]]];
    $panel = static fn (?string $lens): array => ['role' => 'display', 'facets' => $lens === null ? [] : ['variant' => ['has' => ['display.lens' => $lens]]]];
    $loose = static fn (string $side, string $role): array => ['role' => $role, 'facets' => ['variant' => [$side => ['lens' => 'loose']]]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(Variant::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts the variant it was made for' => [['shell' => $shell, 'panel' => $panel('glued lens')], ['fits shell']],
        'says nothing while the other part is not there' => [['shell' => $shell], []],
        'flags the other variant' => [['shell' => $shell, 'panel' => $panel('bare')], ['clash shell']],
        'does not know a panel that does not say' => [['shell' => $shell, 'panel' => $panel(null)], ['unmeasured panel']],
        'does not know what nobody says, where the key names no role' => [
            ['shell' => $loose('wants', 'case'), 'panel' => $panel(null)], ['unmeasured shell'],
        ],
        'finds a key without a role wherever it stands' => [
            ['shell' => $loose('wants', 'case'), 'panel' => $loose('has', 'display')],
            ['fits shell'],
        ],
    ]);
});

describe(StorageRoom::id(), function (): void {
    $board = static fn (?float $gb, string $card = 'microsd'): array => ['role' => 'board', 'facets' => ['software' => ['imageGb' => $gb, 'card' => $card]]];
    $card = static fn (?float $gb): array => ['role' => 'storage', 'facets' => ['storage' => ['capacityGb' => $gb, 'card' => 'microsd']]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(StorageRoom::class, Make::build($lines, ['gamesGb' => 20])))->toBe($expected);
    })->with([
        // 5 GB image + 20 GB games = 25 GB; tight above 85 %.
        'accepts 25 of 30 GB' => [['board' => $board(5), 'card' => $card(30)], ['fits card']],
        'says tight at 25 of 29 GB' => [['board' => $board(5), 'card' => $card(29)], ['tight card']],
        'says nothing of a board without software' => [['board' => ['role' => 'board']], []],
        'flags 25 of 24 GB' => [['board' => $board(5), 'card' => $card(24)], ['clash card']],
        'misses: no card at all' => [['board' => $board(5)], ['missing board']],
        'flags a card that does not go in' => [['board' => $board(5, 'drive-2280'), 'card' => $card(64)], ['clash board']],
        'does not know a doubtful card' => [['board' => $board(5), 'card' => $card(null)], ['unmeasured card']],
        'accepts an unknown image' => [['board' => $board(null), 'card' => $card(64)], ['fits card']],
    ]);
});

describe(Skills::id(), function (): void {
    $part = static fn (string ...$skills): array => ['role' => 'board', 'part' => ['skills' => $skills]];
    it('answers', function (array $lines, array $brief, array $expected): void {
        expect(Make::verdicts(Skills::class, Make::build($lines, $brief)))->toBe($expected);
    })->with([
        'accepts what the builder can' => [['one' => $part('soldering')], ['skills' => ['soldering', 'woodwork']], ['fits one']],
        'says nothing of parts that ask for nothing' => [['one' => $part()], ['skills' => []], []],
        'says tight of what can be learned' => [['one' => $part('soldering')], ['skills' => []], ['tight one']],
        'flags what can hurt someone' => [['one' => $part('soldering', 'cell wiring')], ['skills' => ['soldering']], ['clash one']],
        'does not know a builder who has not said' => [['one' => $part('soldering')], [], ['unmeasured one']],
    ]);
});

describe(Wires::id(), function (): void {
    $pack = ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'Li-ion', 'series' => 1, 'capacityMah' => 2600, 'protection' => 'built-in']]];
    $five = ['role' => 'regulator', 'facets' => [
        'supply' => ['volts' => Make::band(2.7, 4.5)],
        'outputs' => [['name' => '5 V', 'volts' => 5, 'continuousMa' => 3000, 'efficiency' => 0.9, 'topology' => 'boost']],
    ]];
    $wire = [['kind' => 'power', 'from' => 'pack', 'to' => 'five', 'gaugeAwg' => 20, 'lengthMm' => 60]];
    it('answers', function (array $brief, array $joins, array $expected) use ($pack, $five): void {
        expect(Make::verdicts(Wires::class, Make::build(['pack' => $pack, 'five' => $five], $brief, ['joins' => $joins])))->toBe($expected);
    })->with([
        'accepts who solders' => [['skills' => ['soldering']], $wire, []],
        'accepts who crimps' => [['skills' => ['crimping'], 'tools' => []], $wire, []],
        'says nothing while the brief does not say' => [[], $wire, []],
        'says nothing where no wires are written down' => [['skills' => []], [['kind' => 'power', 'from' => 'pack', 'to' => 'five']], []],
        'says tight of what can be learned' => [['skills' => ['woodwork'], 'tools' => ['soldering iron']], $wire, ['tight build']],
        'says tight while nobody says which tools are there' => [['skills' => []], $wire, ['tight build']],
        'flags wires with nobody and nothing to join them' => [['skills' => [], 'tools' => ['printer']], $wire, ['clash build']],
    ]);
    it('knows that the iron is on the list', function () use ($pack, $five, $wire): void {
        $iron = ['role' => 'tool', 'part' => ['serves' => ['soldering iron']]];
        $build = Make::build(['pack' => $pack, 'five' => $five, 'iron' => $iron], ['skills' => [], 'tools' => []], ['joins' => $wire]);
        expect(Make::verdicts(Wires::class, $build))->toBe(['tight build']);
    });
});

describe(WithinBudget::id(), function (): void {
    $priced = static fn (?string $amount, string $currency = 'EUR', array $line = []): array => ['role' => 'board', 'line' => [...($amount === null ? [] : ['price' => ['amount' => $amount, 'currency' => $currency]]), ...$line]];
    $brief = ['budget' => ['amount' => '100', 'currency' => 'EUR']];
    it('answers', function (array $lines, array $brief, array $expected): void {
        expect(Make::verdicts(WithinBudget::class, Make::build($lines, $brief, ['rates' => ['base' => 'EUR', 'worth' => ['GBP' => '1.2']]])))->toBe($expected);
    })->with([
        'accepts up to nine tenths' => [['one' => $priced('90')], $brief, ['fits build']],
        'accepts above nine tenths' => [['one' => $priced('90.01')], $brief, ['fits build']],
        'says tight at the very budget' => [['one' => $priced('100')], $brief, ['tight build']],
        'counts nothing for what is owned' => [['one' => $priced('90'), 'own' => $priced(null, line: ['origin' => 'own'])], $brief, ['fits build']],
        'leaves candidates that are not chosen out' => [['one' => $priced('90'), 'other' => $priced('90', line: ['chosen' => false])], $brief, ['fits build']],
        'says nothing without a budget' => [['one' => $priced('90')], [], []],
        'flags a cent too much' => [['one' => $priced('100.01')], $brief, ['clash build']],
        // 84 GBP × 1.2 = 100.80 EUR.
        'flags through the exchange rate' => [['one' => $priced('84', 'GBP')], $brief, ['clash build']],
        'multiplies by the quantity' => [['one' => $priced('34', line: ['quantity' => 3])], $brief, ['clash build']],
        'does not know a missing price' => [['one' => $priced('10'), 'two' => $priced(null)], $brief, ['unmeasured two', 'unmeasured build']],
        'does not know a missing rate' => [['one' => $priced('10', 'SEK')], $brief, ['unmeasured one', 'unmeasured build']],
        'flags what is too much already, whatever is missing' => [['one' => $priced('101'), 'two' => $priced(null)], $brief, ['unmeasured two', 'clash build']],
    ]);
});

describe(MissingRole::id(), function (): void {
    $whole = ['board' => ['role' => 'board'], 'display' => ['role' => 'display'], 'controls' => ['role' => 'controls'], 'case' => ['role' => 'case'], 'cells' => ['role' => 'cells']];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(MissingRole::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts the whole' => [$whole, ['fits build']],
        'accepts a wall supply for cells' => [[...array_diff_key($whole, ['cells' => 0]), 'wall' => ['role' => 'charger', 'facets' => ['poweredBy' => 'mains']]], ['fits build']],
        'accepts one part that fills three roles' => [['donor' => ['role' => 'board', 'part' => ['fills' => ['display', 'controls', 'case']]], 'cells' => ['role' => 'cells']], ['fits build']],
        'misses a display' => [array_diff_key($whole, ['display' => 0]), ['missing build']],
        'misses: no power at all' => [array_diff_key($whole, ['cells' => 0]), ['missing build']],
        'misses: an empty list' => [[], ['missing build']],
    ]);
});
