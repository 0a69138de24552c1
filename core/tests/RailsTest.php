<?php

declare(strict_types=1);

use CoreTests\Make;
use CoreTests\Power;
use PocketPlot\Build\Profile;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\YesNo;
use PocketPlot\Power\Assumption;
use PocketPlot\Power\Circuit;
use PocketPlot\Power\CutOff;
use PocketPlot\Power\Gaps;
use PocketPlot\Power\NoBalance;
use PocketPlot\Power\PowerBudget;
use PocketPlot\Power\TreeView;

/**
 * Two cells in series, half charged, behind a step-down of 80 % a panel of 5 W, beside it a lamp of 1 W on the raw volts.
 *
 * @param  array<string, mixed>  $pack
 * @return array<string, mixed>
 */
function twoRails(array $pack = []): array
{
    return [
        'pack' => Power::pack('Li-ion', 2, 3000, $pack), 'five' => Power::converter(5, 0.8, 'buck'), 'panel' => Power::steady(1000, 5),
        'lamp' => Power::steady(100, 10, leastV: 4),
    ];
}

const TWO_RAILS = ['joins' => [
    ['kind' => 'power', 'from' => 'pack', 'to' => 'five'], ['kind' => 'power', 'from' => 'five', 'to' => 'panel'], ['kind' => 'power', 'from' => 'pack', 'to' => 'lamp'],
]];

/** @return array<string, array{parent: ?string, kind: string, values: array<string, array{volts: float, amps: float, watts: float, lost: float}|null>}> by id */
function nodes(array $lines, array $more = TWO_RAILS): array
{
    $facts = new Facts(Make::build($lines, [], $more));
    $source = $facts->supplyTree()->sources()[0];
    $circuit = Circuit::of($facts->build, $facts->supplyTree(), $source, new Profile('steady'), Assumption::usual(), $facts->leadOhms(), 25, new Gaps);

    return array_column(TreeView::of($facts->supplyTree(), $source, $facts->build, $circuit), null, 'id');
}

describe('the budget', function (): void {
    it('shares the watts of the source out, losses on the way included', function (): void {
        $build = Make::build(twoRails(), [], TWO_RAILS);
        $facts = new Facts($build);
        $budget = PowerBudget::of(Power::of($facts, new Profile('steady'), Assumption::usual()), $facts->supplyTree());
        // 5 W ÷ 0.8 = 6.25 W for the panel, 1 W for the lamp: 7.25 W, of which 1.25 W are lost.
        expect($budget->mean)->toEqualWithDelta(7.25, 1e-9)->and($budget->lost)->toEqualWithDelta(1.25, 1e-9)->and($budget->total['usual'])->toEqualWithDelta(7.25, 1e-9);
        $rows = array_column($budget->rows, null, 'key');
        expect(array_keys($rows))->toBe(['panel', 'lamp'])
            ->and($rows['panel']['fromSource'])->toEqualWithDelta(6.25, 1e-9)->and($rows['panel']['share'])->toEqualWithDelta(6.25 / 7.25, 1e-9)->and($rows['panel']['watts']['usual'])->toEqualWithDelta(5.0, 1e-9)
            ->and($rows['lamp']['share'])->toEqualWithDelta(1 / 7.25, 1e-9);
    });

    it('weighs the states by their shares', function (Profile $profile, float $mean): void {
        $lines = ['pack' => Power::pack('Li-ion', 1, 3000), 'panel' => ['role' => 'display', 'facets' => Make::load(1, 5, 100, 300, 600, 4)]];
        $lines['panel']['facets']['supply']['offMa'] = 10;
        $facts = new Facts(Make::build($lines));
        expect(PowerBudget::of(Power::of($facts, $profile, Assumption::usual()), $facts->supplyTree())->mean)->toEqualWithDelta($mean, 1e-9);
    })->with([
        // At 4 V: off 0.04 W, idle 0.4 W, usual 1.2 W, heavy 2.4 W.
        'usual only' => [new Profile('one'), 1.2],
        'a quarter of each' => [new Profile('all', off: 0.25, idle: 0.25, usual: 0.25, heavy: 0.25), (0.04 + 0.4 + 1.2 + 2.4) / 4],
        'mostly off' => [new Profile('drawer', off: 0.9, usual: 0.1), 0.9 * 0.04 + 0.1 * 1.2],
    ]);

    it('shows the peak as the start where that is not given apart', function (array $supply, ?float $watts): void {
        $lines = ['pack' => Power::pack('Li-ion', 1, 3000), 'panel' => Power::steady(200, 4, with: $supply)];
        $lines['panel']['line'] = ['quantity' => 2];
        $facts = new Facts(Make::build($lines));
        expect(PowerBudget::of(Power::of($facts, new Profile('steady'), Assumption::usual()), $facts->supplyTree())->rows[0]['watts']['start'])->toBe($watts);
    })->with([
        // Two of them at 4 V.
        'its peak' => [['peakMa' => 500], 4.0], 'its start' => [['peakMa' => 500, 'startUpMa' => 750], 6.0], 'nobody knows' => [['peakMa' => null], null],
    ]);

    it('does not hide that a pack cannot push it through', function (): void {
        $facts = new Facts(Make::build(['pack' => Power::pack('Li-ion', 1, 3000, ['internalResistanceMohm' => 3000]), 'panel' => Power::steady(1000, 3.6)]));
        expect(fn () => PowerBudget::of(Power::of($facts, new Profile('steady'), Assumption::usual()), $facts->supplyTree()))->toThrow(NoBalance::class);
    });
});

