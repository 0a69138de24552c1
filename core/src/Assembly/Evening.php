<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

use PocketPlot\Build\Line;
use PocketPlot\Quantity\Day;

/** One evening at the bench. */
final readonly class Evening
{
    /**
     * @param  list<Step>  $steps  in their order
     * @param  list<Line>  $arrives  what comes on this day or has come since the last evening, and is needed tonight
     * @param  list<string>  $beside  what goes on by itself meanwhile or begins tonight
     */
    public function __construct(public Day $on, public array $steps, public int $minutes, public array $arrives, public array $beside) {}

    /** @return array{lines: list<string>, tools: list<string>, consumables: list<string>, places: list<string>} what to lay out, each once */
    public function layOut(): array
    {
        $lines = [];
        foreach ($this->steps as $step) {
            foreach ($step->lines as $line) {
                $lines[$line->id] = $line->id;
            }
        }

        return [
            'lines' => array_values($lines),
            'tools' => $this->all(static fn (Step $step): array => $step->tools),
            'consumables' => $this->all(static fn (Step $step): array => $step->consumables),
            'places' => $this->all(static fn (Step $step): array => $step->allPlaces()),
        ];
    }

    /**
     * @param  callable(Step): list<string>  $of
     * @return list<string> of all steps, each once
     */
    private function all(callable $of): array
    {
        return array_values(array_unique(array_merge(...array_map($of, $this->steps))));
    }
}
