<?php

declare(strict_types=1);

use CoreTests\Arrangements;
use CoreTests\Make;
use CoreTests\Told;
use PocketPlot\Build\FitAim;
use PocketPlot\Build\Pose;
use PocketPlot\Fit\Arrangement;
use PocketPlot\Fit\Fitted;
use PocketPlot\Fit\Piece;
use PocketPlot\Fit\Style;
use PocketPlot\Fit\ThicknessMap;
use PocketPlot\Fit\Turn;
use PocketPlot\Report\FitReport;

it('finds as little depth as trying everything does', function (int $from): void {
    for ($seed = $from; $seed < $from + 25; $seed++) {
        $build = Arrangements::small($seed);
        $found = Arrangements::arrange($build, 4000);
        $best = Arrangements::byTryingAll($build);
        // Where only cells beside what gets warm go in, it is said so; those count as not going in.
        $isFound = $found instanceof Arrangement && $found->lost === [] && Arrangements::wrong($build, $found) === [];
        expect($isFound)->toBe($best !== null, "seed {$seed}");
        if ($isFound) {
            expect($found->measure)->toBe((float) $best * Arrangements::UNIT, "seed {$seed}")->and($found->isProved)->toBeTrue("seed {$seed}")
                ->and($found->bound)->toBe($found->measure);
        }
    }
})->with([1, 26, 51, 76]);

it('violates nothing, and is never below its bound', function (int $from): void {
    $whole = 0;
    for ($seed = $from; $seed < $from + 50; $seed++) {
        $build = Arrangements::large($seed);
        $found = Arrangements::arrange($build, 12);
        if (! $found instanceof Arrangement) {
            continue;
        }
        $wrong = Arrangements::wrong($build, $found);
        expect($wrong === [] || Arrangements::wrong($build, $found, false) === [])->toBeTrue("seed {$seed}: ".implode('; ', $wrong))
            ->and($found->bound)->toBeLessThanOrEqual($found->measure + 1e-6, "seed {$seed}");
        if ($found->lost === []) {
            $whole++;
            $facts = new PocketPlot\Facts\Facts($build);
            $fitted = Fitted::of($build, $facts->bodyLine(), $facts->inBody(), $build->fit->with(['poses' => $found->poses]));
            // The judge, who shares no code with that checker, finds nothing either.
            expect($fitted->clashes())->toBe([], "seed {$seed}");
        }
    }
    expect($whole)->toBeGreaterThan(40);
})->with([1, 51, 101, 151, 201, 251]);

it('is told by the checker when a piece is moved', function (): void {
    $noticed = 0;
    for ($seed = 1; $seed <= 20; $seed++) {
        $build = Arrangements::large($seed);
        $found = Arrangements::arrange($build, 12);
        if ($found instanceof Arrangement && $found->lost === []) {
            $poses = $found->poses;
            $cell = $poses['cells#1'];
            $poses['cells#1'] = new Pose('cells', 1, $poses['panel#1']->xMm, $poses['panel#1']->yMm, 0.0, $cell->turn);
            $noticed += Arrangements::wrong($build, new Arrangement($found->style, $poses, [], $found->insideMm, 0.0, 0.0, false, 0), false) === [] ? 0 : 1;
        }
    }
    expect($noticed)->toBeGreaterThan(15);
});

/**
 * Written down before any of them was arranged: what of them has a size, how deep it gets at least, who decides, and
 * what finds no place. The working stands beside each.
 */
