<?php

declare(strict_types=1);

namespace PocketPlot\Bench;

/** Adds up a log row by row and keeps a picture of it of a bounded size, however long it is. */
final class LogTally
{
    private int $rows = 0;

    private float $coulombs = 0.0;

    private float $joules = 0.0;

    /** @var array{float, float, float}|null seconds, volts, amps */
    private ?array $first = null;

    /** @var array{float, float, float}|null */
    private ?array $last = null;

    /** @var list<array{float, float, float}> sums over as many rows each as says; the last one may have fewer */
    private array $buckets = [];

    private int $wide = 1;

    private int $inLast = 0;

    /** @param  int  $kept  rows of the picture, at most; 2 keeps the first and the last only */
    public function __construct(private readonly int $kept) {}

    /**
     * @param  list<array{float, float, float}>  $log  seconds, volts, amps, in the order of time
     * @return ?LogSums null with fewer than two rows
     */
    public static function sumsOf(array $log): ?LogSums
    {
        $tally = new self(2);
        foreach ($log as [$seconds, $volts, $amps]) {
            $tally->add($seconds, $volts, $amps);
        }

        return $tally->sums();
    }

    public function add(float $seconds, float $volts, float $amps): void
    {
        $this->rows++;
        if ($this->first === null || $this->last === null) {
            $this->first = $this->last = [$seconds, $volts, $amps];

            return;
        }
        [$from, $volts0, $amps0] = $this->last;
        // Trapezoids between the rows.
        $this->coulombs += ($amps0 + $amps) / 2 * ($seconds - $from);
        $this->joules += ($volts0 * $amps0 + $volts * $amps) / 2 * ($seconds - $from);
        if ($this->rows > 2 && $this->kept > 2) {
            $this->keep($this->last);
        }
        $this->last = [$seconds, $volts, $amps];
    }

    public function rows(): int
    {
        return $this->rows;
    }

    /** @return ?LogSums null with fewer than two rows, or when no time went by */
    public function sums(): ?LogSums
    {
        if ($this->first === null || $this->last === null) {
            return null;
        }
        $seconds = $this->last[0] - $this->first[0];

        return $this->rows < 2 || $seconds <= 0.0
            ? null
            : new LogSums($seconds / 3600, $this->coulombs / 3.6, $this->joules / 3600, $this->joules / $seconds, $this->first[1], $this->last[1]);
    }

    /**
     * Every row of a short log; of a long one means over even stretches, first and last as they are.
     *
     * @return list<array{float, float, float}> seconds since the first row, volts, amps
     */
    public function thinned(): array
    {
        if ($this->first === null || $this->last === null) {
            return [];
        }
        $start = $this->first[0];
        $log = [[0.0, $this->first[1], $this->first[2]]];
        foreach ($this->buckets as $index => [$seconds, $volts, $amps]) {
            $rows = $index === count($this->buckets) - 1 ? $this->inLast : $this->wide;
            $log[] = $this->wide === 1
                ? [$seconds - $start, $volts, $amps]
                : [round($seconds / $rows - $start, 3), round($volts / $rows, 5), round($amps / $rows, 6)];
        }

        return $this->rows === 1 ? $log : [...$log, [$this->last[0] - $start, $this->last[1], $this->last[2]]];
    }

    /** @param  array{float, float, float}  $row  neither the first nor the last of the log */
    private function keep(array $row): void
    {
        $at = count($this->buckets) - 1;
        if ($at < 0 || $this->inLast === $this->wide) {
            if ($at + 1 >= $this->kept - 2) {
                $this->halve();
                $this->keep($row);

                return;
            }
            $this->buckets[] = $row;
            $this->inLast = 1;

            return;
        }
        $this->buckets[$at] = self::plus($this->buckets[$at], $row);
        $this->inLast++;
    }

    private function halve(): void
    {
        $pairs = array_chunk($this->buckets, 2);
        $this->inLast = count($pairs[count($pairs) - 1]) === 2 ? $this->wide * 2 : $this->wide;
        $this->buckets = array_map(static fn (array $pair): array => isset($pair[1]) ? self::plus($pair[0], $pair[1]) : $pair[0], $pairs);
        $this->wide *= 2;
    }

    /**
     * @param  array{float, float, float}  $one
     * @param  array{float, float, float}  $other
     * @return array{float, float, float}
     */
    private static function plus(array $one, array $other): array
    {
        return [$one[0] + $other[0], $one[1] + $other[1], $one[2] + $other[2]];
    }
}
