<?php

declare(strict_types=1);

namespace PocketPlot\Part;

enum DriverState: string
{
    /** Comes with the system. */
    case In = 'in';
    /** Works once some lines are set. */
    case Lines = 'lines';
    /** Somebody is still writing it. */
    case Open = 'open';
    case None = 'none';
    case Unknown = 'unknown';
}
