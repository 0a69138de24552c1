<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Check\Body\CableRoom;
use PocketPlot\Check\Body\Fasteners;
use PocketPlot\Check\Body\FieldShadow;
use PocketPlot\Check\Body\Insulation;
use PocketPlot\Check\Body\Mounting;
use PocketPlot\Check\Body\Openings;
use PocketPlot\Check\Body\PrintBed;
use PocketPlot\Check\Body\Spot;
use PocketPlot\Check\Body\StackHeight;
use PocketPlot\Check\Body\Travel;
use PocketPlot\Check\Body\Wall;
use PocketPlot\Check\Heat\Airflow;
use PocketPlot\Check\Heat\AirInside;
use PocketPlot\Check\Heat\Dissipation;
use PocketPlot\Heat\BoxAir;

$size = static fn (?float $length, float $width, float $height, string $material = ''): array => ['size' => ['lengthMm' => $length, 'widthMm' => $width, 'heightMm' => $height, 'material' => $material]];
$box = static fn (array $body = [], array $facets = []): array => ['role' => 'case', 'facets' => ['body' => ['cavityLengthMm' => 100, 'cavityWidthMm' => 50, 'cavityHeightMm' => 20, ...$body], ...$facets]];
$drawn = static fn (array $body = []): array => ['role' => 'case', 'facets' => ['body' => ['drawn' => true, 'wallMm' => 2, 'process' => 'printed filament', ...$body]]];

describe(StackHeight::id(), function () use ($size, $box, $drawn): void {
    $panel = ['role' => 'display', 'facets' => $size(90, 45, 6)];
    $board = static fn (?float $length, float $height, array $line = []): array => ['role' => 'board', 'facets' => $size($length, 45, $height), 'line' => $line];
    $cased = static fn (?float $length = 104): array => [...$drawn(), 'facets' => [...$drawn()['facets'], ...$size($length, 54, 24)]];
    $cell = static fn (int $quantity = 1): array => ['role' => 'cells', 'facets' => $size(45, 20, 12), 'line' => ['quantity' => $quantity]];
    it('answers', function (array $lines, array $brief, array $expected): void {
        expect(Make::verdicts(StackHeight::class, Make::build($lines, $brief)))->toBe($expected);
    })->with([
        // Both cover more than four fifths of the floor, so they lie over each other: 6 + 1 + 12 = 19 of 20 mm.
        'accepts a column that goes in' => [['box' => $box(), 'panel' => $panel, 'board' => $board(85, 12)], [], ['fits box']],
        'says tight with less than a millimetre' => [['box' => $box(), 'panel' => $panel, 'board' => $board(85, 12.5)], [], ['tight box']],
        'flags a column that does not' => [['box' => $box(), 'panel' => $panel, 'board' => $board(85, 14)], [], ['clash box']],
        'lays small parts side by side' => [['box' => $box(), 'panel' => ['role' => 'display', 'facets' => $size(40, 40, 6)], 'board' => ['role' => 'board', 'facets' => $size(40, 40, 15)]], [], ['fits box']],
        'stacks what a place names' => [['box' => $box(), 'a' => ['role' => 'board', 'facets' => $size(20, 20, 11), 'line' => ['place' => 'left']], 'b' => ['role' => 'cells', 'facets' => $size(20, 20, 9), 'line' => ['place' => 'left']]], [], ['clash box']],
        'goes by the depth of a room of its own' => [['box' => $box(['zones' => [['name' => 'grip', 'depthMm' => 9]]]), 'a' => $board(20, 10, ['place' => 'grip'])], [], ['clash box']],
        // 30 mm of the brief less two walls of 2 mm: 26 mm.
        'holds a drawn body against the brief' => [['box' => $drawn(), 'panel' => $panel, 'board' => $board(85, 20)], ['largestMm' => ['lengthMm' => 120, 'widthMm' => 70, 'heightMm' => 30]], ['clash box']],
        'says nothing of a drawn body without a limit' => [['box' => $drawn(), 'panel' => $panel, 'board' => $board(85, 40)], [], []],
        // Inside 100 × 50 × 20 mm. Two cells of 45 × 20 cover 1800 of the 4000 mm² that may be covered: side by side they are 12 mm high.
        'lays cells side by side' => [['box' => $cased(), 'a' => $cell(), 'b' => $cell()], [], ['fits box']],
        'lays the cells of one line side by side' => [['box' => $cased(), 'a' => $cell(2)], [], ['fits box']],
        // With the panel's 4050 mm² there is no room beside: 12 + 1 + 12 = 25 mm.
        'stacks them where there is no room beside' => [['box' => $cased(), 'a' => $cell(), 'b' => $cell(), 'panel' => $panel], [], ['clash box', 'fits box']],
        'stacks them where nobody knows the floor' => [['box' => $cased(null), 'a' => $cell(2)], [], ['clash box']],
        'needs no more than the height' => [['box' => $box(), 'panel' => $panel, 'board' => $board(null, 12)], [], ['fits box']],
        'does not know an unknown depth' => [['box' => $box(['cavityHeightMm' => null]), 'panel' => $panel], [], ['unmeasured box']],
    ]);
});

