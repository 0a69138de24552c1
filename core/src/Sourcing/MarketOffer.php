<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Quantity\Day;

/** A part at a vendor: in which packets, for how much, and how many there are. */
final readonly class MarketOffer
{
    /**
     * @param  string  $part  the part's id
     * @param  int  $pieces  in a packet
     * @param  non-empty-array<int, int>  $prices  from so many packets on => price of one packet in hundredths of the vendor's currency; 1 is always there
     * @param  ?int  $stock  packets that there are; null when nobody knows
     */
    public function __construct(
        public string $id,
        public string $vendor,
        public string $part,
        public int $pieces,
        public array $prices,
        public Condition $condition = Condition::New,
        public ?int $stock = null,
        public ?Day $seenOn = null,
        public string $link = '',
    ) {}

    /**
     * The cheapest way to have so many pieces: more packets than needed where a price break makes them cheaper.
     *
     * @return array{int, int}|null packets, and what they cost in hundredths; null when there are too few
     */
    public function cheapest(int $needed): ?array
    {
        $least = intdiv($needed + $this->pieces - 1, $this->pieces);
        $best = null;
        foreach ([$least, ...array_keys($this->prices)] as $packets) {
            if ($packets < $least || ($this->stock !== null && $packets > $this->stock)) {
                continue;
            }
            $cost = $packets * $this->priceOfOne($packets);
            if ($best === null || $cost < $best[1] || ($cost === $best[1] && $packets < $best[0])) {
                $best = [$packets, $cost];
            }
        }

        return $best;
    }

    private function priceOfOne(int $packets): int
    {
        $price = 0;
        $from = 0;
        foreach ($this->prices as $begins => $asked) {
            if ($begins <= $packets && $begins > $from) {
                [$price, $from] = [$asked, $begins];
            }
        }

        return $price;
    }
}
