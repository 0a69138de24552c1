<?php

declare(strict_types=1);

namespace PocketPlot\Build\Reading;

use PocketPlot\Build\Reading;
use PocketPlot\Part\YesNo;

/** A supply turned down step by step until the part goes dark. */
final readonly class Sweep extends Reading
{
    /**
     * @param  list<array{volts: float, lit: bool, milliamps: ?float}>  $steps
     * @param  YesNo  $signal  whether the panel had a picture signal
     */
    public function __construct(TakenAs $taken, public array $steps, public YesNo $signal = YesNo::Unknown)
    {
        parent::__construct($taken);
    }

    public function kind(): ReadingKind
    {
        return ReadingKind::Sweep;
    }

    public function says(): string
    {
        return count($this->steps) === 1 ? 'one step' : count($this->steps).' steps';
    }

    public function ownFields(): array
    {
        return [
            'steps' => array_map(static fn (array $step): array => array_filter($step, static fn (mixed $value): bool => $value !== null), $this->steps),
            'signal' => $this->signal === YesNo::Unknown ? '' : $this->signal->value,
        ];
    }
}
