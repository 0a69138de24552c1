<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class PinNeedsFacet extends Facet
{
    public function label(): string
    {
        return 'Pins it takes';
    }

    public function fields(): array
    {
        return [
            'logicV' => ['V', 'logic level'],
            'wants' => ['counts', 'function and how many'],
            'takes' => ['words', 'these pins and no others', []],
            'shares' => ['words', 'of these, pins of a bus that others may share', []],
            'highShare' => ['share', 'takes for high from this share of its supply'],
            'followsSupply' => ['yes-no', 'its outputs swing to its own supply'],
        ];
    }
}
