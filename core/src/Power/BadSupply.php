<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Line;
use PocketPlot\Part\FigureRef;

/** A figure of the supply that cannot be: it names the part, the figure and the fix. */
final class BadSupply extends \DomainException
{
    private function __construct(public readonly Line $where, public readonly FigureRef $figure, public readonly string $why)
    {
        parent::__construct("{$where->name()}: {$figure} {$why}");
    }

    public static function at(Line $line, FigureRef $figure, string $why): self
    {
        return new self($line, $figure, $why);
    }
}