describe(Openings::id(), function () use ($box): void {
    $charger = static fn (?float $offset, string $face = 'bottom'): array => ['role' => 'charger', 'facets' => ['sockets' => [['name' => 'inlet', 'connector' => 'usb-c', 'carries' => 'power', 'direction' => 'in', 'outside' => true, 'face' => $face, 'offsetMm' => $offset]]]];
    $hole = ['openings' => [['name' => 'slot', 'connector' => 'usb-c', 'widthMm' => 13.4, 'heightMm' => 7.5, 'face' => 'bottom', 'offsetMm' => 0]]];
    $anywhere = ['openings' => [array_diff_key($hole['openings'][0], ['offsetMm' => true])]];
    it('answers, of openings whose place is fixed', function (array $charger, array $body, array $expected) use ($box): void {
        expect(Make::verdicts(Openings::class, Make::build(['box' => $box($body), 'charger' => $charger])))->toBe($expected);
    })->with([
        // The opening is 1.0 mm larger than the plug: half of it and 1 mm of the margin make 1.5 mm.
        'accepts a socket in line' => [$charger(1.5), $hole, ['fits charger']],
        'flags a socket beside it' => [$charger(-1.6), $hole, ['clash charger']],
        'says tight where it can be cut' => [$charger(4), [...$hole, 'cuttable' => true], ['tight charger']],
        'does not know where the socket sits' => [$charger(null), $hole, ['unmeasured charger']],
        'does not know where the opening sits' => [$charger(1.5), $anywhere, ['unmeasured box']],
        'does not mind where nobody knows either place' => [$charger(null), $anywhere, ['fits charger']],
        'does not mind where it can be cut' => [$charger(1.5), [...$anywhere, 'cuttable' => true], ['fits charger']],
    ]);
});

describe(Mounting::id(), function () use ($box, $drawn): void {
    $board = ['role' => 'board', 'facets' => ['mount' => ['pattern' => '58x49', 'thread' => 'M2.5']]];
    $post = static fn (string $pattern): array => ['posts' => [['pattern' => $pattern, 'thread' => 'M2.5']]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(Mounting::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts posts of its pattern' => [['box' => $box($post('58x49')), 'board' => $board], ['fits board']],
        'says tight where it can be drilled' => [['box' => $box(['cuttable' => true]), 'board' => $board], ['tight board']],
        'flags other posts' => [['box' => $box($post('58x23')), 'board' => $board], ['clash board']],
        'says nothing of a body that is drawn around it' => [['box' => $drawn(), 'board' => $board], []],
    ]);
});

