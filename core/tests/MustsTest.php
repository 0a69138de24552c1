<?php

declare(strict_types=1);

use CoreTests\Make;
use CoreTests\Tree;
use PocketPlot\Appraisal;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Measuring;
use PocketPlot\Check\OpenFigure;
use PocketPlot\Check\Verdict;
use PocketPlot\Clipping\SpokenPlace;
use PocketPlot\File\BuildReader;
use PocketPlot\File\FigurePlace;
use PocketPlot\File\PartReader;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Musts;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\BadFigure;

it('knows of every must how to find it out, and how it is written into a part that is a name only', function (Role $role): void {
    foreach (Musts::of($role) as $must) {
        expect(Measuring::name($must))->not->toBe('')->and(strlen(Measuring::how($must)))->toBeGreaterThan(30, (string) $must);
        $place = FigurePlace::of($must);
        if ($place === null) {
            continue;
        }
        $typed = match (true) {
            $place->choices !== [] => $place->choices[0],
            $place->kind === 'px' => '800 x 480',
            count($place->fields) > 1 => implode(' x ', array_fill(0, count($place->fields), '20')),
            default => "5 {$place->unit()}",
        };
        $raw = $place->write(['id' => 'a', 'name' => 'A', 'role' => $role->value, 'facets' => []], $typed, '2026-11-26');
        expect(PartReader::read($raw)->isBlank())->toBeFalse((string) $must);
    }
    expect(true)->toBeTrue();
})->with(Role::cases());

it('asks of a name what its role must have, and of a tool nothing', function (string $role, array $asked): void {
    $build = Make::build(['part' => ['role' => $role]]);
    $open = array_map(static fn (OpenFigure $one): string => (string) $one->figure, OpenFigure::among(Make::appraise($build)->findings, $build));
    expect(array_values(array_diff($open, ['price'])))->toBe($asked);
})->with([
    ['board', ['supply.volts', 'supply.drawMa', 'size']],
    ['storage', ['storage.capacityGb']],
    ['charger', ['charger']],
    ['tool', []],
]);

it('takes pixels as they are written, and says what else would do', function (string $typed, ?array $pixels): void {
    $place = FigurePlace::of(FigureRef::parse('panel.pixels')) ?? throw new RuntimeException('no place');
    $write = static fn (): array => $place->write(['id' => 'a', 'name' => 'A', 'role' => 'display', 'facets' => []], $typed, '2026-11-26')['facets']['panel'];
    $pixels === null
        ? expect($write)->toThrow("\"{$typed}\" is no number of pixels; write across × down, such as 800 × 480")
        : expect($write())->toBe(['widthPx' => $pixels[0], 'heightPx' => $pixels[1]]);
})->with([
    ['800 × 480', [800, 480]], ['1280*800', [1280, 800]], ['640x480 px', [640, 480]], ['5 V', null], ['800', null],
]);

it('leads six names to a verdict that tells within eight answers', function (): void {
    $names = ['board' => 'My board', 'display' => 'Some panel', 'cells' => 'Old cell', 'controls' => 'Buttons', 'case' => 'A tin', 'regulator' => 'A boost'];
    $lines = array_map(static fn (string $role, string $name): array => ['role' => $role, 'part' => ['name' => $name]], array_keys($names), $names);
    $document = Make::document(array_combine(array_keys($names), $lines));
    // What a builder would answer: a 5 V board and panel, one LiPo cell, a small tin.
    $known = [
        'supply.volts' => '4.75 to 5.25 V', 'supply.drawMa' => '300 to 900 mA', 'size' => '80 x 50 x 15 mm', 'panel.pixels' => '800 x 480', 'pack.chemistry' => 'LiPo',
        'controls.padMode' => 'pad', 'body.cavity' => '120 x 70 x 12 mm', 'output.volts' => '5 V',
    ];
    $before = [];
    for ($answers = 0; $answers <= 8; $answers++) {
        $appraisal = Appraisal::of(BuildReader::read($document), Make::today());
        $telling = array_diff([...$appraisal->keysOf(Verdict::Clash), ...$appraisal->keysOf(Verdict::Fits)], $before);
        if ($answers === 0) {
            $before = $telling;
        } elseif ($telling !== []) {
            break;
        }
        $next = array_values(array_filter(OpenFigure::among($appraisal->findings, $appraisal->build), static fn (OpenFigure $one): bool => isset($known[(string) $one->figure])))[0] ?? throw new RuntimeException('nothing to ask');
        foreach ($document['parts'] as $at => $part) {
            if ($part['id'] === "part-{$next->line->id}") {
                $document['parts'][$at] = (FigurePlace::of($next->figure) ?? throw new RuntimeException('no place'))->write($part, $known[(string) $next->figure], '2026-11-26');
            }
        }
    }
    expect($answers)->toBeGreaterThan(0)->toBeLessThanOrEqual(8);
});

