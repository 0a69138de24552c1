<?php

declare(strict_types=1);

namespace PocketPlot\Build;

/** How far the sourcing of a line has come. */
enum SupplyState: string
{
    case ToFind = 'to-find';
    case Chosen = 'chosen';
    case Ordered = 'ordered';
    case Arrived = 'arrived';
    case Tested = 'tested';
    case Faulty = 'faulty';

    public function isAtHand(): bool
    {
        return $this === self::Arrived || $this === self::Tested;
    }

    /** Money is promised: the order is out, or the thing is here. */
    public function isCommitted(): bool
    {
        return $this === self::Ordered || $this->isSpent();
    }

    /** The thing came, good or bad, and was paid for. */
    public function isSpent(): bool
    {
        return $this->isAtHand() || $this === self::Faulty;
    }
}
