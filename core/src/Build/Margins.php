<?php

declare(strict_types=1);

namespace PocketPlot\Build;

/**
 * How much a careful builder wants to spare before a thing counts as clear. House margins are our
 * choice, not laws of nature; a build may set its own.
 */
final class Margins
{
    /** @var array<string, array{float, string, string}> key => house value, unit, what it is and why this much */
    public const DEFAULTS = [
        'supply-volts' => [0.1, 'V', 'To spare at each end of a supply window: the ±2 % of a common regulator at 5 V.'],
        'runtime-share' => [0.97, 'share', 'Share of the wanted hours that still counts as reached, tightly: cells of one kind differ by about 3 %.'],
        'rail-share' => [
            0.93,
            'share',
            'Share of a current rating above which all peaks at once are tight: they hardly ever come together, and ratings differ by a few hundredths.',
        ],
        'usual-share' => [0.8, 'share', 'Share of a lasting rating above which ordinary play is tight: the usual four-fifths derating of power parts.'],
        'headroom-volts' => [0.1, 'V', 'To spare above a converter\'s dropout.'],
        'charge-hours' => [12.0, 'h', 'A charge that takes longer than a night is tight.'],
        'parallel-volts' => [0.05, 'V', 'Cells in parallel are levelled this closely before they are joined; makers\' sheets name 0.05 V and less.'],
        'heat-kelvin' => [10.0, 'K', 'To spare below a part\'s limit: rooms get warmer than planned.'],
        'cavity-mm' => [1.0, 'mm', 'To spare on a side of the room inside: a printed wall\'s tolerance on both sides.'],
        'zone-mm' => [0.3, 'mm', 'To spare on a side of a bay or pocket that was made for such a part.'],
        'opening-mm' => [0.4, 'mm', 'An opening is larger than the plug\'s shell by this, all told: twice a printer\'s usual 0.2 mm.'],
        'offset-mm' => [1.0, 'mm', 'A socket may stand this far from the middle of its opening.'],
        'layer-mm' => [1.0, 'mm', 'Air, tape or foam between two layers of a column.'],
        'beside-mm' => [0.5, 'mm', 'Air between two parts side by side: half a millimetre lets a hand put them in.'],
        'heat-gap-mm' => [5.0, 'mm', 'Air between a cell and a part that gets hot: makers of boards leave this much around a bare heatsink.'],
        'socket-mm' => [1.5, 'mm', 'A socket may stand this far behind the inside of the wall: a USB plug reaches 6.6 mm past its overmould.'],
        'travel-mm' => [0.3, 'mm', 'A cap moves this much farther than the switch beneath it needs.'],
        'packing-easy' => [0.45, 'share', 'Share of the room that blocks may fill before wires and screws get tight.'],
        'packing-most' => [0.65, 'share', 'Share of the room beyond which wires, switches and screws find no place.'],
        'budget-share' => [0.97, 'share', 'Share of the budget above which it is tight: the sum is known, only post and small things come on top.'],
        'target-share' => [0.9, 'share', 'Share of the wanted weight above which it is tight.'],
        'storage-share' => [0.85, 'share', 'Share of a card that may be filled: room for saved games and updates.'],
        'usb-spare' => [1.0, '', 'Free USB sockets wanted at first start: a keyboard is needed to set most boards up.'],
        'border-share' => [0.45, 'share', 'Share of the panel that may stay black around a whole-number picture.'],
        'packet-share' => [0.9, 'share', 'Share of the packets bought that may be left over.'],
    ];

    /** @param  array<string, float>  $own */
    public static function of(string $key, array $own): float
    {
        return $own[$key] ?? self::DEFAULTS[$key][0];
    }
}
