<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

use PocketPlot\Build\Build;
use PocketPlot\Sourcing\Orphans;

/** What became of the plan when parts were replaced, added or taken out: steps that fell away, new ones, those to be done again, parts left over. */
final class Substitution
{
    /**
     * @return array{gone: list<string>, again: list<array{step: string, lines: list<string>}>, orphans: list<array{order: string, name: string, pieces: int}>} ids of
     *   ticked steps that are no longer part of the plan, those that were done with another part, and bought pieces that no line holds any more
     */
    public static function of(Plan $plan, Build $build): array
    {
        $gone = $again = [];
        foreach (array_keys($build->ticks) as $id) {
            $step = $plan->step($id);
            if ($step === null && ! isset($plan->dropped()[$id])) {
                $gone[] = $id;
            } elseif ($step !== null && $plan->redoneFor($step) !== []) {
                $again[] = ['step' => $id, 'lines' => $plan->redoneFor($step)];
            }
        }

        return ['gone' => $gone, 'again' => $again, 'orphans' => Orphans::of($build)];
    }
}
