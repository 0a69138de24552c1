<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

/** What one line, or one thing ordered, comes to; all in hundredths at home. */
final readonly class LineCost
{
    public function __construct(
        public int $goods,
        public int $post = 0,
        public int $duty = 0,
        public int $tax = 0,
        /** What came back of the money. */
        public int $refund = 0,
        /** Of the whole, what is promised to somebody or paid. */
        public int $committed = 0,
        /** Of that, what is paid for things that came. */
        public int $spent = 0,
    ) {}

    public function whole(): int
    {
        return $this->goods + $this->post + $this->duty + $this->tax - $this->refund;
    }

    public function plus(self $other): self
    {
        return new self(
            $this->goods + $other->goods, $this->post + $other->post, $this->duty + $other->duty, $this->tax + $other->tax,
            $this->refund + $other->refund, $this->committed + $other->committed, $this->spent + $other->spent,
        );
    }
}
