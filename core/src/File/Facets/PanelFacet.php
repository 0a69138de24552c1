<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class PanelFacet extends Facet
{
    public function label(): string
    {
        return 'Panel';
    }

    public function fields(): array
    {
        return [
            'widthPx' => ['int', 'pixels across'],
            'heightPx' => ['int', 'pixels down'],
            'touch' => ['flag', 'touch'],
            'activeWidthMm' => ['mm', 'picture width'],
            'activeHeightMm' => ['mm', 'picture height'],
            'activeXMm' => ['mm', 'picture, from the left'],
            'activeYMm' => ['mm', 'picture, from the top'],
            'modes' => ['modes', 'takes'],
            'lightMa' => ['mA', 'backlight, dim to bright'],
            'dims' => [
                'choice',
                'dimmed by',
                ['', 'software', 'buttons', 'wheel', 'none'],
            ],
            'needsSignal' => ['yes-no', 'dark without a picture signal'],
            'upright' => ['flag', 'scans in portrait'],
        ];
    }

    public function required(): array
    {
        return ['widthPx', 'heightPx'];
    }

    public function mayWait(): bool
    {
        return true;
    }
}
