<?php

declare(strict_types=1);

use CoreTests\Arrangements;
use CoreTests\Make;
use PocketPlot\Check\Body\StackHeight;
use PocketPlot\Check\Control\ControlRoom;
use PocketPlot\Check\Fit\AtFace;
use PocketPlot\Check\Fit\BareNeighbours;
use PocketPlot\Check\Fit\Clear;
use PocketPlot\Check\Fit\Coil;
use PocketPlot\Check\Fit\HandsReach;
use PocketPlot\Check\Fit\HeatDistance;
use PocketPlot\Check\Fit\LeadsReach;
use PocketPlot\Check\Fit\Sockets;
use PocketPlot\Check\Fit\Wires;

/** A body of 100 × 60 × 30 mm, parts in it, and where each lies: "panel" => [x, y, z] or [x, y, z, turn]; "panel 2" is the second of them. */
function laid(array $parts, array $poses, array $body = [], array $brief = [], array $more = []): PocketPlot\Build\Build
{
    $facets = ['body' => ['cavityLengthMm' => 100, 'cavityWidthMm' => 60, 'cavityHeightMm' => 30, 'wallMm' => 2, ...$body]];
    $lines = ['case' => ['role' => 'case', 'facets' => $facets]] + $parts;
    $written = [];
    foreach ($poses as $line => $at) {
        [$line, $piece] = explode(' ', "{$line} 1");
        $written[] = ['line' => $line, 'piece' => (int) $piece, 'xMm' => $at[0], 'yMm' => $at[1], 'zMm' => $at[2], 'turn' => $at[3] ?? 'lwh'];
    }

    return Make::build($lines, $brief, ['fit' => ['poses' => $written], ...$more]);
}

$part = static fn (array $sides, array $facets = [], string $role = 'regulator', string $sits = 'inside'): array => [
    'role' => $role, 'facets' => ['size' => Arrangements::size(...$sides)] + $facets, 'part' => ['sits' => $sits],
];
$panel = static fn (float $l = 60, float $w = 40, float $h = 5): array => $part(
    [$l, $w, $h],
    ['panel' => ['widthPx' => 320, 'heightPx' => 240]],
    'display',
    'face',
);
$pad = static fn (array $more = []): array => $part(
    [20, 20, 6],
    ['controls' => ['players' => 1, 'dPads' => 1, 'buttons' => 0, 'sticks' => 0, 'knobs' => 0, 'touch' => false, ...$more]],
    'controls',
    'face',
);
$cell = $part([40, 30, 8], ['pack' => ['chemistry' => 'LiPo', 'series' => 1, 'parallel' => 1, 'capacityMah' => 1500]], 'cells');
$hot = $part([40, 30, 8], ['heat' => ['watts' => 4]], 'board');
$inlet = static fn (string $face): array => ['sockets' => [[
    'name' => 'inlet',
    'connector' => 'usb-c',
    'carries' => 'power',
    'direction' => 'in',
    'outside' => true,
    'face' => $face,
    'offsetMm' => 0,
]]];

