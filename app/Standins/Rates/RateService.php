<?php

declare(strict_types=1);

namespace App\Standins\Rates;

use PocketPlot\Quantity\Day;
use PocketPlot\Quantity\Rates;

/** Somebody who can say what foreign money is worth. */
interface RateService
{
    public function today(Day $today): Rates;
}
