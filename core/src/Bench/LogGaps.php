<?php

declare(strict_types=1);

namespace PocketPlot\Bench;

/** Pauses of a log that are so many times the usual one. What is usual is learnt from the first rows. */
final class LogGaps
{
    /** Pauses from which the usual one is learnt. */
    private const LEARNT_FROM = 10_000;

    /** @var list<array{int, float}> line and pause, until the usual one is known */
    private array $waiting = [];

    private ?float $usual = null;

    private ?float $last = null;

    /** @param  float  $times  a pause of so many times the usual one is a gap */
    public function __construct(private readonly float $times) {}

    /**
     * @param  float  $seconds  of the next row
     * @return list<array{int, float}> the gaps that are certain by now: the line behind each, and its seconds
     */
    public function after(float $seconds, int $line): array
    {
        $pause = $this->last === null ? null : $seconds - $this->last;
        $this->last = $seconds;
        if ($pause === null) {
            return [];
        }
        if ($this->usual !== null) {
            return $this->isGap($pause) ? [[$line, $pause]] : [];
        }
        $this->waiting[] = [$line, $pause];

        return count($this->waiting) < self::LEARNT_FROM ? [] : $this->rest();
    }

    /** @return list<array{int, float}> the gaps among the rows that were waiting */
    public function rest(): array
    {
        if (count($this->waiting) < 3) {
            return [];
        }
        $pauses = array_column($this->waiting, 1);
        sort($pauses);
        $this->usual = $pauses[intdiv(count($pauses), 2)];
        $gaps = array_values(array_filter($this->waiting, fn (array $one): bool => $this->isGap($one[1])));
        $this->waiting = [];

        return $gaps;
    }

    private function isGap(float $pause): bool
    {
        return $this->usual > 0.0 && $pause > $this->times * $this->usual;
    }
}