describe(Clear::id(), function () use ($part): void {
    $two = ['a' => $part([20, 10, 5]), 'b' => $part([20, 10, 5])];
    it('answers', function (array $parts, array $poses, array $body, array $expected): void {
        expect(Make::verdicts(Clear::class, laid($parts, $poses, $body)))->toBe($expected);
    })->with([
        'accepts half a millimetre beside' => [$two, ['a' => [0, 0, 0], 'b' => [20.5, 0, 0]], [], ['fits build']],
        'accepts a millimetre behind' => [$two, ['a' => [0, 0, 0], 'b' => [0, 0, 6]], [], ['fits build']],
        'says tight when they touch' => [$two, ['a' => [0, 0, 0], 'b' => [20, 0, 0]], [], ['tight a']],
        // 20 mm long from 15 mm on: 5 mm shared; 10 mm wide; 5 mm deep.
        'flags two in one place' => [$two, ['a' => [0, 0, 0], 'b' => [15, 0, 0]], [], ['clash a']],
        'flags what sticks out' => [$two, ['a' => [0, 0, 0], 'b' => [81, 0, 0]], [], ['clash b']],
        'accepts the same turned by a quarter' => [$two, ['a' => [0, 0, 0], 'b' => [81, 0, 0, '-wlh']], [], ['fits build']],
        'flags a rib' => [
            $two,
            ['a' => [0, 0, 0], 'b' => [30, 0, 0]],
            ['ribs' => [['name' => 'rib', 'xMm' => 40, 'yMm' => 0, 'zMm' => 0, 'lengthMm' => 2, 'widthMm' => 60, 'heightMm' => 9]]],
            ['clash b'],
        ],
        // Posts 20 mm apart around (50, 30): one of them from 37 to 43 mm.
        'flags a post' => [$two, ['a' => [0, 0, 0], 'b' => [30, 18, 0]], ['posts' => [['pattern' => '20x20', 'xMm' => 50, 'yMm' => 30]]], ['clash b']],
        'accepts a board on its posts' => [
            ['a' => $part([30, 26, 5], ['mount' => ['pattern' => '20x20']], 'board')], ['a' => [35, 17, 0]],
            ['posts' => [['pattern' => '20x20', 'xMm' => 50, 'yMm' => 30]]], ['fits build'],
        ],
        'flags a board beside its posts' => [
            ['a' => $part([30, 26, 5], ['mount' => ['pattern' => '20x20']], 'board')], ['a' => [38, 17, 0]],
            ['posts' => [['pattern' => '20x20', 'xMm' => 50, 'yMm' => 30]]], ['clash a'],
        ],
        // Its holes are 5 mm left of its middle: 35 + 10 = 45, not 50.
        'goes by where its holes are' => [
            ['a' => $part(
                [30, 26, 5],
                ['mount' => ['pattern' => '20x20', 'xMm' => 10, 'yMm' => 13]],
                'board',
            )], ['a' => [35, 17, 0]], ['posts' => [['pattern' => '20x20', 'xMm' => 50, 'yMm' => 30]]], ['clash a'],
        ],
        'says nothing of what has no place' => [$two, [], [], []],
        'gives no fits while one has none' => [$two, ['a' => [0, 0, 0]], [], []],
    ]);
    it('says how much, and lets something lie under a tall socket', function () use ($part): void {
        expect(Make::findings(Clear::class, laid(['a' => $part([20, 10, 5]), 'b' => $part([20, 10, 5])], ['a' => [0, 0, 0], 'b' => [15, 8, 3]]))[0]->says())
            ->toBe('A and B run into each other by 2 mm.');
        $board = $part([40, 30, 12], ['blocks' => [
            ['name' => 'plate', 'xMm' => 0, 'yMm' => 0, 'zMm' => 0, 'lengthMm' => 40, 'widthMm' => 30, 'heightMm' => 2],
            ['name' => 'socket', 'xMm' => 0, 'yMm' => 0, 'zMm' => 2, 'lengthMm' => 15, 'widthMm' => 30, 'heightMm' => 10],
        ]], 'board');
        $tucked = static fn (float $x): array => Make::verdicts(
            Clear::class,
            laid(['board' => $board, 'b' => $part([20, 10, 5])], ['board' => [0, 0, 0], 'b' => [$x, 0, 4]]),
        );
        // Beside the tall socket there are 10 mm above the plate; over it there are none.
        expect($tucked(16))->toBe(['fits build'])->and($tucked(10))->toBe(['clash board']);
    });
});

describe(AtFace::id(), function () use ($panel, $pad, $cell, $part): void {
    it('answers', function (array $parts, array $poses, array $expected): void {
        expect(Make::verdicts(AtFace::class, laid($parts, $poses)))->toBe($expected);
    })->with([
        'accepts picture and pad at the face' => [['panel' => $panel(), 'pad' => $pad()], ['panel' => [0, 0, 0], 'pad' => [61, 0, 0]], ['fits build']],
        'flags a picture behind it' => [['panel' => $panel()], ['panel' => [0, 0, 4]], ['clash panel']],
        // The pad covers 61 to 81 mm, the cell begins at 70: however deep it lies, a press goes through.
        'flags a pad over a cell' => [['pad' => $pad(), 'cell' => $cell], ['pad' => [50, 0, 0], 'cell' => [55, 0, 20]], ['clash pad']],
        'accepts a cell behind the picture' => [['panel' => $panel(), 'cell' => $cell], ['panel' => [0, 0, 0], 'cell' => [0, 0, 6]], ['fits build']],
        'flags what a press would touch' => [
            ['pad' => $pad(['travelMm' => 3]), 'b' => $part([20, 20, 5])],
            ['pad' => [0, 0, 0], 'b' => [0, 0, 8]],
            ['clash pad'],
        ],
        'does not know a travel that nobody wrote down' => [
            ['pad' => $pad(), 'b' => $part([20, 20, 5])],
            ['pad' => [0, 0, 0], 'b' => [0, 0, 8]],
            ['unmeasured pad'],
        ],
        'accepts what no button reaches' => [['pad' => $pad(), 'b' => $part([20, 20, 5])], ['pad' => [0, 0, 0], 'b' => [0, 0, 10]], ['fits build']],
        'accepts room for the travel' => [
            ['pad' => $pad(['travelMm' => 3]), 'b' => $part([20, 20, 5])],
            ['pad' => [0, 0, 0], 'b' => [0, 0, 9]],
            ['fits build'],
        ],
        'has nothing to say of what is all inside' => [['b' => $part([20, 20, 5])], ['b' => [0, 0, 0]], []],
    ]);
});

