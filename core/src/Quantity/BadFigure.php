<?php

declare(strict_types=1);

namespace PocketPlot\Quantity;

final class BadFigure extends \DomainException
{
    public static function outOfOrder(float $least, float $usual, float $most, string $unit): self
    {
        return new self(sprintf(
            'least %s, usual %s, most %s %s are not in rising order; write the smallest as least and the largest as most',
            Number::says($least), Number::says($usual), Number::says($most), $unit,
        ));
    }

    public static function notKnown(string $unit): self
    {
        return new self("a figure in {$unit} was used although it is unknown");
    }

    public static function notADay(string $text): self
    {
        return new self("\"{$text}\" is not a day; write it as year-month-day, such as 2026-03-09");
    }

    public static function notMoney(string $text): self
    {
        return new self("\"{$text}\" is not an amount of money; write digits with a point, such as 12.40");
    }

    public static function notACurrency(string $text): self
    {
        return new self("\"{$text}\" is not a currency; write its three letters, such as EUR");
    }
}
