<?php

declare(strict_types=1);

namespace PocketPlot\Build;

use PocketPlot\Quantity\Day;

/** Where parts are bought, and on which terms. Sums are in hundredths of the vendor's own currency, shares in hundredths of a per cent. */
final readonly class Vendor
{
    /**
     * @param  list<array{Day, Day}>  $closures  first and last day on which nothing is sent
     * @param  int  $leastOrder  goods below which nothing is sold; 0 for none
     * @param  int  $tax  on goods, duty and post, what is asked at the border; 2000 is 20 %
     * @param  int  $duty  on goods, once they are more than $dutyFreeUpTo
     * @param  bool  $saysPost  false while nobody knows what post costs; it is counted as nothing then
     */
    public function __construct(
        public string $name,
        public string $currency,
        public PostTariff $post,
        public LeadTime $lead,
        public array $closures = [],
        public int $leastOrder = 0,
        public int $tax = 0,
        public int $duty = 0,
        public int $dutyFreeUpTo = 0,
        public bool $saysPost = true,
        /** @var array<string, mixed> as it was written */
        public array $raw = [],
    ) {}

    /** The day on which an order of today usually is here: what falls into a closure is sent after it. */
    public function arrival(Day $ordered, int $leadDays): Day
    {
        $sent = $ordered;
        do {
            $before = $sent;
            foreach ($this->closures as [$first, $last]) {
                if (! $first->isAfter($sent) && ! $sent->isAfter($last)) {
                    $sent = $last->plusDays(1);
                }
            }
        } while ($sent->isAfter($before));

        return $sent->plusDays($leadDays);
    }
}
