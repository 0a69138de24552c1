<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Sourcing\Demand;
use PocketPlot\Sourcing\Market;
use PocketPlot\Sourcing\Wishes;

/** What a file of a market holds: what is to be bought, who sells it, and under which conditions. */
final readonly class MarketFile
{
    /** @param  list<Demand>  $demands */
    public function __construct(public string $name, public array $demands, public Market $market, public Wishes $wishes) {}
}
