<?php

declare(strict_types=1);

use CoreTests\Arrangements;
use CoreTests\Make;
use PocketPlot\Build\Build;
use PocketPlot\Fit\Arrangement;
use PocketPlot\Fit\BadStl;
use PocketPlot\Fit\Box;
use PocketPlot\Fit\Fitted;
use PocketPlot\Fit\Halves;
use PocketPlot\Fit\Hands;
use PocketPlot\Fit\Hole;
use PocketPlot\Fit\Mesh;
use PocketPlot\Fit\ScadScript;
use PocketPlot\Fit\Shell;
use PocketPlot\Fit\Solid;
use PocketPlot\Fit\StlBox;
use PocketPlot\Fit\Template;
use PocketPlot\Fit\ThicknessMap;
use PocketPlot\Report\FitReport;

function arrangedShell(Build $build): Shell
{
    $found = Arrangements::arrange($build, 40);
    assert($found instanceof Arrangement);
    $shell = Shell::of(FitReport::of($build, $build->fit->with(['poses' => $found->poses]))->fitted);
    assert($shell !== null);

    return $shell;
}

/** @return resource */
function streamOf(string $bytes)
{
    $stream = fopen('php://memory', 'w+b');
    assert($stream !== false);
    fwrite($stream, $bytes);
    rewind($stream);

    return $stream;
}

/** What the solid modeller says of a script: its volume in cubic millimetres. */
function rendered(string $script, string $show): float
{
    $file = tempnam(sys_get_temp_dir(), 'body');
    file_put_contents("{$file}.scad", $script);
    exec(
        sprintf('openscad -o %s -D %s %s 2>&1', escapeshellarg("{$file}.stl"), escapeshellarg("show=\"{$show}\""), escapeshellarg("{$file}.scad")),
        $said,
        $status,
    );
    $stl = is_file("{$file}.stl") ? (string) file_get_contents("{$file}.stl") : '';
    array_map(unlink(...), array_filter([$file, "{$file}.scad", "{$file}.stl"], is_file(...)));
    expect($status)->toBe(0, implode("\n", [...$said, $script]));

    return StlBox::read(streamOf($stl))->volumeMm3;
}

it('makes closed bodies of blocks and round holes, of the right volume', function (Solid $solid, float $volume): void {
    $mesh = $solid->mesh();
    expect($mesh->openEdges())->toBe(0)->and($mesh->volumeMm3())->toEqualWithDelta($volume, 0.01);
})->with([
    'a block' => [(new Solid)->add(new Box(0, 0, 0, 10, 20, 5)), 1000.0],
    // 10 × 20 × 5 less 4 × 4 × 5.
    'with a window' => [(new Solid)->add(new Box(0, 0, 0, 10, 20, 5))->cut(new Box(3, 8, 0, 4, 4, 5)), 920.0],
    'a hollow one' => [(new Solid)->add(new Box(0, 0, 0, 10, 10, 10))->cut(new Box(2, 2, 2, 6, 6, 6)), 784.0],
    // A polygon of 24 corners in a circle of 2 mm: 12 × 4 × sin 15° = 12.4233 mm².
    'with a hole through' => [(new Solid)->add(new Box(0, 0, 0, 10, 20, 5))->drill(new Hole(2, 5, 10, 2, 6, 0, 5)), 1000 - 12.4233 * 5],
    'with a hole that ends' => [(new Solid)->add(new Box(0, 0, 0, 10, 20, 5))->drill(new Hole(2, 5, 10, 2, 6, 2, 5)), 1000 - 12.4233 * 3],
    'with holes along the other axes' => [
        (new Solid)->add(new Box(0, 0, 0, 10, 20, 30))->drill(new Hole(0, 10, 15, 2, 6, 0, 10))->drill(new Hole(1, 25, 5, 2, 6, 0, 20)), 6000 - 12.4233 * 30,
    ],
    'with lines of other blocks across the hole' => [
        (new Solid)->add(new Box(0, 0, 0, 20, 20, 5))->add(new Box(9, 0, 5, 3, 20, 4))->cut(new Box(0, 11, 5, 20, 1, 4))->drill(new Hole(2, 4, 4, 2, 6, 0, 5)),
        2000 + 3 * 19 * 4 - 12.4233 * 5,
    ],
    // Half over the edge it cannot be drilled: a square of 4 × 4, 2 of it in the block.
    'with a hole at the edge' => [(new Solid)->add(new Box(0, 0, 0, 10, 20, 5))->drill(new Hole(2, 0, 10, 2, 6, 0, 5)), 1000 - 2 * 4 * 5],
]);

it('joins what would touch along an edge only', function (): void {
    $mesh = (new Solid)->add(new Box(0, 0, 0, 5, 5, 5))->add(new Box(5, 5, 0, 5, 5, 5))->mesh();
    expect($mesh->openEdges())->toBe(0);
});