const EXPECTED = [
    // 181 × 80 inside. Beside a picture of 106 × 68 there is room for one pack of 68 × 50; the other lies behind it: 8 + 1 + 9.5.
    'b01-rockpool' => [18.5, ['panel', 'pack'], []],
    // The board goes beside the picture in no way, so behind it: 12 + 1 + 17; the pack beside.
    'b02-lantern' => [30.0, ['panel', 'board'], []],
    // The cells alone are the thickest; the board lies beside them.
    'b03-chirrup' => [16.0, ['cells'], []],
    // The pack beside the picture, 9; the board goes beside neither, so behind the picture: 6 + 1 + 5.
    'b06-oldfield' => [12.0, ['panel', 'board'], []],
    // A pack of 64 × 50 goes beside a picture of 70 × 52 in 118 × 88 in no way: 6 + 1 + 8.
    'b07-tinpot' => [15.0, ['panel', 'pack'], []],
    // All of it beside the picture.
    'b08-hummock' => [8.0, ['panel'], []],
    // Nothing but the board has a size.
    'b10-quarry' => [17.0, ['board'], []],
    'c02-fennick-tablet' => [26.0, ['pack'], []],
    // Cells of 52 × 25 below the picture.
    'c19-button-wren' => [13.0, ['cells'], []],
    // No limit: phone and cells both find a place.
    'b17-bittern' => [null, [], []],
    // Picture and pad are 84 + 40 mm high and 165 + 60 mm wide, in 175 × 85: they do not go into one face.
    'd2-two-lives' => [null, [], ['pad']],
    // No control over a cell, and 70 mm of cells go beside the picture in no way: 8 + 1 + 19.
    'd3-past-it' => [28.0, ['panel', 'pack'], []],
    // Board and pad fill what the picture leaves, so that the heatsink lies behind it: 8 + 1 + 14.
    'd4-thin' => [23.0, ['panel', 'heat'], []],
    // Two packs of 60 × 50, upright beside each other behind the picture: 8 + 1 + 8.
    'd5-twins' => [17.0, ['panel', 'one', 'two'], []],
];

it('arranges what builders told, as was expected', function (string $name): void {
    [$deep, $decides, $lost] = EXPECTED[$name];
    $found = Arrangements::arrange(Told::build($name), 150);
    expect($found)->toBeInstanceOf(Arrangement::class);
    assert($found instanceof Arrangement);
    expect(array_map(static fn (Piece $piece): string => $piece->line->id, $found->lost))->toBe($lost);
    if ($deep !== null) {
        $build = Told::build($name);
        $map = ThicknessMap::of(FitReport::of($build, $build->fit->with(['poses' => $found->poses]))->fitted);
        $names = array_map(static fn ($placed): string => $placed->piece->line->id, $map->deciding);
        expect($map->deepMm)->toEqualWithDelta($deep, 0.01);
        foreach ($names as $line) {
            expect(array_filter($decides, static fn (string $one): bool => str_starts_with($line, $one)))->not->toBe([], "{$line} decides");
        }
    }
})->with(array_keys(EXPECTED));

it('arranges the kinds of build, each into its body', function (string $kind, float $deep, array $lost): void {
    $build = Make::trial($kind);
    $found = Arrangements::arrange($build, 150);
    assert($found instanceof Arrangement);
    expect(array_map(static fn (Piece $piece): string => $piece->line->id, $found->lost))->toBe($lost)
        ->and($lost === [] ? ThicknessMap::of(FitReport::of($build, $build->fit->with(['poses' => $found->poses]))->fitted)->deepMm : $deep)->toBeLessThanOrEqual($deep + 0.01);
})->with([
    // The board of 17 mm is the thickest, and there is room beside the picture.
    'donor body' => ['donor-body', 17.0, []],
    'fresh body' => ['fresh-body', 25.0, []],
    // 140 × 68 of bank leave no 85 × 56 beside them in 174 × 84, and 17 + 1 + 15 mm are more than its 29.
    'kit, no iron' => ['kit-no-iron', 29.0, ['board']],
    'lap portable' => ['lap-portable', 36.0, []],
    'phone core' => ['phone-core', 33.0, []],
    'small-PC core' => ['small-pc-core', 47.0, []],
    // 50 mm of picture and 30 of pads, and half a millimetre between, in 79.
    'upgrade stack' => ['upgrade-stack', 23.0, ['pads']],
]);

it('leaves what is pinned where it is, and says when that cannot be', function (): void {
    $build = Make::demo('thimble');
    $pin = new Pose('cell', 1, 20.0, 5.0, 8.0, 'lwh', true);
    $found = Arrangements::arrange($build->withFit($build->fit->with(['poses' => ['cell#1' => $pin]])), 60);
    assert($found instanceof Arrangement);
    expect([
        $found->poses['cell#1']->xMm,
        $found->poses['cell#1']->yMm,
        $found->poses['cell#1']->zMm,
        $found->poses['cell#1']->isPinned,
    ])->toBe([20.0, 5.0, 8.0, true])
        ->and($found->lost)->toBe([]);
    $misplaced = new Pose('cell', 1, 500.0, 5.0, 8.0, 'lwh', true);
    $blocked = Arrangements::arrange($build->withFit($build->fit->with(['poses' => ['cell#1' => $misplaced]])), 60);
    expect($blocked instanceof Arrangement ? $blocked->lost !== [] : $blocked !== [])->toBeTrue();
});

