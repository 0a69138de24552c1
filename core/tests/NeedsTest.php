<?php

declare(strict_types=1);

use CoreTests\Make;
use CoreTests\Told;
use PocketPlot\Appraisal;
use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Check\Verdict;
use PocketPlot\Facts\Facts;
use PocketPlot\File\PartReader;
use PocketPlot\Part\Role;
use PocketPlot\WhatIf\Need;
use PocketPlot\WhatIf\Needs;

/** What the finding of this key asks for; null where it asks for nothing in figures. */
function needOf(Build $build, string $key): ?Need
{
    $finding = Make::appraise($build)->finding($key) ?? throw new RuntimeException("no finding {$key}");

    return (new Needs(new Facts($build)))->of($finding)[0] ?? null;
}

/** The build with what is needed put on its list, as the application does it. */
function withNeed(Build $build, Need $need, ?string $joinTo = null): Build
{
    $part = PartReader::read($need->asPart('wanted'));
    foreach ($build->joins as $join) {
        if ($join->to === $joinTo && isset($need->facets['outputs'])) {
            $build = $build->withoutJoin($join);
        }
    }

    return $need->insteadOf === null
        ? $build->withLine(new Line('wanted', $part, $need->role, 'wanted'))
        : $build->withSwap($need->insteadOf, $part);
}

it('names what is missing in figures worked out from the build', function (string $told, string $key, string $says, ?string $insteadOf = null): void {
    $need = needOf(Told::build($told), $key);
    expect($need?->says())->toBe($says)->and($need?->insteadOf)->toBe($insteadOf);
})->with([
    // 6 to 8.4 V never reach 9 to 15 V: up to the usual 12 V; 7 W / 12 V = 583 mA, × 1.15 = 671, up to 700 mA.
    'a boost converter' => ['b02-lantern', 'power.supply-window/panel', 'boost converter: takes 6 to 8.4 V, gives 12 V, 700 mA or more'],
    // The pack crosses 19 V on its way from 21 to 15 V. With the pad at its sockets 38.6 W / 19 V = 2032 mA, × 1.15 = 2336, up to 2400 mA.
    'a buck-boost converter' => ['c01-tarn-slab', 'power.supply-window/pc', 'buck-boost converter: takes 15 to 21 V, gives 19 V, 2400 mA or more'],
    // 3 × 4.2 V = 12.6 V; two of 2600 mAh side by side, half of 5200 mAh an hour.
    'a charger for three cells in series' => ['b10-quarry', 'power.charger-match/pack', 'charger: for Li-ion, 3S, ends at 12.6 V, with about 2600 mA'],
    'a card of the next size' => ['b10-quarry', 'software.storage/board', 'microsd: 32 GB or more'],
    // What flows at the worst, × 1.25, up to the next fuse that is made.
    'a fuse' => ['c06-kestrow-slate', 'power.short-circuit/pack', 'fuse: 7.5 A, at the plus of the pack'],
    // 1.44 h of 3 h in 6000 mAh: 6000 × 3 / 1.44 × 1.06, up to the next hundred.
    'a larger pack' => ['c01-tarn-slab', 'power.runtime/pack', 'pack: Li-ion, 5S, 13300 mAh or more, 239 Wh', 'pack'],
    'a lead with two named ends' => ['c06-kestrow-slate', 'video.path/panel', 'lead: hdmi-a to hdmi-mini, carries hdmi'],
    'a shorter and thicker lead' => ['c14-hod-carrier', 'power.cable-drop/board/bank', 'lead: usb-c to usb-c, carries power and usb, 22 AWG or thicker, 500 mm or shorter', 'long'],
    // 60 s to shut down, twice.
    'a warning in time' => ['c06-kestrow-slate', 'software.safe-shutdown/pc', 'low-battery warning: 120 s before the end or earlier, told to Pellow H2 mainboard'],
    'a tool' => ['c09-tindlewick-kit', 'people.tools/card', 'card writer: for Card 32 GB, sold with 8000 games on it'],
]);

