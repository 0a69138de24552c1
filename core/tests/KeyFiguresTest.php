<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\File\PartReader;
use PocketPlot\Part\KeyFigures;

it('says in one line what tells parts of a role apart', function (string $role, array $facets, string $says): void {
    expect(KeyFigures::of(PartReader::read(['id' => 'a', 'name' => 'A', 'role' => $role, 'facets' => $facets])))->toBe($says);
})->with([
    'a board' => ['board', [
        'supply' => ['volts' => 5, 'drawMa' => Make::band(600, 1300)], 'size' => ['lengthMm' => 85, 'widthMm' => 56, 'heightMm' => 17, 'massG' => 46],
    ], '5 V · 0.6 to 1.3 A · 85 × 56 × 17 mm · 46 g'],
    'a display' => ['display', ['panel' => ['widthPx' => 800, 'heightPx' => 480], 'supply' => ['volts' => Make::band(4.5, 5.5), 'drawMa' => 420]], '800 × 480 · 4.5 to 5.5 V · 420 mA'],
    'a pack without its row' => ['cells', ['pack' => ['chemistry' => 'LiPo', 'capacityMah' => ['value' => 5000, 'source' => 'listing']]], 'LiPo · 5000 mAh'],
    'a pack of which the capacity is known' => ['cells', ['pack' => ['capacityMah' => 5000]], '5000 mAh'],
    'a pack' => ['cells', ['pack' => ['chemistry' => 'LiFePO4', 'series' => 4, 'parallel' => 2, 'capacityMah' => 6000]], 'LiFePO4 4S2P · 10 to 14.6 V · 6000 mAh'],
    'a converter' => ['regulator', ['supply' => ['volts' => Make::band(6, 24)], 'outputs' => [['name' => 'out', 'volts' => 5, 'continuousMa' => 3000]]], '6 to 24 V · gives 5 V, 3 A'],
    'controls' => ['controls', ['controls' => ['dPads' => 1, 'buttons' => 8, 'sticks' => 2]], '1 d-pad, 8 buttons, 2 sticks'],
    'an amplifier' => ['sound', ['amp' => ['channels' => 2, 'watts' => 3, 'atOhm' => 4]], '2 × 3 W'],
    'a loudspeaker' => ['sound', ['speaker' => ['ohm' => 8, 'watts' => 1]], '8 Ω · 1 W'],
    'a card' => ['storage', ['storage' => ['capacityGb' => 64]], '64 GB'],
    'a lead' => ['cable', ['cable' => ['oneEnd' => 'usb-a', 'otherEnd' => 'usb-c', 'carries' => ['power'], 'lengthMm' => 300, 'gaugeAwg' => 24]], 'usb-a to usb-c · 300 mm · 24 AWG'],
    'a part by name' => ['board', [], ''],
]);