describe(Spot::id(), function () use ($box): void {
    $add = static fn (string $takes, array $orElse = [], array $line = []): array => ['role' => 'material', 'facets' => ['spots' => ['takes' => $takes, 'orElse' => $orElse]], 'line' => $line];
    $bays = ['spots' => ['left bay', 'right bay']];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(Spot::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts a place to itself' => [['box' => $box($bays), 'one' => $add('left bay')], ['fits one']],
        'accepts two in different places' => [['box' => $box($bays), 'one' => $add('left bay'), 'two' => $add('right bay')], ['fits one', 'fits two']],
        'flags two in one place' => [['box' => $box($bays), 'one' => $add('left bay'), 'two' => $add('left bay')], ['clash one']],
        'accepts one that was put elsewhere' => [['box' => $box($bays), 'one' => $add('left bay'), 'two' => $add('left bay', ['right bay'], ['place' => 'right bay'])], ['fits one', 'fits two']],
        'flags a place that does not exist' => [['box' => $box($bays), 'one' => $add('top bay')], ['clash one']],
    ]);
    it('says where else it could go', function () use ($box, $add, $bays): void {
        [$finding] = Make::findings(Spot::class, Make::build(['box' => $box($bays), 'one' => $add('left bay'), 'two' => $add('left bay', ['right bay'])]));
        expect(implode(' ', array_map(static fn ($remedy): string => $remedy->says, $finding->remedies())))->toContain('Put Two at the right bay');
    });
});

describe(Insulation::id(), function () use ($size, $box): void {
    $board = static fn (string $bare): array => ['role' => 'board', 'facets' => ['surface' => ['bare' => $bare], ...$size(40, 30, 5)]];
    $metal = $size(110, 60, 30, 'metal');
    $tape = ['role' => 'material', 'part' => ['serves' => ['insulating tape'], 'sits' => 'nowhere']];
    it('answers', function (array $lines, array $brief, array $expected): void {
        expect(Make::verdicts(Insulation::class, Make::build($lines, $brief)))->toBe($expected);
    })->with([
        'accepts a body that is not metal' => [['box' => $box([], $size(110, 60, 30, 'wood')), 'board' => $board('yes')], [], ['fits box']],
        'flags a bare board in metal' => [['box' => $box([], $metal), 'board' => $board('yes')], [], ['clash board']],
        'accepts tape on the list' => [['box' => $box([], $metal), 'board' => $board('yes'), 'tape' => $tape], [], ['fits board']],
        'accepts tape at hand' => [['box' => $box([], $metal), 'board' => $board('yes')], ['consumables' => ['insulating tape']], ['fits board']],
        'flags a metal neighbour' => [['box' => $box([], $size(110, 60, 30, 'wood')), 'board' => $board('yes'), 'plate' => ['role' => 'fastener', 'facets' => $size(10, 10, 2, 'metal')]], [], ['clash board']],
        'says nothing of covered parts' => [['box' => $box([], $metal), 'board' => $board('no')], [], []],
        'does not know an unknown body' => [['box' => $box(), 'board' => $board('yes')], [], ['unmeasured box']],
        'does not know an unknown board' => [['box' => $box([], $metal), 'board' => $board('unknown')], [], ['unmeasured board']],
    ]);
});

