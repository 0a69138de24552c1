<?php

declare(strict_types=1);

use CoreTests\Golden;
use CoreTests\Make;
use CoreTests\Told;
use CoreTests\Tree;
use CoreTests\Worse;
use PocketPlot\Appraisal;
use PocketPlot\Build\Build;
use PocketPlot\Build\Join;
use PocketPlot\Build\JoinKind;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Measuring;
use PocketPlot\Check\Rule;
use PocketPlot\Check\RuleBook;
use PocketPlot\Check\Verdict;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Part;
use PocketPlot\WhatIf\Downgrade;
use PocketPlot\WhatIf\Edits;
use PocketPlot\WhatIf\Fix;
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
    $offered = array_map(static fn (Fix $one): ?string => $one->edits->part?->id, (new RemedyFinder(Make::library(), Make::today()))->find($before, $finding, 50));
    // The unmarked ten-inch panel would end the clash only because nobody knows its window.
    expect($offered)->toContain('panel-rook-9w')->not->toContain('panel-slate-10')->not->toContain('reg-guess-5');
});

it('offers nothing where nothing helps', function (): void {
    $before = Make::appraise(Make::demo('refuge'));
    $finding = $before->finding('power.supply-window/panel') ?? throw new RuntimeException('the planted clash is gone');
    expect((new RemedyFinder([shelfPart('tool-meter'), shelfPart('panel-rook-9')], Make::today()))->find($before, $finding))->toBe([]);
});

/** @return list<string> vitals that are less known than before */
function lostVitals(Appraisal $was, Appraisal $is): array
{
    $unpriced = static fn (Appraisal $of): int => count($of->facts->costs()->unpriced) + count($of->facts->costs()->withoutRate);

    return array_keys(array_filter([
        'run time' => $was->vitals->runTime->isKnown() && ! $is->vitals->runTime->isKnown(),
        'weight' => $is->vitals->unweighed > $was->vitals->unweighed,
        'size' => $was->vitals->sidesMm !== [] && $is->vitals->sidesMm === [],
        'cost' => $unpriced($is) > $unpriced($was),
        'finish' => $was->vitals->finish() !== null && $is->vitals->finish() === null,
    ]));
}

/** Each fix of each finding, done whole on its own: what it promises is what a full appraisal says. */
function fixesHold(Build $build, int $most): int
{
    $before = Appraisal::toCompare($build, Make::today());
    $finder = new RemedyFinder(Make::library(), Make::today());
    $tried = 0;
    foreach ($before->findings as $finding) {
        $found = $finder->search($before, $finding, $most);
        foreach ([...$found->clean, ...$found->trades] as $fix) {
            $after = Appraisal::of($fix->edits->applyTo($build), Make::today());
            $what = "{$finding->key()}: {$fix->edits->says($build)}";
            $left = Worse::worst(Worse::plain($after->findings))[$finding->key()]['verdict'] ?? 'fits';
            $worse = Worse::after(Worse::plain($before->findings), Worse::plain($after->findings), $finding->key());
            expect(Worse::WEIGHTS[$left])->toBeLessThan(min($finding->verdict->weight(), 3), $what)
                ->and(lostVitals($before, $after))->toBe([], $what)
                ->and($worse)->toBe(array_map(static fn (Finding $added): string => "{$added->verdict->value} {$added->key()}", $fix->added), $what)
                ->and($worse === [] && $left === 'fits')->toBe(in_array($fix, $found->clean, true), $what)
                // A trade is only for a fault, and leaves nothing that is one.
                ->and($worse === [] || $finding->verdict->isFault())->toBeTrue($what)
                ->and(array_filter($worse, static fn (string $one): bool => preg_match('/^(?:tight|unmeasured) /', $one) !== 1))->toBe([], $what);
            $tried++;
        }
    }

    return $tried;
}

it('offers what holds when it is done whole: settled, nothing else worse, no vital lost', function (string $name): void {
    // Some builds have nothing that the shelf could mend; these surely have.
    expect(fixesHold(Tree::build($name), 6))->toBeGreaterThan(in_array($name, ['b02-lantern', 'c01-tarn-slab', 'b10-quarry', 'refuge', 'upgrade-stack'], true) ? 0 : -1);
})->with(Tree::names());

it('holds the same of builds drawn by lot', function (int $seed): void {
    expect(fixesHold(Golden::drawn($seed), 2))->toBeGreaterThan(-1);
})->with(range(1, 8));

it('offers trades apart, and says of each what it leaves', function (): void {
    $build = Told::build('b18-sandpiper');
    $before = Appraisal::toCompare($build, Make::today());
    $found = (new RemedyFinder(Make::library(), Make::today()))->search($before, $before->finding('audio.path/phones') ?? throw new RuntimeException('phones have their socket'));
    expect($found->clean)->toBe([])->and($found->trades[0]->leaves())->toBe([
        ['verdict' => 'tight', 'says' => 'Headphone socket with switch asks for soldering, which is not ticked in the brief.'],
    ]);
});

