<?php

declare(strict_types=1);

namespace PocketPlot\Report;

use PocketPlot\Appraisal;
use PocketPlot\Assembly\Look;
use PocketPlot\Assembly\Suspect;
use PocketPlot\Assembly\Suspects;
use PocketPlot\Assembly\WayBack;
use PocketPlot\Build\Fault;
use PocketPlot\Build\FaultState;

/** A failed gate: who may have done it, what to look at next, and what to take back to get there. */
final class FaultReport
{
    /** Suspects that are told of. */
    private const MOST = 8;

    /** @return list<array<string, mixed>> all faults of a build, those that are open first, the latest first (contract/openapi.json, "Fault") */
    public static function all(Appraisal $appraisal): array
    {
        $faults = array_reverse($appraisal->build->work->faults);
        usort($faults, static fn (Fault $a, Fault $b): int => ($a->state === FaultState::Mended) <=> ($b->state === FaultState::Mended));

        return array_map(static fn (Fault $fault): array => self::of($appraisal, $fault), $faults);
    }

    /** @return array<string, mixed> */
    public static function of(Appraisal $appraisal, Fault $fault): array
    {
        $gate = $appraisal->plan->step($fault->step);
        $suspects = $gate === null || $fault->state === FaultState::Mended ? null : new Suspects(
            $appraisal->plan,
            $appraisal->facts,
            $appraisal->findings,
            $fault,
        );
        $next = $suspects?->next();

        return [
            'id' => $fault->id,
            'step' => $fault->step,
            'title' => $gate->title ?? $fault->step,
            'state' => $fault->state->value,
            'openedOn' => (string) $fault->openedOn,
            'mendedOn' => $fault->mendedOn === null ? null : (string) $fault->mendedOn,
            'lookAgainOn' => $fault->lookAgainOn === null ? null : (string) $fault->lookAgainOn,
            'saw' => $fault->saw,
            'cause' => $fault->cause,
            'note' => $fault->note,
            'suspects' => $suspects === null ? [] : self::suspects($appraisal, $suspects),
            'next' => $next === null ? null : self::look($next),
            'looked' => $suspects === null ? [] : array_map(
                static fn (string $key, bool $well): array => [...self::look($suspects->looks[$key] ?? new Look($key, $key, '', [])), 'well' => $well],
                array_keys($fault->looked), array_values($fault->looked),
            ),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function suspects(Appraisal $appraisal, Suspects $suspects): array
    {
        $shares = $suspects->shares();

        return array_map(static fn (Suspect $one): array => [
            'key' => $one->key,
            'says' => $one->says,
            'share' => round($shares[$one->key], 3),
            'why' => $one->why,
            'step' => $one->step,
            'wayBack' => WayBack::to($appraisal->plan, $one->lines, $one->step === null ? [] : [$one->step])->toArray(),
        ], array_slice(array_values($suspects->all), 0, self::MOST));
    }

    /** @return array{key: string, what: string, passes: string} */
    private static function look(Look $look): array
    {
        return ['key' => $look->key, 'what' => $look->what, 'passes' => $look->passes];
    }
}
