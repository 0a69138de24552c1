<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

/** So many pieces of a part are to be bought; any of several parts may do. */
final readonly class Demand
{
    /**
     * @param  string  $id  of the line, or whatever it is for
     * @param  non-empty-array<string, int>  $grams  weight of one piece, by the id of each part that would do
     */
    public function __construct(public string $id, public string $name, public int $pieces, public array $grams, public bool $mayBeUsed = true) {}
}
