<?php

declare(strict_types=1);

namespace PocketPlot\Quantity;

/**
 * A physical figure: a band from least to most around a usual value, its unit and its source.
 * A figure that is not known is a figure, too: it has a unit and no numbers.
 */
final readonly class Figure
{
    private function __construct(
        public ?float $least,
        public ?float $usual,
        public ?float $most,
        public string $unit,
        public Source $source,
        public ?string $on = null,
        /** What stood there before it was measured, as it reads; stays visible beside the measurement. */
        public ?string $stated = null,
    ) {}

    public static function unknown(string $unit): self
    {
        return new self(null, null, null, $unit, Source::Unknown);
    }

    public static function exactly(float $value, string $unit, Source $source = Source::WorkedOut, ?string $on = null): self
    {
        return new self($value, $value, $value, $unit, $source, $on);
    }

    /**
     * @throws BadFigure when the three values are not in rising order
     */
    public static function band(float $least, float $usual, float $most, string $unit, Source $source = Source::WorkedOut, ?string $on = null): self
    {
        if ($least > $usual || $usual > $most) {
            throw BadFigure::outOfOrder($least, $usual, $most, $unit);
        }

        return new self($least, $usual, $most, $unit, $source, $on);
    }

    /** This figure, measured: it counts from now on, and what was stated stays visible. */
    public function over(self $stated): self
    {
        return new self($this->least, $this->usual, $this->most, $this->unit, Source::Measured, $this->on,
            $stated->isKnown() ? "{$stated->says()} ({$stated->source->value})" : null);
    }

    public function isKnown(): bool
    {
        return $this->usual !== null;
    }

    /** @throws BadFigure when the figure is unknown: callers ask isKnown() first */
    public function least(): float
    {
        return $this->least ?? throw BadFigure::notKnown($this->unit);
    }

    /** @throws BadFigure when the figure is unknown */
    public function usual(): float
    {
        return $this->usual ?? throw BadFigure::notKnown($this->unit);
    }

    /** @throws BadFigure when the figure is unknown */
    public function most(): float
    {
        return $this->most ?? throw BadFigure::notKnown($this->unit);
    }

    public function times(float $factor, ?string $unit = null): self
    {
        if ($factor === 1.0 && $unit === null) {
            return $this;
        }
        if ($this->least === null || $this->usual === null || $this->most === null) {
            return self::unknown($unit ?? $this->unit);
        }

        return new self($this->least * $factor, $this->usual * $factor, $this->most * $factor, $unit ?? $this->unit, $this->source, $this->on, $this->stated);
    }

    /** The same figure, as sure as the less sure of the two. */
    public function restingOn(self $other): self
    {
        return $this->isKnown() && $other->source->isPencil() && ! $this->source->isPencil()
            ? new self($this->least, $this->usual, $this->most, $this->unit, $other->source, $this->on, $this->stated)
            : $this;
    }

    /** Adds two figures of one unit; unknown when either is. */
    public function plus(self $other): self
    {
        if (! $this->isKnown() || ! $other->isKnown()) {
            return self::unknown($this->unit);
        }

        return new self(
            $this->least() + $other->least(),
            $this->usual() + $other->usual(),
            $this->most() + $other->most(),
            $this->unit,
            $this->source->with($other->source),
        );
    }

    /** The figure as people read it: "5 V", "3 to 4.2 V", "unknown". */
    public function says(): string
    {
        if ($this->least === null || $this->most === null) {
            return 'unknown';
        }

        return $this->unit === '' ? $this->saysBand() : "{$this->saysBand()} {$this->unit}";
    }

    /** Least to most without the unit; one number where they read the same. */
    public function saysBand(): string
    {
        if ($this->least === null || $this->most === null) {
            return 'unknown';
        }
        $least = Number::says($this->least);
        $most = $this->most === $this->least ? $least : Number::says($this->most);

        return $least === $most ? $least : "{$least} to {$most}";
    }
}
