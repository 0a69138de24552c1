<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Quantity\Day;

/** Which offers to take so that all is bought for least, as far as it is known to be least. Sums in hundredths at home. */
final readonly class Plan
{
    /**
     * @param  list<PlannedOrder>  $orders  by vendor
     * @param  list<Demand>  $unmet  what nobody sells under these conditions; the orders are for the others
     * @param  int  $lowest  no plan costs less, with what orders at vendors that are not preferred count as dearer
     * @param  bool  $isPossible  false when the others cannot be had together under these conditions
     */
    public function __construct(public array $orders, public array $unmet, private int $lowest, public bool $isPossible = true) {}

    public function total(): int
    {
        return array_sum(array_map(static fn (PlannedOrder $one): int => $one->total(), $this->orders));
    }

    /** No plan that is liked as well costs less. */
    public function bound(): int
    {
        return $this->lowest - array_sum(array_map(static fn (PlannedOrder $one): int => $one->terms->handicap, $this->orders));
    }

    /** Whether no other plan is cheaper. */
    public function isExact(): bool
    {
        return $this->isPossible && $this->total() === $this->bound();
    }

    /** The day on which the last parcel usually is here, and whose it is. */
    public function decides(): ?PlannedOrder
    {
        $last = null;
        foreach ($this->orders as $order) {
            $last = $last === null || $order->arrives->isAfter($last->arrives) ? $order : $last;
        }

        return $last;
    }

    public function arrives(): ?Day
    {
        return $this->decides()?->arrives;
    }
}
