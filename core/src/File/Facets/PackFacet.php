<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\Build\Vocabulary;
use PocketPlot\File\Facet;

final class PackFacet extends Facet
{
    public function label(): string
    {
        return 'Pack';
    }

    public function fields(): array
    {
        return [
            'chemistry' => ['choice', 'chemistry', Vocabulary::CHEMISTRIES],
            'series' => ['int', 'cells in series'],
            'parallel' => ['int', 'strings in parallel'],
            'capacityMah' => ['mAh', 'capacity'],
            'cellFullV' => ['V', 'one cell, full'],
            'cellNominalV' => ['V', 'one cell, nominal'],
            'cellEmptyV' => ['V', 'one cell, empty'],
            'usableShare' => ['share', 'usable share'],
            'maxDischargeMa' => ['mA', 'largest discharge'],
            'maxChargeMa' => ['mA', 'largest charge'],
            'internalResistanceMohm' => ['mΩ', 'internal resistance'],
            'protection' => [
                'choice',
                'own protection',
                ['built-in', 'none', 'unknown'],
            ],
            'cutOffV' => ['V', 'cuts off at'],
            'totalW' => ['W', 'all sockets together'],
            'canSplit' => ['yes-no', 'can be split in two'],
            'loose' => ['flag', 'cells are taken out to be charged'],
            'sealed' => ['flag', 'sealed bank'],
            'cycles' => ['', 'full charges so far'],
            'recoveryV' => ['V', 'recovery voltage'],
            'latches' => ['yes-no', 'stays off once tripped'],
            'energyOutWh' => ['Wh', 'energy out at the sockets'],
        ];
    }

    public function required(): array
    {
        return ['chemistry', 'series'];
    }

    public function mayWait(): bool
    {
        return true;
    }
}
