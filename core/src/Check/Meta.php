<?php

declare(strict_types=1);

namespace PocketPlot\Check;

/** What a rule says of itself. */
final readonly class Meta
{
    /**
     * @param  string  $id  `family.name`; never changes
     * @param  string  $sentence  what it checks
     * @param  list<string>  $figures  keys of Measuring that it compares
     */
    public function __construct(public string $id, public string $sentence, public array $figures = []) {}

    public function family(): string
    {
        return explode('.', $this->id)[0];
    }
}