describe(Sockets::id(), function () use ($part, $inlet): void {
    $slot = ['openings' => [['name' => 'slot', 'connector' => 'usb-c', 'widthMm' => 13, 'heightMm' => 7, 'face' => 'bottom', 'offsetMm' => 10]]];
    it('answers', function (array $parts, array $poses, array $body, array $expected): void {
        expect(Make::verdicts(Sockets::class, laid($parts, $poses, $body)))->toBe($expected);
    })->with([
        'accepts a socket at the wall' => [['a' => $part([30, 20, 4], $inlet('left'))], ['a' => [1.5, 5, 0]], [], ['fits build']],
        'flags one behind it' => [['a' => $part([30, 20, 4], $inlet('left'))], ['a' => [4, 5, 0]], [], ['clash a']],
        'goes by how it is turned' => [['a' => $part([30, 20, 4], $inlet('left'))], ['a' => [70, 5, 0, '-l-wh']], [], ['fits build']],
        // The opening's middle: 100 / 2 + 10 = 60 mm; the socket's: 45 + 30 / 2 = 60 mm.
        'accepts one at its opening' => [['a' => $part([30, 20, 4], $inlet('bottom'))], ['a' => [45, 40, 0]], $slot, ['fits build']],
        'flags one beside it' => [['a' => $part([30, 20, 4], $inlet('bottom'))], ['a' => [43, 40, 0]], $slot, ['clash a']],
        // 100 mm of side: 60 mm off its middle, and half of 13, is 16.5 mm beyond its end.
        'flags an opening beyond its side' => [
            ['a' => $part([30, 20, 4], $inlet('bottom'))],
            ['a' => [45, 40, 0]],
            ['openings' => [['offsetMm' => 60] + $slot['openings'][0]]],
            ['clash a'],
        ],
        'flags a side without one' => [['a' => $part([30, 20, 4], $inlet('left'))], ['a' => [0, 5, 0]], $slot, ['clash a']],
        'accepts another side where it can be cut' => [
            ['a' => $part([30, 20, 4], $inlet('left'))],
            ['a' => [0, 5, 0]],
            [...$slot, 'cuttable' => true],
            ['fits build'],
        ],
        'does not know an edge that nobody named' => [['a' => $part([30, 20, 4], $inlet(''))], ['a' => [0, 5, 0]], [], ['unmeasured a']],
        'flags one in the middle, whatever its edge' => [['a' => $part([30, 20, 4], $inlet(''))], ['a' => [30, 20, 10]], [], ['clash a']],
        'flags what lies before a plug' => [
            [
                'a' => $part(
                    [30, 20, 6],
                    ['sockets' => [['name' => 'fan', 'connector' => 'jst-2.0', 'carries' => 'fan', 'direction' => 'out', 'face' => 'right', 'depthMm' => 12]]],
                ),
                'b' => $part([10, 20, 6]),
            ],
            ['a' => [0, 0, 0], 'b' => [35, 0, 0]], [], ['clash a'],
        ],
        'flags a plug that would go into the wall' => [
            ['a' => $part(
                [30, 20, 6],
                ['sockets' => [['name' => 'fan', 'connector' => 'jst-2.0', 'carries' => 'fan', 'direction' => 'out', 'face' => 'right', 'depthMm' => 12]]],
            )],
            ['a' => [65, 0, 0]], [], ['clash a'],
        ],
        'says tight where a pack cannot be unplugged' => [
            [
                'p' => $part(
                    [30, 20, 4],
                    [
                        'pack' => ['chemistry' => 'LiPo', 'series' => 1, 'parallel' => 1, 'capacityMah' => 500],
                        'sockets' => [['name' => 'plug', 'connector' => 'jst-2.0', 'carries' => 'power', 'direction' => 'out', 'face' => 'right']],
                    ],
                    'cells',
                ),
                'b' => $part([10, 20, 4]),
            ],
            ['p' => [0, 0, 0], 'b' => [35, 0, 0]], [], ['tight p'],
        ],
        'says tight where a card cannot be pulled' => [
            [
                'a' => $part(
                    [30, 20, 4],
                    ['sockets' => [['name' => 'card slot', 'connector' => 'microsd', 'carries' => 'storage', 'direction' => 'in', 'face' => 'right']]],
                ),
                'b' => $part([10, 20, 4]),
            ],
            ['a' => [0, 0, 0], 'b' => [40, 0, 0]], [], ['tight a'],
        ],
    ]);
});

