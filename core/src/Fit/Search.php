<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\FitAim;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Looks for a good arrangement by trying orders and turns: a step is kept when it is better, and now and then when it is
 * not (simulated annealing), from several beginnings. The same seed gives the same steps; how long is the caller's.
 *
 * @phpstan-import-type Point from Clearance
 *
 * @phpstan-type Found array{at: array<int, Point>, ways: list<int>, lost: list<int>, reach: Point, cost: float}
 */
final class Search
{
    /** Steps between two looks at the clock of whoever asks. */
    private const ROUND = 20;

    /** Steps of one cooling. */
    private const COOLING = 400;

    /** Cubic millimetres that find no place cost more than any size. */
    private const LOST = 1e6;

    private Builder $builder;

    private Randomizer $random;

    /** @var list<int> the order that the best came from */
    private array $order = [];

    /** @var Point the frame that it was laid into */
    private array $frame = [0.0, 0.0, 0.0];

    public int $steps = 0;

    public function __construct(private readonly Task $task, int $seed)
    {
        $this->builder = new Builder($task);
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /**
     * @param  callable(): bool  $goOn  asked again and again
     * @param  float  $enough  what cannot be beaten, in the unit of Task::measure()
     * @param  int  $patience  steps after which it gives up while some piece still finds no place
     * @return Found
     */
    public function run(callable $goOn, float $enough, int $patience = PHP_INT_MAX): array
    {
        $ways = $this->flattest();
        $best = $this->tryAll($this->beginnings(), $ways);
        while ($goOn() && ! ($best['lost'] === [] && $this->measureOf($best) <= $enough + 1e-6) && ($best['lost'] === [] || $this->steps < $patience)) {
            $best = $this->cool($best, $goOn, $enough);
        }

        return $best;
    }

    /**
     * @param  list<list<int>>  $orders
     * @param  list<int>  $ways
     * @return Found
     */
    private function tryAll(array $orders, array $ways): array
    {
        $best = null;
        foreach ($orders as $order) {
            $found = $this->try($order, $ways, $this->task->frame);
            $best = $best === null || $found['cost'] < $best['cost'] ? $found : $best;
            if ($best === $found) {
                $this->order = $order;
                $this->frame = $this->task->frame;
            }
        }

        return $best ?? $this->try(array_keys($this->task->pieces), $ways, $this->task->frame);
    }

    /**
     * @param  Found  $best
     * @param  callable(): bool  $goOn
     * @return Found
     */
    private function cool(array $best, callable $goOn, float $enough): array
    {
        [$order, $ways, $frame, $cost] = [$this->order, $best['ways'], $this->frame, $best['cost']];
        $heat = max(1e-6, $best['lost'] === [] ? $best['cost'] * 0.04 : $this->task->measure(...$this->task->frame) * 0.1);
        for ($step = 0; $step < self::COOLING; $step++) {
            if ($step % self::ROUND === 0 && ! $goOn()) {
                break;
            }
            [$nextOrder, $nextWays, $nextFrame] = $this->changed($order, $ways, $frame);
            $found = $this->try($nextOrder, $nextWays, $nextFrame);
            $worse = $found['cost'] - $cost;
            if ($worse <= 0.0 || $this->share() < exp(-$worse / ($heat * (1.0 - $step / self::COOLING) + 1e-9))) {
                [$order, $ways, $frame, $cost] = [$nextOrder, $nextWays, $nextFrame, $found['cost']];
            }
            if ($found['cost'] < $best['cost'] - 1e-9) {
                $best = $found;
                [$this->order, $this->frame] = [$nextOrder, $nextFrame];
                if ($best['lost'] === [] && $this->measureOf($best) <= $enough + 1e-6) {
                    break;
                }
            }
        }

        return $best;
    }

    /**
     * @param  list<int>  $order
     * @param  list<int>  $ways
     * @param  Point  $frame
     * @return Found
     */
    private function try(array $order, array $ways, array $frame): array
    {
        $this->steps++;
        [$at, $lost, $reach] = $this->builder->lay($order, $ways, $frame);
        $missing = array_sum(array_map(fn (int $i): float => 1000.0 + $this->task->ways[$i][$ways[$i]]->volumeMm3(), $lost));

        return [
            'at' => $at, 'ways' => $ways, 'lost' => $lost, 'reach' => $reach,
            'cost' => $this->task->measure(...$reach) + ($reach[0] + $reach[1] + $reach[2]) * 1e-3 + $missing * self::LOST,
        ];
    }

    /** @param  Found  $found */
    private function measureOf(array $found): float
    {
        return $this->task->measure(...$found['reach']);
    }

    /**
     * @param  list<int>  $order
     * @param  list<int>  $ways
     * @param  Point  $frame
     * @return array{list<int>, list<int>, Point}
     */
    private function changed(array $order, array $ways, array $frame): array
    {
        $count = count($order);
        $what = $this->random->getInt(0, 9);
        $i = $this->random->getInt(0, $count - 1);
        $j = $this->random->getInt(0, $count - 1);
        if ($what < 4 && $count > 1) {
            [$order[$i], $order[$j]] = [$order[$j], $order[$i]];
        } elseif ($what < 6 && $count > 1) {
            $one = array_splice($order, $i, 1);
            array_splice($order, $j, 0, $one);
        } elseif ($what < 9) {
            $ways[$i] = $this->random->getInt(0, count($this->task->ways[$i]) - 1);
        } elseif ($this->task->aim === FitAim::Thickness) {
            $this->random->getInt(0, 1) === 0 ? $order = $this->random->shuffleArray($order) : $ways[$j] = 0;
        }
        if ($this->task->aim !== FitAim::Thickness && $this->task->room->drawn && $what >= 7) {
            $axis = $this->random->getInt(0, 2);
            $frame[$axis] = min($this->task->frame[$axis], max(5.0, $frame[$axis] * (0.7 + 0.6 * $this->share())));
        }

        return [array_values($order), array_values($ways), $frame];
    }

    /** Between nought and one. */
    private function share(): float
    {
        return $this->random->getInt(0, 1_000_000) / 1_000_000;
    }

    /** @return list<int> each piece as it lies flattest */
    private function flattest(): array
    {
        return array_map(static function (array $ways): int {
            $best = 0;
            foreach ($ways as $at => $laid) {
                $best = $laid->sides[2] < $ways[$best]->sides[2] - 1e-9 ? $at : $best;
            }

            return $best;
        }, $this->task->ways);
    }

    /** @return non-empty-list<list<int>> what has no choice first, then by several habits of people who pack */
    private function beginnings(): array
    {
        $by = function (callable $size): array {
            $order = array_keys($this->task->pieces);
            usort($order, fn (int $a, int $b): int => [$this->task->pieces[$b]->isFace, $size($b)] <=> [$this->task->pieces[$a]->isFace, $size($a)]);

            return $order;
        };
        $sides = fn (int $i): array => $this->task->ways[$i][0]->sides;

        return [
            $by(fn (int $i): float => $this->task->ways[$i][0]->volumeMm3()),
            $by(fn (int $i): float => max($sides($i))),
            $by(fn (int $i): float => min($sides($i))),
            $by(fn (int $i): float => $sides($i)[0] * $sides($i)[1]),
        ];
    }
}
