<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Build\Line;
use PocketPlot\Fit\Columns;
use PocketPlot\Heat\BoxAir;

describe('columns', function (): void {
    $block = static fn (string $role, float $long, float $wide, string $place = ''): array => ['role' => $role, 'facets' => ['size' => ['lengthMm' => $long, 'widthMm' => $wide, 'heightMm' => 10]], 'line' => $place === '' ? [] : ['place' => $place]];

    it('stacks what cannot lie side by side, from the face down', function (array $lines, ?float $floorMm2, array $columns): void {
        $found = Columns::of(Make::build($lines)->lines, $floorMm2);
        expect(array_map(static fn (array $lines): array => array_map(static fn (Line $line): string => $line->id, $lines), $found))->toBe($columns);
    })->with([
        // 100 × 60 and 85 × 56 mm cover 10,760 mm²; four fifths of 14,000 mm² are 11,200, of 13,000 only 10,400.
        'side by side where the floor is large enough' => fn () => [['board' => $block('board', 85, 56), 'panel' => $block('display', 100, 60)], 14000.0, ['Board' => ['board'], 'Panel' => ['panel']]],
        'panel over board where it is not' => fn () => [['board' => $block('board', 85, 56), 'panel' => $block('display', 100, 60)], 13000.0, ['behind the panel' => ['panel', 'board']]],
        'a body to be drawn has no floor yet' => fn () => [['cooler' => $block('cooling', 30, 30), 'board' => $block('board', 85, 56), 'panel' => $block('display', 100, 60)], null, ['behind the panel' => ['panel', 'board', 'cooler']]],
        'controls and cells keep to themselves' => fn () => [['cells' => $block('cells', 70, 20), 'pad' => $block('controls', 60, 60), 'panel' => $block('display', 100, 60)], null, ['at the cells' => ['cells'], 'behind the controls' => ['pad'], 'behind the panel' => ['panel']]],
        'a named place outranks what is usual' => fn () => [['board' => $block('board', 85, 56, 'left grip'), 'cells' => $block('cells', 70, 20, 'left grip'), 'panel' => $block('display', 100, 60)], null, ['left grip' => ['board', 'cells'], 'behind the panel' => ['panel']]],
        'several of a kind cover as much more' => fn () => [['cells' => [...$block('cells', 100, 50), 'line' => ['quantity' => 2]], 'panel' => $block('display', 60, 50)], 15000.0, ['at the cells' => ['cells'], 'behind the panel' => ['panel']]],
        'screws lie anywhere' => fn () => [['screw' => $block('fastener', 3, 3)], null, []],
    ]);
});

it('knows how warm the air in a box gets', function (float $watts, float $ventMm2, bool $fan, float $celsius): void {
    // 200 × 100 × 50 mm: 2 × (0.02 + 0.01 + 0.005) m² = 0.07 m², × 8 W/m²K = 0.56 W/K.
    expect(BoxAir::of([200, 100, 50], $watts, $ventMm2, $fan, 20)->celsius)->toEqualWithDelta($celsius, 0.01);
})->with([
    'closed: 5.6 W ÷ 0.56 W/K = 10 K' => [5.6, 0.0, false, 30.0],
    'nothing at work' => [0.0, 0.0, false, 20.0],
    // 1000 mm² × 0.00012 = 0.12 W/K more.
    'with vents: 5.6 ÷ 0.68 = 8.235 K' => [5.6, 1000.0, false, 28.235],
    'with vents and a fan: 5.6 ÷ 1.58 = 3.544 K' => [5.6, 1000.0, true, 23.544],
    'a fan in a closed box only stirs' => [5.6, 0.0, true, 30.0],
]);
