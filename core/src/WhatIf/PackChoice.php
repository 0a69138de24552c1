<?php

declare(strict_types=1);

namespace PocketPlot\WhatIf;

use PocketPlot\Part\Part;
use PocketPlot\Power\Circuit;
use PocketPlot\Power\EndCause;
use PocketPlot\Power\RunEnd;

/** One pack of the library tried in a build. */
final readonly class PackChoice
{
    /**
     * @param  ?RunEnd  $one  the run on one of it; null when it feeds nothing or figures are missing
     * @param  int  $count  how many in parallel the wish asks for
     * @param  ?RunEnd  $reached  the run on that many
     * @param  ?bool  $fits  into the body, that many; null without a body
     * @param  list<string>  $missing
     * @param  list<string>  $clashes  what else about power so many of it would bring, a sentence each; none where it does not do it
     */
    public function __construct(
        public Part $part,
        public ?Circuit $circuit,
        public ?RunEnd $one,
        public int $count,
        public ?RunEnd $reached,
        public bool $does,
        public ?bool $fits,
        public ?float $cm3,
        public ?float $grams,
        public ?EndCause $tooHigh,
        public array $missing,
        public array $clashes,
        /** Many times the pack that the wish asks for. */
        public bool $isOversized = false,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $offer = $this->part->bestOffer();

        return [
            'part' => $this->part->id,
            'name' => $this->part->name,
            'chemistry' => $this->part->pack->chemistry ?? '',
            'series' => $this->part->pack->series ?? 1,
            'sealed' => $this->part->pack->sealed ?? false,
            'oneHours' => self::hours($this->one),
            'count' => $this->count,
            'hours' => self::hours($this->reached),
            'does' => $this->does,
            'fits' => $this->fits,
            'cm3' => $this->cm3 === null ? null : round($this->cm3, 1), 'grams' => $this->grams === null ? null : round($this->grams, 1),
            'price' => $offer === null ? null : $offer->price->times($this->count)->toArray(),
            'why' => $this->why(), 'clashes' => $this->clashes,
        ];
    }

    private function why(): ?string
    {
        return match (true) {
            $this->does => null,
            $this->missing !== [] => 'Nobody knows the '.implode(', ', $this->missing).' yet.',
            $this->reached === null => 'It feeds nothing here.',
            $this->isOversized => 'It does many times what is asked for: nobody builds that in.',
            default => ($this->tooHigh ?? $this->reached->end)?->says(),
        };
    }

    private static function hours(?RunEnd $end): ?float
    {
        return $end === null || ! is_finite($end->hours) ? null : round($end->hours, 3);
    }
}