describe(HeatDistance::id(), function () use ($hot, $cell, $part): void {
    it('answers', function (array $parts, array $poses, array $expected): void {
        expect(Make::verdicts(HeatDistance::class, laid($parts, $poses)))->toBe($expected);
    })->with([
        'accepts five millimetres' => [['hot' => $hot, 'cell' => $cell], ['hot' => [0, 0, 0], 'cell' => [45, 0, 0]], ['fits build']],
        'says tight with less' => [['hot' => $hot, 'cell' => $cell], ['hot' => [0, 0, 0], 'cell' => [43, 0, 0]], ['tight cell']],
        'says tight where it is shut in' => [
            [
                'hot' => $hot,
                'l' => $part([2, 30, 8]),
                'r' => $part([2, 30, 8]),
                't' => $part([40, 2, 8]),
                'b' => $part([40, 2, 8]),
                'f' => $part([40, 30, 2]),
                'k' => $part([40, 30, 2]),
            ],
            [
                'hot' => [20, 10, 10],
                'l' => [17, 10, 10],
                'r' => [61, 10, 10],
                't' => [20, 7, 10],
                'b' => [20, 41, 10],
                'f' => [20, 10, 7],
                'k' => [20, 10, 19],
            ], ['tight hot'],
        ],
        'has nothing to say of cool parts' => [['b' => $part([20, 20, 5])], ['b' => [0, 0, 0]], []],
    ]);
});

describe(Coil::id(), function () use ($part, $cell): void {
    $coil = $part([40, 30, 1], ['coil' => ['side' => 'receiver', 'watts' => 5]], 'charger');
    it('answers', function (array $parts, array $poses, array $expected): void {
        expect(Make::verdicts(Coil::class, laid($parts, $poses)))->toBe($expected);
    })->with([
        'accepts a coil at the back' => [['coil' => $coil, 'cell' => $cell], ['coil' => [0, 0, 29], 'cell' => [0, 0, 10]], ['fits build']],
        'flags a cell behind it' => [['coil' => $coil, 'cell' => $cell], ['coil' => [0, 0, 20], 'cell' => [0, 0, 22]], ['tight coil', 'clash coil']],
        'says tight far from the back' => [['coil' => $coil], ['coil' => [0, 0, 10]], ['tight coil']],
        'has nothing to say without one' => [['cell' => $cell], ['cell' => [0, 0, 0]], []],
    ]);
});

