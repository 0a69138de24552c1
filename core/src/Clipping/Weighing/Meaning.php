<?php

declare(strict_types=1);

namespace PocketPlot\Clipping\Weighing;

/** What a mention is taken for, and how sure that is. */
final readonly class Meaning
{
    public function __construct(
        /** A word of the vocabulary; "" for nothing that is said of the part. */
        public string $what,
        /** least, usual or most; a side of a box; "box" of all its sides; "amount" of a price; "" of nothing. */
        public string $bound,
        /** Between 0 and 1, of all that it could mean. */
        public float $share,
        /** @var array<string, float> of every word that it could be */
        public array $shares,
    ) {}

    /** @param  list<string>  $words */
    public function shareOf(array $words): float
    {
        return array_sum(array_intersect_key($this->shares, array_flip($words)));
    }
}
