<?php

declare(strict_types=1);

namespace PocketPlot\Build;

use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use PocketPlot\Part\YesNo;
use PocketPlot\Quantity\Day;
use PocketPlot\Quantity\Money;

/**
 * One row of the bill of materials. Lines that share a `slot` are candidates for one place;
 * at most one of them is `chosen`, and only chosen lines count.
 */
final readonly class Line
{
    /** @param  array<string, mixed>  $extra keys of the file that this version does not know */
    public function __construct(
        public string $id,
        public Part $part,
        public Role $role,
        public string $slot,
        public bool $chosen = true,
        public int $quantity = 1,
        public SupplyState $state = SupplyState::Chosen,
        public Origin $origin = Origin::Buy,
        public ?Money $price = null,
        public string $vendor = '',
        public ?Day $expectedOn = null,
        public string $note = '',
        /** Where in the body it goes: a zone, a spot or a column by name; "" when not said. */
        public string $place = '',
        public array $extra = [],
        /** What tells it from other lines of the same name, "left grip" or "second"; the build sets it, no file has it. */
        public string $mark = '',
        /** Pieces that come out of the drawer and need no buying. */
        public int $owned = 0,
    ) {}

    /** As sentences call it: "LiPo 3000", or "LiPo 3000 (left grip)" where another line has the same name. */
    public function name(): string
    {
        return $this->mark === '' ? $this->part->name : "{$this->part->name} ({$this->mark})";
    }

    /** Whether its contacts are bare. What nobody says is open for boards only; other parts count as covered. */
    public function bare(): YesNo
    {
        $isBoard = in_array($this->role, [Role::Board, Role::Regulator, Role::Charger], true);

        return $this->part->bare === YesNo::Unknown && ! $isBoard ? YesNo::No : $this->part->bare;
    }

    public function marked(string $mark): self
    {
        return $this->with($this->part, $mark);
    }

    /** The same line, its part as it is known now. */
    public function holding(Part $part): self
    {
        return $this->with($part, $this->mark);
    }

    /** The same place in the build, taken by another part, sourcing begun anew. */
    public function takenBy(Part $part, ?int $quantity = null): self
    {
        return new self($this->id, $part, $this->role, $this->slot, $this->chosen, $quantity ?? $this->quantity, place: $this->place, extra: $this->extra);
    }

    private function with(Part $part, string $mark): self
    {
        return new self(
            $this->id,
            $part,
            $this->role,
            $this->slot,
            $this->chosen,
            $this->quantity,
            $this->state,
            $this->origin,
            $this->price,
            $this->vendor,
            $this->expectedOn,
            $this->note,
            $this->place,
            $this->extra,
            $mark,
            $this->owned,
        );
    }
}
