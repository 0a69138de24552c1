<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class StandFacet extends Facet
{
    public function label(): string
    {
        return 'Lid and base';
    }

    public function fields(): array
    {
        return [
            'lidMassG' => ['g', 'lid with all that is in it'],
            'lidCentreMm' => ['mm', 'weight centre of the lid from the hinge'],
            'stopsDeg' => ['°', 'lid stops behind upright at'],
            'baseMassG' => ['g', 'base with all that is in it'],
            'baseCentreMm' => ['mm', 'weight centre of the base in front of the hinge'],
            'feetMm' => ['mm±', 'rear feet in front of the hinge'],
            'torqueNm' => ['N·m', 'all hinges together'],
        ];
    }
}
