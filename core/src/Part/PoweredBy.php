<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** What a part's outputs draw on when that is neither a pack of its own nor its own input. */
enum PoweredBy: string
{
    case ItsOwn = '';
    case Mains = 'mains';
    case Sun = 'sun';
}
