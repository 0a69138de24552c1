<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** The contacts that a part occupies on the computer. */
final readonly class PinNeeds
{
    /**
     * @param  array<string, int>  $wants  function => how many
     * @param  list<string>  $takes  pins by name, where it can use no others
     * @param  list<string>  $shares  those of them that are a bus and may be shared
     */
    public function __construct(
        public Figure $logicV,
        public array $wants,
        public array $takes = [],
        public array $shares = [],
        /** Its outputs swing to whatever feeds it. */
        public YesNo $followsSupply = YesNo::Unknown,
        /** Share of its own supply from which it takes a signal for high. */
        public ?Figure $highShare = null,
    ) {}
}