describe(FieldShadow::id(), function () use ($size, $box): void {
    $coil = ['role' => 'charger', 'facets' => ['charger' => ['chemistries' => ['Li-ion'], 'seriesLeast' => 1, 'seriesMost' => 1, 'wireless' => true]]];
    $board = ['role' => 'board', 'facets' => ['radio' => ['bluetooth']]];
    $pad = ['role' => 'controls', 'facets' => ['controls' => ['speaks' => ['bluetooth']]], 'part' => ['sits' => 'outside']];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(FieldShadow::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts plastic' => [['box' => $box([], $size(110, 60, 30, 'plastic')), 'coil' => $coil], ['fits coil']],
        'flags a coil behind metal' => [['box' => $box(['fieldWindow' => 'no'], $size(110, 60, 30, 'metal')), 'coil' => $coil], ['clash coil']],
        'accepts a part that is not metal' => [['box' => $box(['fieldWindow' => 'yes'], $size(110, 60, 30, 'metal')), 'coil' => $coil], ['fits coil']],
        'flags radio that something talks to' => [['box' => $box(['fieldWindow' => 'no'], $size(110, 60, 30, 'metal')), 'board' => $board, 'pad' => $pad], ['clash board']],
        'says nothing of radio nobody talks to' => [['box' => $box(['fieldWindow' => 'no'], $size(110, 60, 30, 'metal')), 'board' => $board], []],
        'does not know an unknown body' => [['box' => $box(), 'coil' => $coil], ['unmeasured box']],
        'does not know whether metal has a gap' => [['box' => $box([], $size(110, 60, 30, 'metal')), 'coil' => $coil], ['unmeasured box']],
    ]);
});

describe(PrintBed::id(), function () use ($size, $drawn): void {
    $bed = static fn (?float $length, float $width, float $height = 200): array => ['bedLengthMm' => $length, 'bedWidthMm' => $width, 'bedHeightMm' => $height];
    // Around a part of 196 × 96 × 20 mm a wall of 2 mm makes 200 × 100 outside.
    $part = ['role' => 'display', 'facets' => $size(196, 96, 20)];
    $wide = ['role' => 'display', 'facets' => $size(330, 210, 20)];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(PrintBed::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts a bed that is large enough' => [['box' => $drawn($bed(220, 220)), 'part' => $part], ['fits box']],
        'accepts it turned' => [['box' => $drawn($bed(120, 220)), 'part' => $part], ['fits box']],
        // 200 × 100 at 45° needs (200 + 100) ÷ √2 = 212 mm either way, flatter angles more one way.
        'says tight when it lies slantwise' => [['box' => $drawn($bed(180, 200)), 'part' => ['role' => 'display', 'facets' => $size(206, 16, 20)]], ['tight box']],
        'says tight when it has to be split' => [['box' => $drawn($bed(120, 120)), 'part' => $part], ['tight box']],
        // 330 × 210 mm and walls: four pieces as two by two are 167 × 107 mm; side by side they would be 83 × 214.
        'accepts four pieces, two by two' => [['box' => $drawn([...$bed(180, 180), 'pieces' => 4]), 'part' => $wide], ['fits box']],
        'flags pieces that are too large all the same' => [['box' => $drawn([...$bed(120, 120), 'pieces' => 2]), 'part' => $wide], ['clash box']],
        'does not know an unknown bed' => [['box' => $drawn($bed(null, 220)), 'part' => $part], ['unmeasured box']],
        'says nothing of bodies made otherwise' => [['box' => $drawn(['process' => 'wood']), 'part' => $part], []],
    ]);
    it('proposes a split', function () use ($drawn, $bed, $part): void {
        [$finding] = Make::findings(PrintBed::class, Make::build(['box' => $drawn($bed(120, 120)), 'part' => $part]));
        expect($finding->says())->toContain('split it into 2 pieces')->and($finding->remedies()[0]->says)->toContain('100 mm a piece');
    });
});

describe(Wall::id(), function () use ($drawn): void {
    it('answers', function (array $body, array $expected) use ($drawn): void {
        expect(Make::verdicts(Wall::class, Make::build(['box' => $drawn($body)])))->toBe($expected);
    })->with([
        // Printed filament: 1.2 mm hold, 2.0 mm are wanted.
        'accepts what is wanted' => [['wallMm' => 2.0], ['fits box']],
        'says tight of a thin one' => [['wallMm' => 1.6], ['tight box']],
        'flags one that breaks' => [['wallMm' => 1.0], ['clash box']],
        'goes by the process' => [['wallMm' => 2.0, 'process' => 'wood'], ['clash box']],
        'does not know an unknown process' => [['process' => ''], ['unmeasured box']],
        'does not know an unknown wall' => [['wallMm' => null], ['unmeasured box']],
    ]);
});

