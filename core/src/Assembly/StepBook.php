<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

use PocketPlot\Build\Line;
use PocketPlot\Build\OwnStep;
use PocketPlot\Facts\Facts;

/** All steps of a build: what the kinds of step make of its parts, and what the builder added, changed and dropped. */
final class StepBook
{
    /** @var list<class-string<StepSource>> one class a kind; the order only settles which of two equals comes first */
    public const SOURCES = [
        Steps\UnpackKit::class,
        Steps\StripDonor::class,
        Steps\ProtectPack::class,
        Steps\ChargePack::class,
        Steps\MeterSources::class,
        Steps\FusePack::class,
        Steps\LevelCells::class,
        Steps\WriteImage::class,
        Steps\SetLines::class,
        Steps\StartBoard::class,
        Steps\SweepSupply::class,
        Steps\PairControls::class,
        Steps\ProveParts::class,
        Steps\RunHeap::class,
        Steps\SlimDown::class,
        Steps\MakeBody::class,
        Steps\FitBody::class,
        Steps\InsulateBoards::class,
        Steps\StickHeatsink::class,
        Steps\WireRails::class,
        Steps\MountParts::class,
        Steps\PlugLeads::class,
        Steps\CloseBody::class,
        Steps\TestClosed::class,
    ];

    /**
     * @return array{array<string, Step>, array<string, Step>} by id: the steps, and those that the builder dropped
     */
    public static function of(Facts $facts): array
    {
        if ($facts->lines() === []) {
            return [[], []];
        }
        $work = $facts->build->work;
        $steps = $dropped = [];
        foreach (self::SOURCES as $source) {
            foreach ((new $source)->steps($facts) as $step) {
                $steps[$step->id] = self::changed($step, $work->changed[$step->id] ?? []);
            }
        }
        foreach ($work->own as $own) {
            $steps[$own->id] ??= self::changed(self::own($own, $facts), $work->changed[$own->id] ?? []);
        }
        foreach (array_keys($work->dropped) as $id) {
            if (isset($steps[$id])) {
                $dropped[$id] = $steps[$id];
                unset($steps[$id]);
            }
        }

        return [$steps, $dropped];
    }

    /** One step by its id, without working out those that come after it in the book; null when there is none, or it was dropped. */
    public static function find(Facts $facts, string $id): ?Step
    {
        $work = $facts->build->work;
        if (isset($work->dropped[$id]) || $facts->lines() === []) {
            return null;
        }
        foreach (self::SOURCES as $source) {
            foreach ((new $source)->steps($facts) as $step) {
                if ($step->id === $id) {
                    return self::changed($step, $work->changed[$id] ?? []);
                }
            }
        }
        foreach ($work->own as $own) {
            if ($own->id === $id) {
                return self::changed(self::own($own, $facts), $work->changed[$id] ?? []);
            }
        }

        return null;
    }

    private static function own(OwnStep $own, Facts $facts): Step
    {
        return new Step(
            $own->id, Phase::Wire, $own->title, $own->says,
            array_values(array_filter(
                array_map(static fn (string $id): ?Line => $facts->line($id), $own->lines),
                static fn (?Line $line): bool => $line?->chosen === true,
            )),
            Minutes::about($own->minutes),
            gate: $own->asks === '' ? null : Gate::of(Measure::yes('own', $own->asks)),
            undo: $own->canBeUndone ? Undo::Freely : Undo::Never,
            undoSays: $own->canBeUndone ? '' : 'you wrote that it cannot be taken back',
            reaches: $own->lines,
            tools: $own->tools,
            alone: $own->aloneHours > 0.0 ? new Alone('it goes on by itself', $own->aloneHours) : null,
            isOwn: true,
            after: $own->after,
            before: $own->before,
        );
    }

    /** @param  array{title?: string, says?: string, minutes?: int, note?: string}  $change */
    private static function changed(Step $step, array $change): Step
    {
        return $change === [] ? $step : $step->with(
            $change['title'] ?? null,
            $change['says'] ?? null,
            isset($change['minutes']) ? new Minutes($change['minutes'], $change['minutes'], $change['minutes']) : null,
            $change['note'] ?? null,
        );
    }
}
