<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Build\Vendor;
use PocketPlot\Quantity\Day;
use PocketPlot\Quantity\Rates;

/** Who sells what today, and what foreign money is worth at home. */
final readonly class Market
{
    /**
     * @param  array<string, Vendor>  $vendors  by name
     * @param  list<MarketOffer>  $offers
     * @param  string  $home  the currency of every sum that is told
     */
    public function __construct(public array $vendors, public array $offers, public Rates $rates, public string $home, public Day $today) {}

    /** Hundredths of a vendor's currency in hundredths at home, half up; null when no rate is known. */
    public function atHome(int $cents, string $currency): ?int
    {
        return $this->rates->cents($cents, $currency, $this->home);
    }
}
