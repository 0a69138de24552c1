<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Join;
use PocketPlot\Build\Line;
use PocketPlot\Part\SupplyInput;

/** One input of a line fed by one rail, and why that rail. `join` is the builder's own word on it. */
final readonly class Feed
{
    private string $key;

    public function __construct(public Line $line, public SupplyInput $input, public string $railId, public ?Join $join, public string $reason)
    {
        $this->key = self::keyOf($line, $input);
    }

    /** The line's id; with the input's name for a further input that is fed apart. */
    public function key(): string
    {
        return $this->key;
    }

    public static function keyOf(Line $line, SupplyInput $input): string
    {
        $main = $line->part->supply;

        return $input === $main || ($input->isAlternative && $main?->isAlternative === true) ? $line->id : "{$line->id}/{$input->name}";
    }
}
