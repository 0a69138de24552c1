<?php

declare(strict_types=1);

namespace App\Standins\Prices;

use App\Models\OfferRecord;

/** A vendor's own word on an offer. */
interface PriceFeed
{
    public function name(): string;

    /** @return array{price: string, stock: ?int} of one packet, in the vendor's currency */
    public function look(OfferRecord $offer): array;
}
