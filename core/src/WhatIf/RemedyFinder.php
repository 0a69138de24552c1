<?php

declare(strict_types=1);

namespace PocketPlot\WhatIf;

use Brick\Math\BigDecimal;
use PocketPlot\Appraisal;
use PocketPlot\Check\Finding;
use PocketPlot\Check\People\Consumables;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Part\Pack;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use PocketPlot\Power\Feed;
use PocketPlot\Quantity\Day;

/**
 * Asks the library which single swap, addition or other join settles a finding. What is offered was tried whole: the
 * finding is gone, no vital is lost, and nothing is worse than before. Trades, which leave the finding milder or something
 * else *tight* or open, stand apart and say what they leave.
 */
final class RemedyFinder
{
    /** Rails that are tried for one feed; each costs a whole appraisal. */
    private const MOST_RAILS = 12;

    /** Rules that find fault with a lead's ends, so that another pair of ends is the remedy. */
    private const ABOUT_ENDS = ['video.path', 'video.ribbon', 'power.lead', 'power.cable-ends', 'control.usb-slots', 'audio.path', 'software.programming'];

    /** Rules that find fault with a pack's volts or chemistry, so that another kind of pack is the remedy. */
    private const ABOUT_VOLTS = ['power.supply-window', 'power.converter-headroom', 'power.charger-match', 'power.parallel-cells', 'power.in-play'];

    /** Nobody puts ten times the pack into a build to be rid of a fault. */
    private const MOST_TIMES_THE_PACK = 4.0;

    /** Shares of the full brightness at which one still plays. */
    private const BRIGHTNESS = [0.8, 0.6, 0.4];

    /** Nobody asks for a console that plays for less. */
    private const LEAST_HOURS = 0.5;

    /** Gauges that hook-up wire is sold in, thin to thick. */
    private const GAUGES_AWG = [28.0, 26.0, 24.0, 22.0, 20.0, 18.0, 16.0];

    /** Shares of a wire's length that are tried: a part may be moved nearer, not into the other. */
    private const SHORTER = [0.75, 0.5, 0.33];

    private const LEAST_WIRE_MM = 30.0;

    /** @param  list<Part>  $library */
    public function __construct(private readonly array $library, private readonly Day $today) {}

    /** @return list<Fix> the best first: settled fully, then nothing given away, then cheap; nothing about the build is worse after them */
    public function find(Appraisal $before, Finding $finding, int $most = 6): array
    {
        return $this->search($before, $finding, $most)->clean;
    }

    /** Clean fixes, and for a fault those as well that leave something to live with. */
    public function search(Appraisal $before, Finding $finding, int $most = 6): Fixes
    {
        $found = [];
        if ($finding->verdict !== Verdict::Fits) {
            foreach ([...$this->tried($before, $finding), ...$this->rejoined($before, $finding), ...$this->figured($before, $finding)] as $fix) {
                if ($fix->helps()) {
                    $found[] = $fix;
                }
            }
        }
        $cost = static fn (Fix $fix): BigDecimal => $fix->effect->vitals->cost->amount;
        usort($found, static fn (Fix $a, Fix $b): int => $a->rank() <=> $b->rank() ?: $cost($a)->compareTo($cost($b)));
        $clean = array_values(array_filter($found, static fn (Fix $fix): bool => $fix->isClean()));
        $trades = array_values(array_filter($found, static fn (Fix $fix): bool => ! $fix->isClean()));

        return new Fixes(array_slice($clean, 0, $most), array_slice($trades, 0, intdiv($most + 1, 2)));
    }

    /** @return iterable<Fix> */
    private function tried(Appraisal $before, Finding $finding): iterable
    {
        // A converter goes in between; a join settled by hand would lead past it.
        $join = $finding->subject->feed?->join;
        $freed = $join === null ? $before : null;
        foreach ($this->wanted($finding) as $remedy) {
            foreach ($remedy->role === null ? [] : $this->partsFor($remedy->role) as $part) {
                if ($remedy->role === null) {
                    continue;
                }
                if ($remedy->lineId !== null) {
                    $old = $before->build->line($remedy->lineId)?->part;
                    if ($old === null || $old->id === $part->id || ! $part->canStandInFor($old) || ! self::isAlike($old, $part, $finding)) {
                        continue;
                    }
                    yield $this->whole($before, $before, $finding, Edits::swap($remedy->lineId, $part, $remedy->role), Downgrade::between($old, $part));

                    continue;
                }
                $edits = Edits::add($part, $remedy->role, $part->isConverter() ? $join : null);
                $from = $edits->frees === null ? $before : ($freed ??= Appraisal::toCompare($before->build->withoutJoin($edits->frees), $this->today));
                if ($part->isConverter() && ! self::isInBetween($finding, $from->after($edits->applyTo($before->build), $this->today))) {
                    continue;
                }
                yield $this->whole($before, $from, $finding, $edits);
            }
        }
    }

