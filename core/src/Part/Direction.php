<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** Of a signal at a socket, seen from the part. */
enum Direction: string
{
    case In = 'in';
    case Out = 'out';
    case Both = 'both';
}
