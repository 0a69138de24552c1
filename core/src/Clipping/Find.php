<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/** One thing that a text says of a part, and where in the text it stands. */
final readonly class Find
{
    /**
     * @param  array<string, float|int|string>  $says  least, usual, most of a figure; "is" of a word; amount, currency and packet of a price; connector,
     *   direction, carries and count of a socket; length, width, height of a box
     */
    public function __construct(
        public string $what,
        public array $says,
        /** Bytes in the plain text. */
        public int $start,
        public int $end,
        /** The text leaves it open, or says two things of it. */
        public bool $isUnsure = false,
    ) {}

    public static function figure(string $what, Amount $amount): self
    {
        return new self($what, $amount->bounds(), $amount->start, $amount->end);
    }

    public function unsure(): self
    {
        return new self($this->what, $this->says, $this->start, $this->end, true);
    }

    /** @param  array<string, float|int|string>  $says */
    public function saying(array $says): self
    {
        return new self($this->what, $says, $this->start, $this->end, $this->isUnsure);
    }

    public function isFigure(): bool
    {
        return array_intersect(array_keys($this->says), ['least', 'usual', 'most']) !== [];
    }

    public function number(string $key): ?float
    {
        $value = $this->says[$key] ?? null;

        return is_float($value) || is_int($value) ? (float) $value : null;
    }

    /** @return array<string, float|int|string|bool> */
    public function toArray(): array
    {
        return ['what' => $this->what, ...$this->says, ...($this->isUnsure ? ['unsure' => true] : [])];
    }
}
