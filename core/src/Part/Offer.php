<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Money;

/** Where a part can be had, for how much, and in how many days it is there. */
final readonly class Offer
{
    public function __construct(public string $vendor, public Money $price, public int $leadDays) {}
}
