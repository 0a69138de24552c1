<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Line;
use PocketPlot\Part\FigureRef;

/** Collects what nobody knows: figures without which nothing can be reckoned, and those for which something else stood in. */
final class Gaps
{
    /** @var array<string, Missing> */
    private array $missing = [];

    /** @var array<string, Missing> */
    private array $assumed = [];

    public function missing(Line $line, string|FigureRef $figure): void
    {
        $this->missing["{$line->id} {$figure}"] = new Missing($line, $figure instanceof FigureRef ? $figure : FigureRef::parse($figure));
    }

    public function assumed(Line $line, string|FigureRef $figure): void
    {
        $this->assumed["{$line->id} {$figure}"] = new Missing($line, $figure instanceof FigureRef ? $figure : FigureRef::parse($figure));
    }

    /** @return list<Missing> */
    public function allMissing(): array
    {
        return array_values($this->missing);
    }

    /** @return list<Missing> */
    public function allAssumed(): array
    {
        return array_values($this->assumed);
    }
}
