<?php

declare(strict_types=1);

namespace PocketPlot\Quantity;

use Brick\Math\RoundingMode;

/** Whole hundredths of a currency, in which sums are shared out without losing one. */
final class Cents
{
    /** @param  int  $cents  hundredths; as a decimal: -5 is "-0.05" */
    public static function says(int $cents): string
    {
        return sprintf('%s%d.%02d', $cents < 0 ? '-' : '', intdiv(abs($cents), 100), abs($cents) % 100);
    }

    /** @return int hundredths of the money's own currency, half up */
    public static function of(Money $money): int
    {
        return $money->times(100)->amount->toScale(0, RoundingMode::HALF_UP)->toInt();
    }

    /** @param  int  $cents  hundredths of the currency */
    public static function money(int $cents, string $currency): Money
    {
        return Money::of(self::says($cents), $currency);
    }
}
