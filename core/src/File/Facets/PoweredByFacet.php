<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class PoweredByFacet extends Facet
{
    public function label(): string
    {
        return 'Powered by';
    }

    public function fields(): array
    {
        return [
            '' => ['choice', 'powered by', ['', 'mains', 'sun']],
        ];
    }
}
