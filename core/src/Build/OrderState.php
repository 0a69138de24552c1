<?php

declare(strict_types=1);

namespace PocketPlot\Build;

/** How far an order has come. */
enum OrderState: string
{
    case Placed = 'placed';
    case Confirmed = 'confirmed';
    case Sent = 'sent';
    case ArrivedInPart = 'arrived-in-part';
    case Arrived = 'arrived';
    case Cancelled = 'cancelled';

    /** Something of it is still on its way. */
    public function isOpen(): bool
    {
        return $this !== self::Arrived && $this !== self::Cancelled;
    }
}
