<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** The named place a part takes, and where else it could go. */
final readonly class Spots
{
    /** @param  list<string>  $orElse */
    public function __construct(public string $takes, public array $orElse) {}
}
