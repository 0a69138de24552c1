<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\Build\Vocabulary;
use PocketPlot\File\Facet;

final class RadioFacet extends Facet
{
    public function label(): string
    {
        return 'Radio';
    }

    public function fields(): array
    {
        return [
            '' => ['words', 'speaks', Vocabulary::RADIOS],
        ];
    }
}
