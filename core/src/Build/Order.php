<?php

declare(strict_types=1);

namespace PocketPlot\Build;

use PocketPlot\Quantity\Day;

/** What was ordered at one vendor on one day, and what of it came. */
final readonly class Order
{
    /**
     * @param  string  $currency  of all its sums: home on the day of the order
     * @param  list<OrderItem>  $items
     * @param  string  $why  why it was ordered although a part clashes; "" when none did
     * @param  string  $tracking  the number of the parcel; "" when there is none
     * @param  array<string, mixed>  $extra  keys of the file that this version does not know, and the history
     */
    public function __construct(
        public string $id,
        public string $vendor,
        public OrderState $state,
        public Day $placedOn,
        public ?Day $expectedOn,
        public string $currency,
        public array $items,
        public string $why = '',
        public string $tracking = '',
        public array $extra = [],
    ) {}

    /** It counts: money is promised and pieces come or came. */
    public function holds(): bool
    {
        return $this->state !== OrderState::Cancelled;
    }

    /** Days by which what is awaited is late; 0 while it is not. */
    public function daysLate(Day $today): int
    {
        return $this->state->isOpen() && $this->expectedOn !== null && $today->isAfter($this->expectedOn) ? $this->expectedOn->daysUntil($today) : 0;
    }

    /** What it comes to, less what came back. */
    public function total(): int
    {
        return array_sum(array_map(static fn (OrderItem $one): int => $one->landed() - $one->refund, $this->items));
    }
}
