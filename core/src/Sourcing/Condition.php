<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

/** In which state a thing is sold. */
enum Condition: string
{
    case New = 'new';
    case UsedTested = 'used-tested';
    case UsedUntested = 'used-untested';
}
