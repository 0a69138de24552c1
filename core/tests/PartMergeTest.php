<?php

declare(strict_types=1);

use PocketPlot\File\PartChanges;
use PocketPlot\File\PartMerge;
use PocketPlot\File\PartReader;
use PocketPlot\Part\Part;

/** @param  array<string, mixed>  $facets */
function own(string $name, array $facets, array $more = []): Part
{
    return PartReader::read(['id' => strtolower($name), 'name' => $name, 'role' => 'board', 'facets' => $facets, ...$more]);
}

function volts(float $value, string $source): array
{
    return ['supply' => ['volts' => ['value' => $value, 'source' => $source]]];
}

it('takes the surer of two figures, and what only one of them says', function (array $stays, array $other, array $take, array $expected): void {
    $merged = PartMerge::of(own('One', $stays), own('Two', $other), $take);
    expect($merged['id'])->toBe('one')->and($merged['name'])->toBe('One')->and($merged['facets'])->toEqual($expected);
})->with([
    'the other was measured' => [volts(5, 'listing'), volts(5.1, 'measured'), [], volts(5.1, 'measured')],
    'this one was measured' => [volts(5, 'measured'), volts(5.1, 'datasheet'), [], volts(5, 'measured')],
    'equally sure' => [volts(5, 'listing'), volts(5.1, 'listing'), [], volts(5, 'listing')],
    'chosen otherwise' => [volts(5, 'listing'), volts(5.1, 'listing'), ['supply/volts' => 1], volts(5.1, 'listing')],
    'the surer one not wanted' => [volts(5, 'listing'), volts(5.1, 'measured'), ['supply/volts' => 0], volts(5, 'listing')],
    'only the other says it' => [volts(5, 'listing'), ['size' => ['massG' => 46]], [], volts(5, 'listing') + ['size' => ['massG' => 46]]],
    'only the other says it, and it is left out' => [volts(5, 'listing'), ['size' => ['massG' => 46]], ['size/massG' => 0], volts(5, 'listing')],
    'field by field' => [
        ['supply' => ['volts' => 5, 'drawMa' => 300]], ['supply' => ['volts' => ['value' => 5.2, 'source' => 'measured'], 'peakMa' => 900]], [],
        ['supply' => ['volts' => ['value' => 5.2, 'source' => 'measured'], 'drawMa' => 300, 'peakMa' => 900]],
    ],
    'a list is taken whole' => [
        ['sockets' => [['name' => 'a', 'connector' => 'usb-c', 'carries' => 'power', 'direction' => 'in']]],
        ['sockets' => [['name' => 'b', 'connector' => 'hdmi-a', 'carries' => 'hdmi', 'direction' => 'out']]], ['sockets' => 1],
        ['sockets' => [['name' => 'b', 'connector' => 'hdmi-a', 'carries' => 'hdmi', 'direction' => 'out']]],
    ],
    'the longer of two lists' => [
        ['sockets' => [['name' => 'a', 'connector' => 'usb-c', 'carries' => 'power', 'direction' => 'in']]],
        ['sockets' => $two = [['name' => 'a', 'connector' => 'usb-c', 'carries' => 'power', 'direction' => 'in'], ['name' => 'b', 'connector' => 'hdmi-a', 'carries' => 'hdmi', 'direction' => 'out']]],
        [], ['sockets' => $two],
    ],
    'a list within a facet' => [
        ['body' => ['wallMm' => 2]], ['body' => ['openings' => [['name' => 'a', 'widthMm' => 10, 'heightMm' => 5]]]], [],
        ['body' => ['wallMm' => 2, 'openings' => [['name' => 'a', 'widthMm' => 10, 'heightMm' => 5]]]],
    ],
]);

it('says where two parts differ, and which it proposes', function (): void {
    $stays = own('One', ['supply' => ['volts' => ['value' => 5, 'source' => 'listing']], 'size' => ['massG' => 46]], ['maker' => 'Heron']);
    $other = own('Two', ['supply' => ['volts' => ['value' => 5, 'source' => 'measured'], 'peakMa' => 900], 'size' => ['massG' => 46], 'sockets' => [
        ['name' => 'power', 'connector' => 'usb-c', 'carries' => 'power', 'direction' => 'in'], ['name' => 'picture', 'connector' => 'hdmi-mini', 'carries' => 'hdmi', 'direction' => 'out'],
    ]], ['link' => 'https://shop.example/two']);
    expect(array_map(static fn (array $one): array => [$one['key'], $one['says'], $one['take']], PartMerge::differences($stays, $other)))->toBe([
        ['name', ['One', 'Two'], 0],
        ['link', [null, 'https://shop.example/two'], 1],
        ['supply/volts', ['5 V', '5 V'], 1],
        ['supply/peakMa', [null, '900 mA'], 1],
        ['sockets', [null, 'power: usb-c, power, in; picture: hdmi-mini, hdmi, out'], 1],
    ])->and(PartMerge::differences($stays, $stays))->toBe([]);
});

it('keeps the texts, prices and unknown facts of both', function (): void {
    $price = static fn (string $vendor, string $amount): array => ['vendor' => $vendor, 'price' => ['amount' => $amount, 'currency' => 'EUR']];
    $merged = PartMerge::of(
        own('One', [], ['offers' => [$price('Kiosk', '4.00')], 'clippings' => [['text' => 'a', 'on' => '2026-11-01']], 'x-shelf' => 3]),
        own('Two', ['x-smell' => ['of' => 'pine'], 'supply' => ['x-hum' => 'low']], ['offers' => [$price('Kiosk', '5.00'), $price('Barn', '3.00')], 'clippings' => [['text' => 'b', 'on' => '2026-11-02']], 'x-box' => 7]),
        [],
    );
    expect(array_column($merged['offers'], 'vendor'))->toBe(['Kiosk', 'Barn'])
        ->and($merged['offers'][0]['price']['amount'])->toBe('4.00')
        ->and(array_column($merged['clippings'], 'text'))->toBe(['a', 'b'])
        ->and([$merged['x-shelf'], $merged['x-box']])->toBe([3, 7])
        ->and($merged['facets'])->toBe(['x-smell' => ['of' => 'pine'], 'supply' => ['x-hum' => 'low']]);
});

it('tells what a change changed', function (array $before, array $after, array $expected): void {
    $changes = PartChanges::between(own('One', $before), own('One', $after));
    expect(array_map(static fn (array $one): array => [$one['label'], $one['before'], $one['after'], $one['source']], $changes))->toBe($expected);
})->with([
    'nothing' => [volts(5, 'listing'), volts(5, 'listing'), []],
    'another figure' => [volts(5, 'listing'), volts(5.1, 'measured'), [['Supply, supply window', '5 V', '5.1 V', 'measured']]],
    'the same figure, looked at' => [volts(5, 'listing'), volts(5, 'measured'), [['Supply, supply window', '5 V', '5 V', 'measured']]],
    'one more' => [[], ['size' => ['massG' => 46]], [['Size and weight, weight', null, '46 g', 'listing']]],
    'one less' => [['size' => ['massG' => 46]], [], [['Size and weight, weight', '46 g', null, '']]],
]);

it('tells of another name, maker or link', function (): void {
    $changes = PartChanges::between(own('One', [], ['maker' => 'Heron']), own('Two', [], ['link' => 'https://shop.example']));
    expect(array_map(static fn (array $one): array => [$one['label'], $one['before'], $one['after']], $changes))->toBe([
        ['Name', 'One', 'Two'], ['Maker', 'Heron', null], ['Link', null, 'https://shop.example'],
    ]);
});
