<?php

declare(strict_types=1);

namespace PocketPlot\Build;

/** Days from the order to the parcel. */
final readonly class LeadTime
{
    public function __construct(public int $least, public int $usual, public int $most) {}
}
