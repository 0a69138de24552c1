<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/** An open step as the order is sought: numbers only. */
final readonly class Job
{
    /**
     * @param  ?int  $earliest  days from today until all its parts are there; null when nobody knows
     * @param  list<int>  $before  places of the open steps that have to be done before it
     */
    public function __construct(
        public string $id,
        public int $minutes,
        public Setup $setup,
        public ?int $earliest,
        public array $before,
        public ?Alone $alone = null,
    ) {}
}