it('notices an open mesh', function (): void {
    $mesh = (new Solid)->add(new Box(0, 0, 0, 10, 20, 5))->mesh();
    array_pop($mesh->triangles);
    expect($mesh->openEdges())->toBeGreaterThan(0);
});

it('draws halves that a solid modeller makes just as large', function (string $name): void {
    $shell = arrangedShell(str_contains($name, '-') ? Make::trial($name) : Make::demo($name));
    $script = (new ScadScript($shell))->text();
    foreach ((new Halves($shell))->meshes() as $half => $mesh) {
        expect($mesh->openEdges())->toBe(0)->and(rendered($script, $half))->toEqualWithDelta($mesh->volumeMm3(), $mesh->volumeMm3() * 1e-4);
        // And the file itself, opened there: less a corner, so that it has to understand what is inside and what outside.
        $file = tempnam(sys_get_temp_dir(), 'half').'.stl';
        file_put_contents($file, $mesh->stl($half));
        $less = rendered("difference() { import(\"{$file}\"); translate([-500, -500, -500]) cube(400); }", $half);
        unlink($file);
        expect($less)->toEqualWithDelta($mesh->volumeMm3(), $mesh->volumeMm3() * 1e-4);
    }
})->with(['thimble', 'fresh-body']);

it('cuts a half that is longer than the bed, through no post, and loses nothing', function (): void {
    $shell = arrangedShell(Make::trial('fresh-body'));
    $whole = (new Halves($shell))->meshes();
    $cut = (new Halves($shell, 100.0))->meshes();
    $volume = static fn (array $meshes): float => array_sum(array_map(static fn (Mesh $mesh): float => $mesh->volumeMm3(), $meshes));
    expect(array_keys($cut))->toBe(['front-1', 'front-2', 'back-1', 'back-2'])->and($volume($cut))->toEqualWithDelta($volume($whole), 0.5);
    foreach ($cut as $mesh) {
        expect($mesh->openEdges())->toBe(0);
    }
    [, $middle] = (new Halves($shell, 100.0))->pieces();
    foreach ($shell->posts as [$x]) {
        expect(abs($x - $middle))->toBeGreaterThan(Shell::POST_MM / 2);
    }
});

it('opens the face before picture and controls, the wall before sockets, and keeps slots from fingers', function (): void {
    $shell = arrangedShell(Make::demo('thimble'));
    $kinds = array_count_values(array_map(static fn ($cutout): string => "{$cutout->side} {$cutout->kind}", $shell->cutouts));
    expect($kinds['front window'])->toBe(1)->and($kinds['front control'])->toBe(2);
    $socket = array_values(array_filter($shell->cutouts, static fn ($cutout): bool => $cutout->kind === 'socket'));
    expect($socket)->toHaveCount(1)->and($socket[0]->name)->toBe('charging inlet');
    $slots = array_filter(arrangedShell(Make::trial('fresh-body'))->cutouts, static fn ($cutout): bool => in_array($cutout->kind, ['vent', 'grille'], true));
    expect($slots)->not->toBe([]);
    foreach ($slots as $slot) {
        expect(min($slot->wide, $slot->high))->toBeLessThanOrEqual(4.0);
    }
});

it('opens the face for each button that is written down', function (): void {
    $block = static fn (string $name, float $x, float $z, float $side, float $high): array => [
        'name' => $name, 'xMm' => $x, 'yMm' => 5, 'zMm' => $z, 'lengthMm' => $side, 'widthMm' => $side === 40.0 ? 20 : $side, 'heightMm' => $high,
    ];
    $pad = ['role' => 'controls', 'part' => ['sits' => 'face'], 'facets' => [
        'size' => Arrangements::size(40, 25, 6), 'controls' => ['players' => 1, 'dPads' => 0, 'buttons' => 2, 'sticks' => 0, 'knobs' => 0, 'touch' => false],
        'blocks' => [$block('plate', 0, 3, 40.0, 3), $block('button A', 5, 0, 9.0, 3), $block('button B', 24, 0, 9.0, 3)],
    ]];
    $shell = arrangedShell(Make::build(
        ['case' => ['role' => 'case', 'facets' => ['body' => ['drawn' => true, 'wallMm' => 2]]], 'pad' => $pad],
        ['largestMm' => ['lengthMm' => 90, 'widthMm' => 60, 'heightMm' => 30]],
    ));
    $openings = array_values(array_filter($shell->cutouts, static fn ($cutout): bool => $cutout->kind === 'control'));
    // 9 mm of button and 0.4 mm of air, round since it is as wide as high; 19 mm from middle to middle.
    expect(array_map(static fn ($one): array => [round($one->wide, 1), $one->isRound], $openings))->toBe([[9.4, true], [9.4, true]])
        ->and(abs($openings[1]->across - $openings[0]->across) + abs($openings[1]->along - $openings[0]->along))->toEqualWithDelta(19.0, 0.01);
    foreach ((new Halves($shell))->meshes() as $mesh) {
        expect($mesh->openEdges())->toBe(0);
    }
});

