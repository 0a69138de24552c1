<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\Build\Vocabulary;
use PocketPlot\File\Facet;

final class VideoFacet extends Facet
{
    public function label(): string
    {
        return 'Video out';
    }

    public function fields(): array
    {
        return [
            'modes' => ['modes', 'gives'],
            'firstStart' => [
                'words',
                'shows at first start on',
                Vocabulary::SIGNALS,
            ],
            'ownModes' => ['yes-no', 'takes other formats by a line'],
            'rotates' => ['yes-no', 'can rotate the picture'],
        ];
    }
}
