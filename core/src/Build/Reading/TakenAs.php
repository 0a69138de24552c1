<?php

declare(strict_types=1);

namespace PocketPlot\Build\Reading;

use PocketPlot\Quantity\Day;

/** What every reading has: when it was taken, of what, by what and in which conditions. */
final readonly class TakenAs
{
    /** @param  array<string, mixed>  $extra  keys of the file that do not belong to its kind, or that this version does not know */
    public function __construct(
        public string $id,
        public string $line,
        public Day $takenOn,
        public string $instrument = '',
        public string $conditions = '',
        public string $note = '',
        /** Made by the stand-in, not by a real instrument. */
        public bool $simulated = false,
        public string $photo = '',
        public string $part = '',
        public array $extra = [],
    ) {}
}
