<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/** What the bench is set up for. Going from one to another takes time; hot work is done together. */
enum Setup: string
{
    case Hands = 'bare hands';
    case Meter = 'multimeter';
    case Computer = 'computer';
    case Iron = 'iron';
    case Cutting = 'saw and drill';
    case Printer = 'printer';
    case Paint = 'brush and paint';
}
