<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/** What a step brings about and another waits for. */
enum Milestone: string
{
    case Unpacked = 'unpacked';
    case Stripped = 'stripped';
    case Protected_ = 'protected';
    case Charged = 'charged';
    case Metered = 'metered';
    case Fused = 'fused';
    case Levelled = 'levelled';
    case Swept = 'swept';
    case Imaged = 'imaged';
    case Lined = 'told of its parts';
    case Started = 'started';
    case Paired = 'paired';
    case Proven = 'proven';
    case HeapRun = 'run as a heap';
    case Mapped = 'mapped';
    case Slimmed = 'slimmed';
    case Drawn = 'drawn';
    case Sampled = 'sampled';
    case Printed = 'printed';
    case DryFitted = 'fitted dry';
    case Cut = 'cut';
    case Inserted = 'fitted with inserts';
    case Finished = 'finished';
    case Insulated = 'insulated';
    case Wired = 'wired';
    case Cooled = 'given its heatsink';
    case Mounted = 'mounted';
    case Joined = 'plugged together';
    case Rung = 'rung out';
    case Seated = 'seated';
    case Photographed = 'photographed';
    case TestedOpen = 'tested open';
    case ShutDown = 'shut down safely';
    case Closed = 'closed';
    case TestedClosed = 'tested closed';
}
