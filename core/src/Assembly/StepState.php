<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/** How far a step has come. */
enum StepState: string
{
    case Done = 'done';
    /** It was done with a part that has been replaced since. */
    case Again = 'again';
    case Open = 'open';
    /** Open, and what it waits for is not there, or not done. */
    case Waits = 'waits';
    /** Its gate did not pass, and the fault is not mended. */
    case Failed = 'failed';
}
