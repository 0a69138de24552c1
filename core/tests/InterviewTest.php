<?php

declare(strict_types=1);

use CoreTests\Interview;
use CoreTests\Make;
use PocketPlot\Check\Measuring;
use PocketPlot\Check\WhereItStands;
use PocketPlot\Clipping\SpokenPlace;
use PocketPlot\File\FigurePlace;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Role;

/** One 5 V board, one LiPo cell, a USB-C brick, a small tin. */
const KNOWS = [
    'supply.volts' => '4.75 to 5.25 V', 'supply.drawMa' => '300 to 900 mA', 'supply.peakMa' => '1.2 A', 'supply.drawAtV' => '5 V',
    'size' => '80 x 50 x 15 mm', 'pack.chemistry' => 'LiPo', 'pack.series' => '1', 'pack.capacityMah' => '4000 mAh', 'pack.protection' => 'built-in',
    'pack.cutOffV' => '2.8 V', 'pack.maxDischargeMa' => '4 A', 'pack.maxChargeMa' => '2 A', 'output.volts' => '5 V', 'output.topology@output' => 'boost', 'controls.padMode' => 'pad',
    'controls' => '1 d-pad, 8 buttons', 'controls.speaks' => 'usb', 'panel.pixels' => '800 x 480', 'panel.needsSignal' => 'yes', 'body.cavity' => '120 x 70 x 12 mm', 'body.material' => 'plastic',
    'storage.capacityGb' => '64', 'charger' => 'charges 1 LiPo cell at 1 A, input 5 V USB-C', 'brick charger' => '5 V 3 A USB-C wall supply',
    'socket.sense@usb-c power' => 'yes', 'switch' => 'slide switch, 3 A', 'price' => '10',
];

it('asks no question that another order would spare', function (int $expected, string ...$names): void {
    $interview = new Interview($names, KNOWS);
    expect($interview->asked())->toHaveCount($expected)
        ->and($interview->fewest())->toBe($expected);
})->with([
    'a panel' => [4, 'panel' => 'display'],
    'a cell' => [5, 'cell' => 'cells'],
    'a board and a cell' => [10, 'board' => 'board', 'cell' => 'cells'],
    'a boost board and a cell' => [7, 'boost' => 'regulator', 'cell' => 'cells'],
    'a charger and a cell' => [10, 'charger' => 'charger', 'cell' => 'cells'],
    'a board and a brick' => [6, 'board' => 'board', 'brick' => 'charger'],
    'a board and a tin' => [6, 'board' => 'board', 'tin' => 'case'],
    'a board, a card and an amplifier' => [6, 'board' => 'board', 'card' => 'storage', 'amp' => 'sound'],
    'a board, a pad and a card' => [7, 'board' => 'board', 'pad' => 'controls', 'card' => 'storage'],
]);

it('asks in place for whatever a part that is known by its name has to have', function (string $role): void {
    $open = Make::appraise(Make::build(['part' => ['role' => $role]]))->open;
    foreach ($open as $one) {
        expect($one->figure->is('price') || FigurePlace::of($one->figure) !== null || SpokenPlace::of($one->figure) !== null)->toBeTrue((string) $one->figure);
    }
    $isOfTheBench = in_array($role, ['fastener', 'material', 'tool'], true);
    expect(count($open))->toBeGreaterThanOrEqual($isOfTheBench ? 1 : 2);
})->with(array_map(static fn (Role $role): string => $role->value, Role::cases()));

it('says where a figure stands only of figures that there are, and of most that a name leaves open', function (): void {
    expect(array_diff(WhereItStands::keys(), Measuring::keys()))->toBe([]);
    foreach (WhereItStands::keys() as $key) {
        expect(WhereItStands::of(FigureRef::parse($key)))->toEndWith('.')->not->toBe(Measuring::how(FigureRef::parse($key)));
    }
    expect(WhereItStands::of(FigureRef::parse('output.volts@5 V')))->toStartWith('On the label')
        ->and(WhereItStands::of(FigureRef::parse('heat.riseKPerW')))->toBe('');
});