describe(LeadsReach::id(), function () use ($part): void {
    $two = ['a' => $part([10, 10, 5], ['outputs' => [['name' => 'out', 'volts' => 5]]]), 'b' => $part([10, 10, 5], ['supply' => ['volts' => 5]])];
    $join = static fn (float $mm): array => ['joins' => [['kind' => 'power', 'from' => 'a', 'to' => 'b', 'lengthMm' => $mm]]];
    it('answers', function (array $parts, array $poses, array $more, array $expected): void {
        expect(Make::verdicts(LeadsReach::class, laid($parts, $poses, [], [], $more)))->toBe($expected);
    })->with([
        // From middle to middle: 40 mm across, 20 mm down.
        'accepts a lead of twice the way' => [$two, ['a' => [0, 0, 0], 'b' => [40, 20, 0]], $join(120), ['fits build']],
        'flags a lead that is too short' => [$two, ['a' => [0, 0, 0], 'b' => [40, 20, 0]], $join(59), ['clash a']],
        // A wall across the whole room but for the last 5 mm: down to it and back, about 40 + 2 × 50 mm.
        'flags one that has to go around' => [
            ['w' => $part([2, 55, 30]), ...$two],
            ['a' => [0, 0, 0], 'b' => [40, 0, 0], 'w' => [20, 0, 0]],
            $join(70),
            ['clash a'],
        ],
        // A wall of 30 mm: 25 mm down and up again make 90.
        'flags one that is a little too short' => [
            ['w' => $part([2, 30, 30]), ...$two],
            ['a' => [0, 0, 0], 'b' => [40, 0, 0], 'w' => [20, 0, 0]],
            $join(79),
            ['clash a'],
        ],
        'accepts one that gets around' => [
            ['w' => $part([2, 14, 30]), ...$two],
            ['a' => [0, 0, 0], 'b' => [40, 0, 0], 'w' => [20, 0, 0]],
            $join(66),
            ['fits build'],
        ],
        'says tight where only gaps are free' => [
            ['w' => $part([2, 60, 30]), ...$two],
            ['a' => [0, 0, 0], 'b' => [40, 0, 0], 'w' => [20, 0, 0]],
            $join(66),
            ['tight a'],
        ],
        'has nothing to say of leads that nobody measured' => [$two, ['a' => [0, 0, 0], 'b' => [40, 0, 0]], [], []],
    ]);
});

describe(BareNeighbours::id(), function () use ($part): void {
    $bare = static fn (array $more = []): array => $part([30, 20, 4], ['surface' => ['bare' => 'yes'], ...$more]);
    $metal = ['role' => 'cooling', 'facets' => ['size' => ['material' => 'metal'] + Arrangements::size(30, 20, 4)]];
    $unsaid = static fn (string $role): array => ['role' => $role] + $part([30, 20, 4], ['surface' => ['bare' => 'unknown']]);
    $covered = $part([30, 20, 4], ['surface' => ['bare' => 'no']]);
    $over = ['a' => [0, 0, 0], 'b' => [0, 0, 5]];
    it('answers', function (array $parts, array $poses, array $brief, array $expected): void {
        expect(Make::verdicts(BareNeighbours::class, laid($parts, $poses, [], $brief)))->toBe($expected);
    })->with([
        'says tight where nothing insulates' => [['a' => $bare(), 'b' => $bare()], ['a' => [0, 0, 0], 'b' => [0, 0, 5]], [], ['tight a']],
        'accepts tape at hand' => [['a' => $bare(), 'b' => $bare()], ['a' => [0, 0, 0], 'b' => [0, 0, 5]], ['consumables' => ['insulating tape']], ['fits a']],
        'says tight beside metal' => [['a' => $bare(), 'm' => $metal], ['a' => [0, 0, 0], 'm' => [31, 0, 0]], [], ['tight a']],
        'has nothing to say of boards three millimetres apart' => [['a' => $bare(), 'b' => $bare()], ['a' => [0, 0, 0], 'b' => [0, 0, 7]], [], []],
        'accepts tape on the parts list' => [
            ['a' => $bare(), 'b' => $bare(), 't' => ['role' => 'material', 'part' => ['serves' => ['insulating tape'], 'sits' => 'nowhere']]],
            $over, [], ['fits a'],
        ],
        'says tight of two of a kind' => [['a' => ['line' => ['quantity' => 2]] + $bare()], ['a' => [0, 0, 0], 'a 2' => [0, 0, 5]], [], ['tight a']],
        'asks for what nobody said of a regulator' => [['a' => $bare(), 'b' => $unsaid('regulator')], $over, [], ['unmeasured b']],
        'asks for both of two boards' => [['a' => $unsaid('board'), 'b' => $unsaid('board')], $over, [], ['unmeasured a', 'unmeasured b']],
        'asks once for one between two' => [
            ['a' => $bare(), 'b' => $unsaid('board'), 'c' => $bare()], $over + ['c' => [0, 0, 10]], [], ['unmeasured b'],
        ],
        'asks for a charger beside metal' => [['a' => $unsaid('charger'), 'm' => $metal], ['a' => [0, 0, 0], 'm' => [31, 0, 0]], [], ['unmeasured a']],
        'asks nothing where tape is at hand' => [['a' => $bare(), 'b' => $unsaid('board')], $over, ['consumables' => ['insulating tape']], []],
        'asks nothing of what is no board' => [['a' => $bare(), 'b' => $unsaid('sound')], $over, [], []],
        'asks nothing of boards farther apart' => [['a' => $bare(), 'b' => $unsaid('board')], ['a' => [0, 0, 0], 'b' => [0, 0, 8]], [], []],
        'asks nothing of a board over a covered one' => [['a' => $unsaid('board'), 'b' => $covered], $over, [], []],
        'nor of covered ones' => [['a' => $bare(), 'b' => $covered], $over, [], []],
        'nor of boards that lie beside each other corner to corner' => [['a' => $bare(), 'b' => $bare()], ['a' => [0, 0, 0], 'b' => [31, 21, 0]], [], []],
    ]);
});

