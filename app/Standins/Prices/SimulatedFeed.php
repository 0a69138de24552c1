<?php

declare(strict_types=1);

namespace App\Standins\Prices;

use App\Models\OfferRecord;
use PocketPlot\Quantity\Cents;
use PocketPlot\Quantity\Money;

/** A stand-in for vendors' price feeds: every third offer has become dearer by a tenth, every seventh is sold out; always the same ones. */
final class SimulatedFeed implements PriceFeed
{
    public function name(): string
    {
        return 'Stand-in for a vendor\'s price feed: made up, the same for the same offer';
    }

    public function look(OfferRecord $offer): array
    {
        $seed = crc32("{$offer->vendor} {$offer->part_key} {$offer->pieces}");
        $cents = Cents::of(Money::of($offer->prices[0]['price'] ?? '0', 'EUR'));

        return [
            'price' => Cents::says($seed % 3 === 0 ? intdiv($cents * 11 + 5, 10) : $cents),
            'stock' => $seed % 7 === 0 ? 0 : $offer->stock,
        ];
    }
}
