<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class BlocksFacet extends Facet
{
    /** Where a block lies and how far it goes, of a part or in a body. */
    public const FIELDS = [
        'name' => ['text', 'name'],
        'xMm' => ['mm', 'from the left'],
        'yMm' => ['mm', 'from the top'],
        'zMm' => ['mm', 'from the face'],
        'lengthMm' => ['mm', 'length'],
        'widthMm' => ['mm', 'width'],
        'heightMm' => ['mm', 'height'],
    ];

    public function label(): string
    {
        return 'Blocks it is made of';
    }

    public function fields(): array
    {
        return self::FIELDS;
    }

    public function isMany(): bool
    {
        return true;
    }
}
