<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/**
 * What a part of a role surely has, so that a name is enough to begin: while nothing is written down about a part, these are
 * what nobody knows of it yet, the telling ones first.
 */
final class Musts
{
    private const OF = [
        'board' => ['supply.volts', 'supply.drawMa', 'size'],
        'display' => ['supply.volts', 'panel.pixels', 'supply.drawMa', 'size'],
        'cells' => ['pack.chemistry', 'size'],
        'case' => ['body.cavity'],
        'regulator' => ['output.volts', 'supply.volts'],
        'sound' => ['supply.volts', 'supply.drawMa'],
        'cooling' => ['supply.volts', 'supply.drawMa'],
        'controls' => ['controls.padMode', 'controls'],
        'storage' => ['storage.capacityGb'],
    ];

    /** @return list<FigureRef> none for roles whose parts have nothing in common */
    public static function of(Role $role): array
    {
        return array_map(FigureRef::parse(...), self::OF[$role->value] ?? []);
    }
}