describe('the rails as they are drawn', function (): void {
    it('stand in a tree, with volts, amps and watts at each place', function (): void {
        $nodes = nodes(twoRails());
        expect(array_map(static fn (array $node): array => [$node['parent'], $node['kind']], $nodes))->toBe([
            'pack' => [null, 'source'], 'feed five' => ['pack', 'converter'], 'five:out' => ['feed five', 'rail'], 'feed panel' => ['five:out', 'load'], 'feed lamp' => ['pack', 'load'],
        ]);
        $half = Power::circuit(twoRails(), more: TWO_RAILS)->cells[0]->openCircuitVolts(0.5);
        $at = static fn (string $id): array => $nodes[$id]['values']['usual'] ?? [];
        expect($at('pack'))->toEqualWithDelta(['volts' => $half, 'amps' => 7.25 / $half, 'watts' => 7.25, 'lost' => 0.0], 1e-3)
            ->and($at('feed five'))->toEqualWithDelta(['volts' => $half, 'amps' => 6.25 / $half, 'watts' => 6.25, 'lost' => 0.0], 1e-3)
            ->and($at('five:out'))->toEqualWithDelta(['volts' => 5.0, 'amps' => 1.0, 'watts' => 5.0, 'lost' => 1.25], 1e-3)
            ->and($at('feed lamp'))->toEqualWithDelta(['volts' => $half, 'amps' => 1 / $half, 'watts' => 1.0, 'lost' => 0.0], 1e-3);
    });

    it('sags behind resistance and wire', function (): void {
        $nodes = nodes(twoRails(['internalResistanceMohm' => 200]), ['joins' => [[...TWO_RAILS['joins'][0], 'gaugeAwg' => 28, 'lengthMm' => 300], TWO_RAILS['joins'][1], TWO_RAILS['joins'][2]]]);
        $pack = $nodes['pack']['values']['usual'];
        $five = $nodes['feed five']['values']['usual'];
        // 0.3 m there and back of gauge 28: 0.128 Ω.
        expect($pack['volts'])->toBeLessThan(nodes(twoRails())['pack']['values']['usual']['volts'] - 0.15)->and($pack['volts'] - $five['volts'])->toEqualWithDelta($five['amps'] * 0.128, 0.003);
    });

    it('says by the sheets what can be said while something is missing', function (): void {
        $lines = twoRails();
        unset($lines['lamp']['facets']['supply']['drawMa']);
        $nodes = nodes($lines);
        expect($nodes['pack']['values']['usual'])->toBeNull()->and($nodes['feed lamp']['values']['usual'])->toBeNull()
            ->and($nodes['five:out']['values']['usual'])->toEqualWithDelta(['volts' => 5.0, 'amps' => 1.0, 'watts' => 5.0, 'lost' => 0.0], 1e-6);
    });

    it('counts no loss in a wall supply, which has its own box', function (): void {
        $wall = ['role' => 'charger', 'facets' => ['poweredBy' => 'mains', 'outputs' => [['name' => 'plug', 'volts' => 5, 'continuousMa' => 3000, 'peakMa' => 3000, 'efficiency' => 0.8]]]];
        $nodes = nodes(['wall' => $wall, 'panel' => Power::steady(1000, 5)], ['joins' => [['kind' => 'power', 'from' => 'wall', 'to' => 'panel']]]);
        expect($nodes['wall:plug']['values']['usual'])->toEqualWithDelta(['volts' => 5.0, 'amps' => 1.0, 'watts' => 5.0, 'lost' => 0.0], 1e-6);
    });
});

it('knows what cuts a pack off', function (array $pack, ?array $board, ?string $by, ?float $volts, string $key, YesNo $latches): void {
    $lines = ['pack' => Power::pack('Li-ion', 1, 3000, $pack)];
    if ($board !== null) {
        $lines['board'] = ['role' => 'regulator', 'facets' => ['protector' => ['chemistries' => ['Li-ion'], 'series' => 1, ...$board]]];
    }
    $build = Make::build($lines);
    $cutOff = CutOff::of($build, $build->lines[0], $build->lines[0]->part->pack ?? throw new RuntimeException);
    expect([$cutOff->by?->id, $cutOff->volts->usual, (string) $cutOff->ref('cutOffV'), $cutOff->latches])->toBe([$by, $volts, $key, $latches]);
})->with([
    'nothing' => [['protection' => 'none'], null, null, null, 'pack.cutOffV', YesNo::Unknown],
    'its own' => [['protection' => 'built-in', 'cutOffV' => 3.0, 'latches' => 'yes'], null, 'pack', 3.0, 'pack.cutOffV', YesNo::Yes],
    'its own, at volts that nobody knows' => [['protection' => 'built-in'], null, 'pack', null, 'pack.cutOffV', YesNo::Unknown],
    'a board' => [['protection' => 'none'], ['cutOffV' => 2.8, 'latches' => 'no'], 'board', 2.8, 'protector.cutOffV', YesNo::No],
    'a board for more cells than these' => [['protection' => 'none'], ['cutOffV' => 5.6, 'series' => 2], null, null, 'pack.cutOffV', YesNo::Unknown],
    'a known board before an unknown own one' => [['protection' => 'built-in'], ['cutOffV' => 2.8], 'board', 2.8, 'protector.cutOffV', YesNo::Unknown],
    'a known own one before an unknown board' => [['protection' => 'built-in', 'cutOffV' => 3.0], ['mostMa' => 3000], 'pack', 3.0, 'pack.cutOffV', YesNo::Unknown],
    'of two the higher' => [['protection' => 'built-in', 'cutOffV' => 2.9], ['cutOffV' => 3.1], 'board', 3.1, 'protector.cutOffV', YesNo::Unknown],
]);
