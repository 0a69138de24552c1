<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** An answer about a part that may still be open. */
enum YesNo: string
{
    case Yes = 'yes';
    case No = 'no';
    case Unknown = 'unknown';
}
