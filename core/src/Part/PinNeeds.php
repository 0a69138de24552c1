<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** The contacts that a part occupies on the computer. */
final readonly class PinNeeds
{
    /** @param  array<string, int>  $wants  function => how many */
    public function __construct(public Figure $logicV, public array $wants) {}
}
