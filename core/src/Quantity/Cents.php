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
        $amount = $money->amount->getScale() <= 2 ? $money->amount : $money->amount->toScale(2, RoundingMode::HALF_UP);

        return $amount->getUnscaledValue()->toInt() * 10 ** (2 - $amount->getScale());
    }

    /** @param  int  $cents  hundredths of the currency */
    public static function money(int $cents, string $currency): Money
    {
        return Money::ofCents($cents, $currency);
    }
}
