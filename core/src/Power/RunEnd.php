<?php

declare(strict_types=1);

namespace PocketPlot\Power;

/** How long a run lasts and who ends it. */
final readonly class RunEnd
{
    /** @param  float  $chargeLeft  share of the charge still inside */
    public function __construct(public float $hours, public ?EndCause $end, public float $chargeLeft) {}
}
