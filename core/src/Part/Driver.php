<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** How well boards of one family ("*" for any) know a part. */
final readonly class Driver
{
    /** @param  list<string>  $lines  to be written into the board's set-up */
    public function __construct(public string $family, public DriverState $state, public array $lines, public ?string $lookAgainOn, public string $note) {}
}
