<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class StorageFacet extends Facet
{
    public function label(): string
    {
        return 'Storage';
    }

    public function fields(): array
    {
        return [
            'capacityGb' => ['GB', 'capacity'],
            'card' => ['text', 'kind of card'],
            'soldWithGames' => ['yes-no', 'sold with games on it'],
        ];
    }
}