it('asks what a half-known part still lacks, and judges it by nothing that it does not say', function (string $role, array $facets, array $asked): void {
    $build = Make::build(['part' => ['role' => $role, 'facets' => $facets]]);
    $appraisal = Make::appraise($build);
    $lacking = array_values(array_filter($appraisal->findings, static fn (Finding $one): bool => $one->rule === 'whole.unmeasured' && ! $one->ofWhole));
    expect(array_map(static fn (Finding $one): string => (string) $one->waitsFor[0][1], $lacking))->toBe($asked);
    foreach ($lacking as $one) {
        // Each can be answered in place.
        expect(FigurePlace::of($one->waitsFor[0][1]))->not->toBeNull();
    }
})->with([
    'a pack of which the capacity is known' => ['cells', ['pack' => ['capacityMah' => 5000]], ['pack.chemistry', 'pack.series']],
    'a pack without its row' => ['cells', ['pack' => ['chemistry' => 'LiPo']], ['pack.series']],
    'a whole pack' => ['cells', ['pack' => ['chemistry' => 'LiPo', 'series' => 1]], []],
    'a pack of which only the size is known' => ['cells', ['size' => ['massG' => 98]], ['pack.chemistry']],
    'a board of which only the size is known' => ['board', ['size' => ['massG' => 46]], ['supply.volts']],
    'a phone, fed by its own cell' => ['board', ['pack' => ['chemistry' => 'LiPo', 'series' => 1]], []],
    'a panel with its light only' => ['display', ['panel' => ['touch' => 'yes']], ['supply.volts', 'panel.pixels']],
    'a charger without its row' => ['charger', ['charger' => ['chemistries' => ['LiPo'], 'seriesLeast' => 1]], ['charger.seriesMost']],
    'a lead with one plug' => ['cable', ['cable' => ['oneEnd' => 'usb-c', 'lengthMm' => 300]], ['cable.otherEnd', 'cable.carries']],
    'a screw' => ['fastener', ['size' => ['lengthMm' => 6]], []],
]);

it('takes in words what is no single field', function (string $role, string $key, string $typed, ?array $written): void {
    $place = SpokenPlace::of(FigureRef::parse($key)) ?? throw new RuntimeException('not said in words');
    $write = static fn (): array => $place->write(['id' => 'a', 'name' => 'A', 'role' => $role, 'facets' => []], $typed, '2026-11-26')['facets'];
    $written === null ? expect($write)->toThrow(BadFigure::class) : expect(array_intersect_key($write(), $written))->toEqual($written);
})->with([
    'sockets of a board' => ['board', 'sockets', '2 x USB-A, mini HDMI out', ['sockets' => [
        ['name' => 'usb-a usb', 'connector' => 'usb-a', 'carries' => 'usb', 'direction' => 'out', 'count' => 2], ['name' => 'hdmi-mini hdmi', 'connector' => 'hdmi-mini', 'carries' => 'hdmi', 'direction' => 'out'],
    ]]],
    'controls' => ['controls', 'controls', '1 d-pad, 8 buttons, 2 sticks', ['controls' => ['dPads' => 1, 'buttons' => 8, 'sticks' => 2]]],
    'nothing of the kind' => ['board', 'sockets', 'I have no idea', null],
    'something else' => ['controls', 'controls', '5 V, 40 mA', null],
]);

it('can write every answer it asks for into the part it is about', function (string $name): void {
    $build = Tree::build($name);
    foreach (OpenFigure::among(Make::appraise($build)->findings, $build) as $open) {
        $place = FigurePlace::of($open->figure);
        $typed = match (true) {
            $place === null => null,
            $place->choices !== [] => $place->choices[0],
            $place->kind === 'px' => '800 x 480',
            $place->kind === 'int' => '1',
            in_array($place->kind, ['text', 'connector'], true) => 'usb-c',
            $place->kind === 'V' && count($place->fields) === 3 => '3 / 3.7 / 4.2 V',
            count($place->fields) > 1 => implode(' x ', array_fill(0, count($place->fields), '20')),
            default => "5 {$place->unit()}",
        };
        if ($place !== null && $typed !== null) {
            expect(PartReader::read($place->write($open->line->part->raw, $typed, '2026-11-26'))->name)->toBe($open->line->part->name, (string) $open->figure);
        }
    }
    expect(true)->toBeTrue();
})->with(Tree::names());

it('takes whole numbers, words and plugs in place', function (string $key, string $typed, mixed $written): void {
    $place = FigurePlace::of(FigureRef::parse($key)) ?? throw new RuntimeException('no place');
    [$facet, $field] = explode('.', $key);
    $write = static fn (): mixed => $place->write(['id' => 'a', 'name' => 'A', 'role' => 'cells', 'facets' => []], $typed, '2026-11-26')['facets'][$facet][$field];
    $written instanceof Closure ? expect($write)->toThrow($written()) : expect($write())->toBe($written);
})->with([
    ['pack.series', ' 2 ', 2], ['pack.series', '2.5', static fn (): string => '"2.5" is no whole number; write one such as 2'],
    ['charger.chemistries', 'LiPo, Li-ion', ['LiPo', 'Li-ion']], ['charger.chemistries', 'moonlight', static fn (): string => '"moonlight" is none of Li-ion'],
    ['charger.chemistries', ' , ', static fn (): string => 'write at least one of Li-ion'], ['cable.oneEnd', 'usb-c', 'usb-c'], ['cable.oneEnd', '', static fn (): string => 'write it in up to 60 signs'],
]);
