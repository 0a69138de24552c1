<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Check\Measuring;
use PocketPlot\Check\Rule;
use PocketPlot\Check\RuleBook;
use PocketPlot\Check\Verdict;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Part;
use PocketPlot\WhatIf\Downgrade;
use PocketPlot\WhatIf\RemedyFinder;

function shelfPart(string $id): Part
{
    foreach (Make::library() as $part) {
        if ($part->id === $id) {
            return $part;
        }
    }

    throw new RuntimeException("{$id} is not on the shelf");
}

it('lets a part stand in only for what it can do as well', function (string $new, string $old, bool $can): void {
    expect(shelfPart($new)->canStandInFor(shelfPart($old)))->toBe($can);
})->with([
    'a panel for a panel' => ['panel-sash-7', 'panel-rook-9', true],
    'a bare pack for a protected one' => ['pack-drum-2', 'pack-drum-1', true],
    'a pack that charges itself for one that does not' => ['pack-harbour-ups', 'pack-ridge-12', true],
    'not a plain pack for one that charges itself' => ['pack-ridge-12', 'pack-harbour-ups', false],
    'not a protection board for a converter' => ['prot-wicket-4i', 'reg-brook-5', false],
    'not a solar panel for a charge board' => ['sun-lichen-20', 'chg-flotsam-solar', false],
    'not a wall supply for the sun' => ['wall-quay-12', 'sun-lichen-20', false],
    'not a hub for a lead' => ['hub-shoal-4', 'lead-full-full', false],
    'not tape for a fuse, since neither says what it does' => ['mat-tape', 'mat-fuse', false],
]);

it('counts what a replacement gives away in tenths', function (string $old, string $new, int $tenths): void {
    expect(Downgrade::between(shelfPart($old), shelfPart($new)))->toBe($tenths);
})->with([
    'nothing for the same and more' => ['card-thrift-32', 'card-thrift-64', 0],
    // 29.76 of 59.52 GB: one half.
    'half a card' => ['card-thrift-64', 'card-thrift-32', 5],
    // 6 of 12 Ah at the same volts: one half.
    'half a pack' => ['pack-ridge-12p', 'pack-ridge-6p', 5],
    // 5 controls (a cross and four buttons) of 9: 4 ninths, 4 tenths.
    'four buttons less' => ['pad-plover-six', 'pad-plover', 4],
    // 11 controls of the board against 9, but inside the body instead of in the hands.
    'a change of place' => ['pad-plover-six', 'ctl-tern-board', 10],
    // 2 of 4 A.
    'half the current' => ['reg-brook-5', 'reg-brook-5s', 5],
]);

it('offers nothing that brings a new unknown', function (): void {
    $before = Make::appraise(Make::demo('refuge'));
    $finding = $before->finding('power.supply-window/panel') ?? throw new RuntimeException('the planted clash is gone');
    $offered = array_map(static fn (array $one): ?string => $one['edits']->part?->id, (new RemedyFinder(Make::library(), Make::today()))->find($before, $finding, 50));
    // The unmarked ten-inch panel would end the clash only because nobody knows its window.
    expect($offered)->toContain('panel-rook-9w')->not->toContain('panel-slate-10')->not->toContain('reg-guess-5');
});

it('offers nothing where nothing helps', function (): void {
    $before = Make::appraise(Make::demo('refuge'));
    $finding = $before->finding('power.supply-window/panel') ?? throw new RuntimeException('the planted clash is gone');
    expect((new RemedyFinder([shelfPart('tool-meter'), shelfPart('panel-rook-9')], Make::today()))->find($before, $finding))->toBe([]);
});

it('has every rule file in the book', function (): void {
    $found = [];
    foreach (glob(dirname(__DIR__).'/src/Check/*/*.php') ?: [] as $file) {
        $class = 'PocketPlot\\Check\\'.basename(dirname($file)).'\\'.basename($file, '.php');
        if (is_subclass_of($class, Rule::class)) {
            $found[] = $class;
        }
    }
    expect($found)->toHaveCount(77)->and(array_diff($found, RuleBook::RULES))->toBe([])->and(array_diff(RuleBook::RULES, $found))->toBe([]);
});

it('knows a name and a way to measure for every figure that a rule or a room can miss', function (): void {
    $keys = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__).'/src', FilesystemIterator::SKIP_DOTS)) as $file) {
        preg_match_all("/(?:unmeasured\(|new Missing\(|Remedy::measure\().*?'((?:supply|output|pack|charger|body|storage|software|panel)\.\w+|size|sockets|controls|variant|skills|price|rate)'/", (string) file_get_contents((string) $file), $used);
        $keys = [...$keys, ...$used[1]];
    }
    expect(count(array_unique($keys)))->toBeGreaterThan(12);
    foreach (array_unique($keys) as $key) {
        expect(Measuring::name(FigureRef::parse($key)))->not->toBe('')->and(strlen(Measuring::how(FigureRef::parse($key))))->toBeGreaterThan(30);
    }
});

it('warns of harm where a measurement could do some', function (string $figure, string $words): void {
    expect(Measuring::how(FigureRef::parse($figure)))->toContain($words);
})->with([
    ['pack.protection', 'do not test by shorting'], ['pack.volts', 'Do not short'], ['pack.maxChargeMa', 'do not find it out by trying'], ['supply.volts', 'Never step above'],
]);

it('keeps the worse of two verdicts', function (Verdict $one, Verdict $other, Verdict $worse): void {
    expect($one->worseOf($other))->toBe($worse)->and($other->worseOf($one))->toBe($worse);
})->with([
    [Verdict::Fits, Verdict::Tight, Verdict::Tight], [Verdict::Tight, Verdict::Unmeasured, Verdict::Unmeasured], [Verdict::Unmeasured, Verdict::Clash, Verdict::Clash], [Verdict::Fits, Verdict::Fits, Verdict::Fits],
]);
