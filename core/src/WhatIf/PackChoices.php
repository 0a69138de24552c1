<?php

declare(strict_types=1);

namespace PocketPlot\WhatIf;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Build\Profile;
use PocketPlot\Check\Measuring;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Part;
use PocketPlot\Power\Assumption;
use PocketPlot\Power\BadSupply;
use PocketPlot\Power\Circuit;
use PocketPlot\Power\Discharge;
use PocketPlot\Power\Gaps;
use PocketPlot\Power\Missing;
use PocketPlot\Power\NoBalance;
use PocketPlot\Power\RunEnd;

/** Packs of a library tried in a build: how long each runs, how many of it a wish asks for, what it brings and whether it goes in. */
final readonly class PackChoices
{
    public const MOST_SIDE_BY_SIDE = 6;

    /** Fillings of a room that are named. */
    public const MOST_WITHIN = 5;

    /** Nobody builds ten times the pack that is needed. */
    private const MOST_TIMES = 10.0;

    /** Share of the wish that rounding may take. */
    private const ROUNDING = 1e-6;

    private PackTrial $trial;

    private float $celsius;

    /**
     * @param  Line  $source  the line whose pack is in question
     * @param  ?float  $celsius  the air; the brief's when null
     */
    public function __construct(private Build $build, private Line $source, private Profile $profile, ?float $celsius = null)
    {
        $this->trial = new PackTrial($build, $source);
        $this->celsius = $celsius ?? $build->brief->roomC;
    }

    /**
     * @param  float  $hours  wished
     * @param  list<Part>  $library
     * @return list<PackChoice> what does it, brings no clash and fits first; smallest first among equals
     */
    public function among(array $library, float $hours): array
    {
        $packs = array_filter($library, static fn (Part $part): bool => $part->pack !== null);
        $choices = array_map(fn (Part $part): PackChoice => $this->tried($part, $hours), array_values($packs));
        $rank = static fn (PackChoice $one): array => [! $one->does, $one->clashes !== [], $one->fits === false, $one->cm3 ?? INF];
        usort($choices, static fn (PackChoice $a, PackChoice $b): int => $rank($a) <=> $rank($b));

        return $choices;
    }

    /**
     * The longest runs that a room of so many cubic centimetres gives, by filling it with each pack in turn; what
     * would bring a clash about power is passed over.
     *
     * @param  list<PackChoice>  $choices
     * @param  bool  $isBodys  whether it is the room of the build's own body, so that the pack has to go in by its sides, too
     * @return list<array{part: Part, count: int, hours: float}> longest first
     */
    public function within(array $choices, float $cm3, bool $isBodys = false): array
    {
        $found = [];
        foreach ($choices as $choice) {
            $volume = $choice->part->size->volumeCm3();
            $count = $volume === null || $volume <= 0.0 ? 0 : min(self::MOST_SIDE_BY_SIDE, (int) floor($cm3 / $volume));
            if ($count > 0 && $choice->circuit !== null && $choice->tooHigh === null) {
                $hours = self::hours($choice->circuit, $count)->hours ?? 0.0;
                if ($hours > 0.0 && is_finite($hours)) {
                    $found[] = ['part' => $choice->part, 'count' => $count, 'hours' => $hours];
                }
            }
        }
        usort($found, static fn (array $a, array $b): int => $b['hours'] <=> $a['hours']);
        $sound = [];
        foreach ($found as $one) {
            if (count($sound) === self::MOST_WITHIN) {
                break;
            }
            $facts = $this->trial->with($one['part'], $one['count']);
            if ($this->trial->clashes($facts) === [] && (! $isBodys || $this->trial->goesIn($facts) !== false)) {
                $sound[] = $one;
            }
        }

        return $sound;
    }

    private function tried(Part $part, float $hours): PackChoice
    {
        $facts = $this->trial->with($part, 1);
        $gaps = new Gaps;
        $circuit = $this->circuit($facts, $gaps);
        $one = $circuit === null ? null : self::hours($circuit, 1);
        $count = 1;
        if ($one !== null && $one->hours > 0.0 && $one->hours < $hours) {
            $count = min(self::MOST_SIDE_BY_SIDE, (int) ceil($hours / $one->hours - self::ROUNDING));
        }
        $reached = $circuit === null || $count === 1 ? $one : self::hours($circuit, $count);
        $facts = $count === 1 ? $facts : $this->trial->with($part, $count);
        $tooHigh = $circuit?->tooHigh();
        $lasts = $tooHigh === null && $reached !== null && $reached->hours >= $hours * (1 - self::ROUNDING);
        $isOversized = $lasts && $reached->hours >= $hours * self::MOST_TIMES;
        $does = $lasts && ! $isOversized;
        $volume = $part->size->volumeCm3();
        $mass = $part->size->massG;

        return new PackChoice(
            $part, $circuit, $one, $count, $reached, $does,
            $this->trial->goesIn($facts),
            $volume === null ? null : $volume * $count,
            $mass->isKnown() ? $mass->usual() * $count : null,
            $tooHigh,
            array_map(static fn (Missing $gap): string => Measuring::name($gap->figure)." of {$gap->line->name()}", $gaps->allMissing()),
            $does ? $this->trial->clashes($facts) : [],
            $isOversized,
        );
    }

    /** Null where the pack feeds nothing, leaves something unfed, or lacks a figure. */
    private function circuit(Facts $facts, Gaps $gaps): ?Circuit
    {
        $line = $facts->build->line($this->source->id);
        try {
            return $line === null || ! self::feedsAll($facts, $line) ? null
                : Circuit::of($facts->build, $facts->supplyTree(), $line, $this->profile, Assumption::usual(), $facts->leadOhms(), $this->celsius, $gaps);
        } catch (BadSupply) {
            return null;
        }
    }

    /** Whether all that lived on a pack before still has something to live on. */
    private static function feedsAll(Facts $facts, Line $line): bool
    {
        foreach ($facts->supplyTree()->railsOf($line) as $rail) {
            if ($rail->loads !== []) {
                return $facts->supplyTree()->unfed === [];
            }
        }

        return false;
    }

    private static function hours(Circuit $circuit, int $count): ?RunEnd
    {
        try {
            return Discharge::hours($count === 1 || $circuit->cells === [] ? $circuit : $circuit->on($circuit->cells[0]->times($count)));
        } catch (NoBalance) {
            return null;
        }
    }
}
