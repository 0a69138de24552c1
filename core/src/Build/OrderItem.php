<?php

declare(strict_types=1);

namespace PocketPlot\Build;

/**
 * What an order holds for one line. Each piece is awaited, or came right, as the wrong variant, broken, or not at all.
 * Sums are in hundredths of the order's currency, as they were worked out on the day of the order.
 */
final readonly class OrderItem
{
    /**
     * @param  string  $line  the line's id
     * @param  string  $part  the id of the part that was ordered: the line may hold another by now
     * @param  string  $name  the part's name on the day of the order
     * @param  int  $refund  what came back of the money
     * @param  int  $tested  how many of the right ones were tried
     * @param  int  $putAway  how many, right or wrong, went into the drawer
     */
    public function __construct(
        public string $line,
        public string $part,
        public string $name,
        public int $packets,
        public int $pieces,
        public int $goods,
        public int $post = 0,
        public int $duty = 0,
        public int $tax = 0,
        public int $right = 0,
        public int $wrong = 0,
        public int $broken = 0,
        public int $missing = 0,
        public int $tested = 0,
        public int $refund = 0,
        public int $putAway = 0,
    ) {}

    public function came(): int
    {
        return $this->right + $this->wrong + $this->broken + $this->missing;
    }

    public function awaited(): int
    {
        return $this->pieces - $this->came();
    }

    /** Right ones that are still with the build: what is put away is taken from the wrong ones first. */
    public function kept(): int
    {
        return $this->right - max(0, $this->putAway - $this->wrong);
    }

    /** What it really costs, before anything came back. */
    public function landed(): int
    {
        return $this->goods + $this->post + $this->duty + $this->tax;
    }

    /** Of what it costs, the part that is paid for pieces that came; all of it once none is awaited. */
    public function spent(): int
    {
        return $this->awaited() === 0 ? $this->landed() : intdiv($this->landed() * $this->came(), $this->pieces);
    }
}
