<?php

declare(strict_types=1);

namespace PocketPlot\Quantity;

/** Where a figure came from. */
enum Source: string
{
    case Datasheet = 'datasheet';
    case Measured = 'measured';
    case Listing = 'listing';
    /** Read from a drawing of the part. */
    case Drawing = 'file';
    case Guess = 'guess';
    /** Usual of its kind; nobody wrote it down for this part. */
    case Typical = 'typical';
    case Unknown = 'unknown';
    /** Worked out from other figures, or set by the brief. */
    case WorkedOut = 'worked out';
    case Brief = 'brief';

    /** What is worked out from two figures is no surer than the less sure of them: it stays in pencil. */
    public function with(self $other): self
    {
        foreach ([self::Guess, self::Typical] as $pencil) {
            if ($this === $pencil || $other === $pencil) {
                return $pencil;
            }
        }

        return self::WorkedOut;
    }

    /** Written in pencil: nobody looked at this very part. */
    public function isPencil(): bool
    {
        return $this === self::Guess || $this === self::Typical;
    }
}
