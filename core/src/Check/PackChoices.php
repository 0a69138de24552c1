<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Build\Profile;
use PocketPlot\Check\Body\FitsInside;
use PocketPlot\Check\Body\StackHeight;
use PocketPlot\Part\Part;
use PocketPlot\Power\Assumption;
use PocketPlot\Power\BadSupply;
use PocketPlot\Power\Circuit;
use PocketPlot\Power\Discharge;
use PocketPlot\Power\Gaps;
use PocketPlot\Power\NoBalance;
use PocketPlot\Power\RunEnd;

/** Every pack of the library tried in the build: how long it runs, how many of it the wish asks for, whether that goes into the body. */
final class PackChoices
{
    public const MOST_SIDE_BY_SIDE = 6;

    /** Rules that ask the pack itself: what they say of the one in use says nothing about another. */
    private const ITS_OWN = [Power\SourceCurrent::class, Power\RailCurrent::class, Power\CellProtection::class, Power\DeepDischarge::class, Power\ShortCircuit::class];

    /** Fillings of a room that are named. */
    public const MOST_WITHIN = 5;

    /**
     * @param  list<Part>  $library
     * @return list<PackChoice> what does it, brings no clash and fits first; smallest first among equals
     */
    public static function of(Build $build, Line $source, Profile $profile, float $hours, array $library): array
    {
        $facts = new Facts($build);
        $misfits = self::misfits($facts, $source->id);
        $clashes = self::clashes($facts, $source->id, []);
        $choices = [];
        foreach ($library as $part) {
            if ($part->pack !== null) {
                $choices[] = self::tried($build, $source, $part, $profile, $hours, $misfits, $clashes);
            }
        }
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
    public static function within(Build $build, Line $source, array $choices, float $cm3, bool $isBodys = false): array
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
        $facts = new Facts($build);
        $clashes = self::clashes($facts, $source->id, []);
        $misfits = self::misfits($facts, $source->id);
        $sound = [];
        foreach ($found as $one) {
            if (count($sound) < self::MOST_WITHIN) {
                $with = new Facts($build->withSwap($source->id, $one['part'], $one['count']));
                if (self::clashes($with, $source->id, $clashes) === [] && (! $isBodys || self::goesIn($with, $source->id, $misfits) !== false)) {
                    $sound[] = $one;
                }
            }
        }

        return $sound;
    }

    /**
     * @param  array<string, true>  $misfits  what does not go into the body as it is and has nothing to do with the pack
     * @param  array<string, string>  $clashes  what clashes about power as it is
     */
    private static function tried(Build $build, Line $source, Part $part, Profile $profile, float $hours, array $misfits, array $clashes): PackChoice
    {
        $facts = new Facts($build->withSwap($source->id, $part, 1));
        $line = $facts->build->line($source->id) ?? $source;
        $gaps = new Gaps;
        $circuit = null;
        $end = null;
        try {
            $circuit = self::feedsAll($facts, $line) ? Circuit::of($facts->build, $facts->supplyTree(), $line, $profile, Assumption::usual(), $facts->leadOhms(), $build->brief->roomC, $gaps) : null;
            $end = $circuit === null ? null : self::hours($circuit, 1);
        } catch (BadSupply) {
            $circuit = null;
        }
        $count = 1;
        $reached = $end;
        if ($circuit !== null && $end !== null && $end->hours > 0.0 && $end->hours < $hours && is_finite($end->hours)) {
            $count = min(self::MOST_SIDE_BY_SIDE, (int) ceil($hours / $end->hours - 1e-6));
            $reached = self::hours($circuit, $count);
        }
        $tooHigh = $circuit?->tooHigh();
        $does = $tooHigh === null && $reached !== null && $reached->hours >= $hours * (1 - 1e-6);
        $volume = $part->size->volumeCm3();
        $mass = $part->size->massG;
        $reachedFacts = $count === 1 ? $facts : new Facts($build->withSwap($source->id, $part, $count));

        return new PackChoice(
            $part, $circuit, $end, $count, $reached, $does,
            self::goesIn($reachedFacts, $source->id, $misfits),
            $volume === null ? null : $volume * $count,
            $mass->isKnown() ? $mass->usual() * $count : null,
            $tooHigh,
            array_map(static fn ($one): string => Measuring::name($one->figure)." of {$one->line->name()}", $gaps->allMissing()),
            $does ? array_values(self::clashes($reachedFacts, $source->id, $clashes)) : [],
        );
    }

    /**
     * What clashes about power, how long it lasts apart: new ones, and those that each pack answers for itself.
     *
     * @param  array<string, string>  $before
     * @return array<string, string> the sentence by the finding's key
     */
    private static function clashes(Facts $facts, string $packLine, array $before): array
    {
        $clashes = [];
        foreach (RuleBook::metas() as $rule => $meta) {
            if ($meta->family() !== 'power' || $rule === Power\RunTimeWanted::class) {
                continue;
            }
            foreach ((new $rule)->check($facts) as $finding) {
                if ($finding->verdict === Verdict::Clash && (! isset($before[$finding->key()]) || (in_array($rule, self::ITS_OWN, true) && ($finding->lines[0] ?? null) === $packLine))) {
                    $clashes[$finding->key()] = $finding->says;
                }
            }
        }

        return $clashes;
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

    /**
     * @param  array<string, true>  $before
     * @return ?bool null without a body to go into, or while the pack's own size is not known
     */
    private static function goesIn(Facts $facts, string $lineId, array $before): ?bool
    {
        $size = $facts->build->line($lineId)?->part->size;
        if ($facts->bodyLine() === null || $size === null || ! $size->hasAllSides()) {
            return null;
        }

        return array_diff_key(self::misfits($facts, null), $before) === [];
    }

    /**
     * Keys of what does not go in.
     *
     * @param  ?string  $without  a line whose own misfits are left out
     * @return array<string, true>
     */
    private static function misfits(Facts $facts, ?string $without): array
    {
        $misfits = [];
        foreach ([new FitsInside, new StackHeight] as $rule) {
            foreach ($rule->check($facts) as $finding) {
                if ($finding->verdict === Verdict::Clash && ($without === null || ! in_array($without, $finding->lines, true))) {
                    $misfits[$finding->key()] = true;
                }
            }
        }

        return $misfits;
    }
}
