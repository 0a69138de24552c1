<?php

declare(strict_types=1);

namespace PocketPlot\Build;

/** A connection the builder has settled: line `from` feeds line `to`, by the output of this name. */
final readonly class Join
{
    /** @param  array<string, mixed>  $extra keys of the file that this version does not know */
    public function __construct(public string $kind, public string $from, public string $to, public string $output = '', public array $extra = []) {}
}