it('bears parts of no thickness, and says what is larger than the body', function (): void {
    $flat = ['role' => 'material', 'facets' => ['size' => Arrangements::size(20, 20, 0), 'fuse' => ['amps' => 2]]];
    $huge = ['role' => 'regulator', 'facets' => ['size' => Arrangements::size(300, 300, 300)]];
    $found = Arrangements::arrange(Make::build(['case' => ['role' => 'case', 'facets' => Arrangements::cavity(60, 40, 20)], 'film' => $flat]), 20);
    assert($found instanceof Arrangement);
    expect($found->lost)->toBe([])->and($found->measure)->toBe(0.0);
    $misfits = Arrangements::arrange(Make::build(['case' => ['role' => 'case', 'facets' => Arrangements::cavity(60, 40, 20)], 'huge' => $huge]), 20);
    assert(is_array($misfits));
    expect($misfits[0]->line->id)->toBe('huge');
});

it('lays a board on the posts of its holes', function (): void {
    $body = Arrangements::cavity(120, 80, 30);
    $body['body']['posts'] = [['pattern' => '58x49', 'xMm' => 70, 'yMm' => 40]];
    $board = ['role' => 'board', 'facets' => ['size' => Arrangements::size(85, 56, 17), 'mount' => ['pattern' => '58x49', 'xMm' => 32.5, 'yMm' => 28]]];
    $build = Make::build(['case' => ['role' => 'case', 'facets' => $body], 'board' => $board]);
    $found = Arrangements::arrange($build, 20);
    assert($found instanceof Arrangement);
    // As it is written its holes are 32.5 mm from the left: 70 - 32.5; turned by half, 85 - 32.5: 70 - 52.5.
    expect($found->lost)->toBe([])->and([37.5, 17.5])->toContain($found->poses['board#1']->xMm)->and($found->poses['board#1']->yMm)->toBe(12.0);
});

it('names a pinned part that lies inside another, and an opening beyond its side stops nothing', function (): void {
    $build = Make::demo('thimble');
    $at = static fn (string $line): Pose => new Pose($line, 1, 10.0, 5.0, 8.0, 'lwh', true);
    $two = Arrangements::arrange($build->withFit($build->fit->with(['poses' => ['cell#1' => $at('cell'), 'board#1' => $at('board')]])), 60);
    assert($two instanceof Arrangement);
    expect(array_map(static fn (Piece $piece): string => $piece->line->id, $two->lost))->toHaveCount(1);
    $body = Arrangements::cavity(60, 40, 20);
    $body['body']['openings'] = [['name' => 'slot', 'connector' => 'usb-c', 'widthMm' => 13, 'heightMm' => 7, 'face' => 'bottom', 'offsetMm' => 80]];
    $board = ['role' => 'regulator', 'facets' => ['size' => Arrangements::size(30, 20, 4), 'sockets' => [
        ['name' => 'inlet', 'connector' => 'usb-c', 'carries' => 'power', 'direction' => 'in', 'outside' => true, 'face' => 'bottom', 'offsetMm' => 0],
    ]]];
    $found = Arrangements::arrange(Make::build(['case' => ['role' => 'case', 'facets' => $body], 'board' => $board]), 20);
    expect($found instanceof Arrangement ? $found->lost : null)->toBe([]);
});

it('gives the same for the same seed', function (): void {
    $poses = static fn (int $seed): array => array_map(
        static fn (Pose $pose): array => [$pose->xMm, $pose->yMm, $pose->zMm, $pose->turn],
        (static function (Arrangement $found): array {
            return $found->poses;
        })(Arrangements::arrange(Make::trial('fresh-body'), 10, Style::Free, $seed)),
    );
    expect($poses(3))->toBe($poses(3));
});

it('arranges in other styles, which hold what they say', function (): void {
    $build = Make::demo('thimble');
    $beside = Arrangements::arrange($build, 40, Style::CellsBeside);
    $behind = Arrangements::arrange($build, 40, Style::CellsBehind);
    assert($beside instanceof Arrangement && $behind instanceof Arrangement);
    $overlap = static function (Arrangement $found): bool {
        [$cell, $panel] = [$found->poses['cell#1'], $found->poses['panel#1']];
        $sides = static fn (Pose $pose, array $own): array => Turn::of($pose->turn)->sides($own);
        [$c, $p] = [$sides($cell, [36.0, 29.0, 5.0]), $sides($panel, [33.0, 29.0, 3.0])];

        return $cell->xMm < $panel->xMm + $p[0] && $panel->xMm < $cell->xMm + $c[0] && $cell->yMm < $panel->yMm + $p[1] && $panel->yMm < $cell->yMm + $c[1];
    };
    expect($overlap($beside))->toBeFalse()->and($behind->poses['cell#1']->zMm)->toBeGreaterThan(3.0);
});