describe(Fasteners::id(), function () use ($box): void {
    $posts = static fn (array $with = []): array => ['posts' => [['pattern' => '58x49', 'thread' => 'M2.5', 'depthMm' => 6, 'clampMm' => 1.6, 'headAcrossMm' => 5, 'headHighMm' => 2, 'holdsBy' => 'post', ...$with]]];
    $board = ['role' => 'board', 'facets' => ['mount' => ['pattern' => '58x49', 'thread' => 'M2.5']]];
    $screw = static fn (?float $length, float $across = 4.5, float $high = 1.7, string $thread = 'M2.5', string $into = 'post'): array => ['role' => 'fastener', 'facets' => ['fastener' => ['thread' => $thread, 'lengthMm' => $length, 'headAcrossMm' => $across, 'headHighMm' => $high, 'into' => $into]]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(Fasteners::class, Make::build($lines)))->toBe($expected);
    })->with([
        // 6 − 1.6 = 4.4 mm of grip; 1.5 × 2.5 = 3.75 mm are wanted; the post takes 6 mm.
        'accepts a screw that holds' => [['box' => $box($posts()), 'board' => $board, 'screw' => $screw(6)], ['fits screw']],
        'flags one that is too short' => [['box' => $box($posts()), 'board' => $board, 'screw' => $screw(5)], ['clash screw']],
        'flags one that comes out' => [['box' => $box($posts()), 'board' => $board, 'screw' => $screw(8)], ['clash screw']],
        'flags a head that is too wide' => [['box' => $box($posts()), 'board' => $board, 'screw' => $screw(6, 5.5)], ['clash screw']],
        'says tight of a head that stands proud' => [['box' => $box($posts()), 'board' => $board, 'screw' => $screw(6, 4.5, 2.4)], ['tight screw']],
        'says tight of one made for an insert' => [['box' => $box($posts()), 'board' => $board, 'screw' => $screw(6, into: 'insert')], ['tight screw']],
        'takes the best of several' => [['box' => $box($posts()), 'board' => $board, 'short' => $screw(4), 'right' => $screw(6)], ['fits right']],
        'flags another thread' => [['box' => $box($posts()), 'board' => $board, 'screw' => $screw(6, thread: 'M3')], ['clash box']],
        'says nothing of posts that nothing sits on' => [['box' => $box($posts()), 'screw' => $screw(6)], []],
        'does not know an unmeasured post' => [['box' => $box($posts(['depthMm' => null])), 'board' => $board, 'screw' => $screw(6)], ['unmeasured box']],
        'does not know an unmeasured screw' => [['box' => $box($posts()), 'board' => $board, 'screw' => $screw(null)], ['unmeasured screw']],
    ]);
});

describe(Travel::id(), function () use ($box): void {
    $cap = static fn (?float $travel, string $moves = 'slide'): array => ['sliders' => [['name' => 'power cap', 'moves' => $moves, 'travelMm' => $travel]]];
    $switch = static fn (?float $travel, string $kind = 'slide'): array => ['role' => 'switch', 'facets' => ['switch' => ['kind' => $kind, 'travelMm' => $travel]]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(Travel::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts a cap that goes far enough' => [['box' => $box($cap(2.4)), 'switch' => $switch(2.0)], ['fits switch']],
        'says tight within the margin' => [['box' => $box($cap(2.1)), 'switch' => $switch(2.0)], ['tight switch']],
        'flags a cap that stops short' => [['box' => $box($cap(1.9)), 'switch' => $switch(2.0)], ['clash switch']],
        'says nothing of switches the cap does not move' => [['box' => $box($cap(1.9)), 'switch' => $switch(4.0, 'rocker')], []],
        'looks at buttons, too' => [['box' => $box($cap(0.2, 'button')), 'pad' => ['role' => 'controls', 'facets' => ['controls' => ['buttons' => 4, 'travelMm' => 0.5]]]], ['clash pad']],
        'does not know an unknown switch' => [['box' => $box($cap(2.4)), 'switch' => $switch(null)], ['unmeasured switch']],
        'does not know an unknown cap' => [['box' => $box($cap(null)), 'switch' => $switch(2.0)], ['unmeasured box']],
    ]);
});

