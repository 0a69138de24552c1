<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

/** One way to meet a demand: so many packets of one offer, and what they come to. */
final readonly class Choice
{
    /**
     * @param  int  $goods  in hundredths of the vendor's currency
     * @param  int  $atHome  the goods in hundredths at home
     * @param  int  $duty  at home, when the whole order is dutiable
     * @param  array{int, int}  $tax  at home, without duty and with it
     */
    public function __construct(
        public MarketOffer $offer,
        public Demand $demand,
        public int $packets,
        public int $goods,
        public int $grams,
        public int $atHome,
        public int $duty,
        public array $tax,
    ) {}

    /** The cheapest way to meet a demand by an offer, at its vendor's terms; null when there are too few, or no rate. */
    public static function meeting(Demand $demand, MarketOffer $offer, Market $market): ?self
    {
        $vendor = $market->vendors[$offer->vendor] ?? null;
        $bought = $vendor === null ? null : $offer->cheapest($demand->pieces);
        $atHome = $vendor === null || $bought === null ? null : $market->atHome($bought[1], $vendor->currency);
        if ($vendor === null || $bought === null || $atHome === null) {
            return null;
        }
        $duty = Share::of($atHome, $vendor->duty);

        return new self(
            $offer, $demand, $bought[0], $bought[1], $bought[0] * $offer->pieces * $demand->grams[$offer->part], $atHome, $duty,
            [Share::of($atHome, $vendor->tax), Share::of($atHome + $duty, $vendor->tax)],
        );
    }

    /** Goods, duty and tax in hundredths at home. */
    public function cost(bool $dutiable): int
    {
        return $this->atHome + ($dutiable ? $this->duty + $this->tax[1] : $this->tax[0]);
    }
}
