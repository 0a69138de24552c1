<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/**
 * What has to be taken back to get at something: the fewest steps. A step that was done and covers what is to be
 * reached has to be undone, and so has what covers whatever that one has to get at; before wiring is touched, packs are
 * unplugged. Nothing else has to go, so the set is the only smallest one.
 */
final readonly class WayBack
{
    /**
     * @param  list<Step>  $undo  in the order in which they are undone, the last done first
     * @param  list<Step>  $again  gates to pass again on the way forward
     * @param  list<Step>  $blocked  of $undo, those that cannot be undone
     */
    private function __construct(public array $undo, public array $again, public array $blocked) {}

    /**
     * @param  list<string>  $lines  ids of what has to be reached
     * @param  list<string>  $takeBack  ids of done steps that are to be taken back themselves
     */
    public static function to(Plan $plan, array $lines, array $takeBack = []): self
    {
        $done = array_values(array_filter($plan->sequence(), $plan->isDone(...)));
        $undo = array_fill_keys($takeBack, true);
        $toReach = array_fill_keys($lines, true);
        foreach ($done as $step) {
            $toReach += isset($undo[$step->id]) ? array_fill_keys($step->reaches, true) : [];
        }
        do {
            $before = count($undo);
            foreach ($done as $step) {
                $isCover = array_intersect_key($toReach, array_flip($step->covers)) !== [];
                if (! isset($undo[$step->id]) && ($isCover || (self::keepsPower($step) && self::touchesWires($done, $undo)))) {
                    $undo[$step->id] = true;
                    $toReach += array_fill_keys($step->reaches, true);
                }
            }
        } while (count($undo) > $before);
        $steps = array_values(array_filter(array_reverse($done), static fn (Step $step): bool => isset($undo[$step->id])));
        $after = [];
        foreach ($steps as $step) {
            $after += $plan->links()->after($step->id);
        }

        return new self(
            $steps,
            array_values(array_filter($done, static fn (Step $step): bool => $step->gate !== null && isset($after[$step->id]) && ! isset($undo[$step->id]))),
            array_values(array_filter($steps, static fn (Step $step): bool => $step->undo === Undo::Never)),
        );
    }

    /** Screws and the like count one, what is soldered or stuck three. */
    public function effort(): int
    {
        return array_sum(array_map(static fn (Step $step): int => $step->undo->effort(), $this->undo));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $brief = static fn (Step $step): array => ['id' => $step->id, 'title' => $step->title, 'undo' => $step->undo->value, 'undoSays' => $step->undoSays];

        return [
            'undo' => array_map($brief, $this->undo),
            'again' => array_map(static fn (Step $step): array => ['id' => $step->id, 'title' => $step->title], $this->again),
            'blocked' => array_map($brief, $this->blocked),
        ];
    }

    private static function keepsPower(Step $step): bool
    {
        foreach ($step->gives as $condition) {
            if ($condition->milestone === Milestone::Seated) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<Step>  $done
     * @param  array<string, true>  $undo
     */
    private static function touchesWires(array $done, array $undo): bool
    {
        foreach ($done as $step) {
            if (isset($undo[$step->id]) && $step->phase === Phase::Wire && ! self::keepsPower($step)) {
                return true;
            }
        }

        return false;
    }
}
