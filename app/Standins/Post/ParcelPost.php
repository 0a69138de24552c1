<?php

declare(strict_types=1);

namespace App\Standins\Post;

use PocketPlot\Build\Order;
use PocketPlot\Quantity\Day;

/** Somebody who can say where a parcel is. */
interface ParcelPost
{
    /** As it stands on the page. */
    public function name(): string;

    /** @return list<array{on: string, says: string}> what happened to the parcel up to today, the latest last */
    public function track(Order $order, Day $today): array;
}
