<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Build\Build;
use PocketPlot\Power\Feed;
use PocketPlot\Power\SupplyTree;

/** @return array<string, string> fed line => rail */
function fed(Build $build): array
{
    return array_map(static fn (Feed $feed): string => $feed->railId, (new SupplyTree($build))->feeds);
}

$pack = ['role' => 'cells', 'facets' => Make::ironPack()];
$five = ['role' => 'regulator', 'facets' => Make::converter(6, 30, 5, 3000)];
$twelve = ['role' => 'regulator', 'facets' => Make::converter(6, 30, 12, 3000)];
$board = ['role' => 'board', 'facets' => [
    ...Make::load(4.5, 5.5, 100, 200, 400, 5),
    'outputs' => [['name' => 'pins', 'volts' => 3.3, 'continuousMa' => 300, 'efficiency' => 0.9], ['name' => 'usb', 'volts' => 5, 'continuousMa' => 1000, 'efficiency' => 1]],
    'sockets' => [['name' => 'usb', 'connector' => 'usb-a', 'carries' => 'usb', 'direction' => 'out']],
]];
$wall = static fn (float $volts): array => ['role' => 'charger', 'facets' => ['poweredBy' => 'mains', 'outputs' => [['name' => 'plug', 'volts' => $volts, 'continuousMa' => 5000]]]];
$load = static fn (float $least, float $most, array $sockets = []): array => ['role' => 'display', 'facets' => [...Make::load($least, $most, 10, 20, 40, ($least + $most) / 2), 'sockets' => $sockets]];
$usbIn = [['name' => 'lead', 'connector' => 'usb-a', 'carries' => 'usb', 'direction' => 'in']];

it('proposes the rail that a builder would choose', function (array $lines, array $expected): void {
    expect(fed(Make::build($lines)))->toEqual($expected);
})->with([
    'the converter that makes the volts' => [['pack' => $pack, 'five' => $five, 'twelve' => $twelve, 'panel' => $load(11, 13)], ['five' => 'pack:pack', 'twelve' => 'pack:pack', 'panel' => 'twelve:out']],
    'the pack itself when it suits' => [['pack' => $pack, 'panel' => $load(9, 16)], ['panel' => 'pack:pack']],
    'a converter before the bare pack, when both suit' => [['pack' => $pack, 'twelve' => $twelve, 'panel' => $load(9, 16)], ['twelve' => 'pack:pack', 'panel' => 'twelve:out']],
    'the board\'s pins for what nothing else suits' => [['pack' => $pack, 'five' => $five, 'board' => $board, 'panel' => $load(3.0, 3.6)], ['five' => 'pack:pack', 'board' => 'five:out', 'panel' => 'board:pins']],
    'the board\'s USB for what plugs in there' => [['pack' => $pack, 'five' => $five, 'board' => $board, 'pad' => $load(4.5, 5.5, $usbIn)], ['five' => 'pack:pack', 'board' => 'five:out', 'pad' => 'board:usb']],
    'the wall when there is nothing else' => [['wall' => $wall(12), 'five' => $five, 'board' => $board], ['five' => 'wall:plug', 'board' => 'five:out']],
    'the pack before the wall' => [['wall' => $wall(12), 'pack' => $pack, 'panel' => $load(9, 16)], ['panel' => 'pack:pack']],
    'the nearest when none suits' => [['pack' => $pack, 'five' => $five, 'panel' => $load(6, 7)], ['five' => 'pack:pack', 'panel' => 'five:out']],
    'never the sun' => [['sun' => ['role' => 'charger', 'facets' => ['poweredBy' => 'sun', 'outputs' => [['name' => 'plug', 'volts' => 12]]]], 'panel' => $load(9, 16)], []],
    'a settled join before any of that' => [['pack' => $pack, 'twelve' => $twelve, 'panel' => $load(9, 16)], ['twelve' => 'pack:pack', 'panel' => 'twelve:out']],
]);

