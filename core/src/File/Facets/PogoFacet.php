<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class PogoFacet extends Facet
{
    public function label(): string
    {
        return 'Spring pins';
    }

    public function fields(): array
    {
        return [
            'freeMm' => ['mm', 'length, not pressed'],
            'pressMm' => ['mm', 'to be pressed by'],
            'spacerMm' => ['mm', 'spacers that come with it'],
        ];
    }
}
