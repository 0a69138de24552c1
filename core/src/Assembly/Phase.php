<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

enum Phase: string
{
    case Prove = 'prove it on the bench';
    case Slim = 'make it smaller';
    case Body = 'make the body';
    case Wire = 'wire and mount';
    case Close = 'close and try';

    public function rank(): int
    {
        return match ($this) {
            self::Prove => 0, self::Slim => 1, self::Body => 2, self::Wire => 3, self::Close => 4,
        };
    }
}
