<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class PinsFacet extends Facet
{
    public function label(): string
    {
        return 'Pins it has';
    }

    public function fields(): array
    {
        return [
            'logicV' => ['V', 'logic level'],
            'absoluteMaxV' => ['V', 'absolute maximum at a pin'],
            'does' => ['lists', 'pin and what it can do'],
        ];
    }
}
