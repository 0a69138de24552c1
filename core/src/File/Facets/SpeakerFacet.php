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
            'count' => ['int', 'how many in one part'],
            'piezo' => ['flag', 'a piezo disc, driven from pins'],
        ];
    }
}
