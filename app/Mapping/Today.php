<?php

declare(strict_types=1);

namespace App\Mapping;

use PocketPlot\Quantity\Day;

/** The core has no clock; the application tells it the day. */
final class Today
{
    public static function day(): Day
    {
        return Day::of(now()->toDateString());
    }
}
