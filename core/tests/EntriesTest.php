<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Build\Build;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Verdict;
use PocketPlot\File\BadFile;
use PocketPlot\File\BuildReader;

/** Six watts of console on two cells side by side, entered in one of three ways. */
function sideBySide(string $entry, array $pack = [], array $more = []): Build
{
    $cells = static fn (float $times): array => ['chemistry' => 'Li-ion', 'series' => 1, 'capacityMah' => 3000 * $times, 'cellNominalV' => 3.6, 'protection' => 'none', 'maxDischargeMa' => 3000 * $times, 'maxChargeMa' => 1500 * $times, 'internalResistanceMohm' => 60 / $times, ...$pack];
    $cell = ['role' => 'cells', 'facets' => ['pack' => $cells(1.0)]];
    $lines = match ($entry) {
        'two lines' => ['cells' => $cell, 'beside' => $cell],
        'a quantity' => ['cells' => [...$cell, 'line' => ['quantity' => 2]]],
        default => ['cells' => ['role' => 'cells', 'facets' => ['pack' => $cells(2.0)]]],
    };

    return Make::build([
        ...$lines,
        'board' => ['role' => 'board', 'facets' => Make::load(2.8, 4.5, 600, 1500, 2000, 3.6)],
        'guard' => ['role' => 'regulator', 'facets' => ['protector' => ['chemistries' => ['Li-ion'], 'series' => 1, 'cutOffV' => 2.8, 'mostMa' => 8000]]],
        'chg' => ['role' => 'charger', 'facets' => ['poweredBy' => 'mains', 'charger' => ['chemistries' => ['Li-ion'], 'seriesLeast' => 1, 'seriesMost' => 1, 'chargeMa' => 2000]]],
        ...$more,
    ], ['runTimeHours' => 2], ['joins' => $entry === 'two lines' ? [['kind' => 'parallel', 'from' => 'cells', 'to' => 'beside']] : []]);
}

/** Worst verdict of each power rule about the packs. */
function worst(Build $build): array
{
    $worst = [];
    foreach (Make::appraise($build)->findings as $finding) {
        if (str_starts_with($finding->rule, 'power.') && $finding->rule !== 'power.parallel-cells' && ($worst[$finding->rule] ?? $finding->verdict)->weight() <= $finding->verdict->weight()) {
            $worst[$finding->rule] = $finding->verdict;
        }
    }
    ksort($worst);

    return array_map(static fn ($verdict): string => $verdict->value, $worst);
}

it('judges two packs side by side alike, however they were entered', function (array $pack, array $more): void {
    $block = worst(sideBySide('one block', $pack, $more));
    expect($block)->not->toBe([])
        ->and(worst(sideBySide('a quantity', $pack, $more)))->toBe($block)
        ->and(worst(sideBySide('two lines', $pack, $more)))->toBe($block);
})->with([
    // 7.2 W / 2.8 V = 2.6 A of twice 3 A; 2000 mA of twice 1500 mA.
    'all within' => [[], []],
    'with a fuse' => [[], ['fuse' => ['role' => 'switch', 'facets' => ['fuse' => ['ratingMa' => 5000]]]]],
    'with a fuse that blows' => [[], ['fuse' => ['role' => 'switch', 'facets' => ['fuse' => ['ratingMa' => 2000]]]]],
    'with a switch that is just enough' => [[], ['off' => ['role' => 'switch', 'facets' => ['switch' => ['kind' => 'slide', 'ratingMa' => 3000]]]]],
    'charged too fast' => [['maxChargeMa' => 600], []],
    'with little to give' => [['maxDischargeMa' => 1000], []],
    'nobody knows what they give' => [['maxDischargeMa' => ['source' => 'unknown']], []],
    'protected by themselves' => [['protection' => 'built-in', 'cutOffV' => 2.8], []],
]);

it('says as many hours, however they were entered', function (string $entry): void {
    $hours = static fn (string $entry): float => Make::appraise(sideBySide($entry))->vitals->runTime->usual();
    // 21.6 Wh × 0.9 usable / 5.4 W = 3.6 h.
    expect($hours($entry))->toEqualWithDelta($hours('one block'), 0.02)->toBeGreaterThan(3.0)->toBeLessThan(4.0);
})->with(['a quantity', 'two lines']);

