<?php

declare(strict_types=1);

namespace PocketPlot\Build;

/**
 * A way of playing: which share of the time each state takes. Shares add up to one. Brightness, volume
 * and fan run from 0 to 1 and outrank the state for the parts they concern; null leaves those parts to
 * the state. Radio off switches add-on radios off.
 */
final readonly class Profile
{
    /** How far the shares may miss the whole. */
    public const ROUNDING = 0.005;

    /** @param  array<string, mixed>  $extra keys of the file that this version does not know */
    public function __construct(
        public string $name,
        public float $off = 0.0,
        public float $idle = 0.0,
        public float $usual = 1.0,
        public float $heavy = 0.0,
        public ?float $brightness = null,
        public ?float $volume = null,
        public ?float $fan = null,
        public ?bool $radio = null,
        public array $extra = [],
    ) {}

    /** @return non-empty-list<self> what counts while the builder has named none: from quiet to flat out, everyday play in the middle */
    public static function defaults(): array
    {
        return [
            new self('Everyday', idle: 0.2, usual: 0.6, heavy: 0.2),
            new self('Quiet', idle: 1.0, usual: 0.0),
            new self('Flat out', usual: 0.0, heavy: 1.0),
        ];
    }

    public function shares(): float
    {
        return $this->off + $this->idle + $this->usual + $this->heavy;
    }

    public function with(?float $brightness = null, ?float $volume = null, ?float $fan = null, ?bool $radio = null): self
    {
        return new self(
            $this->name,
            $this->off,
            $this->idle,
            $this->usual,
            $this->heavy,
            $brightness ?? $this->brightness,
            $volume ?? $this->volume,
            $fan ?? $this->fan,
            $radio ?? $this->radio,
        );
    }

    /** The same settings, all the time in one mix of states. */
    public function playing(float $idle, float $usual, float $heavy): self
    {
        return new self($this->name, 0.0, $idle, $usual, $heavy, $this->brightness, $this->volume, $this->fan, $this->radio);
    }
}
