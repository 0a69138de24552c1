<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** What a controller says it is when it is plugged in. */
enum PadMode: string
{
    case Pad = 'pad';
    case Keyboard = 'keyboard';
    case Contacts = 'contacts';
    case Unknown = 'unknown';
}
