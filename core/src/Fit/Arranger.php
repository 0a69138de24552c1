<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\FitPlan;
use PocketPlot\Build\Pose;

/** Finds arrangements for a build: one for each style that makes sense, each with a bound. */
final readonly class Arranger
{
    /** Steps after which a room that does not take everything is given up for a more generous one. */
    private const PATIENCE = 800;

    public function __construct(private Inventory $inventory, private FitPlan $plan, private int $seed = 1) {}

    /** @return list<Style> */
    public function styles(): array
    {
        return array_values(array_filter(Style::cases(), fn (Style $style): bool => $style->isFor($this->inventory->pieces)));
    }

    /**
     * One arrangement; pinned pieces stay where they are.
     *
     * @param  callable(): bool  $goOn  whether to look on; nothing here knows a clock
     * @return Arrangement|list<Piece> the pieces that go in by no way at all
     */
    public function arrange(Style $style, callable $goOn): Arrangement|array
    {
        $inventory = $this->inventory;
        if ($inventory->room === null || $inventory->pieces === []) {
            return new Arrangement($style, [], $inventory->pieces, [0.0, 0.0, 0.0], 0.0, 0.0, false, 0);
        }
        $spacing = Spacing::of($inventory->build->brief);
        $best = null;
        $misfits = [];
        // With air at the walls; else without; a body still to be drawn the other way round; at last cells by what gets warm.
        $room = $inventory->room;
        $tries = [[$room->sparing($spacing->cavityMm), $spacing], [$room->drawn ? $room->turned() : $room, $spacing], [$room, $spacing->withoutHeat()]];
        foreach ($tries as $nth => [$room, $spacing]) {
            $task = $this->task($style, $room, $spacing);
            if (! $task instanceof Task) {
                $misfits = $misfits === [] ? $task : $misfits;

                continue;
            }
            $found = $this->within($style, $task, $goOn, $nth < 2 ? self::PATIENCE : PHP_INT_MAX);
            $best = $best === null || count($found->lost) < count($best->lost) ? $found : $best;
            if ($best->lost === []) {
                break;
            }
        }

        return $best ?? $misfits;
    }

    /** @return Task|list<Piece> */
    private function task(Style $style, Room $room, Spacing $spacing): Task|array
    {
        $inventory = $this->inventory;
        $pieces = $inventory->pieces;
        if ($style === Style::CellsApart) {
            $apart = array_unique([
                ...$this->plan->split,
                ...array_map(static fn (Piece $piece): string => $piece->line->id, array_filter($pieces, static fn (Piece $piece): bool => $piece->isCell)),
            ]);
            $pieces = $this->pieces(array_values($apart));
        }
        $task = Task::of($spacing, $room, $pieces, $inventory->soft, $this->plan);

        return $task instanceof Task && $style !== Style::Free ? $task->regapped($style->gap(...)) : $task;
    }

    /**
     * @param  list<string>  $apart
     * @return list<Piece>
     */
    private function pieces(array $apart): array
    {
        $pieces = [];
        $seen = [];
        foreach ($this->inventory->pieces as $piece) {
            if (! isset($seen[$piece->line->id])) {
                $seen[$piece->line->id] = true;
                $pieces = [...$pieces, ...Piece::ofLine($piece->line, in_array($piece->line->id, $apart, true))];
            }
        }

        return $pieces;
    }

    /** @param  callable(): bool  $goOn */
    private function within(Style $style, Task $task, callable $goOn, int $patience): Arrangement
    {
        $bound = Bound::of($task);
        $search = new Search($task, $this->seed);
        $few = count($task->pieces) <= Exact::MOST_PIECES;
        $rounds = 0;
        // Few pieces need a good beginning only: the exact search does the rest.
        $found = $search->run($few ? static function () use (&$rounds, $goOn): bool {
            return ++$rounds < 30 && $goOn();
        } : $goOn, $bound, $patience);
        $measure = $found['lost'] === [] ? $task->measure(...$found['reach']) : INF;
        [$at, $ways] = [$found['at'], $found['ways']];
        $isProved = $measure <= $bound + 1e-6;
        if ($few && ! $isProved) {
            [$better, $isProved] = Exact::solve($task, $measure, $goOn);
            if ($better !== null) {
                [$at, $ways] = $better;
                $found['lost'] = [];
            }
        }
        $reach = self::reach($task, $at, $ways);
        $polish = new Polish($task, $this->inventory->build->joins);
        [$at, $ways] = $polish->laidFlat($at, $ways, $reach);
        [$at, $ways] = $polish->mirrored($at, $ways, $reach);
        $at = $polish->polished($at, $ways, $reach);

        return $this->answer($style, $task, $at, $ways, $found['lost'], $isProved, $bound, $search->steps);
    }

    /**
     * @param  array<int, array{float, float, float}>  $at
     * @param  list<int>  $ways
     * @param  list<int>  $lost
     */
    private function answer(Style $style, Task $task, array $at, array $ways, array $lost, bool $isProved, float $bound, int $steps): Arrangement
    {
        $reach = self::reach($task, $at, $ways);
        $inside = $task->room->drawn || $this->inventory->room === null ? $this->inventory->roomAround($reach, $task->spacing) : $this->inventory->room->limit;
        $poses = [];
        foreach ($at as $i => $point) {
            $piece = $task->pieces[$i];
            $laid = $task->ways[$i][$ways[$i]];
            foreach ([0, 1, 2] as $axis) {
                // The wall may stand farther out than the parts reach, where wires or the walls want room.
                $isAtWall = $laid->reaches[$axis] || ($axis === 2 && $piece->isCoil);
                if ($isAtWall && ! $this->isPinned($piece)) {
                    $point[$axis] = max($point[$axis], $inside[$axis] - $laid->sides[$axis]);
                }
            }
            $poses[$piece->key()] = new Pose(
                $piece->line->id, $piece->number, round($point[0], 2), round($point[1], 2), round($point[2], 2), $laid->turn, $this->isPinned($piece),
            );
        }
        $measure = $task->measure(...$reach);

        return new Arrangement(
            $style, $poses, array_map(static fn (int $i): Piece => $task->pieces[$i], $lost), $inside,
            $task->readable($measure), $task->readable($isProved ? $measure : min($bound, $measure)), $isProved && $lost === [], $steps,
        );
    }

    private function isPinned(Piece $piece): bool
    {
        return $this->plan->pose($piece->line->id, $piece->number)?->isPinned === true;
    }

    /**
     * @param  array<int, array{float, float, float}>  $at
     * @param  list<int>  $ways
     * @return array{float, float, float}
     */
    private static function reach(Task $task, array $at, array $ways): array
    {
        $reach = [0.0, 0.0, 0.0];
        foreach ($at as $i => $point) {
            foreach ([0, 1, 2] as $axis) {
                $reach[$axis] = max($reach[$axis], $point[$axis] + $task->ways[$i][$ways[$i]]->sides[$axis]);
            }
        }

        return [$reach[0], $reach[1], $reach[2]];
    }
}
