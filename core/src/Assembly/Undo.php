<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/** How a step is taken back. */
enum Undo: string
{
    case Freely = 'freely';
    case WithEffort = 'with effort';
    case Never = 'not at all';

    /** Weight on a way back: what costs effort counts as much as three screws. */
    public function effort(): int
    {
        return $this === self::WithEffort ? 3 : 1;
    }
}