it('trades for what can be found out about the others, never for what nobody knows of the new part', function (): void {
    // A brief that says nothing of skills and tools, a board of which nobody knows the peak: a charger raises these questions, and mends what is missing.
    $build = Make::build([
        'cell' => ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'LiPo', 'series' => 1, 'capacityMah' => 6000, 'maxChargeMa' => 3000, 'protection' => 'built-in']]],
        'boost' => ['role' => 'regulator', 'facets' => ['supply' => ['volts' => Make::band(2.9, 4.5)], 'outputs' => [['name' => '5 V', 'volts' => 5, 'continuousMa' => 3000]]]],
        'board' => ['role' => 'board', 'facets' => ['supply' => ['volts' => Make::band(4.75, 5.25), 'drawMa' => Make::band(600, 900)]]],
    ]);
    $before = Appraisal::toCompare($build, Make::today());
    $found = (new RemedyFinder(Make::library(), Make::today()))->search($before, $before->finding('power.charger-match/cell') ?? throw new RuntimeException('something charges it'), 50);
    $trades = array_map(static fn (Fix $fix): ?string => $fix->edits->part?->id, $found->trades);
    expect($trades)->toContain('chg-dew')
        // Of this one nobody knows the sense contacts.
        ->not->toContain('chg-dew-single-charger');
    foreach ($found->trades as $fix) {
        foreach ($fix->added as $added) {
            expect(in_array($added->verdict, [Verdict::Tight, Verdict::Unmeasured], true))->toBeTrue();
        }
    }
});

it('puts the solder on the list with what is soldered, the cheapest there is, unless it is there', function (array $brief, array $with, string $says): void {
    $build = Make::build([
        'pack' => ['role' => 'cells', 'facets' => Make::ironPack()],
        'panel' => ['role' => 'display', 'facets' => Make::load(4.75, 5.25, 400, 500, 600)],
    ], ['skills' => ['soldering'], 'tools' => ['soldering iron'], ...$brief]);
    $before = Appraisal::toCompare($build, Make::today());
    $found = (new RemedyFinder([shelfPart('reg-brook-5'), shelfPart('mat-flux'), shelfPart('mat-solder')], Make::today()))
        ->find($before, $before->finding('power.supply-window/panel') ?? throw new RuntimeException('12.8 V suit a panel for 5 V'));
    expect($found)->toHaveCount(1)
        ->and(array_map(static fn (Part $part): string => $part->id, $found[0]->edits->with))->toBe($with)
        ->and($found[0]->edits->says($build))->toBe($says)
        ->and(count($found[0]->edits->applyTo($build)->lines))->toBe(3 + count($with));
})->with([
    'neither in the drawer nor on the list' => [['consumables' => []], ['mat-solder'], 'Add Brook 5 V buck, 4 A, with Solder, lead-free, 50 g'],
    'in the drawer' => [['consumables' => ['solder']], [], 'Add Brook 5 V buck, 4 A'],
]);

it('offers like for like', function (string $told, string $key, callable $isAlike): void {
    $build = Told::build($told);
    $before = Appraisal::toCompare($build, Make::today());
    $finding = $before->finding($key) ?? throw new RuntimeException("no finding {$key}");
    foreach ((new RemedyFinder(Make::library(), Make::today()))->find($before, $finding, 50) as $one) {
        expect($isAlike($one->edits))->toBeTrue($one->edits->says($build));
    }
    expect(true)->toBeTrue();
})->with([
    'a lead with the same two ends' => ['d4-thin', 'power.cable-drop/board/cell', static fn (Edits $one): bool => [$one->part?->cable?->oneEnd, $one->part?->cable?->otherEnd] === ['usb-c', 'usb-c']],
    'no other board for want of a lead' => ['c12-lapwick-board', 'video.path/monitor', static fn (Edits $one): bool => $one->part?->cable !== null],
    'no other chemistry for want of a fuse' => ['b17-bittern', 'power.short-circuit/extra', static fn (Edits $one): bool => $one->lineId === null || in_array($one->part?->pack?->chemistry, ['LiPo', 'Li-ion'], true)],
    'no drive in the place of a card' => ['b17-bittern', 'software.rights/card/card', static fn (Edits $one): bool => $one->part?->storage?->card === 'microsd'],
]);

