<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class SpeakerFacet extends Facet
{
    public function label(): string
    {
        return 'Loudspeaker';
    }

    public function fields(): array
    {
        return [
            'ohm' => ['Ω', 'impedance'],
            'watts' => ['W', 'takes'],
        ];
    }
}
