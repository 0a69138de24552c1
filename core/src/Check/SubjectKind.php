<?php

declare(strict_types=1);

namespace PocketPlot\Check;

enum SubjectKind: string
{
    case Line = 'line';
    case Feed = 'feed';
    case Rail = 'rail';
    case Pair = 'pair';
    case Whole = 'whole';
}
