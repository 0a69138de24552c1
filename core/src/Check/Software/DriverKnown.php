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
use PocketPlot\Part\DriverState;
use PocketPlot\Part\Software;

final class DriverKnown extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'software.driver',
            'The board\'s system knows every part that needs a driver, or it is written down who is waiting for whom.',
            ['drivers'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('drivers');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $board = $facts->board();
        $software = $board?->part->software;
        if ($board === null || $software === null) {
            return;
        }
        if ($line->id !== $board->id && $line->part->drivers !== []) {
            yield $this->judge($line, $board, $software);
        }
    }

    private function judge(Line $line, Line $board, Software $software): Finding
    {
        $driver = null;
        foreach ($line->part->drivers as $one) {
            $driver = $one->family === $software->family ? $one : ($one->family === '*' ? $driver ?? $one : $driver);
        }
        if ($driver === null || $driver->state === DriverState::Unknown) {
            return $this->unmeasured($line, 'drivers', [$board], [$this->text("{$board->name()} is of the family", $software->family)]);
        }
        $working = [
            $this->text("{$board->name()} is of the family", $software->family),
            $this->text('Driver', $driver->state->value),
            ...array_map(fn (string $set) => $this->text('Line to set', $set), $driver->lines),
            ...($driver->note === '' ? [] : [$this->text('Note', $driver->note)]),
        ];
        $again = $driver->lookAgainOn === null ? 'look again in a month' : "look again on {$driver->lookAgainOn}";

        return match ($driver->state) {
            DriverState::In => $this->answer(
                Verdict::Fits,
                [$line, $board],
                fn (): Words => new Words("{$board->name()} knows {$line->name()} from the start.", $working, 'comes with the system'),
            ),
            DriverState::Lines => $this->answer(
                Verdict::Fits,
                [$line, $board],
                fn (): Words => new Words("{$board->name()} knows {$line->name()} once its lines are set.", $working, 'lines to set, written down as a step'),
            ),
            DriverState::Open => $this->answer(Verdict::Tight, [$line, $board], fn (): Words => new Words(
                "{$line->name()} waits for others: its driver for {$board->name()} is still being written; {$again}.",
                $working,
                'open, waiting on others',
                [
                    Remedy::byHand("Build without it for now and {$again}."), $this->swap($line, 'Take one that is known today'),
                ])),
            default => $this->answer(Verdict::Clash, [$line, $board], fn (): Words => new Words(
                "There is no driver for {$line->name()} on {$board->name()}.",
                $working,
                'no driver',
                [
                    $this->swap($line, 'Take one that the board knows'), $this->swap($board, 'Take a board that knows it'),
                ])),
        };
    }
}
