<?php

declare(strict_types=1);

namespace CoreTests\Learning;

use PocketPlot\Clipping\Weighing\Weigher;

/**
 * Learns what traits say of a number: a multinomial logistic model, by stochastic gradient steps whose sizes fall with what each weight has
 * moved already (AdaGrad: Duchi, Hazan and Singer, 2011). In each step a share of the traits is hidden, so that none is leant on alone
 * (Srivastava et al., 2014). The same examples always give the same weights.
 *
 * @phpstan-import-type Example from Examples
 *
 * @phpstan-type Learned array{labels: array<string, list<string>>, allowed: array<string, list<int>>, weights: array<string, array<string, string>>}
 */
final class Trainer
{
    private const ROUNDS = 16;

    /** Learned so many times in another order, and the mean taken: what only one order says falls away, and few things change with a text more. */
    private const TIMES = 3;

    private const STEP = 0.12;

    private const DECAY = 0.002;

    /** Of a thousand traits, how many are hidden in each step. */
    private const HIDDEN = 400;

    /** A trait that is seen less often says nothing that could be trusted. */
    private const LEAST_SEEN = 4;

    /** Weights of fewer steps are left out. */
    private const SMALL = 3;

    /** @var array<int, array<int, float>> by trait and label */
    private array $weights = [];

    /** @var array<int, array<int, float>> sums of the squares of the steps */
    private array $moved = [];

    /** @var array<string, array<string, int>> by sort */
    private array $labels = [];

    /** @var array<string, array<int, true>> labels by sort and role */
    private array $allowed = [];

    /** @var array<string, array<string, int>> by sort */
    private array $traits = [];

    private int $count = 0;

    /**
     * @param  list<Example>  $examples
     * @return Learned
     */
    public function learn(array $examples): array
    {
        $seen = [];
        foreach ($examples as ['traits' => $traits, 'sort' => $sort, 'role' => $role, 'labels' => $labels]) {
            foreach (['', ...$labels] as $label) {
                $this->allowed["{$sort}|{$role}"][$this->label($sort, $label)] = true;
            }
            foreach ($traits as $trait) {
                $seen[$sort][$trait] = ($seen[$sort][$trait] ?? 0) + 1;
            }
        }
        $cases = [];
        foreach ($examples as ['traits' => $traits, 'sort' => $sort, 'role' => $role, 'labels' => $labels]) {
            $kept = array_values(array_filter($traits, static fn (string $trait): bool => $seen[$sort][$trait] >= self::LEAST_SEEN));
            $cases[] = [array_map(fn (string $trait): int => $this->traits[$sort][$trait] ??= $this->count++, $kept),
                array_keys($this->allowed["{$sort}|{$role}"]), array_map(fn (string $label): int => $this->label($sort, $label), $labels)];
        }
        $sums = [];
        for ($time = 0; $time < self::TIMES; $time++) {
            foreach ($this->run($cases, 7 + $time) as $trait => $ofLabels) {
                foreach ($ofLabels as $label => $weight) {
                    $sums[$trait][$label] = ($sums[$trait][$label] ?? 0.0) + $weight / self::TIMES;
                }
            }
        }
        $this->weights = $sums;

        return $this->learned();
    }

    /**
     * From nothing, in an order of its own.
     *
     * @param  list<array{list<int>, list<int>, non-empty-list<int>}>  $cases  traits, labels that are allowed, labels that are right
     * @return array<int, array<int, float>>
     */
    private function run(array $cases, int $seed): array
    {
        mt_srand($seed);
        $this->weights = $this->moved = [];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            shuffle($cases);
            foreach ($cases as [$traits, $allowed, $right]) {
                $this->step(array_values(array_filter($traits, static fn (): bool => mt_rand(0, 999) >= self::HIDDEN)), $allowed, $right);
            }
        }

        return $this->weights;
    }

    /**
     * Lessons of different sorts.
     *
     * @param  Learned  ...$lessons
     * @return Learned
     */
    public static function together(array ...$lessons): array
    {
        return [
            'labels' => array_merge(...array_column($lessons, 'labels')), 'allowed' => array_merge(...array_column($lessons, 'allowed')),
            'weights' => array_merge(...array_column($lessons, 'weights')),
        ];
    }

    /** @param  Learned  $learned */
    public static function weigher(array $learned): Weigher
    {
        return new Weigher($learned['labels'], $learned['allowed'], $learned['weights']);
    }

    private function label(string $sort, string $label): int
    {
        return $this->labels[$sort][$label] ??= count($this->labels[$sort] ?? []);
    }

    /**
     * @param  list<int>  $traits
     * @param  list<int>  $allowed
     * @param  non-empty-list<int>  $right
     */
    private function step(array $traits, array $allowed, array $right): void
    {
        $sums = array_fill_keys($allowed, 0.0);
        foreach ($traits as $trait) {
            foreach (array_intersect_key($this->weights[$trait] ?? [], $sums) as $label => $weight) {
                $sums[$label] += $weight;
            }
        }
        $most = max($sums);
        $shares = array_map(static fn (float $sum): float => exp($sum - $most), $sums);
        $all = array_sum($shares);
        $ofRight = array_sum(array_intersect_key($shares, array_flip($right)));
        foreach ($shares as $label => $share) {
            $wanted = ! in_array($label, $right, true) ? 0.0 : ($ofRight > 0.0 ? $share / $ofRight : 1 / count($right));
            $off = $wanted - $share / $all;
            if (abs($off) < 1e-3) {
                continue;
            }
            foreach ($traits as $trait) {
                $before = $this->weights[$trait][$label] ?? 0.0;
                $slope = $off - self::DECAY * $before;
                $moved = ($this->moved[$trait][$label] ?? 0.0) + $slope * $slope;
                $this->moved[$trait][$label] = $moved;
                $this->weights[$trait][$label] = $before + self::STEP * $slope / (1e-6 + sqrt($moved));
            }
        }
    }

    /** @return Learned */
    private function learned(): array
    {
        $weights = [];
        foreach ($this->traits as $sort => $traits) {
            foreach ($traits as $trait => $number) {
                $packed = self::packed($this->weights[$number] ?? []);
                if ($packed !== '') {
                    $weights[$sort][(string) $trait] = $packed;
                }
            }
        }
        foreach ($weights as &$ofSort) {
            ksort($ofSort, SORT_STRING);
        }
        unset($ofSort);
        ksort($weights, SORT_STRING);

        return [
            'labels' => array_map(static fn (array $labels): array => array_map(strval(...), array_keys($labels)), $this->labels),
            'allowed' => array_map(static fn (array $labels): array => array_keys($labels), $this->allowed),
            'weights' => $weights,
        ];
    }

    /**
     * Two signs a label: which, and how many steps. As many traits are seen at once as were not hidden while learning.
     *
     * @param  array<int, float>  $weights
     */
    private static function packed(array $weights): string
    {
        ksort($weights);
        $steps = array_map(static fn (float $weight): int => (int) round($weight * (1 - self::HIDDEN / 1000) / Weigher::STEP), $weights);
        $counts = array_count_values($steps);
        arsort($counts);
        // Only how much more one weighs than another counts: what most of them weigh is left out.
        $common = (int) array_key_first($counts);
        $most = Weigher::ZERO - Weigher::FIRST;
        $packed = '';
        foreach ($steps as $label => $one) {
            $off = max(-$most, min($most, $one - $common));
            $packed .= abs($off) < self::SMALL ? '' : chr(Weigher::FIRST + $label).chr(Weigher::ZERO + $off);
        }

        return $packed;
    }
}
