<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

/** A share of a sum in whole hundredths, half up: the same figure wherever it is told. */
final class Share
{
    private const WHOLE = 10_000;

    /** @param  int  $share  in hundredths of a per cent */
    public static function of(int $cents, int $share): int
    {
        return intdiv($cents * $share + intdiv(self::WHOLE, 2), self::WHOLE);
    }
}
