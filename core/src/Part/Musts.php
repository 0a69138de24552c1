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
        'charger' => ['charger'],
        'cable' => ['cable'],
        'switch' => ['switch'],
    ];

    /** @return list<FigureRef> none for roles whose parts have nothing in common */
    public static function of(Role $role): array
    {
        return array_map(FigureRef::parse(...), self::OF[$role->value] ?? []);
    }

    /** @return list<FigureRef> what a part in this role surely has, and nobody wrote down */
    public static function lacking(Part $part, Role $role): array
    {
        if ($part->isBlank()) {
            return self::of($role);
        }
        $isFed = $part->supplies !== [] || $part->poweredBy !== PoweredBy::ItsOwn || $part->pack !== null;
        $known = match ($role) {
            Role::Board => ['supply.volts' => $isFed],
            Role::Display => ['supply.volts' => $isFed, 'panel.pixels' => $part->panel !== null],
            Role::Cells => ['pack.chemistry' => $part->pack !== null],
            Role::Regulator => ['output.volts' => $part->outputs !== [] || $part->protector !== null],
            Role::Storage => ['storage.capacityGb' => $part->storage !== null],
            default => [],
        };
        $waits = array_map(strval(...), $part->waitsFor);
        $begun = array_map(static fn (string $key): string => explode('.', $key)[0], $waits);
        $isOpen = static fn (bool $is, string $key): bool => ! $is && ! in_array(explode('.', $key)[0], $begun, true);
        $absent = array_keys(array_filter($known, $isOpen, ARRAY_FILTER_USE_BOTH));

        return [...array_map(FigureRef::parse(...), $absent), ...$part->waitsFor];
    }
}
