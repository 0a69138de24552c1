<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\File\PartReader;
use PocketPlot\Part\Part;
use PocketPlot\Part\PartFilter;

it('takes figures out of a search, and leaves its words', function (string $typed, string $words, int $figures): void {
    [$left, $filters] = PartFilter::among($typed);
    expect($left)->toBe($words)->and($filters)->toHaveCount($figures);
})->with([
    ['rook', 'rook', 0], ['rook 9', 'rook 9', 0], ['6 to 9 V', '', 1], ['hdmi under 20 mm', 'hdmi', 1], ['panel 5V under 100 g', 'panel', 2], ['> 5000 mAh lipo', 'lipo', 1],
    ['sluice 12 V buck', 'sluice buck', 1], ['2,5 A', '', 1], ['7 vials', '7 vials', 0], ['6-9v', '', 1], ['brook 5', 'brook 5', 0],
]);

it('keeps the parts whose figures meet what is asked', function (string $typed, array $facets, bool $keeps): void {
    $part = PartReader::read(['id' => 'a', 'name' => 'A', 'role' => 'display', 'facets' => $facets]);
    [, $filters] = PartFilter::among($typed);
    expect($filters[0]->keeps($part))->toBe($keeps);
})->with([
    'a window that holds the volts' => ['5 V', Make::load(4.75, 5.25, 100, 200, 300), true],
    'one that lies above' => ['5 V', Make::load(9, 15, 100, 200, 300), false],
    'one that begins in the range' => ['6 to 9 V', Make::load(9, 15, 100, 200, 300), true],
    'no volts known' => ['5 V', [], false],
    'what it gives' => ['12 V', ['outputs' => [['name' => '12 V', 'volts' => 12]]], true],
    'thin enough' => ['under 20 mm', ['size' => ['lengthMm' => 120, 'widthMm' => 70, 'heightMm' => 18]], true],
    'too thick' => ['under 20 mm', ['size' => ['lengthMm' => 120, 'widthMm' => 70, 'heightMm' => 22]], false],
    'long enough' => ['over 100 mm', ['size' => ['lengthMm' => 120, 'widthMm' => 70, 'heightMm' => 22]], true],
    'light enough' => ['under 100 g', ['size' => ['massG' => 94]], true],
    'enough in it' => ['over 5000 mAh', ['pack' => ['chemistry' => 'LiPo', 'series' => 1, 'capacityMah' => 6000]], true],
    'too little in it' => ['over 5000 mAh', ['pack' => ['chemistry' => 'LiPo', 'series' => 1, 'capacityMah' => 3000]], false],
    'amps are milliamps' => ['3 A', ['outputs' => [['name' => '5 V', 'volts' => 5, 'continuousMa' => 3000]]], true],
]);

it('ships typical parts without maker, each figure in pencil', function (): void {
    $typical = Make::typical();
    expect(count($typical))->toBeGreaterThan(100);
    foreach ($typical as $part) {
        expect($part->isTypical)->toBeTrue()->and($part->maker)->toBe('')->and($part->waitsFor)->toBe([], $part->id);
        $raw = json_encode($part->raw['facets'], JSON_THROW_ON_ERROR);
        expect(preg_match_all('/"source":"(?!typical")/', $raw))->toBe(0, $part->id);
    }
    $roles = array_unique(array_map(static fn (Part $part): string => $part->role->value, $typical));
    expect(array_diff(['board', 'display', 'controls', 'case', 'cells', 'charger', 'regulator', 'sound', 'storage', 'cooling', 'switch', 'cable'], $roles))->toBe([]);
});
