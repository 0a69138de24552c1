<?php

declare(strict_types=1);

namespace PocketPlot\Quantity;

/** Where a figure came from. */
enum Source: string
{
    case Datasheet = 'datasheet';
    case Measured = 'measured';
    case Listing = 'listing';
    case Guess = 'guess';
    /** Usual of its kind; nobody wrote it down for this part. */
    case Typical = 'typical';
    case Unknown = 'unknown';
    /** Worked out from other figures, or set by the brief. */
    case WorkedOut = 'worked out';
    case Brief = 'brief';
}