it('obeys joins, by output where it is named', function () use ($pack, $five, $board, $load): void {
    $build = Make::build(['pack' => $pack, 'five' => $five, 'board' => $board, 'panel' => $load(3.0, 5.5)], more: ['joins' => [['from' => 'board', 'to' => 'panel', 'output' => 'pins']]]);
    $feed = (new SupplyTree($build))->feeds['panel'];
    expect($feed->railId)->toBe('board:pins')->and($feed->join)->not->toBeNull();
});

it('never feeds a line from itself, at any remove', function () use ($pack, $five, $board): void {
    foreach ([['pack' => $pack, 'five' => $five, 'board' => $board], ['five' => $five, 'other' => $five, 'board' => $board]] as $lines) {
        $tree = new SupplyTree(Make::build($lines));
        foreach ($tree->feeds as $start => $feed) {
            $seen = [];
            for ($at = $start; isset($tree->feeds[$at]); $at = $tree->rails[$tree->feeds[$at]->railId]->line->id) {
                expect($seen)->not->toContain($at);
                $seen[] = $at;
            }
        }
    }
});

it('carries watts up through boards and converters, losses included', function () use ($pack, $five, $board, $load): void {
    $tree = new SupplyTree(Make::build(['pack' => $pack, 'five' => $five, 'board' => $board, 'panel' => $load(3.0, 3.6)]));
    // Panel, usual: 20 mA × 3.3 V = 0.066 W; behind the board's pins ÷ 0.9 = 0.0733 W.
    // Board, usual: 200 mA × 5 V = 1 W. Together 1.0733 W on the 5 V rail; before the converter ÷ 0.9 = 1.1926 W.
    expect($tree->rails['board:pins']->watts->usual())->toEqualWithDelta(0.066, 1e-9)
        ->and($tree->rails['five:out']->watts->usual())->toEqualWithDelta(1.07333, 1e-5)
        ->and($tree->rails['pack:pack']->watts->usual())->toEqualWithDelta(1.19259, 1e-5)
        ->and($tree->wattsFrom(Make::build(['pack' => $pack])->lines[0])[0]->usual())->toEqualWithDelta(1.19259, 1e-5);
});

it('takes a backup pack to feed from its own cells, not from the wall that charges it', function () use ($wall, $load): void {
    $backup = ['role' => 'cells', 'facets' => [
        'pack' => ['chemistry' => 'Li-ion', 'series' => 3, 'capacityMah' => 5000, 'cellFullV' => 4.2, 'cellNominalV' => 3.6, 'cellEmptyV' => 3.0, 'usableShare' => 0.9, 'sealed' => true],
        ...Make::load(11, 13, 100, 900, 1500),
        'outputs' => [['name' => 'out', 'volts' => 12, 'continuousMa' => 4000, 'efficiency' => 0.9]],
    ]];
    $tree = new SupplyTree(Make::build(['wall' => $wall(12), 'backup' => $backup, 'panel' => $load(11, 13)]));
    // The wall sees the backup's charging, 900 mA × 12 V = 10.8 W, and not the panel behind it.
    expect($tree->feeds['panel']->railId)->toBe('backup:out')->and($tree->feeds['backup']->railId)->toBe('wall:plug')
        ->and($tree->rails['wall:plug']->watts->usual())->toEqualWithDelta(10.8, 1e-9);
});

it('says what is missing, on every rail above it', function () use ($pack, $five): void {
    $tree = new SupplyTree(Make::build(['pack' => $pack, 'five' => $five, 'board' => ['role' => 'board', 'facets' => ['supply' => ['volts' => Make::band(4.5, 5.5)]]]]));
    foreach (['five:out', 'pack:pack'] as $rail) {
        expect($tree->rails[$rail]->watts->isKnown())->toBeFalse()->and((string) $tree->rails[$rail]->missing[0]->figure)->toBe('supply.drawMa');
    }
});
