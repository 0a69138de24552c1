<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class FastenerFacet extends Facet
{
    public function label(): string
    {
        return 'Fastener';
    }

    public function fields(): array
    {
        return [
            'thread' => ['text', 'thread'],
            'lengthMm' => ['mm', 'length under the head'],
            'headAcrossMm' => ['mm', 'head across'],
            'headHighMm' => ['mm', 'head height'],
            'into' => ['choice', 'goes into', ['post', 'insert', 'nut']],
        ];
    }

    public function required(): array
    {
        return ['thread'];
    }
}
