<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Build\Vendor;
use PocketPlot\Quantity\Rates;

/**
 * One way in which a vendor's order can be: free of post above a sum, or by a step of its weight; free of duty below a sum, or not.
 * Goods in hundredths of the vendor's currency.
 */
final readonly class Terms
{
    /**
     * @param  int  $post  in hundredths at home
     * @param  int  $tax  on the post, at home
     */
    public function __construct(
        public int $post,
        public int $tax,
        public bool $dutiable,
        public int $goodsLeast,
        public ?int $goodsMost,
        public ?int $gramsMost,
        /** What an order counts as dearer than it is, since its vendor is not one that is liked best. */
        public int $handicap = 0,
    ) {}

    public function fixed(): int
    {
        return $this->post + $this->tax + $this->handicap;
    }

    public function handicapped(int $cents): self
    {
        return new self($this->post, $this->tax, $this->dutiable, $this->goodsLeast, $this->goodsMost, $this->gramsMost, $cents);
    }

    public function allows(int $goods, int $grams): bool
    {
        return $goods >= $this->goodsLeast
            && ($this->goodsMost === null || $goods <= $this->goodsMost)
            && ($this->gramsMost === null || $grams <= $this->gramsMost);
    }

    /**
     * Those that hold for an order as it stands: the cheapest that allow it. One that is too small or too heavy for any is reckoned
     * as the least, or by the heaviest step.
     *
     * @param  list<self>  $all  of a vendor, cheapest first
     */
    public static function holding(array $all, Vendor $vendor, int $goods, int $grams): ?self
    {
        $goods = max($goods, $vendor->leastOrder);
        $heaviest = null;
        foreach ($all as $one) {
            if ($one->allows($goods, $grams)) {
                return $one;
            }
            if ($one->allows($goods, 0) && ($heaviest === null || $one->gramsMost > $heaviest->gramsMost)) {
                $heaviest = $one;
            }
        }

        return $heaviest;
    }

    /**
     * All of a vendor, those that cost least first.
     *
     * @return list<self> none when its currency has no rate
     */
    public static function of(Vendor $vendor, Rates $rates, string $home): array
    {
        $posts = [];
        foreach ($vendor->post->steps as [$grams, $cents]) {
            $atHome = $rates->cents($cents, $vendor->currency, $home);
            if ($atHome === null) {
                return [];
            }
            $posts[] = [$atHome, 0, $grams];
        }
        if ($vendor->post->freeFrom !== null) {
            $posts[] = [0, $vendor->post->freeFrom, $vendor->post->steps[count($vendor->post->steps) - 1][0]];
        }
        $terms = [];
        foreach ($posts as [$post, $least, $grams]) {
            $tax = Share::of($post, $vendor->tax);
            $goodsLeast = max($least, $vendor->leastOrder);
            if ($vendor->duty > 0) {
                $terms[] = new self($post, $tax, true, $goodsLeast, null, $grams);
            }
            if ($vendor->duty === 0 || $vendor->dutyFreeUpTo >= $goodsLeast) {
                $terms[] = new self($post, $tax, false, $goodsLeast, $vendor->duty === 0 ? null : $vendor->dutyFreeUpTo, $grams);
            }
        }
        usort($terms, static fn (self $a, self $b): int => $a->fixed() <=> $b->fixed() ?: $a->dutiable <=> $b->dutiable);

        return $terms;
    }
}
