<?php

declare(strict_types=1);

namespace PocketPlot\WhatIf;

use PocketPlot\Build\Build;
use PocketPlot\Build\Join;
use PocketPlot\Build\JoinKind;
use PocketPlot\Build\Line;
use PocketPlot\Check\Phrase;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use PocketPlot\Power\Feed;
use PocketPlot\Quantity\Number;

/**
 * A remedy as it is applied, whole: a part in a line's place or as a line of its own, a join settled, or one taken
 * back so that the proposal finds its way anew; other wires, a dimmer display, other hours asked for.
 */
final readonly class Edits
{
    private function __construct(
        public ?Part $part = null,
        public ?Role $role = null,
        public ?string $lineId = null,
        public ?Join $settles = null,
        public ?Join $frees = null,
        /** The join whose wires are changed by the one that is settled. */
        public ?Join $rewires = null,
        /** 0 to 1, in the way of playing that counts. */
        public ?float $brightness = null,
        /** Asked for in the brief. */
        public ?float $hours = null,
        /** @var list<Part> what goes on the list together with the part: solder, tape */
        public array $with = [],
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

    /** The same join with a thicker or a shorter wire. */
    public static function rewire(Join $join, ?float $gaugeAwg, ?float $lengthMm): self
    {
        return new self(
            settles: new Join($join->kind, $join->from, $join->to, $join->output, $join->input, $join->through, $gaugeAwg, $lengthMm, $join->extra),
            rewires: $join,
        );
    }

    public static function dim(float $brightness): self
    {
        return new self(brightness: $brightness);
    }

    public static function ask(float $hours): self
    {
        return new self(hours: $hours);
    }

    /** @param  list<Part>  $with */
    public function with(array $with): self
    {
        return new self($this->part, $this->role, $this->lineId, $this->settles, $this->frees, $this->rewires, $this->brightness, $this->hours, $with);
    }

    public function kind(): string
    {
        return match (true) {
            $this->rewires !== null => 'wires',
            $this->brightness !== null => 'dim',
            $this->hours !== null => 'ask',
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
            $this->rewires !== null => $this->saysWires($this->rewires, $name($this->rewires->from), $to),
            $this->brightness !== null => sprintf(
                'Play "%s" at %s %% of the brightness',
                $build->profilesOrDefaults()[0]->name,
                Number::says($this->brightness * 100),
            ),
            $this->hours !== null => sprintf('Ask for %s h in the brief, which this pack does', Number::says($this->hours)),
            $this->part === null && $settles !== null => "Feed {$to} from ".$name($settles->from).($settles->output === 'pack' ? '' : " ({$settles->output})"),
            $this->part === null => "Take back what was settled of {$to}; the proposal feeds it",
            $this->lineId !== null => "Take {$this->part->name} instead of {$name($this->lineId)}",
            $this->frees !== null => "Put {$this->part->name} between {$name($this->frees->from)} and {$to}",
            default => "Add {$this->part->name}",
        }.($this->with === [] ? '' : ', with '.Phrase::all(array_map(static fn (Part $part): string => $part->name, $this->with)));
    }

    private function saysWires(Join $before, string $from, string $to): string
    {
        $new = $this->settles;

        return $new?->gaugeAwg !== $before->gaugeAwg
            ? sprintf('Wire %s to %s with %s AWG instead of %s', $from, $to, Number::says($new->gaugeAwg ?? 0.0), Number::says($before->gaugeAwg ?? 0.0))
            : sprintf('Shorten the wires from %s to %s to %s mm', $from, $to, Number::says($new->lengthMm ?? 0.0));
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
        foreach ($this->with as $index => $part) {
            $build = $build->withLine(new Line(Candidates::TRIAL."-with-{$index}", $part, Role::Material, Candidates::TRIAL."-with-{$index}"));
        }
        if ($this->brightness !== null) {
            $build = $build->dimmed($this->brightness);
        }
        if ($this->hours !== null) {
            $build = $build->asking($this->hours);
        }

        return $this->settles === null ? $build : $build->withJoin($this->settles);
    }
}
