<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Fit\BodySize;
use PocketPlot\Part\Role;
use PocketPlot\Power\RunTime;
use PocketPlot\Power\SupplyTree;
use PocketPlot\Sourcing\Costs;

/** A build with what the rooms worked out about it, each worked out once and only when asked. */
final class Facts
{
    private ?SupplyTree $supplyTree = null;

    private ?RunTime $runTime = null;

    private ?Costs $costs = null;

    private ?BodySize $bodySize = null;

    /** @var list<Line> */
    private readonly array $lines;

    public function __construct(public readonly Build $build)
    {
        $this->lines = $build->chosen();
    }

    /** @return list<Line> the chosen lines */
    public function lines(): array
    {
        return $this->lines;
    }

    /** @return list<Line> */
    public function filling(Role $role): array
    {
        return array_values(array_filter($this->lines, static fn (Line $line): bool => $line->part->fills($role)));
    }

    /** @return list<Line> lines whose part has to find room in the body */
    public function inBody(): array
    {
        return array_values(array_filter($this->lines, static fn (Line $line): bool => $line->part->sits->takesRoom()
            && $line->role !== Role::Case_ && $line->part->body === null));
    }

    public function bodyLine(): ?Line
    {
        foreach ($this->lines as $line) {
            if ($line->part->body !== null) {
                return $line;
            }
        }

        return null;
    }

    public function bodySize(): BodySize
    {
        return $this->bodySize ??= BodySize::of($this->bodyLine(), $this->inBody());
    }

    public function supplyTree(): SupplyTree
    {
        return $this->supplyTree ??= new SupplyTree($this->build);
    }

    public function runTime(): RunTime
    {
        return $this->runTime ??= RunTime::of($this->build, $this->supplyTree());
    }

    public function costs(): Costs
    {
        return $this->costs ??= Costs::of($this->build);
    }
}
