<?php

declare(strict_types=1);

namespace PocketPlot\Facts;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Build\Margins;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Power\CableDrop;
use PocketPlot\Fit\BodySize;
use PocketPlot\Heat\Warmth;
use PocketPlot\Part\Role;
use PocketPlot\Power\RunTime;
use PocketPlot\Power\SupplyTree;
use PocketPlot\Sourcing\Costs;

/** A build with what the rooms worked out about it, each worked out once and only when asked. */
final class Facts
{
    /** Facets from which the supply tree is made. */
    private const ELECTRIC = ['supply' => true, 'supplies' => true, 'outputs' => true, 'pack' => true, 'sockets' => true, 'livesOn' => true];

    /** Facets that change the run without changing who feeds whom. */
    private const ON_THE_WAY = ['protector' => true, 'cable' => true, 'panel' => true, 'amp' => true, 'cooling' => true, 'radio' => true];

    private ?SupplyTree $supplyTree = null;

    private ?RunTime $runTime = null;

    /** @var array<string, float>|null */
    private ?array $leadOhms = null;

    private ?Costs $costs = null;

    private ?BodySize $bodySize = null;

    private ?Warmth $warmth = null;

    private bool $warmthKnown = false;

    /** @var list<Line>|null */
    private ?array $inBody = null;

    /** @var list<Finding> what the rules have found so far, for those that speak last */
    private array $findings = [];

    /** @var list<Line> */
    private readonly array $lines;

    /** @var array<string, list<Line>> lines by what they touch: facets and roles */
    private array $index = [];

    public function __construct(public readonly Build $build)
    {
        $this->lines = $build->chosen();
        foreach ($this->lines as $line) {
            foreach ($line->part->touches as $what) {
                $this->index[$what][] = $line;
            }
        }
    }

    /**
     * Of a build in which one part was swapped or added: what the swap cannot touch is taken over.
     *
     * @param  array<string, true>  $touches  facets and roles of the parts that went and came
     */
    public static function after(self $before, Build $build, array $touches): self
    {
        $facts = new self($build);
        $facts->costs = Costs::of($build, $before->costs());
        if (array_intersect_key($touches, self::ELECTRIC) === []) {
            $facts->supplyTree = $before->supplyTree();
            if (array_intersect_key($touches, self::ON_THE_WAY) === []) {
                $facts->leadOhms = $before->leadOhms();
                $facts->runTime = $before->runTime();
            }
        }

        return $facts;
    }

    /** @return list<Line> the chosen lines */
    public function lines(): array
    {
        return $this->lines;
    }

    /** @return list<Line> chosen lines whose part has this facet */
    public function with(string $facet): array
    {
        return $this->index[$facet] ?? [];
    }

    /** @return list<Line> */
    public function filling(Role $role): array
    {
        return $this->index["role:{$role->value}"] ?? [];
    }

    /** The first board: the one that computes. */
    public function board(): ?Line
    {
        foreach ($this->filling(Role::Board) as $line) {
            if ($line->part->software !== null) {
                return $line;
            }
        }

        return $this->filling(Role::Board)[0] ?? null;
    }

    /** @return list<Line> lines whose part has to find room in the body */
    public function inBody(): array
    {
        return $this->inBody ??= array_values(array_filter($this->lines, static fn (Line $line): bool => $line->part->sits->takesRoom()
            && $line->role !== Role::Case_ && $line->part->body === null
            // Screws and the like go where nothing else goes; those with a size of their own are counted.
            && ! ($line->role === Role::Fastener && ! $line->part->size->hasAllSides())));
    }

    public function bodyLine(): ?Line
    {
        return $this->with('body')[0] ?? null;
    }

    public function margin(string $key): float
    {
        return Margins::of($key, $this->build->brief->margins);
    }

    public function bodySize(): BodySize
    {
        return $this->bodySize ??= BodySize::of($this->bodyLine(), $this->inBody(), $this->margin('packing-easy'), $this->build->brief->largestMm);
    }

    public function supplyTree(): SupplyTree
    {
        return $this->supplyTree ??= new SupplyTree($this->build);
    }

    /** @return array<string, float> ohm of the lead or wires before each input, by Feed::key(); those that nobody knows are left out */
    public function leadOhms(): array
    {
        return $this->leadOhms ??= CableDrop::leadOhms($this);
    }

    public function runTime(): RunTime
    {
        return $this->runTime ??= RunTime::of($this->build, $this->supplyTree(), $this->leadOhms());
    }

    /** The air inside at the heaviest; null without a body or without anything that draws power. */
    public function warmth(): ?Warmth
    {
        if (! $this->warmthKnown) {
            $this->warmth = Warmth::of($this);
            $this->warmthKnown = true;
        }

        return $this->warmth;
    }

    public function costs(): Costs
    {
        return $this->costs ??= Costs::of($this->build);
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return $this->findings;
    }

    /** @param  list<Finding>  $findings */
    public function keep(array $findings): void
    {
        $this->findings = $findings;
    }
}
