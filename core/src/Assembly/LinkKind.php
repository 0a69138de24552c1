<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

enum LinkKind: string
{
    /** The first brings about what the second needs. */
    case Needs = 'needs';
    /** The second covers what the first has to get at. */
    case Reach = 'reach';
    /** The builder wants it so. */
    case Own = 'own';

    /** Whether the builder can let go of it. */
    public function canGiveWay(): bool
    {
        return $this === self::Own;
    }
}