it('offers another rail that is there, before any other part, and puts a converter only where it feeds', function (): void {
    $refuge = Make::demo('refuge')->withJoin(new Join(JoinKind::Power, 'pack', 'board', 'pack', Make::demo('refuge')->line('board')->part->supply->name ?? ''));
    $before = Appraisal::toCompare($refuge, Make::today());
    $finding = $before->finding('power.supply-window/board') ?? throw new RuntimeException('the join is no clash');
    $found = (new RemedyFinder(Make::library(), Make::today()))->find($before, $finding, 50);
    $says = array_map(static fn (Fix $one): string => $one->edits->says($refuge), $found);
    expect($found[0]->edits->part)->toBeNull()
        ->and($says)->toContain('Feed Larch D board from Brook 5 V buck, 4 A (5 V)', 'Take back what was settled of Larch D board; the proposal feeds it')
        // Three volts and a third would only look well because the old converter takes over.
        ->and(array_filter($says, static fn (string $one): bool => str_contains($one, '3.3 V linear')))->toBe([]);
});

it('takes no wires that are written down away to look well', function (): void {
    $build = Told::build('b19-dipper');
    $before = Appraisal::toCompare($build, Make::today());
    $finding = $before->finding('power.cable-drop/phone/cells') ?? throw new RuntimeException('no drop');
    foreach ((new RemedyFinder(Make::library(), Make::today()))->find($before, $finding, 50) as $one) {
        expect($one->edits->frees)->toBeNull();
    }
    expect($finding->verdict)->toBe(Verdict::Clash);
});

it('offers other figures: the smallest change of each kind that settles it', function (Build $build, string $key, array $expected): void {
    $before = Appraisal::toCompare($build, Make::today());
    $finding = $before->finding($key) ?? throw new RuntimeException("no finding {$key}");
    $search = (new RemedyFinder([], Make::today()))->search($before, $finding);
    $found = [...$search->clean, ...$search->trades];
    expect($finding->verdict)->toBe(Verdict::Clash)
        ->and(array_map(static fn (Fix $one): array => [$one->edits->kind(), $one->edits->says($build)], $found))->toBe($expected);
})->with([
    // 12.8 V × 10 Ah × 0.85 = 108.8 Wh. "Everyday" is a fifth idle, three fifths usual, a fifth heavy: the panel takes
    // 0.2 × 200 + 0.6 × 2000 + 0.2 × 2200 = 1680 mA, 20.2 W; with the board 32.2 W, 3.38 h. Of 4 h, 97 %, 3.88 h, would do: 28 W, so
    // 16 W for the panel. Three fifths of its light are 200 + 0.6 × 2000 = 1400 mA, 16.8 W: not yet; two fifths, 12 W, do.
    'a dimmer display, then fewer hours' => [
        fn (): Build => Make::build([
            'pack' => ['role' => 'cells', 'facets' => Make::ironPack()],
            'board' => ['role' => 'board', 'facets' => Make::load(9, 16, 1000, 1000, 1000)],
            'panel' => ['role' => 'display', 'facets' => ['panel' => ['widthPx' => 9, 'heightPx' => 9], ...Make::load(9, 16, 200, 2000, 2200)]],
        ], ['runTimeHours' => 4]),
        'power.runtime/pack',
        [['dim', 'Play "Everyday" at 40 % of the brightness'], ['ask', 'Ask for 3.3 h in the brief, which this pack does']],
    ],
    'nothing where there is next to nothing to ask for' => [
        fn (): Build => Make::build([
            'pack' => ['role' => 'cells', 'facets' => Make::ironPack(1000)],
            'board' => ['role' => 'board', 'facets' => Make::load(9, 16, 3000, 3000, 3000)],
        ], ['runTimeHours' => 4]),
        'power.runtime/pack',
        [],
    ],
    'thicker wires' => [
        fn (): Build => Told::build('b19-dipper'),
        'power.cable-drop/phone/cells',
        [['wires', 'Wire Two 21700 cells 5000 in parallel, in holders to Phone, cell out with 20 AWG instead of 28']],
    ],
]);

it('dims the way of playing that counts and leaves the others, and asks the brief for nothing else', function (): void {
    $build = Make::demo('refuge');
    $dimmed = Edits::dim(0.4)->applyTo($build);
    expect($dimmed->profiles[0]->brightness)->toBe(0.4)->and(array_slice($dimmed->profiles, 1))->toEqual(array_slice($build->profilesOrDefaults(), 1));
    $asked = Edits::ask(2.5)->applyTo($build);
    expect($asked->brief->runTimeHours)->toBe(2.5)->and($asked->brief->asking($build->brief->runTimeHours ?? 0.0))->toEqual($build->brief);
});

it('has every rule file in the book', function (): void {
    $found = [];
    foreach (glob(dirname(__DIR__).'/src/Check/*/*.php') ?: [] as $file) {
        $class = 'PocketPlot\\Check\\'.basename(dirname($file)).'\\'.basename($file, '.php');
        if (is_subclass_of($class, Rule::class)) {
            $found[] = $class;
        }
    }
    expect($found)->toHaveCount(89)->and(array_diff($found, RuleBook::RULES))->toBe([])->and(array_diff(RuleBook::RULES, $found))->toBe([]);
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
