<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class DriversFacet extends Facet
{
    public function label(): string
    {
        return 'Drivers';
    }

    public function fields(): array
    {
        return [
            'family' => ['text', 'family of boards'],
            'state' => ['choice', 'state', ['in', 'lines', 'open', 'none', 'unknown']],
            'lines' => ['words', 'lines to set', []],
            'lookAgainOn' => ['text', 'look again on'],
            'note' => ['text', 'note'],
        ];
    }

    public function isMany(): bool
    {
        return true;
    }

    public function required(): array
    {
        return ['family', 'state'];
    }
}
