<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class SuppliesFacet extends Facet
{
    public function label(): string
    {
        return 'Further supply inputs';
    }

    public function fields(): array
    {
        return (new SupplyFacet)->fields();
    }

    public function isMany(): bool
    {
        return true;
    }

    public function required(): array
    {
        return ['name'];
    }
}
