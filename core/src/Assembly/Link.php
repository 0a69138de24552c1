<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/** One step comes before another. */
final readonly class Link
{
    /** @param  string  $why  "charged", "gets at Panel", "as you want it" */
    public function __construct(public string $from, public string $to, public LinkKind $kind, public string $why) {}
}
