<?php

declare(strict_types=1);

namespace PocketPlot\Check;

/** The five answers of a rule, mildest first. */
enum Verdict: string
{
    case Fits = 'fits';
    case Tight = 'tight';
    case Unmeasured = 'unmeasured';
    /** Something that the build needs is not on its list yet. */
    case Missing = 'missing';
    case Clash = 'clash';

    public function weight(): int
    {
        return match ($this) {
            self::Fits => 0,
            self::Tight => 1,
            self::Unmeasured => 2,
            self::Missing => 3,
            self::Clash => 4,
        };
    }

    /** Something has to be done before it can be built: it clashes, or it is not there yet. */
    public function isFault(): bool
    {
        return $this === self::Clash || $this === self::Missing;
    }

    public function worseOf(self $other): self
    {
        return $other->weight() > $this->weight() ? $other : $this;
    }
}