it('takes a pack apart where its maker allows it', function (): void {
    $lines = [
        'case' => ['role' => 'case', 'facets' => ['body' => ['drawn' => true, 'wallMm' => 2]]],
        'panel' => [
            'role' => 'display',
            'facets' => ['size' => Arrangements::size(80, 50, 5), 'panel' => ['widthPx' => 320, 'heightPx' => 240]],
            'part' => ['sits' => 'face'],
        ],
        'pack' => [
            'role' => 'cells',
            'facets' => [
                'size' => Arrangements::size(65, 38, 19),
                'pack' => ['chemistry' => 'Li-ion', 'series' => 1, 'parallel' => 2, 'capacityMah' => 6000, 'canSplit' => 'yes'],
            ],
        ],
    ];
    $build = Make::build($lines, ['largestMm' => ['lengthMm' => 140, 'widthMm' => 74, 'heightMm' => 40], 'margins' => ['packing-most' => 1.0]]);
    $free = Arrangements::arrange($build, 200);
    $apart = Arrangements::arrange($build, 200, Style::CellsApart);
    assert($free instanceof Arrangement && $apart instanceof Arrangement);
    // Whole it is 65 × 38 × 19 beside the picture, or behind it; in two of 65 × 19 × 19 one lies left, one right.
    expect($free->measure)->toBe(19.0)->and($apart->measure)->toBe(19.0)->and(array_keys($apart->poses))->toBe(['panel#1', 'pack#1', 'pack#2'])
        ->and(Arrangements::wrong($build->withFit($build->fit->with(['split' => ['pack']])), $apart))->toBe([]);
});

it('makes what was chosen least', function (FitAim $aim, float $expected): void {
    // Two blocks of 40 × 20 × 10 and one of 20 × 20 × 10, without gaps: 20 cm³.
    $block = static fn (float $l, float $w, float $h): array => ['role' => 'regulator', 'facets' => ['size' => Arrangements::size($l, $w, $h)]];
    $build = Make::build(
        [
            'case' => ['role' => 'case', 'facets' => ['body' => ['drawn' => true, 'wallMm' => 2]]],
            'a' => $block(40, 20, 10),
            'b' => $block(40, 20, 10),
            'c' => $block(20, 20, 10),
        ],
        ['largestMm' => ['lengthMm' => 64, 'widthMm' => 64, 'heightMm' => 64], 'margins' => Arrangements::BARE],
    );
    $found = Arrangements::arrange($build->withFit($build->fit->with(['aim' => $aim])), 3000);
    assert($found instanceof Arrangement);
    expect(round($found->measure, 3))->toBe($expected)->and($found->isProved)->toBeTrue();
})->with([
    'as flat as a block' => [FitAim::Thickness, 10.0],
    // Two columns of 20 × 10: one block of 40 upright, and one with the 20 of the third on top of it, 60 in all.
    'the smallest face' => [FitAim::Area, 4.0],
    'the least room' => [FitAim::Volume, 20.0],
    // 40 + 20 + 25 has no arrangement; 40 + 20 + 30 = 90, 30 + 20 + 40 the same; 60 + 20 + 20 = 100.
    'the shortest sides' => [FitAim::Outer, 90.0],
]);

it('turns 24 ways, each once, and comes back after four quarters', function (): void {
    expect(count(Turn::all()))->toBe(24)->and(Turn::isCode('lwh'))->toBeTrue()->and(Turn::isCode('wlh'))->toBeFalse()->and(Turn::isCode('-wlh'))->toBeTrue();
    foreach (Turn::all() as $turn) {
        foreach (['face', 'side', 'end'] as $view) {
            $four = $turn->quarter($view)->quarter($view)->quarter($view)->quarter($view);
            expect($four->code)->toBe($turn->code)->and($turn->quarter($view)->code)->not->toBe($turn->code);
        }
    }
    // A quarter on the face, to the right: what was at the left is at the top.
    expect(Turn::of('lwh')->quarter('face')->side('left'))->toBe('top')->and(Turn::of('lwh')->quarter('face')->sides([30.0, 20.0, 5.0]))->toBe([20.0, 30.0, 5.0]);
});