    /**
     * The fix, with the solder or tape that its part asks for where the shelf has it: nobody orders the one without the other.
     *
     * @param  Appraisal  $from  of the build without the join that it takes back
     */
    private function whole(Appraisal $before, Appraisal $from, Finding $finding, Edits $edits, int $loss = 0): Fix
    {
        $fix = $this->judged($before, $from, $finding, $edits, $loss);
        if (! $fix->helps()) {
            return $fix;
        }
        $with = $this->lackingWith($before, $edits, $fix);

        return $with === [] ? $fix : $this->judged($before, $from, $finding, $edits->with($with), $loss);
    }

    private function judged(Appraisal $before, Appraisal $from, Finding $finding, Edits $edits, int $loss): Fix
    {
        return Fix::tried($finding, $edits, $before, $from->after($edits->applyTo($before->build), $this->today), $edits->changes(), $loss);
    }

    /** @return list<Part> the cheapest of the shelf for each thing that the fix leaves lacking */
    private function lackingWith(Appraisal $before, Edits $edits, Fix $fix): array
    {
        $asks = in_array('people.consumables', array_map(static fn (Finding $finding): string => $finding->rule, $fix->added), true);
        $wanted = $asks ? $edits->part?->work->asked($before->build->brief->mustHaves)->consumables ?? [] : [];
        $with = [];
        foreach (array_diff($wanted, Consumables::there($before->facts)) as $lacking) {
            $serves = static fn (Part $part): bool => in_array($lacking, $part->work->serves, true);
            $serving = array_values(array_filter($this->partsFor(Role::Material), $serves));
            usort($serving, static fn (Part $a, Part $b): int => self::price($a) <=> self::price($b));
            $with = [...$with, ...array_slice($serving, 0, 1)];
        }

        return array_values(array_unique($with, SORT_REGULAR));
    }

    /** What has no price comes last. */
    private static function price(Part $part): float
    {
        return $part->bestOffer()?->price->amount->toFloat() ?? INF;
    }

    /** Like for like: a lead with the same ends, a switch of the same kind, a card of the same kind, a pack of no more than some times the energy. */
    private static function isAlike(Part $old, Part $new, Finding $finding): bool
    {
        $ends = static function (Part $part): array {
            $both = [$part->cable->oneEnd ?? '', $part->cable->otherEnd ?? ''];
            sort($both);

            return $both;
        };
        $wattHours = static fn (Part $part): float => $part->pack?->wattHours()->usual ?? 0.0;

        return match (true) {
            $old->isWanted => true,
            $old->cable !== null && $new->cable !== null => in_array($finding->rule, self::ABOUT_ENDS, true) || $ends($old) === $ends($new),
            $old->switch !== null && $new->switch !== null => $old->switch->kind === $new->switch->kind,
            $old->storage !== null && $new->storage !== null => $old->storage->card === '' || $old->storage->card === $new->storage->card,
            $old->pack !== null && $new->pack !== null => (in_array($finding->rule, self::ABOUT_VOLTS, true) || self::isSameKind($old->pack, $new->pack))
                && ($wattHours($old) <= 0.0 || $wattHours($new) <= $wattHours($old) * self::MOST_TIMES_THE_PACK),
            default => true,
        };
    }

    private static function isSameKind(Pack $one, Pack $other): bool
    {
        $kind = static fn (Pack $pack): string => $pack->chemistry === 'LiPo' ? 'Li-ion' : $pack->chemistry;

        return $one->sealed === $other->sealed && $one->series === $other->series && $kind($one) === $kind($other);
    }

