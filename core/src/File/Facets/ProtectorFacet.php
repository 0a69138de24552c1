<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\Build\Vocabulary;
use PocketPlot\File\Facet;

final class ProtectorFacet extends Facet
{
    public function label(): string
    {
        return 'Protection board';
    }

    public function fields(): array
    {
        return [
            'chemistries' => ['words', 'chemistries', Vocabulary::CHEMISTRIES],
            'series' => ['int', 'cells in series'],
            'cutOffV' => ['V', 'cuts off at'],
            'mostMa' => ['mA', 'carries at most'],
            'recoveryV' => ['V', 'recovery voltage'],
            'latches' => ['yes-no', 'stays off once tripped'],
        ];
    }

    public function required(): array
    {
        return ['chemistries', 'series'];
    }
}
