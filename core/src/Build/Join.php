<?php

declare(strict_types=1);

namespace PocketPlot\Build;

/**
 * A connection the builder has settled. "power": line `from` feeds line `to`, by the output and into the
 * input of these names, through a lead of the parts list or through wires of this gauge and length.
 * "video": board `from` gives display `to` its picture. "parallel": two packs in parallel.
 */
final readonly class Join
{
    /** @param  array<string, mixed>  $extra keys of the file that this version does not know */
    public function __construct(
        public JoinKind $kind,
        public string $from,
        public string $to,
        public string $output = '',
        public string $input = '',
        public string $through = '',
        public ?float $gaugeAwg = null,
        public ?float $lengthMm = null,
        public array $extra = [],
    ) {}
}
