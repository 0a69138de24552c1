<?php

declare(strict_types=1);

namespace PocketPlot\Build\Reading;

/** What the console was doing while its draw was metered. */
enum MeteredState: string
{
    case Off = 'off';
    case Idle = 'idle';
    case Usual = 'usual';
    case Heavy = 'heavy';
    case StartUp = 'start-up';

    /** Whether it is one of the three by which a draw is written. */
    public function isOfPlay(): bool
    {
        return $this === self::Idle || $this === self::Usual || $this === self::Heavy;
    }
}
