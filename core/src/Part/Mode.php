<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** A picture format: pixels and pictures a second. */
final readonly class Mode
{
    public function __construct(public int $widthPx, public int $heightPx, public int $hz) {}

    public function says(): string
    {
        return "{$this->widthPx} × {$this->heightPx} at {$this->hz} Hz";
    }
}
