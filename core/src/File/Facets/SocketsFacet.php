<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\Build\Vocabulary;
use PocketPlot\File\Facet;

final class SocketsFacet extends Facet
{
    public function label(): string
    {
        return 'Sockets';
    }

    public function fields(): array
    {
        return [
            'name' => ['text', 'name'],
            'connector' => ['connector', 'connector'],
            'carries' => ['choice', 'carries', Vocabulary::SIGNALS],
            'direction' => ['choice', 'direction', ['in', 'out', 'both']],
            'count' => ['int', 'how many'],
            'outside' => ['flag', 'reached with the body closed'],
            'ownLead' => ['flag', 'brings its own lead'],
            'face' => ['choice', 'edge', Vocabulary::FACES],
            'offsetMm' => ['mm±', 'from the middle of the edge'],
            'depthMm' => ['mm', 'depth with its plug'],
            'ratingMa' => ['mA', 'rating'],
            'sense' => ['yes-no', 'sense resistors or plug switch'],
            'polarity' => ['yes-no', 'polarity checked'],
            'unknownContacts' => ['int', 'contacts nobody knows'],
            'contacts' => ['int', 'ribbon contacts'],
            'pitchMm' => ['mm', 'ribbon pitch'],
            'side' => ['choice', 'contacts on the', ['', 'top', 'bottom']],
        ];
    }

    public function isMany(): bool
    {
        return true;
    }

    public function required(): array
    {
        return ['name', 'connector', 'carries', 'direction'];
    }
}
