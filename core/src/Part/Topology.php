<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** What kind of converter it is: how its output can stand to its input. */
enum Topology: string
{
    case Boost = 'boost';
    case Buck = 'buck';
    case BuckBoost = 'buck-boost';
    case Linear = 'linear';
    case Unknown = 'unknown';
}
