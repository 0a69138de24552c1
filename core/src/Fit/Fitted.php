<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\Build;
use PocketPlot\Build\FitPlan;
use PocketPlot\Build\Line;

/** The arrangement that a build holds, judged: where its pieces lie, how large that makes it, and what does not hold. */
final readonly class Fitted
{
    /**
     * @param  list<PlacedPiece>  $placed
     * @param  list<Piece>  $unplaced
     * @param  array{float, float, float}  $insideMm  the room inside: the body's, or the one that is drawn around what lies there
     * @param  list<Trouble>  $troubles
     * @param  list<Trouble>  $bareNeighbours  between which something has to insulate
     */
    private function __construct(
        public Inventory $inventory,
        public array $placed,
        public array $unplaced,
        public array $insideMm,
        public array $troubles,
        public array $bareNeighbours = [],
    ) {}

    /** @param  list<Line>  $inBody */
    public static function of(Build $build, ?Line $bodyLine, array $inBody, ?FitPlan $plan = null): self
    {
        $plan ??= $build->fit;
        $inventory = Inventory::of($build, $bodyLine, $inBody, $plan);
        if ($plan->poses === [] || $inventory->room === null) {
            return new self($inventory, [], $inventory->pieces, [0.0, 0.0, 0.0], []);
        }
        $placed = $unplaced = [];
        foreach ($inventory->pieces as $piece) {
            $pose = $plan->pose($piece->line->id, $piece->number);
            if ($pose === null) {
                $unplaced[] = $piece;
            } else {
                $placed[] = new PlacedPiece($piece, $pose);
            }
        }
        if ($placed === []) {
            return new self($inventory, [], $unplaced, [0.0, 0.0, 0.0], []);
        }
        $spacing = Spacing::of($build->brief);
        $inside = $inventory->room->drawn ? self::around($inventory, $placed, $spacing) : $inventory->room->limit;
        $judge = new Judge($inventory->room, $spacing, $placed, $inside);

        $troubles = [...$judge->troubles(), ...Leads::tooShort($build, $placed, $inside)];

        return new self($inventory, $placed, $unplaced, $inside, $troubles, $judge->bareNeighbours());
    }

    /** @return array<mixed> what a judgement can read of it: the same again, and nothing has to be judged anew */
    public function fingerprint(): array
    {
        return [
            $this->insideMm, $this->isWhole(), $this->inventory->filledMm3(),
            array_map(
                static fn (Trouble $one): array => [$one->kind, $one->piece->name(), $one->other?->name(), $one->mm, $one->wantedMm, $one->what],
                $this->troubles,
            ),
            array_map(static fn (PlacedPiece $one): array => [$one->piece->name(), $one->box->toList(), $one->piece->line], $this->placed),
        ];
    }

    /** Whether anything lies anywhere. */
    public function isBegun(): bool
    {
        return $this->placed !== [];
    }

    /** Whether everything that has a place of its own has one, and nothing without a size or in a room of unknown place is left out. */
    public function isWhole(): bool
    {
        return $this->placed !== [] && $this->unplaced === [] && $this->inventory->unsized === [] && $this->inventory->inZones === []
            && ! $this->inventory->isCutShort;
    }

    /** Whether something about it waits for a figure. */
    public function isOpen(): bool
    {
        return array_filter($this->troubles, static fn (Trouble $trouble): bool => $trouble->isOpen()) !== [];
    }

    /** @return list<Trouble> */
    public function clashes(): array
    {
        return array_values(array_filter($this->troubles, static fn (Trouble $trouble): bool => $trouble->isClash()));
    }

    /** @return array{float, float, float}|null outside, of a body that is drawn around the pieces; null while some have no place */
    public function outsideMm(): ?array
    {
        $room = $this->inventory->room;
        if ($room === null || ! $room->drawn || ! $this->isWhole()) {
            return null;
        }
        $walls = 2 * $room->wallMm;

        return [$this->insideMm[0] + $walls, $this->insideMm[1] + $walls, $this->insideMm[2] + $walls];
    }

    /** How far the pieces reach into the depth. */
    public function deepMm(): float
    {
        return array_reduce($this->placed, static fn (float $deep, PlacedPiece $one): float => max($deep, $one->box->back()), 0.0);
    }

    /**
     * @param  non-empty-list<PlacedPiece>  $placed
     * @return array{float, float, float}
     */
    private static function around(Inventory $inventory, array $placed, Spacing $spacing): array
    {
        $all = Box::around(array_map(static fn (PlacedPiece $one): Box => $one->box, $placed));

        return $inventory->roomAround([$all->right(), $all->bottom(), $all->back()], $spacing);
    }
}
