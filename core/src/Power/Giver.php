<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Line;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Output;
use PocketPlot\Quantity\Figure;

/** What gives one voltage, a pack's raw volts or an output, whatever hangs on it: most checks of a fed part need no more. */
readonly class Giver
{
    public function __construct(public string $id, public Line $line, public string $name, public bool $isRawPack, public Figure $volts) {}

    /** The output that gives it; null for a pack's raw volts. */
    public function output(): ?Output
    {
        foreach ($this->isRawPack ? [] : $this->line->part->outputs as $output) {
            if ($output->name === $this->name) {
                return $output;
            }
        }

        return null;
    }

    /** The figure that says its volts: the pack's own, or those of the output. */
    public function voltsRef(): FigureRef
    {
        return $this->isRawPack ? FigureRef::of('pack', 'volts') : FigureRef::of('output', 'volts', $this->name);
    }

    public function says(): string
    {
        return $this->isRawPack ? $this->line->name() : "{$this->line->name()} ({$this->name})";
    }
}
