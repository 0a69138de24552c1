<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

enum Phase: string
{
    case Prove = 'prove it on the bench';
    case Body = 'make the body';
    case Wire = 'wire and mount';
    case Close = 'close and try';
}
