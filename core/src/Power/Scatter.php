<?php

declare(strict_types=1);

namespace PocketPlot\Power;

/** What a sampling says: where its runs lie, and what each figure and habit is worth. */
final readonly class Scatter
{
    private const BARS = 20;

    /**
     * @param  list<float>  $hours  of every run, sorted
     * @param  list<Sensitivity>  $sensitivities  worth most first
     */
    public function __construct(public array $hours, public int $seed, public array $sensitivities) {}

    /** @return array{float, float, float, float, float} hours below which 5, 25, 50, 75 and 95 % of the runs lie */
    public function middle(): array
    {
        $at = fn (float $share): float => $this->hours === [] ? 0.0 : $this->hours[min(count($this->hours) - 1, (int) floor($share * count($this->hours)))];

        return [$at(0.05), $at(0.25), $at(0.5), $at(0.75), $at(0.95)];
    }

    /** @return list<array{from: float, to: float, runs: int}> even stretches of hours and the runs that ended in each */
    public function histogram(): array
    {
        if ($this->hours === []) {
            return [];
        }
        $least = $this->hours[0];
        $wide = max(1e-6, ($this->hours[count($this->hours) - 1] - $least) / self::BARS);
        $counts = array_fill(0, self::BARS, 0);
        foreach ($this->hours as $one) {
            $counts[min(self::BARS - 1, (int) floor(($one - $least) / $wide))]++;
        }

        return array_map(
            static fn (int $bar, int $runs): array => [
                'from' => round($least + $bar * $wide, 3),
                'to' => round($least + ($bar + 1) * $wide, 3),
                'runs' => $runs,
            ],
            array_keys($counts),
            $counts,
        );
    }

    /** @return array<string, mixed> the shape that the API answers (contract/openapi.json, "PowerBand") */
    public function toArray(): array
    {
        return [
            'runs' => count($this->hours), 'seed' => $this->seed,
            'middle' => array_map(static fn (float $one): float => round($one, 3), $this->middle()),
            'histogram' => $this->histogram(),
            'sensitivities' => array_map(static fn (Sensitivity $one): array => $one->toArray(), $this->sensitivities),
        ];
    }
}
