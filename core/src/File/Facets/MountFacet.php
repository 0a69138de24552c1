<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class MountFacet extends Facet
{
    public function label(): string
    {
        return 'Mounting holes';
    }

    public function fields(): array
    {
        return [
            'pattern' => ['text', 'hole pattern'],
            'thread' => ['text', 'thread'],
            'xMm' => ['mm', 'its middle, from the left'],
            'yMm' => ['mm', 'its middle, from the top'],
        ];
    }

    public function required(): array
    {
        return ['pattern'];
    }
}
