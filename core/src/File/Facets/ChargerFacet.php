<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\Build\Vocabulary;
use PocketPlot\File\Facet;

final class ChargerFacet extends Facet
{
    public function label(): string
    {
        return 'Charger';
    }

    public function fields(): array
    {
        return [
            'chemistries' => ['words', 'chemistries', Vocabulary::CHEMISTRIES],
            'seriesLeast' => ['int', 'cells in series, least'],
            'seriesMost' => ['int', 'cells in series, most'],
            'inputVolts' => ['V', 'input window'],
            'inputMa' => ['mA', 'takes at its input at most'],
            'chargeMa' => ['mA', 'charge current'],
            'powerPath' => ['yes-no', 'feeds the loads past the pack'],
            'wireless' => ['flag', 'through a coil'],
            'topology' => ['choice', 'topology', ['', 'linear', 'switching']],
            'efficiency' => ['share', 'efficiency, when switching'],
        ];
    }

    public function required(): array
    {
        return ['chemistries', 'seriesLeast', 'seriesMost'];
    }

    public function mayWait(): bool
    {
        return true;
    }
}
