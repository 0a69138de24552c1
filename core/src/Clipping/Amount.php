<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/**
 * A number or a range with its unit as it stands in a text, in our units (V, mA, W, mAh, Wh, mm, g, ohm, Hz, °C, share, GB, s, AWG,
 * K/W, C for multiples of a capacity). One number stands in `usual`, or in the bound that the words about it name.
 */
final readonly class Amount
{
    public function __construct(
        public string $unit,
        public ?float $least,
        public ?float $usual,
        public ?float $most,
        /** Bytes in the plain text. */
        public int $start,
        public int $end,
    ) {}

    /** The number that decides where one is asked for. */
    public function value(): float
    {
        return $this->usual ?? $this->most ?? $this->least ?? 0.0;
    }

    public function isOne(): bool
    {
        return ($this->least === null) + ($this->usual === null) + ($this->most === null) === 2;
    }

    public function isRange(): bool
    {
        return $this->least !== null && $this->most !== null;
    }

    /** @return array<string, float> */
    public function bounds(): array
    {
        return array_filter(['least' => $this->least, 'usual' => $this->usual, 'most' => $this->most], static fn (?float $bound): bool => $bound !== null);
    }
}
