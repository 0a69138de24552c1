<?php

declare(strict_types=1);

namespace PocketPlot\WhatIf;

use PocketPlot\Appraisal;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Remedy;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Day;

/**
 * Asks the library which single swap or addition settles a finding. What is offered was tried:
 * the finding is milder or gone, and neither a new clash nor a new unknown came with it.
 */
final class RemedyFinder
{
    /** @param  list<Part>  $library */
    public function __construct(private readonly array $library, private readonly Day $today) {}

    /**
     * @return list<array{remedy: Remedy, part: Part, effect: Effect, loss: int}> the best first: settled fully, then nothing lost, then cheap
     */
    public function find(Appraisal $before, Finding $finding, int $most = 6): array
    {
        $found = [];
        foreach ($finding->remedies() as $remedy) {
            if ($remedy->role === null) {
                continue;
            }
            foreach ($this->partsFor($remedy->role) as $part) {
                $old = $remedy->lineId === null ? null : $before->build->line($remedy->lineId)?->part;
                if ($old !== null && ($old->id === $part->id || ! $part->canStandInFor($old))) {
                    continue;
                }
                $effect = Candidates::effectOf($before, $part, $remedy->role, $remedy->lineId, $this->today);
                if ($this->helps($before, $finding, $effect)) {
                    $found[] = ['remedy' => $remedy, 'part' => $part, 'effect' => $effect, 'loss' => $old === null ? 0 : Downgrade::between($old, $part)];
                }
            }
        }
        usort($found, static fn (array $a, array $b): int => [$a['effect']->verdict->weight(), $a['loss']] <=> [$b['effect']->verdict->weight(), $b['loss']]
            ?: $a['effect']->vitals->cost->amount->compareTo($b['effect']->vitals->cost->amount));

        return array_slice($found, 0, $most);
    }

    private function helps(Appraisal $before, Finding $finding, Effect $effect): bool
    {
        $losesHours = $before->vitals->runTime->isKnown() && ! $effect->vitals->runTime->isKnown();
        if ($effect->newClashes !== [] || $losesHours || $effect->vitals->unmeasured > $before->vitals->unmeasured) {
            return false;
        }
        $now = $effect->verdicts[$finding->key()] ?? null;

        return $now === null
            ? ! $this->movedElsewhere($finding, $effect)
            : $now->weight() < $finding->verdict->weight();
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
