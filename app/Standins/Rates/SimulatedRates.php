<?php

declare(strict_types=1);

namespace App\Standins\Rates;

use PocketPlot\Quantity\Day;
use PocketPlot\Quantity\Rates;

/** A stand-in for an exchange rate service: made-up rates that sway by at most 2 %, the same for the same day. */
final class SimulatedRates implements RateService
{
    /** Hundredths of a hundredth of a euro for one of each. */
    private const AROUND = ['CHF' => 10500, 'GBP' => 11700, 'SEK' => 880, 'USD' => 9200];

    public function today(Day $today): Rates
    {
        $worth = [];
        foreach (self::AROUND as $currency => $rate) {
            $sway = crc32("{$currency} {$today}") % 401 - 200;
            $worth[$currency] = sprintf('%.4f', $rate * (10000 + $sway) / 1e8);
        }

        return new Rates('EUR', $worth, (string) $today, 'stand-in for a rate service');
    }
}
