<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Build\Vendor;
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
     * What each choice really costs, opened up.
     *
     * @return array<string, LineCost> by the demand's id; their wholes sum up to the total
     */
    public function landed(): array
    {
        $goods = [];
        foreach ($this->choices as $one) {
            $goods[$one->demand->id] = $one->atHome;
        }

        return Landing::of($goods, $this->terms, $this->vendor);
    }
}
