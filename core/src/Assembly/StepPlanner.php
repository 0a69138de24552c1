<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

use PocketPlot\Facts\Facts;

/**
 * Steps out of the parts: prove everything on the bench, make the body, wire and mount, close. Each kind of step
 * says after which others it comes; the order follows from that, not from the order of this list. Minutes are our
 * estimates for an unhurried evening.
 */
final class StepPlanner
{
    /** @var list<class-string<StepSource>> in no order */
    public const SOURCES = [
        Steps\CloseBody::class,
        Steps\CutBody::class,
        Steps\DrawBody::class,
        Steps\DryFit::class,
        Steps\FusePack::class,
        Steps\HearSound::class,
        Steps\InsulateBoards::class,
        Steps\LayOutMaterials::class,
        Steps\LightDisplay::class,
        Steps\MeterSupply::class,
        Steps\MountParts::class,
        Steps\ReadyPack::class,
        Steps\RunHeap::class,
        Steps\StartBoard::class,
        Steps\TestClosed::class,
        Steps\TestOpen::class,
        Steps\TryControls::class,
        Steps\WireRails::class,
    ];

    /** @var list<class-string<StepSource>>|null */
    private static ?array $ordered = null;

    /** @return list<Step> in the order in which they are done */
    public static function plan(Facts $facts): array
    {
        if ($facts->lines() === []) {
            return [];
        }
        $byPhase = [];
        foreach (self::$ordered ??= self::inOrder(self::SOURCES) as $source) {
            foreach ((new $source)->steps($facts) as $step) {
                $byPhase[$step->phase->value][] = $step;
            }
        }
        $steps = [];
        foreach (Phase::cases() as $phase) {
            array_push($steps, ...($byPhase[$phase->value] ?? []));
        }

        return $steps;
    }

    /**
     * @param  list<class-string<StepSource>>  $sources
     * @return list<class-string<StepSource>> each after those it comes after; by name where nothing says otherwise
     *
     * @throws \LogicException when some come after each other
     */
    public static function inOrder(array $sources): array
    {
        sort($sources);
        $ordered = [];
        while ($sources !== []) {
            $ready = array_values(array_filter($sources, static fn (string $source): bool => array_diff($source::comesAfter(), $ordered) === []));
            if ($ready === []) {
                throw new \LogicException('These steps wait for each other: '.implode(', ', $sources));
            }
            $ordered[] = $ready[0];
            $sources = array_values(array_diff($sources, [$ready[0]]));
        }

        return $ordered;
    }
}
