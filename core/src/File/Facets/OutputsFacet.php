<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class OutputsFacet extends Facet
{
    public function label(): string
    {
        return 'Outputs';
    }

    public function fields(): array
    {
        return [
            'name' => ['text', 'name'],
            'volts' => ['V', 'output voltage'],
            'continuousMa' => ['mA', 'continuous current'],
            'peakMa' => ['mA', 'short peak'],
            'efficiency' => ['share', 'efficiency'],
            'efficiencyAt' => [
                'many',
                'efficiency by load',
                ['load' => ['share', 'share of the current'], 'share' => ['share', 'efficiency']],
            ],
            'topology' => ['choice', 'topology', ['boost', 'buck', 'buck-boost', 'linear', 'unknown']],
            'dropoutV' => ['V', 'dropout'],
            'idleMa' => ['mA', 'own idle draw'],
            'switchOffMa' => ['mA', 'switches off below'],
            'wireless' => ['flag', 'through a coil'],
            'enable' => ['yes-no', 'has an enable pin'],
        ];
    }

    public function isMany(): bool
    {
        return true;
    }

    public function required(): array
    {
        return ['name'];
    }
}
