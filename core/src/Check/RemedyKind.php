<?php

declare(strict_types=1);

namespace PocketPlot\Check;

enum RemedyKind: string
{
    /** Put another part in a line's place. Appliable. */
    case Swap = 'swap';
    /** Add a part of a role. Appliable. */
    case Add = 'add';
    /** Find out a figure. */
    case Measure = 'measure';
    /** Change what the brief asks for. */
    case Brief = 'brief';
    /** Something to do by hand. */
    case ByHand = 'by-hand';
}
