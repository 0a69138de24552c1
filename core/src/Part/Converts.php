<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** Which way a converter moves the voltage. */
enum Converts: string
{
    case Up = 'up';
    case Down = 'down';
    case Both = 'up-and-down';
    case Linear = 'linear';
    case Unknown = 'unknown';
}
