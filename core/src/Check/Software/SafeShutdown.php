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
use PocketPlot\Part\Role;
use PocketPlot\Part\Software;
use PocketPlot\Part\YesNo;

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
            return $this->answer(Verdict::Tight, [$board, ...$facts->with('pack')], fn (): Words => new Words(
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
        if (! $gauge->part->gauge->warningSeconds->isKnown()) {
            return $this->unmeasured($gauge, 'gauge.warningSeconds', [$board], $working);
        }
        if (! $software->shutdownSeconds->isKnown()) {
            return $this->unmeasured($board, 'software.shutdownSeconds', [$gauge], $working);
        }
        $margin = $gauge->part->gauge->warningSeconds->least() - $software->shutdownSeconds->most();

        return $this->answer(self::byMargin($margin, 5.0), [$board, $gauge], fn (): Words => new Words(sprintf(
            '%s gives %s of warning; %s shuts down in %s.',
            $gauge->name(),
            $gauge->part->gauge->warningSeconds->says(),
            $board->name(),
            $software->shutdownSeconds->says(),
        ), [
            ...$working, $this->row(
                "{$gauge->name()}, warning",
                $gauge->part->gauge->warningSeconds,
            ), $this->row("{$board->name()}, shutdown", $software->shutdownSeconds),
        ], self::n($margin).' s to spare', [$this->swap($gauge, 'Take one that warns earlier'), $this->swap($board)]));
    }
}
