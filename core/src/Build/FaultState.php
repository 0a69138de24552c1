<?php

declare(strict_types=1);

namespace PocketPlot\Build;

enum FaultState: string
{
    case Open = 'open';
    case Waiting = 'waiting on others';
    case Mended = 'mended';
}
