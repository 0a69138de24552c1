<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Quantity\Day;

/** Under which conditions a basket is to be the cheapest. */
final readonly class Wishes
{
    /**
     * @param  list<string>  $avoid  vendors that are not asked
     * @param  list<string>  $prefer  vendors that are liked best
     * @param  int  $preferCents  by how much, in hundredths at home, an order at anybody else may be cheaper and is not taken
     */
    public function __construct(
        public ?Day $needBy = null,
        public array $avoid = [],
        public bool $usedAllowed = true,
        public ?int $mostParcels = null,
        public array $prefer = [],
        public int $preferCents = 0,
    ) {}

    public function by(?Day $needBy): self
    {
        return new self($needBy, $this->avoid, $this->usedAllowed, $this->mostParcels, $this->prefer, $this->preferCents);
    }

    public function inParcels(?int $mostParcels): self
    {
        return new self($this->needBy, $this->avoid, $this->usedAllowed, $mostParcels, $this->prefer, $this->preferCents);
    }

    /** @return array<string, self> by condition that is made: the same wishes without it */
    public function without(): array
    {
        return array_filter([
            'needBy' => $this->needBy === null ? null : $this->by(null),
            'avoid' => $this->avoid === [] ? null : new self($this->needBy, [], $this->usedAllowed, $this->mostParcels, $this->prefer, $this->preferCents),
            'usedAllowed' => $this->usedAllowed ? null : new self($this->needBy, $this->avoid, true, $this->mostParcels, $this->prefer, $this->preferCents),
            'mostParcels' => $this->mostParcels === null ? null : $this->inParcels(null),
            'prefer' => $this->prefers() ? new self($this->needBy, $this->avoid, $this->usedAllowed, $this->mostParcels) : null,
        ]);
    }

    /** What an order at this vendor counts as dearer than it is. */
    public function handicapOf(string $vendor): int
    {
        return $this->prefers() && ! in_array($vendor, $this->prefer, true) ? $this->preferCents : 0;
    }

    private function prefers(): bool
    {
        return $this->prefer !== [] && $this->preferCents > 0;
    }
}
