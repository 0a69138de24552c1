<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class SoftwareFacet extends Facet
{
    public function label(): string
    {
        return 'Software';
    }

    public function fields(): array
    {
        return [
            'imageGb' => ['GB', 'size of the image'],
            'card' => ['text', 'starts from'],
            'programmedBy' => ['connector', 'programmed over'],
            'generation' => ['text', 'generation of the board'],
            'family' => ['text', 'family of boards'],
            'image' => ['yes-no', 'ready image exists'],
            'needsShutdown' => ['yes-no', 'has to be shut down'],
            'shutdownSeconds' => ['s', 'a shutdown takes'],
        ];
    }
}