describe(CableRoom::id(), function () use ($size, $box): void {
    $board = static fn (float $length, ?float $depth = 15): array => ['role' => 'board', 'facets' => ['sockets' => [['name' => 'picture', 'connector' => 'hdmi-a', 'carries' => 'hdmi', 'direction' => 'out', 'depthMm' => $depth]], ...$size($length, 48, 10)]];
    $lead = static fn (?float $bend): array => ['role' => 'cable', 'facets' => ['cable' => ['oneEnd' => 'hdmi-a', 'otherEnd' => 'hdmi-mini', 'carries' => ['hdmi'], 'bendMm' => $bend]]];
    it('answers', function (array $lines, array $expected) use ($box): void {
        expect(Make::verdicts(CableRoom::class, Make::build(['box' => $box(), ...$lines])))->toBe($expected);
    })->with([
        // 100 − 70 = 30 mm beside the board; plug 15 and bend 10 make 25.
        'accepts room to spare' => [['board' => $board(70), 'lead' => $lead(10)], ['fits board']],
        'says tight with less than two millimetres' => [['board' => $board(74), 'lead' => $lead(10)], ['tight board']],
        'flags a plug that finds no room' => [['board' => $board(80), 'lead' => $lead(10)], ['clash board']],
        'says nothing without a lead inside' => [['board' => $board(80), 'lead' => [...$lead(10), 'part' => ['sits' => 'outside']]], []],
        'does not know an unknown depth' => [['board' => $board(70, null), 'lead' => $lead(10)], ['unmeasured board']],
        'does not know an unknown bend' => [['board' => $board(70), 'lead' => $lead(null)], ['unmeasured lead']],
    ]);
});

$warm = static fn (float $watts, array $body = [], array $more = []): array => [
    'box' => ['role' => 'case', 'facets' => ['size' => ['lengthMm' => 150, 'widthMm' => 80, 'heightMm' => 30], 'body' => ['ventMm2' => 0, ...$body]]],
    'pack' => ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'Li-ion', 'series' => 3, 'cellFullV' => 4.2, 'cellNominalV' => 3.6, 'cellEmptyV' => 3.0]]],
    'board' => ['role' => 'board', 'facets' => ['supply' => ['volts' => Make::band(8, 14), 'drawMa' => Make::band(10, $watts / 12 * 1000, $watts / 12 * 1000), 'drawAtV' => 12, 'peakMa' => 100], 'heat' => ['watts' => Make::band(0.1, $watts), 'limitC' => 80, 'riseKPerW' => 4, 'riseFanKPerW' => 2]]],
    ...$more,
];
$fan = ['fan' => ['role' => 'cooling', 'facets' => ['cooling' => ['fan' => true, 'ventMm2' => 1000]]]];

it('works the air inside out by hand', function (): void {
    // Surface 2 × (0.15 × 0.08 + 0.15 × 0.03 + 0.08 × 0.03) = 0.0378 m² × 8 = 0.3024 W/K; 3 W ÷ 0.3024 = 9.92 K above 25 °C.
    expect(BoxAir::of([150, 80, 30], 3.0, 0.0, false, 25.0)->celsius)->toEqualWithDelta(34.92, 0.01)
        // Vents of 1000 mm² carry 0.12 W/K, a fan 0.9 W/K more: 3 ÷ 1.3224 = 2.27 K.
        ->and(BoxAir::of([150, 80, 30], 3.0, 1000.0, true, 25.0)->celsius)->toEqualWithDelta(27.27, 0.01)
        // A fan in a closed box moves nothing out.
        ->and(BoxAir::of([150, 80, 30], 3.0, 0.0, true, 25.0)->celsius)->toEqualWithDelta(34.92, 0.01);
});

