<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class AmpFacet extends Facet
{
    public function label(): string
    {
        return 'Amplifier';
    }

    public function fields(): array
    {
        return [
            'channels' => ['int', 'channels'],
            'watts' => ['W', 'watts a channel'],
            'atOhm' => ['Ω', 'into'],
            'leastOhm' => ['Ω', 'least load'],
        ];
    }

    public function required(): array
    {
        return ['channels'];
    }
}
