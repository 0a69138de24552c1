<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Quantity\Day;

/** What a plan buys at one vendor; sums in hundredths at home. */
final readonly class PlannedOrder
{
    /**
     * @param  non-empty-list<Choice>  $choices
     * @param  Day  $arrives  when it usually is here
     * @param  Day  $latest  when it is here at the latest
     */
    public function __construct(public Vendor $vendor, public Terms $terms, public array $choices, public Day $arrives, public Day $latest) {}

    public function goods(): int
    {
        return array_sum(array_map(static fn (Choice $one): int => $one->atHome, $this->choices));
    }

    public function duty(): int
    {
        return $this->terms->dutiable ? array_sum(array_map(static fn (Choice $one): int => $one->duty, $this->choices)) : 0;
    }

    /** On goods, duty and post. */
    public function tax(): int
    {
        return $this->terms->tax + array_sum(array_map(fn (Choice $one): int => $one->tax[$this->terms->dutiable ? 1 : 0], $this->choices));
    }

    public function total(): int
    {
        return $this->goods() + $this->terms->post + $this->duty() + $this->tax();
    }

    /**
     * What each choice really costs: its goods, duty and tax, and its part of the post by value; the cents that are left over go to the dearest.
     *
     * @return array<string, int> by the demand's id; they sum up to the total
     */
    public function landed(): array
    {
        $landed = [];
        $goods = max(1, $this->goods());
        $left = $this->terms->fixed();
        $dearest = $this->choices[0];
        foreach ($this->choices as $one) {
            $part = intdiv($this->terms->fixed() * $one->atHome, $goods);
            $landed[$one->demand->id] = $one->cost($this->terms->dutiable) + $part;
            $left -= $part;
            $dearest = $one->atHome > $dearest->atHome ? $one : $dearest;
        }
        $landed[$dearest->demand->id] += $left;

        return $landed;
    }
}
