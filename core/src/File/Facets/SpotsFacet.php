<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class SpotsFacet extends Facet
{
    public function label(): string
    {
        return 'Place it takes';
    }

    public function fields(): array
    {
        return [
            'takes' => ['text', 'place'],
            'orElse' => ['words', 'or else', []],
        ];
    }

    public function required(): array
    {
        return ['takes'];
    }
}