describe('odd input gets a clear answer', function (): void {
    it('refuses a pack side by side with itself', function (): void {
        $document = Make::document(['cells' => ['role' => 'cells', 'facets' => Make::ironPack()]], [], ['joins' => [['kind' => 'parallel', 'from' => 'cells', 'to' => 'cells']]]);
        expect(static fn () => BuildReader::read($document))->toThrow(BadFile::class, 'itself');
    });

    it('calls a build of nothing but names unmeasured, and names what to find out', function (): void {
        $names = [];
        foreach (['board' => 'board', 'panel' => 'display', 'pad' => 'controls', 'pack' => 'cells', 'box' => 'case'] as $id => $role) {
            $names[$id] = ['role' => $role, 'facets' => []];
        }
        $appraisal = Make::appraise(Make::build($names));
        expect($appraisal->verdict->value)->toBeIn(['unmeasured', 'missing'])->and($appraisal->vitals->clashes)->toBe(0)->and($appraisal->open)->not->toBe([]);
        foreach ($appraisal->findings as $finding) {
            expect($finding->says())->not->toBe('');
        }
    });

    it('calls a build of nothing but wanted lines missing, and asks to measure none of them', function (): void {
        $wanted = [];
        foreach (['board' => 'board', 'panel' => 'display', 'pad' => 'controls', 'pack' => 'cells', 'box' => 'case'] as $id => $role) {
            $wanted[$id] = ['role' => $role, 'facets' => [], 'part' => ['wanted' => true]];
        }
        $appraisal = Make::appraise(Make::build($wanted));
        expect($appraisal->verdict->value)->toBe('missing')->and($appraisal->vitals->missing)->toBeGreaterThanOrEqual(5)->and($appraisal->vitals->clashes)->toBe(0)->and($appraisal->open)->toBe([]);
        // Nobody is asked for the size of what is not there yet.
        expect(array_values(array_filter($appraisal->findings, static fn (Finding $finding): bool => $finding->verdict === Verdict::Unmeasured && ! str_starts_with($finding->rule, 'money.'))))->toBe([]);
    });

    it('plugs no lead into one part with both its ends', function (): void {
        $two = ['sockets' => [['name' => 'in', 'connector' => 'usb-c', 'carries' => 'power', 'direction' => 'in'], ['name' => 'out', 'connector' => 'usb-c', 'carries' => 'power', 'direction' => 'out']]];
        $build = Make::build([
            'bank' => ['role' => 'cells', 'facets' => ['pack' => [...Make::ironPack()['pack'], 'sealed' => true], 'outputs' => [['name' => 'out', 'volts' => 5, 'continuousMa' => 3000]], ...$two]],
            'board' => ['role' => 'board', 'facets' => [...Make::load(4.5, 5.5, 100, 200, 400, 5), 'sockets' => [['name' => 'in', 'connector' => 'usb-micro', 'carries' => 'power', 'direction' => 'in']]]],
            'lead' => ['role' => 'cable', 'facets' => ['cable' => ['oneEnd' => 'usb-c', 'otherEnd' => 'usb-c', 'carries' => ['power']]]],
        ]);
        $lead = array_values(array_filter(Make::appraise($build)->findings, static fn (Finding $finding): bool => $finding->rule === 'power.lead'));
        expect(array_map(static fn (Finding $finding): string => "{$finding->verdict->value} {$finding->lines[0]}", $lead))->toBe(['missing board']);
    });

    it('says of requirements that contradict each other what does not go', function (): void {
        $wanted = ['role' => 'display', 'facets' => ['supply' => ['volts' => ['least' => 12, 'most' => 12]]], 'part' => ['wanted' => true]];
        $bank = ['role' => 'cells', 'facets' => ['pack' => [...Make::ironPack()['pack'], 'sealed' => true], 'outputs' => [['name' => 'out', 'volts' => 5, 'continuousMa' => 3000]]], 'part' => ['wanted' => true]];
        $appraisal = Make::appraise(Make::build(['panel' => $wanted, 'bank' => $bank]));
        expect($appraisal->finding('power.supply-window/panel')?->verdict->value)->toBe('clash')->and($appraisal->finding('whole.wanted/panel')?->verdict->value)->toBe('missing');
    });
});

it('tells lines of the same name apart, by their places or else by their order', function (array $places, array $names): void {
    $lines = [];
    foreach ($places as $at => $place) {
        $lines["cell-{$at}"] = ['role' => 'cells', 'part' => ['name' => 'LiPo 3000'], 'line' => ['place' => $place]];
    }
    $build = Make::build([...$lines, 'spare' => ['role' => 'cells', 'part' => ['name' => 'LiPo 3000'], 'line' => ['chosen' => false]]]);
    expect(array_map(static fn ($line): string => $line->name(), $build->lines))->toBe([...$names, 'LiPo 3000']);
})->with([
    'one' => [['left grip'], ['LiPo 3000']],
    'in two places' => [['left grip', 'right grip'], ['LiPo 3000 (left grip)', 'LiPo 3000 (right grip)']],
    'in one place' => [['grip', 'grip'], ['LiPo 3000 (first)', 'LiPo 3000 (second)']],
    'one nowhere' => [['grip', '', 'lid'], ['LiPo 3000 (first)', 'LiPo 3000 (second)', 'LiPo 3000 (third)']],
]);

it('gives a line its plain name back when the other is gone or another part', function (): void {
    $cell = ['role' => 'cells', 'part' => ['name' => 'LiPo 3000']];
    $build = Make::build(['one' => $cell, 'two' => $cell, 'board' => ['role' => 'board']]);
    $name = static fn (Build $build, string $id): ?string => $build->line($id)?->name();
    expect($name($build, 'two'))->toBe('LiPo 3000 (second)')
        ->and($name($build->without('one'), 'two'))->toBe('LiPo 3000')
        ->and($name($build->withSwap('one', $build->lines[2]->part), 'two'))->toBe('LiPo 3000')
        ->and($name($build->withSwap('board', $build->lines[0]->part), 'board'))->toBe('LiPo 3000 (third)');
});
