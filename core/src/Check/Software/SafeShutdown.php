<?php

declare(strict_types=1);

namespace PocketPlot\Check\Software;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Gauge;
use PocketPlot\Part\Role;
use PocketPlot\Part\Software;
use PocketPlot\Part\YesNo;
use PocketPlot\Power\ChargeLeft;
use PocketPlot\Quantity\Figure;

final class SafeShutdown extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'software.safe-shutdown',
            'A board that must be shut down is told in time that the pack runs low.',
            ['software.needsShutdown', 'software.shutdownSeconds', 'gauge.warningSeconds'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('pack') === [] ? [] : $facts->with('software');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        if ($line->part->software !== null) {
            yield $this->judge($line, $line->part->software, $facts);
        }
    }

    /** Seconds between the warning and the end, at the heaviest: written down, or worked out from the charge left when it warns. */
    private function warning(Line $line, Gauge $gauge, Facts $facts): Figure
    {
        if ($gauge->warningSeconds->isKnown()) {
            return $gauge->warningSeconds;
        }
        foreach ($facts->sources() as $source) {
            $pack = $source->part->pack;
            [$watts, , $missing] = $facts->wattsFrom($source);
            if ($pack === null || $missing !== [] || ! $pack->wattHours()->isKnown() || ! $watts->isKnown() || $watts->most() <= 0.0) {
                continue;
            }
            $left = match (true) {
                $gauge->atCharge->isKnown() => $gauge->atCharge->least(),
                $gauge->atV->isKnown() => ChargeLeft::below($source, $gauge->atV->least()) - ChargeLeft::below(
                    $source,
                    $facts->rail("{$source->id}:pack")->volts->least ?? 0.0,
                ),
                default => null,
            };
            if ($left !== null) {
                $wattHours = $pack->wattHours()->times(array_sum(array_map(static fn (Line $one): int => $one->quantity, $facts->inParallelWith($source))));
                $seconds = static fn (float $drawn): float => round(max(0.0, $left) * $wattHours->least() / $drawn * 3600);

                return Figure::band($seconds($watts->most()), $seconds($watts->usual()), $seconds(max(1e-6, $watts->least())), 's');
            }
        }

        return Figure::unknown('s');
    }

    private function judge(Line $board, Software $software, Facts $facts): Finding
    {
        if ($software->needsShutdown === YesNo::Unknown) {
            return $this->unmeasured($board, 'software.needsShutdown');
        }
        $working = [$this->text("{$board->name()} has to be shut down", $software->needsShutdown->value)];
        if ($software->needsShutdown === YesNo::No) {
            return $this->answer(Verdict::Fits, [$board], fn (): Words => new Words("{$board->name()} can just be switched off.", $working, 'nothing to lose'));
        }
        $gauge = $facts->with('gauge')[0] ?? null;
        if ($gauge === null || $gauge->part->gauge === null) {
            return $this->answer(Verdict::Missing, [$board, ...$facts->with('pack')], fn (): Words => new Words(
                "Nothing tells {$board->name()} that the pack runs low; a sudden end can spoil its card.",
                $working,
                'holds when it is shut down by hand in time',
                [
                    Remedy::add(Role::Charger, 'Add a managed board that gives a low-battery warning'), $this->swap(
                        $facts->with('pack')[0],
                        'Take a pack that gives a low-battery warning',
                    ), Remedy::byHand(
                        'Keep a second card with a copy; shut down by the menu when the play gets long.',
                    ),
                ]));
        }
        $warning = $this->warning($gauge, $gauge->part->gauge, $facts);
        if (! $warning->isKnown()) {
            return $this->unmeasured($gauge, 'gauge.warningSeconds', [$board], $working);
        }
        if (! $software->shutdownSeconds->isKnown()) {
            return $this->unmeasured($board, 'software.shutdownSeconds', [$gauge], $working);
        }
        $margin = $warning->least() - $software->shutdownSeconds->most();

        return $this->answer(self::byMargin($margin, 5.0), [$board, $gauge], fn (): Words => new Words(sprintf(
            '%s gives %s of warning; %s shuts down in %s.',
            $gauge->name(),
            $warning->says(),
            $board->name(),
            $software->shutdownSeconds->says(),
        ), [
            ...$working, $this->row(
                "{$gauge->name()}, warning",
                $warning,
            ), $this->row("{$board->name()}, shutdown", $software->shutdownSeconds),
        ], self::n($margin).' s to spare', [$this->swap($gauge, 'Take one that warns earlier'), $this->swap($board)]));
    }
}
