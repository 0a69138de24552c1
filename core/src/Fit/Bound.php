<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\FitAim;

/**
 * What no arrangement can beat: the largest of several sums that hold for every one of them.
 *
 * - each piece for itself, laid as it is flattest;
 * - all pieces as blocks with their gaps, poured into the frame;
 * - the same with long sides counted as the whole frame and short ones as nothing, which is allowed since what is
 *   longer than the frame less e leaves nothing beside it but what is shorter than e (S. P. Fekete, J. Schepers,
 *   Math. Methods Oper. Res. 60, 2004);
 * - pieces that can lie beside each other in no way, one upon the other.
 */
final readonly class Bound
{
    private const STEPS = 6;

    private function __construct(private Task $task) {}

    /** In the unit of Task::measure(); INF when two pieces cannot both be there. */
    public static function of(Task $task): float
    {
        $bound = new self($task);
        [$x, $y, $z] = $bound->sidesAlone();
        $filled = $bound->filledMm3();

        return max($task->measure($x, $y, max($z, $task->aim === FitAim::Thickness ? max($bound->poured(), $bound->stacked()) : 0.0)), match ($task->aim) {
            FitAim::Thickness => 0.0,
            FitAim::Area => max($bound->facesMm2(), $filled / $task->frame[2]),
            FitAim::Volume => $filled,
            FitAim::Outer => 3 * $filled ** (1 / 3),
        });
    }

    /** The piece that alone, or with what has to lie over it, decides the thickness; and how thick those are. */
    public static function decisive(Task $task): ?Piece
    {
        $most = 0.0;
        $who = null;
        foreach ($task->ways as $i => $ways) {
            $least = min(array_map(static fn (Orientation $laid): float => $laid->sides[2], $ways));
            if ($least > $most) {
                [$most, $who] = [$least, $task->pieces[$i]];
            }
        }

        return $who;
    }

    /** @return array{float, float, float} the least along each axis that each piece wants for itself */
    private function sidesAlone(): array
    {
        $least = [0.0, 0.0, 0.0];
        foreach ($this->task->ways as $ways) {
            foreach ([0, 1, 2] as $axis) {
                $least[$axis] = max($least[$axis], min(array_map(static fn (Orientation $laid): float => $laid->sides[$axis] + $laid->low[$axis], $ways)));
            }
        }

        return $least;
    }

    private function filledMm3(): float
    {
        return array_sum(array_map(static fn (array $ways): float => $ways[0]->volumeMm3(), $this->task->ways));
    }

    /** What lies in the face lies side by side. */
    private function facesMm2(): float
    {
        $sum = 0.0;
        foreach ($this->task->pieces as $i => $piece) {
            $sum += $piece->isFace ? min(array_map(static fn (Orientation $laid): float => $laid->sides[0] * $laid->sides[1], $this->task->ways[$i])) : 0.0;
        }

        return $sum;
    }

    private function poured(): float
    {
        $beside = $this->task->spacing->besideMm;
        $layer = $this->task->spacing->layerMm;
        $long = $this->task->frame[0] + $beside;
        $wide = $this->task->frame[1] + $beside;
        $best = 0.0;
        foreach (self::cuts($this->sideLengths(0), $long) as $x) {
            foreach (self::cuts($this->sideLengths(1), $wide) as $y) {
                $sum = 0.0;
                foreach ($this->task->ways as $ways) {
                    $sum += min(array_map(static function (Orientation $laid) use ($beside, $layer, $long, $wide, $x, $y): float {
                        [$l, $w, $h] = self::mainBlock($laid);

                        return self::counted($l + $beside, $long, $x) * self::counted($w + $beside, $wide, $y) * ($h + $layer);
                    }, $ways));
                }
                $best = max($best, $sum / ($long * $wide) - $layer);
            }
        }

        return max($best, $this->filledMm3() / ($this->task->frame[0] * $this->task->frame[1]));
    }

    /**
     * Of a part of several blocks, others may be tucked under the rest: its largest block alone counts.
     *
     * @return array{float, float, float}
     */
    private static function mainBlock(Orientation $laid): array
    {
        $main = $laid->solid[0];
        foreach ($laid->solid as $block) {
            $main = $block[3] * $block[4] * $block[5] > $main[3] * $main[4] * $main[5] ? $block : $main;
        }

        return [$main[3], $main[4], $main[5]];
    }

    private static function counted(float $side, float $whole, float $cut): float
    {
        return match (true) {
            $cut <= 0.0 => $side,
            $side > $whole - $cut + 1e-9 => $whole,
            $side < $cut - 1e-9 => 0.0,
            default => $side,
        };
    }

    /** @return list<float> */
    private function sideLengths(int $axis): array
    {
        $sides = [];
        foreach ($this->task->ways as $ways) {
            foreach ($ways as $laid) {
                $sides[] = $laid->sides[$axis] + $this->task->spacing->besideMm;
            }
        }

        return array_values(array_unique($sides));
    }

    /**
     * @param  list<float>  $sides
     * @return list<float> where counting begins anew, nought among them
     */
    private static function cuts(array $sides, float $whole): array
    {
        $cuts = array_values(array_filter($sides, static fn (float $side): bool => $side <= $whole / 2));
        sort($cuts);
        $step = max(1, intdiv(count($cuts), self::STEPS));

        return [0.0, ...array_values(array_filter($cuts, static fn (int $at): bool => $at % $step === 0, ARRAY_FILTER_USE_KEY))];
    }

    /** Pieces of which no two can lie beside each other lie one upon the other. */
    private function stacked(): float
    {
        $count = count($this->task->pieces);
        $high = array_map(static fn (array $ways): float => min(array_map(static fn (Orientation $laid): float => $laid->sides[2], $ways)), $this->task->ways);
        $over = [];
        for ($i = 0; $i < $count; $i++) {
            for ($j = $i + 1; $j < $count; $j++) {
                $over[$i][$j] = $over[$j][$i] = ! $this->mayLieBeside($i, $j);
            }
        }
        $best = 0.0;
        for ($first = 0; $first < $count; $first++) {
            $pile = [$first];
            $sum = $high[$first];
            $rest = array_diff(array_keys($high), $pile);
            usort($rest, static fn (int $a, int $b): int => $high[$b] <=> $high[$a]);
            foreach ($rest as $next) {
                foreach ($pile as $one) {
                    if (! $over[$one][$next]) {
                        continue 2;
                    }
                }
                $sum += $high[$next] + min(array_map(fn (int $one): float => $this->task->gaps[$one][$next]->layerMm, $pile));
                $pile[] = $next;
            }
            $best = max($best, $sum);
        }

        return $best;
    }

    private function mayLieBeside(int $i, int $j): bool
    {
        $gap = $this->task->gaps[$i][$j];
        foreach ($this->task->ways[$i] as $one) {
            foreach ($this->task->ways[$j] as $other) {
                if (! $one->isOneBlock || ! $other->isOneBlock) {
                    return true;
                }
                foreach ([[0, Gap::X], [1, Gap::Y]] as [$axis, $way]) {
                    if (($gap->ways & $way) > 0 && $one->sides[$axis] + $other->sides[$axis] + $gap->besideMm <= $this->task->frame[$axis] + 1e-9) {
                        return true;
                    }
                }
            }
        }

        return false;
    }
}
