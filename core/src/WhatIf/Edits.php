<?php

declare(strict_types=1);

namespace PocketPlot\WhatIf;

use PocketPlot\Build\Build;
use PocketPlot\Build\Join;
use PocketPlot\Build\JoinKind;
use PocketPlot\Build\Line;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use PocketPlot\Power\Feed;

/**
 * A remedy as it is applied, whole: a part in a line's place or as a line of its own, a join settled, or one taken
 * back so that the proposal finds its way anew.
 */
final readonly class Edits
{
    private function __construct(
        public ?Part $part = null,
        public ?Role $role = null,
        public ?string $lineId = null,
        public ?Join $settles = null,
        public ?Join $frees = null,
    ) {}

    public static function swap(string $lineId, Part $part, Role $role): self
    {
        return new self($part, $role, $lineId);
    }

    /** @param  ?Join  $frees  the builder's own join that the new part is wired into */
    public static function add(Part $part, Role $role, ?Join $frees = null): self
    {
        return new self($part, $role, frees: $frees);
    }

    public static function rejoin(Feed $feed, string $from, string $output): self
    {
        // The same wires, to another rail.
        return new self(settles: new Join(
            JoinKind::Power,
            $from,
            $feed->line->id,
            $output,
            $feed->input->name,
            $feed->join->through ?? '',
            $feed->join?->gaugeAwg,
            $feed->join?->lengthMm,
        ));
    }

    public static function free(Join $join): self
    {
        return new self(frees: $join);
    }

    public function kind(): string
    {
        return match (true) {
            $this->part === null => 'join',
            $this->lineId === null => 'add',
            default => 'swap',
        };
    }

    /** What is done, as one says it: "Take Brook 5 instead of Brook 3". */
    public function says(Build $build): string
    {
        $name = static fn (?string $id): string => $id === null ? '' : $build->line($id)?->name() ?? $id;
        $to = $name($this->settles->to ?? $this->frees?->to);
        $settles = $this->settles;

        return match (true) {
            $this->part === null && $settles !== null => "Feed {$to} from ".$name($settles->from).($settles->output === 'pack' ? '' : " ({$settles->output})"),
            $this->part === null => "Take back what was settled of {$to}; the proposal feeds it",
            $this->lineId !== null => "Take {$this->part->name} instead of {$name($this->lineId)}",
            $this->frees !== null => "Put {$this->part->name} between {$name($this->frees->from)} and {$to}",
            default => "Add {$this->part->name}",
        };
    }

    /** The line to look at after it: the one swapped, added or joined anew. */
    public function changes(): string
    {
        return $this->lineId ?? ($this->part !== null ? Candidates::TRIAL : $this->settles->to ?? $this->frees->to ?? Candidates::TRIAL);
    }

    public function applyTo(Build $build): Build
    {
        if ($this->frees !== null) {
            $build = $build->withoutJoin($this->frees);
        }
        if ($this->part !== null && $this->role !== null) {
            $build = $this->lineId === null
                ? $build->withLine(new Line(Candidates::TRIAL, $this->part, $this->role, Candidates::TRIAL))
                : $build->withSwap($this->lineId, $this->part);
        }

        return $this->settles === null ? $build : $build->withJoin($this->settles);
    }
}
