<?php

declare(strict_types=1);

namespace PocketPlot\WhatIf;

use PocketPlot\Appraisal;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Measuring;
use PocketPlot\Check\Verdict;

/** A remedy that was tried whole on a build: what is done, what becomes of the build, and what it leaves to live with. */
final readonly class Fix
{
    /** In tenths of what the old part gave: who gives away more gets something else than was wanted. */
    private const LITTLE_LOSS_TENTHS = 2;

    /**
     * @param  int  $loss  what the new part gives away, in tenths (Downgrade)
     * @param  Verdict  $left  of the finding it is for; *fits* when that is gone
     * @param  list<Finding>  $added  what is worse about the build than before, worst first
     * @param  list<string>  $lost  vitals that were known and are so no more: "run time", "size", "weight", "cost", "finish"
     */
    private function __construct(
        public Edits $edits,
        public Effect $effect,
        public int $loss,
        public Verdict $left,
        public array $added,
        public array $lost,
        private bool $moved,
        private Finding $finding,
    ) {}

    /** @param  string  $lineId  the line to look at after it */
    public static function tried(Finding $finding, Edits $edits, Appraisal $before, Appraisal $after, string $lineId, int $loss = 0): self
    {
        $effect = Effect::between($before, $after, $lineId);

        return new self(
            $edits,
            $effect,
            $loss,
            $effect->verdicts[$finding->key()] ?? Verdict::Fits,
            Worsening::between($before, $after, $finding),
            Worsening::lostVitals($before, $after),
            self::movedElsewhere($finding, $effect),
            $finding,
        );
    }

    /** Whether it does away with the finding, or leaves it milder and no fault, and the rest of the build no worse than one may live with. */
    public function helps(): bool
    {
        return $this->left->weight() < $this->finding->verdict->weight()
            && ! $this->left->isFault()
            && ! $this->moved
            && $this->lost === []
            && $this->effect->newClashes === []
            // One thing that is tight for another is no help.
            && ($this->added === [] || $this->finding->verdict->isFault())
            && array_filter($this->added, fn (Finding $finding): bool => ! $this->isBearable($finding)) === [];
    }

    /** The finding is gone, and nothing about the build is worse. */
    public function isClean(): bool
    {
        return $this->added === [] && $this->left === Verdict::Fits;
    }

    /** What is tight can be lived with; what nobody knows of the other parts or of the builder can be found out, of the new part it cannot. */
    private function isBearable(Finding $added): bool
    {
        if ($added->verdict !== Verdict::Unmeasured) {
            return $added->verdict === Verdict::Tight;
        }
        foreach ($added->waitsFor as [$line, $figure]) {
            // Of a wanted part nothing is asked; what stands in its place may have figures to find out.
            $isOfNew = $line === $this->edits->changes() && ! in_array($figure->key(), Measuring::OF_BRIEF, true) && $this->finding->rule !== 'whole.wanted';
            if ($isOfNew) {
                return false;
            }
        }

        return true;
    }

    /** @return list<int> smaller is better: what is left of the finding, another join before another part, what stands about the part, what is lost */
    public function rank(): array
    {
        return [
            $this->left->weight(),
            match (true) {
                // Less of what was wished for comes after all that keeps the wish.
                $this->edits->hours !== null || $this->edits->brightness !== null => 2,
                $this->edits->part === null => 0,
                default => 1,
            },
            $this->loss > self::LITTLE_LOSS_TENTHS ? 1 : 0,
            $this->effect->verdict->weight(),
            count($this->added),
            $this->loss,
        ];
    }

    /**
     * @return list<array{verdict: string, says: string}> what one has to live with or to find out: what is left of the finding, and what is worse than before
     */
    public function leaves(): array
    {
        $said = array_map(static fn (Finding $finding): array => ['verdict' => $finding->verdict->value, 'says' => $finding->says()], $this->added);
        if ($this->left === Verdict::Fits) {
            return $said;
        }
        foreach ($this->effect->concerning as $one) {
            if ($one->key() === $this->finding->key()) {
                return [['verdict' => $one->verdict->value, 'says' => $one->says()], ...$said];
            }
        }

        return [['verdict' => $this->left->value, 'says' => 'It is milder, and not gone.'], ...$said];
    }

    /** A finding whose key is gone may stand under another key with the same rule and verdict on the changed line. */
    private static function movedElsewhere(Finding $finding, Effect $effect): bool
    {
        if (isset($effect->verdicts[$finding->key()])) {
            return false;
        }
        foreach ($effect->concerning as $other) {
            if ($other->rule === $finding->rule && $other->verdict->weight() >= $finding->verdict->weight()) {
                return true;
            }
        }

        return false;
    }
}