    /** A converter that is added for an input has to feed it, or it settles nothing that was not settled without it. */
    private static function isInBetween(Finding $finding, Appraisal $after): bool
    {
        $feed = $finding->subject->feed;

        return $feed === null || str_starts_with($after->facts->feeds()[$feed->key()]->railId ?? '', Candidates::TRIAL.':');
    }

    /** @return list<Remedy> what the rule asks for, once each */
    private function wanted(Finding $finding): array
    {
        $wanted = [];
        foreach ($finding->remedies() as $remedy) {
            if ($remedy->role !== null) {
                $wanted["{$remedy->lineId}/{$remedy->role->value}"] = $remedy;
            }
        }

        return array_values($wanted);
    }

    /**
     * The same input on every other rail there is, and left to the proposal where the builder's own join is the trouble.
     *
     * @return iterable<Fix>
     */
    private function rejoined(Appraisal $before, Finding $finding): iterable
    {
        $feed = $finding->subject->feed;
        if ($feed === null) {
            return;
        }
        foreach ($this->joinsFor($before, $feed) as $edits) {
            $after = Appraisal::toCompare($edits->applyTo($before->build), $this->today);
            yield Fix::tried($finding, $edits, $before, $after, $feed->line->id);
        }
    }

    /**
     * What other figures would do, the smallest change of each kind: thicker or shorter wires, a dimmer display, fewer hours.
     *
     * @return iterable<Fix>
     */
    private function figured(Appraisal $before, Finding $finding): iterable
    {
        foreach ($this->figures($before, $finding) as $steps) {
            foreach ($steps as $edits) {
                $after = Appraisal::toCompare($edits->applyTo($before->build), $this->today);
                $fix = Fix::tried($finding, $edits, $before, $after, $finding->lines[0] ?? '');
                if ($fix->helps()) {
                    yield $fix;

                    break;
                }
            }
        }
    }

    /** @return list<list<Edits>> each kind of change, small ones first */
    private function figures(Appraisal $before, Finding $finding): array
    {
        if ($finding->rule === 'power.runtime') {
            $hours = $before->vitals->runTime;
            $lit = $before->build->profilesOrDefaults()[0]->brightness ?? 1.0;
            $asks = $hours->isKnown() ? floor($hours->usual() * 10) / 10 : 0.0;

            return [
                array_map(Edits::dim(...), array_values(array_filter(self::BRIGHTNESS, static fn (float $share): bool => $share < $lit))),
                $asks >= self::LEAST_HOURS ? [Edits::ask($asks)] : [],
            ];
        }
        $join = $finding->rule === 'power.cable-drop' ? $finding->subject->feed?->join : null;
        if ($join?->gaugeAwg === null || $join->lengthMm === null) {
            return [];
        }
        $thicker = array_values(array_filter(self::GAUGES_AWG, static fn (float $gauge): bool => $gauge < $join->gaugeAwg));
        $shorter = array_map(static fn (float $share): float => floor($join->lengthMm * $share / 5) * 5, self::SHORTER);

        return [
            array_map(static fn (float $gauge): Edits => Edits::rewire($join, $gauge, $join->lengthMm), $thicker),
            array_map(static fn (float $length): Edits => Edits::rewire($join, $join->gaugeAwg, $length), array_values(
                array_filter($shorter, static fn (float $length): bool => $length >= self::LEAST_WIRE_MM),
            )),
        ];
    }

    /** @return list<Edits> */
    private function joinsFor(Appraisal $before, Feed $feed): array
    {
        // Taken back, a join would lose the wires that are written down with it, and their drop with them.
        $wires = $feed->join !== null && ($feed->join->gaugeAwg !== null || $feed->join->lengthMm !== null || $feed->join->through !== '');
        $joins = $feed->join === null || $wires ? [] : [Edits::free($feed->join)];
        foreach (array_slice($before->facts->rails(), 0, self::MOST_RAILS) as $rail) {
            if ($rail->id !== $feed->railId && $rail->line->id !== $feed->line->id) {
                $joins[] = Edits::rejoin($feed, $rail->line->id, $rail->name);
            }
        }

        return $joins;
    }

    /** @return list<Part> */
    private function partsFor(Role $role): array
    {
        return array_values(array_filter($this->library, static fn (Part $part): bool => $part->fills($role)));
    }
}
