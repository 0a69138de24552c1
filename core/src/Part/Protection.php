<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** Whether a pack cuts itself off before it is emptied too far or shorted. */
enum Protection: string
{
    case BuiltIn = 'built-in';
    case None = 'none';
    case Unknown = 'unknown';
}
