<?php

declare(strict_types=1);

namespace PocketPlot;

use PocketPlot\Assembly\Plan;
use PocketPlot\Assembly\Step;
use PocketPlot\Build\Build;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Verdict;
use PocketPlot\Fit\Fitted;
use PocketPlot\Quantity\Number;

/** What stands on the tab of each station: the worst mark inside it, and one figure. */
final class Tabs
{
    /**
     * @param  list<Finding>  $findings
     * @return array<string, array{verdict: string, figure: string}> by station
     */
    public static function of(Build $build, array $findings, Plan $plan, Vitals $vitals, ?Fitted $fitted): array
    {
        $waits = array_filter($plan->open(), static fn (Step $step): bool => $step->waitsFor() !== []) !== [];
        $worst = self::worstOf($findings);
        $hours = $vitals->runTime->usual;
        $tabs = [
            'brief' => [
                $vitals->costVerdict->worseOf($vitals->runTimeVerdict)->worseOf($vitals->sizeVerdict)->worseOf($vitals->massVerdict),
                self::counted(count($build->brief->games), 'game'),
            ],
            'parts' => [$worst, self::counted(count($build->chosen()), 'line')],
            'power' => [self::power($build, $findings), $vitals->hasPack ? ($hours === null ? 'unknown' : Number::says($hours).' h') : 'no pack'],
            'fit' => self::fit($findings, $fitted),
            'checks' => [$worst, ($vitals->clashes + $vitals->missing + $vitals->unmeasured).' open'],
            'buy' => [self::worstOf($findings, 'buy'), $vitals->cost->rounded()],
            'build' => [match (true) {
                $build->work->openFaults() !== [] => Verdict::Clash,
                $vitals->undated() > 0 => Verdict::Unmeasured,
                $waits => Verdict::Tight,
                default => Verdict::Fits,
            }, "{$vitals->stepsLeft()} left"],
            'bench' => [$vitals->figures > 0 ? Verdict::Unmeasured : Verdict::Fits, "{$vitals->figures} to find"],
        ];
        $isBlank = $build->lines === [];

        return array_map(static fn (array $tab): array => [
            // On a blank page nothing fits yet: what is open is all of it.
            'verdict' => ($isBlank && $tab[0] === Verdict::Fits ? Verdict::Missing : $tab[0])->value,
            'figure' => $tab[1],
        ], $tabs);
    }

    /**
     * While something has no place yet, nobody knows whether all goes in.
     *
     * @param  list<Finding>  $findings
     * @return array{Verdict, string}
     */
    private static function fit(array $findings, ?Fitted $fitted): array
    {
        if ($fitted === null || ! $fitted->isBegun()) {
            return [Verdict::Unmeasured, 'not laid'];
        }
        $left = count($fitted->unplaced) + count($fitted->inventory->unsized) + count($fitted->inventory->inZones);
        $worst = self::worstOf($findings, 'fit');

        return $left > 0 ? [$worst->worseOf(Verdict::Unmeasured), "{$left} left"] : [$worst, Number::says($fitted->deepMm()).' mm'];
    }

    /** @param  list<Finding>  $findings */
    private static function worstOf(array $findings, ?string $station = null): Verdict
    {
        $worst = Verdict::Fits;
        foreach ($findings as $finding) {
            $worst = $station === null || $finding->station() === $station ? $worst->worseOf($finding->verdict) : $worst;
        }

        return $worst;
    }

    /**
     * Where no rule could judge the power of a build that has parts, nothing is known of it; that is no fit.
     *
     * @param  list<Finding>  $findings
     */
    private static function power(Build $build, array $findings): Verdict
    {
        $isJudged = array_filter($findings, static fn (Finding $finding): bool => $finding->station() === 'power') !== [];

        return $isJudged || $build->lines === [] ? self::worstOf($findings, 'power') : Verdict::Unmeasured;
    }

    private static function counted(int $count, string $one): string
    {
        return "{$count} {$one}".($count === 1 ? '' : 's');
    }
}
