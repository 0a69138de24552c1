<?php

declare(strict_types=1);

namespace PocketPlot\Quantity;

use Brick\Math\BigDecimal;
use Brick\Math\Exception\MathException;
use Brick\Math\RoundingMode;

/** An exact amount in a currency (three letters). Sums are kept exact; rounding is to two places when said. */
final readonly class Money
{
    private function __construct(public BigDecimal $amount, public string $currency) {}

    /** @throws BadFigure when the amount or the currency cannot be read */
    public static function of(string $amount, string $currency): self
    {
        self::refuseNoCurrency($currency);
        try {
            return new self(BigDecimal::of($amount), $currency);
        } catch (MathException) {
            throw BadFigure::notMoney($amount);
        }
    }

    /** @throws BadFigure when the currency cannot be read */
    public static function ofCents(int $cents, string $currency): self
    {
        self::refuseNoCurrency($currency);

        return new self(BigDecimal::ofUnscaledValue($cents, 2), $currency);
    }

    /** The same amount's worth, in a currency that is known to be one. */
    public function become(BigDecimal $amount, string $currency): self
    {
        return new self($amount, $currency);
    }

    public static function zero(string $currency): self
    {
        return self::of('0', $currency);
    }

    /** @throws \LogicException when the currencies differ: convert with Rates first */
    public function plus(self $other): self
    {
        if ($other->currency !== $this->currency) {
            throw new \LogicException("cannot add {$other->currency} to {$this->currency}");
        }

        return new self($this->amount->plus($other->amount), $this->currency);
    }

    public function times(string|int $factor): self
    {
        return $factor === 1 ? $this : new self($this->amount->multipliedBy($factor), $this->currency);
    }

    public function isMoreThan(self $other): bool
    {
        return $this->amount->isGreaterThan($other->amount);
    }

    /** Two places, half up. */
    public function rounded(): string
    {
        return (string) $this->amount->toScale(2, RoundingMode::HALF_UP);
    }

    /** To the last digit, with two places at least; as files and rows keep it. */
    public function exact(): string
    {
        $bare = $this->amount->stripTrailingZeros();

        return (string) $bare->toScale(max(2, $bare->getScale()));
    }

    public function says(): string
    {
        return $this->rounded().' '.$this->currency;
    }

    /** @return array{amount: string, currency: string} exact, as exact() has it */
    public function toArray(): array
    {
        return ['amount' => $this->exact(), 'currency' => $this->currency];
    }

    private static function refuseNoCurrency(string $currency): void
    {
        if (preg_match('/^[A-Z]{3}$/D', $currency) !== 1) {
            throw BadFigure::notACurrency($currency);
        }
    }
}
