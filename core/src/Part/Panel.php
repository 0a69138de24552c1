<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** A picture: its pixels, and whether it feels fingers. */
final readonly class Panel
{
    public function __construct(public int $widthPx, public int $heightPx, public bool $touch) {}
}