it('asks for a part that would do: put on the list it ends the finding and brings no clash', function (string $told): void {
    $build = Told::build($told);
    $before = Make::appraise($build);
    $tried = 0;
    foreach ($before->findings as $finding) {
        $need = $finding->verdict->isFault() ? (new Needs(new Facts($build)))->of($finding)[0] ?? null : null;
        // A tool in the list, a pack that makes all heavier or a fuse are looked at below and elsewhere.
        if ($need === null || in_array($finding->rule, ['power.runtime', 'power.in-play'], true)) {
            continue;
        }
        $after = Appraisal::of(withNeed($build, $need, $finding->subject->feed?->line->id), Make::today());
        $now = $after->finding($finding->key());
        expect($now === null || $now->verdict->weight() < $finding->verdict->weight())->toBeTrue("{$finding->key()} by {$need->says()}: {$now?->says()}");
        $clashed = array_diff($after->keysOf(Verdict::Clash), $before->keysOf(Verdict::Clash));
        // A part that is fed at last takes its share of the hours: how many are left is another matter.
        $clashed = array_filter($clashed, static fn (string $key): bool => ! str_starts_with($key, 'power.runtime/'));
        expect(array_values($clashed))->toBe([], "{$finding->key()} by {$need->says()}");
        $tried++;
    }
    expect($tried)->toBeGreaterThan(0);
})->with(static fn (): array => array_values(array_filter(Told::names(), static function (string $name): bool {
    $build = Told::build($name);
    $needs = new Needs(new Facts($build));
    foreach (Make::appraise($build)->findings as $finding) {
        if ($finding->verdict->isFault() && ! in_array($finding->rule, ['power.runtime', 'power.in-play'], true) && $needs->of($finding) !== []) {
            return true;
        }
    }

    return false;
})));

it('asks for no more once the wanted part is on the list, and goes on calling it missing', function (): void {
    $build = Told::build('b02-lantern');
    $need = needOf($build, 'power.supply-window/panel') ?? throw new RuntimeException('nothing needed');
    $after = Make::appraise(withNeed($build, $need, 'panel'));
    $wanted = $after->finding('whole.wanted/wanted');
    expect($wanted?->verdict)->toBe(Verdict::Missing)
        ->and($wanted?->says())->toBe('Still to be found: boost converter: takes 6 to 8.4 V, gives 12 V, 700 mA or more.')
        ->and($after->finding('power.supply-window/panel')?->verdict)->toBe(Verdict::Fits);
});

it('leaves a converter no more height than there is', function (): void {
    $pack = ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'Li-ion', 'series' => 2, 'capacityMah' => 3000, 'cellNominalV' => 3.6]]];
    $box = ['role' => 'case', 'facets' => ['body' => ['cavityLengthMm' => 160, 'cavityWidthMm' => 80, 'cavityHeightMm' => 9]]];
    // 400 mA × 5 V = 2 W heavy and at the peak; ÷ 5 V × 1.15 = 460 mA, up to 500.
    $need = needOf(Make::build(['board' => ['role' => 'board', 'facets' => Make::load(4.75, 5.25, 100, 200, 400, 5)], 'pack' => $pack, 'box' => $box]), 'power.supply-window/board');
    expect($need?->says())->toBe('buck converter: takes 6 to 8.4 V, gives 5 V, 500 mA or more, no higher than 9 mm');
});

it('asks for nothing where all is well', function (): void {
    $build = Told::build('b02-lantern');
    $needs = new Needs(new Facts($build));
    foreach (Make::appraise($build)->findings as $finding) {
        if ($finding->verdict === Verdict::Fits || $finding->verdict === Verdict::Tight) {
            expect($needs->of($finding))->toBe([]);
        }
    }
});

it('lets any part of its role stand in for a wanted one without figures, and no wanted one for a real one', function (): void {
    $wanted = PartReader::read((new Need(Role::Board, 'board', [], []))->asPart('wanted'));
    $board = PartReader::read(['id' => 'board', 'name' => 'Board', 'role' => 'board', 'facets' => ['software' => ['card' => 'microsd']]]);
    expect($board->canStandInFor($wanted))->toBeTrue()->and($wanted->canStandInFor($board))->toBeFalse();
});
