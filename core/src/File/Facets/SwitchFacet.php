<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class SwitchFacet extends Facet
{
    public function label(): string
    {
        return 'Switch';
    }

    public function fields(): array
    {
        return [
            'kind' => [
                'choice',
                'kind',
                ['slide', 'rocker', 'toggle', 'push', 'soft'],
            ],
            'ratingMa' => ['mA', 'rating'],
            'ratingV' => ['V', 'rated volts'],
            'travelMm' => ['mm', 'travel'],
            'poles' => ['int', 'poles'],
            'carriesPower' => ['flag', 'carries the whole current'],
        ];
    }
}