it('draws each side at 1 : 1 with a ruler of 100 mm', function (): void {
    $shell = arrangedShell(Make::demo('thimble'));
    $template = new Template($shell);
    [$long, $wide, $deep] = $shell->outsideMm();
    foreach (['front' => [$long, $wide], 'right' => [$deep, $wide], 'bottom' => [$long, $deep]] as $side => [$across, $down]) {
        $svg = new SimpleXMLElement($template->svg($side));
        // One unit of the drawing is a millimetre on paper.
        expect((string) $svg['width'])->toBe(explode(' ', (string) $svg['viewBox'])[2].'mm')->and((string) $svg['height'])->toBe(explode(' ', (string) $svg['viewBox'])[3].'mm');
        $edge = $svg->g[0]->rect[0];
        expect((float) $edge['width'])->toEqualWithDelta($across, 0.01)->and((float) $edge['height'])->toEqualWithDelta($down, 0.01);
        expect((string) $svg->g[1]->path[0]['d'])->toStartWith('M0 0h100');
    }
    $window = array_values(array_filter($shell->cutouts, static fn ($cutout): bool => $cutout->kind === 'window'))[0];
    [$x, $y] = $template->place($window);
    expect($x)->toBe($window->across + $shell->wall)->and($y)->toBe($window->along + $shell->wall);
    // Seen from outside, what is left within is right on the back; what is deep is left on the left side.
    $seen = static fn (string $side): array => $template->place(new PocketPlot\Fit\Cutout($side, 10.0, 4.0, 3.0, 2.0, false, 'x', 'socket'));
    expect($seen('back'))->toBe([$long - 12.0, 6.0, 3.0, 2.0])->and($seen('left'))->toBe([$deep - 6.0, 12.0, 2.0, 3.0])->and($seen('right'))->toBe([6.0, 12.0, 2.0, 3.0])
        ->and($seen('top'))->toBe([12.0, $deep - 6.0, 3.0, 2.0]);
    expect((new SimpleXMLElement($template->net()))->g[0]->g)->toHaveCount(6);
});

it('cuts into a body that is there only what it lacks', function (): void {
    $barge = Make::demo('barge');
    $shell = Shell::of(FitReport::of($barge)->fitted);
    expect($shell?->isDrawn)->toBeFalse()->and($shell?->posts)->toBe([])->and((new Template($shell))->sides())->toContain('front');
});

it('reads the outer box of a drawing, binary and text, with its unit', function (): void {
    $mesh = (new Solid)->add(new Box(5, 5, 5, 85, 56, 17))->mesh();
    $box = StlBox::read(streamOf($mesh->stl('solid by name only')));
    expect($box->sidesMm)->toBe([85.0, 56.0, 17.0])->and($box->isClosed)->toBeTrue()->and($box->unit)->toBe('mm')->and($box->volumeMm3)->toEqualWithDelta(80920.0, 1.0);
    $text = "solid x\n".implode('', array_map(static fn (array $t): string => " facet normal 0 0 0\n  outer loop\n"
        .implode(
            '',
            array_map(static fn (array $p): string => sprintf("   vertex %e %e %e\n", $p[0] / 25.4, $p[1] / 25.4, $p[2] / 25.4), $t),
        )."  endloop\n endfacet\n", $mesh->triangles))."endsolid x\n";
    // 85 mm are 3.35 inches: that is small enough to have been meant in inches only when somebody says so.
    expect(array_map(static fn (float $mm): float => round($mm, 2), StlBox::read(streamOf($text), 'in')->sidesMm))->toBe([85.0, 56.0, 17.0])
        ->and(StlBox::read(streamOf(str_replace('e+0', 'e-1', $text)))->unit)->not->toBe('mm');
    array_pop($mesh->triangles);
    expect(StlBox::read(streamOf($mesh->stl('open')))->isClosed)->toBeFalse();
});

