<?php

declare(strict_types=1);

namespace PocketPlot\Power;

/** What the console does at a moment. The peak has no share of the time, but has to be survived. */
enum PlayState: int
{
    case Off = 0;
    case Idle = 1;
    case Usual = 2;
    case Heavy = 3;
    case Peak = 4;

    public function says(): string
    {
        return ['off', 'idle', 'usual', 'heavy', 'peak'][$this->value];
    }
}