describe(HandsReach::id(), function () use ($pad, $panel): void {
    it('answers', function (array $poses, array $body, array $expected) use ($pad, $panel): void {
        expect(Make::verdicts(HandsReach::class, laid(['pad' => $pad(), 'panel' => $panel()], $poses, $body)))->toBe($expected);
    })->with([
        // Its middle is 10 mm from the edge, 2 mm of wall: 12 of 64 mm.
        'accepts a pad near the edge' => [['pad' => [5, 20, 0], 'panel' => [30, 0, 0]], [], ['fits pad']],
        // 70 mm beyond the edge and 2 mm of wall, of a thumb of 64 mm.
        'says tight out of reach' => [['pad' => [60, 20, 0], 'panel' => [90, 0, 0]], ['cavityLengthMm' => 200], ['tight pad']],
        'says nothing of what lies on a desk' => [['pad' => [5, 20, 0], 'panel' => [30, 0, 0]], ['cavityLengthMm' => 400], []],
    ]);
});

it('gives shoulder buttons to the forefingers', function () use ($part, $panel): void {
    $shoulder = $part(
        [20, 10, 8],
        ['controls' => ['players' => 1, 'dPads' => 0, 'buttons' => 0, 'sticks' => 0, 'knobs' => 0, 'touch' => false, 'triggers' => 1]],
        'controls',
        'face',
    );
    $says = static fn (array $at): string => Make::findings(
        HandsReach::class,
        laid(['l2' => $shoulder, 'panel' => $panel()], ['l2' => $at, 'panel' => [0, 20, 0]]),
    )[0]->says();
    // 15 and 45 mm to its middle and 2 mm of wall, at the upper edge; 25 and 2 mm at the right, 38 mm below the edge, of 71.
    expect($says([5, 0, 0]))->toBe('L2 is within reach of the left forefinger.')
        ->and($says([35, 0, 0]))->toBe('L2 is within reach of the left forefinger.')
        ->and($says([65, 50, 0]))->toBe('L2 is within reach of the right forefinger.');
});

describe(Wires::id(), function () use ($part): void {
    it('answers', function (array $sides, array $expected) use ($part): void {
        expect(Make::verdicts(Wires::class, laid(['a' => $part($sides)], ['a' => [0, 0, 0]])))->toBe($expected);
    })->with([
        // 100 × 60 × 19 = 114 of 180 cm³ are 63 %; with 20 mm they are 67 %.
        'accepts two thirds less a little' => [[100, 60, 19], ['fits build']],
        'flags more' => [[100, 60, 20], ['clash build']],
    ]);
});

it('goes by the arrangement instead of by shares and stacks', function () use ($panel, $pad, $cell): void {
    $parts = ['panel' => $panel(), 'pad' => $pad(), 'cell' => $cell];
    $none = laid($parts, []);
    $all = laid($parts, ['panel' => [0, 0, 0], 'pad' => [61, 0, 0], 'cell' => [0, 0, 6]]);
    expect(Make::verdicts(ControlRoom::class, $none))->toBe(['fits case'])->and(Make::verdicts(ControlRoom::class, $all))->toBe([])
        ->and(Make::findings(StackHeight::class, $all)[0]->says())->toBe('The deepest column, Panel, Cell, is 14 mm high; there are 30 mm.');
});
