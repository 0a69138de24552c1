<?php

declare(strict_types=1);

namespace PocketPlot\Build\Reading;

enum Side: string
{
    case Length = 'lengthMm';
    case Width = 'widthMm';
    case Height = 'heightMm';

    public function says(): string
    {
        return match ($this) {
            self::Length => 'length',
            self::Width => 'width',
            self::Height => 'height',
        };
    }
}
