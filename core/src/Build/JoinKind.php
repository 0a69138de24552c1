<?php

declare(strict_types=1);

namespace PocketPlot\Build;

enum JoinKind: string
{
    /** One line feeds another. */
    case Power = 'power';

    /** A board gives a display its picture. */
    case Video = 'video';

    /** Two packs, plus to plus and minus to minus. */
    case Parallel = 'parallel';
}
