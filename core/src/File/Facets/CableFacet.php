<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\Build\Vocabulary;
use PocketPlot\File\Facet;

final class CableFacet extends Facet
{
    public function label(): string
    {
        return 'Lead';
    }

    public function fields(): array
    {
        return [
            'oneEnd' => ['connector', 'connector'],
            'otherEnd' => ['connector', 'connector'],
            'carries' => ['words', 'carries', Vocabulary::SIGNALS],
            'gaugeAwg' => ['AWG', 'power wires'],
            'lengthMm' => ['mm', 'length'],
            'bendMm' => ['mm', 'room to bend'],
            'contacts' => ['int', 'ribbon contacts'],
            'pitchMm' => ['mm', 'ribbon pitch'],
            'sides' => [
                'choice',
                'contacts of both ends',
                ['', 'same', 'opposite'],
            ],
        ];
    }

    public function required(): array
    {
        return ['oneEnd', 'otherEnd', 'carries'];
    }

    public function mayWait(): bool
    {
        return true;
    }
}
