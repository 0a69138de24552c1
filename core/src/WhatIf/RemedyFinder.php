<?php

declare(strict_types=1);

namespace PocketPlot\WhatIf;

use PocketPlot\Appraisal;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Part\Pack;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use PocketPlot\Power\Feed;
use PocketPlot\Quantity\Day;

/**
 * Asks the library which single swap, addition or other join settles a finding. What is offered was tried whole:
 * the finding is milder or gone, and neither a new clash nor a new unknown nor a lost figure came with it.
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

    /**
     * @return list<array{edits: Edits, effect: Effect, loss: int}> the best first: settled fully, then nothing lost, then cheap
     */
    public function find(Appraisal $before, Finding $finding, int $most = 6): array
    {
        if ($finding->verdict === Verdict::Fits) {
            return [];
        }
        $found = [];
        foreach ([...$this->tried($before, $finding), ...$this->rejoined($before, $finding), ...$this->figured($before, $finding)] as $one) {
            if ($this->helps($before, $finding, $one['effect'])) {
                $found[] = $one;
            }
        }
        usort($found, static fn (array $a, array $b): int => self::rank($finding, $a['edits'], $a['effect'], $a['loss'])
            <=> self::rank($finding, $b['edits'], $b['effect'], $b['loss'])
            ?: $a['effect']->vitals->cost->amount->compareTo($b['effect']->vitals->cost->amount));

        return array_slice($found, 0, $most);
    }

    /** @return iterable<array{edits: Edits, effect: Effect, loss: int}> */
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
                    $effect = Candidates::effectOf($before, $part, $remedy->role, $remedy->lineId, $this->today);
                    yield ['edits' => Edits::swap($remedy->lineId, $part, $remedy->role), 'effect' => $effect, 'loss' => Downgrade::between($old, $part)];

                    continue;
                }
                $edits = Edits::add($part, $remedy->role, $part->isConverter() ? $join : null);
                $from = $edits->frees === null ? $before : ($freed ??= Appraisal::toCompare($before->build->withoutJoin($edits->frees), $this->today));
                $after = $from->after($edits->applyTo($before->build), $this->today);
                if (! self::isInBetween($part, $finding, $after)) {
                    continue;
                }
                yield ['edits' => $edits, 'effect' => Effect::between($before, $after, $edits->changes()), 'loss' => 0];
            }
        }
    }

    /** @return list<int> smaller is better: what is left of the finding, another join before another part, what stands about the part, what is lost */
    private static function rank(Finding $finding, Edits $edits, Effect $effect, int $loss): array
    {
        return [
            ($effect->verdicts[$finding->key()] ?? Verdict::Fits)->weight(),
            match (true) {
                // Less of what was wished for comes after all that keeps the wish.
                $edits->hours !== null || $edits->brightness !== null => 2,
                $edits->part === null => 0,
                default => 1,
            },
            $effect->verdict->weight(),
            $loss,
        ];
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
    private static function isInBetween(Part $part, Finding $finding, Appraisal $after): bool
    {
        $feed = $finding->subject->feed;

        return $feed === null || ! $part->isConverter() || str_starts_with($after->facts->feeds()[$feed->key()]->railId ?? '', Candidates::TRIAL.':');
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
     * @return iterable<array{edits: Edits, effect: Effect, loss: int}>
     */
    private function rejoined(Appraisal $before, Finding $finding): iterable
    {
        $feed = $finding->subject->feed;
        if ($feed === null) {
            return;
        }
        foreach ($this->joinsFor($before, $feed) as $edits) {
            $after = Appraisal::toCompare($edits->applyTo($before->build), $this->today);
            yield ['edits' => $edits, 'effect' => Effect::between($before, $after, $feed->line->id), 'loss' => 0];
        }
    }

    /**
     * What other figures would do, the smallest change of each kind: thicker or shorter wires, a dimmer display, fewer hours.
     *
     * @return iterable<array{edits: Edits, effect: Effect, loss: int}>
     */
    private function figured(Appraisal $before, Finding $finding): iterable
    {
        foreach ($this->figures($before, $finding) as $steps) {
            foreach ($steps as $edits) {
                $after = Appraisal::toCompare($edits->applyTo($before->build), $this->today);
                $one = ['edits' => $edits, 'effect' => Effect::between($before, $after, $finding->lines[0] ?? ''), 'loss' => 0];
                if ($this->helps($before, $finding, $one['effect'])) {
                    yield $one;

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

    private function helps(Appraisal $before, Finding $finding, Effect $effect): bool
    {
        $losesHours = $before->vitals->runTime->isKnown() && ! $effect->vitals->runTime->isKnown();
        // Of a wanted part nothing is asked; what stands in its place may have figures to find out.
        $opens = $finding->rule !== 'whole.wanted' && $effect->vitals->unmeasured > $before->vitals->unmeasured;
        if ($effect->newClashes !== [] || $losesHours || $opens) {
            return false;
        }
        $now = $effect->verdicts[$finding->key()] ?? null;

        return $now === null
            ? ! $this->movedElsewhere($finding, $effect)
            : $now->weight() < $finding->verdict->weight() && ! $now->isFault();
    }

    /** A finding whose key is gone may stand under another key with the same rule and verdict on the changed line. */
    private function movedElsewhere(Finding $finding, Effect $effect): bool
    {
        foreach ($effect->concerning as $other) {
            if ($other->rule === $finding->rule && $other->verdict->weight() >= $finding->verdict->weight()) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Part> */
    private function partsFor(Role $role): array
    {
        return array_values(array_filter($this->library, static fn (Part $part): bool => $part->fills($role)));
    }
}
