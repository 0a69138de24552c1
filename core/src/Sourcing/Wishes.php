<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Quantity\Day;

/** Under which conditions a basket is to be the cheapest. */
final readonly class Wishes
{
    /** @param  list<string>  $avoid  vendors that are not asked */
    public function __construct(public ?Day $needBy = null, public array $avoid = [], public bool $usedAllowed = true, public ?int $mostParcels = null) {}
}