describe(Dissipation::id(), function () use ($warm, $fan): void {
    it('answers', function (array $lines, array $brief, array $expected): void {
        expect(Make::verdicts(Dissipation::class, Make::build($lines, $brief)))->toBe($expected);
    })->with([
        // 5 W: air 25 + 16.5 = 41.5 °C, the board 5 × 4 K more: 61.5 °C of 80 °C.
        'accepts a cool board' => [$warm(5), [], ['fits board']],
        // 7 W: 25 + 23.1 + 28 = 76.1 °C.
        'says tight near its limit' => [$warm(7), [], ['tight board']],
        // 8 W: 25 + 26.5 + 32 = 83.5 °C.
        'flags one that slows down' => [$warm(8), [], ['clash board']],
        // With a fan and vents: 25 + 8 ÷ 1.3224 + 8 × 2 = 47 °C.
        'accepts it with a fan and vents' => [$warm(8, ['ventMm2' => 1000], $fan), [], ['fits board']],
        'goes by the room' => [$warm(5), ['roomC' => 40], ['tight board']],
        'does not know an unknown limit' => [$warm(5, [], ['board' => ['role' => 'board', 'facets' => ['supply' => ['volts' => Make::band(8, 14), 'drawMa' => 100, 'drawAtV' => 12, 'peakMa' => 100], 'heat' => ['watts' => 1, 'riseKPerW' => 4]]]]), [], ['unmeasured board']],
        'does not know an unknown draw' => [$warm(5, [], ['board' => ['role' => 'board', 'facets' => ['supply' => ['volts' => Make::band(8, 14), 'drawAtV' => 12], 'heat' => ['watts' => 1, 'riseKPerW' => 4, 'limitC' => 80]]]]), [], ['unmeasured board']],
        'does not know unknown vents' => [$warm(5, ['ventMm2' => null]), [], ['unmeasured box']],
    ]);
});

describe(AirInside::id(), function () use ($warm, $fan): void {
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(AirInside::class, Make::build($lines)))->toBe($expected);
    })->with([
        // 7 W: 25 + 23.1 = 48.1 °C; cells bear 60 °C, 10 K are wanted.
        'accepts air that cells bear' => [$warm(7), ['fits box']],
        'says tight near it' => [$warm(8), ['tight box']],
        // 12 W: 25 + 39.7 = 64.7 °C.
        'flags air too hot for cells' => [$warm(12), ['clash box']],
        'accepts it with a fan and vents' => [$warm(12, ['ventMm2' => 1000], $fan), ['fits box']],
        'does not know an unknown body' => [$warm(7, [], ['box' => ['role' => 'case', 'facets' => ['body' => ['ventMm2' => 0]]]]), ['unmeasured box']],
    ]);
});

describe(Airflow::id(), function () use ($warm, $fan): void {
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(Airflow::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts vents enough' => [$warm(5, ['ventMm2' => 1000], $fan), ['fits fan']],
        'says tight with half of them' => [$warm(5, ['ventMm2' => 500], $fan), ['tight fan']],
        'says tight where more can be cut' => [$warm(5, ['ventMm2' => 0, 'cuttable' => true], $fan), ['tight fan']],
        'flags a fan in a closed box' => [$warm(5, ['ventMm2' => 0], $fan), ['clash fan']],
        'says nothing without a fan' => [$warm(5), []],
        'does not know unknown vents' => [$warm(5, ['ventMm2' => null], $fan), ['unmeasured box']],
        'does not know what the fan wants' => [$warm(5, ['ventMm2' => 1000], ['fan' => ['role' => 'cooling', 'facets' => ['cooling' => ['fan' => true]]]]), ['unmeasured fan']],
    ]);
});
