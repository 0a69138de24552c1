<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\Build\Vocabulary;
use PocketPlot\File\Facet;

final class SizeFacet extends Facet
{
    public function label(): string
    {
        return 'Size and weight';
    }

    public function fields(): array
    {
        return [
            'lengthMm' => ['mm', 'length'],
            'widthMm' => ['mm', 'width'],
            'heightMm' => ['mm', 'height, tallest spot'],
            'massG' => ['g', 'weight'],
            'material' => ['choice', 'mostly made of', Vocabulary::MATERIALS],
        ];
    }
}
