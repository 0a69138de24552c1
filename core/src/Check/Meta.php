<?php

declare(strict_types=1);

namespace PocketPlot\Check;

/** What a rule says of itself. */
final readonly class Meta
{
    /**
     * @param  string  $id  `family.name`; never changes
     * @param  string  $sentence  what it checks
     * @param  list<string>  $reads  facets and roles ("role:board") by which it judges, "any" for every part: a swap that
     *                               touches none of them leaves its findings as they are
     * @param  list<string>  $figures  keys of Measuring that it compares
     */
    public function __construct(public string $id, public string $sentence, public array $reads, public array $figures = []) {}

    public function family(): string
    {
        return explode('.', $this->id)[0];
    }
}