it('says what is wrong with a drawing', function (string $bytes, string $says): void {
    expect(static fn () => StlBox::read(streamOf($bytes)))->toThrow(BadStl::class, $says);
})->with([
    'nothing' => ['', 'no triangles'],
    'a picture' => ["\x89PNG\r\n".str_repeat("\0", 78), 'no triangles'],
    'cut off' => [substr((new Solid)->add(new Box(0, 0, 0, 1, 1, 1))->mesh()->stl('x'), 0, 300), 'cut off after 4 of 12'],
    'text cut off' => ["solid x\nfacet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 1 0 0\nvertex 0 1 0\nendloop\nendfacet\n", 'cut off after 1'],
    'no numbers' => ["solid x\nvertex 0 zero 0\n", 'no number'],
    'not finite' => [str_pad('', 80, "\0").pack('V', 1).pack('g12v', 0, 0, 0, NAN, 0, 0, 1, 0, 0, 0, 1, 0, 0), 'no number'],
    'five million triangles' => [str_pad('', 80, "\0").pack('V', 5_000_000), 'more than 1 000 000'],
]);

it('maps the thickness, the deciding column first', function (): void {
    $map = ThicknessMap::of(FitReport::of(Make::demo('thimble'))->fitted);
    expect($map->deepMm)->toBe(14.0);
    $area = array_sum(array_map(static fn (array $field): float => $field['pieces'] === [] ? 0.0 : $field['l'] * $field['w'], $map->fields));
    // Fields tile what any part covers: at least the largest face, at most the room.
    expect($area)->toBeGreaterThan(51.0 * 21)->toBeLessThan(66.0 * 41.5);
    foreach ($map->fields as $n => $one) {
        foreach (array_slice($map->fields, 0, $n) as $other) {
            $isApart = $one['x'] >= $other['x'] + $other['l'] - 0.06 || $other['x'] >= $one['x'] + $one['l'] - 0.06
                || $one['y'] >= $other['y'] + $other['w'] - 0.06 || $other['y'] >= $one['y'] + $one['w'] - 0.06;
            expect($isApart)->toBeTrue();
        }
    }
});

it('weighs it: 100 g at the left and 300 g at the right lie three quarters to the right', function (): void {
    $block = static fn (float $grams): array => [
        'role' => 'regulator',
        'facets' => ['size' => ['lengthMm' => 10, 'widthMm' => 10, 'heightMm' => 10, 'massG' => $grams]],
    ];
    $build = Make::build(
        ['case' => ['role' => 'case', 'facets' => Arrangements::cavity(110, 60, 30)], 'a' => $block(100), 'b' => $block(300)],
        [],
        ['fit' => ['poses' => [['line' => 'a', 'xMm' => 0, 'yMm' => 0, 'zMm' => 0], ['line' => 'b', 'xMm' => 100, 'yMm' => 40, 'zMm' => 20]]]],
    );
    $facts = new PocketPlot\Facts\Facts($build);
    $hands = Hands::of(Fitted::of($build, $facts->bodyLine(), $facts->inBody()));
    // (100 × 5 + 300 × 105) / 400 = 80; (5 × 100 + 45 × 300) / 400 = 35; (5 × 100 + 25 × 300) / 400 = 20.
    expect($hands->centreMm)->toBe([80.0, 35.0, 20.0])->and(round($hands->offShare, 4))->toBe(round(25 / 110, 4))
        // Over its lower edge at the back: 10 mm behind it and 25 mm above it.
        ->and(round($hands->tipsAtDeg ?? 0.0, 1))->toBe(round(rad2deg(atan(10 / 25)), 1));
});

it('says how much of a column is filled: what two parts share counts once', function (): void {
    $block = static fn (float $height): array => ['role' => 'regulator', 'facets' => ['size' => ['lengthMm' => 10, 'widthMm' => 10, 'heightMm' => $height]]];
    $at = static fn (string $line, float $x, float $z): array => ['line' => $line, 'xMm' => $x, 'yMm' => 0, 'zMm' => $z];
    $build = Make::build(
        ['case' => ['role' => 'case', 'facets' => Arrangements::cavity(110, 60, 30)], 'a' => $block(8), 'b' => $block(6), 'c' => $block(4)],
        [],
        ['fit' => ['poses' => [$at('a', 0, 0), $at('b', 5, 5), $at('c', 10, 20)]]],
    );
    $facts = new PocketPlot\Facts\Facts($build);
    $map = ThicknessMap::of(Fitted::of($build, $facts->bodyLine(), $facts->inBody()));
    $columns = array_map(static fn (array $field): array => [$field['x'], $field['deepMm'], $field['solidMm'], $field['pieces']], $map->fields);
    // a reaches from 0 to 8, b from 5 to 11, c from 20 to 24: a and b fill 11 mm between them, b and c 6 + 4 of 24.
    expect($columns)->toBe([
        [0.0, 8.0, 8.0, ['a#1']],
        [5.0, 11.0, 11.0, ['a#1', 'b#1']],
        [10.0, 24.0, 10.0, ['b#1', 'c#1']],
        [15.0, 24.0, 4.0, ['c#1']],
    ])->and($map->deepMm)->toBe(24.0);
});
