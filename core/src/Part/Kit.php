<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** A box of parts, and what its makers left out of it. */
final readonly class Kit
{
    /**
     * @param  list<string>  $contains
     * @param  list<array{role: Role, what: string}>  $lacks
     */
    public function __construct(public array $contains, public array $lacks) {}
}
