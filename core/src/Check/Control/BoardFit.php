<?php

declare(strict_types=1);

namespace PocketPlot\Check\Control;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Phrase;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Controls;
use PocketPlot\Part\Role;

final class BoardFit extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('control.board-fit', 'Membranes and buttons lie on the controller boards they were made for, the second one too.');
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('controls');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $controls = $line->part->controls;
        if ($controls === null) {
            return;
        }
        $boards = array_values(array_filter($facts->with('controls'), static fn (Line $other): bool => ($other->part->controls->boardName ?? '') !== ''));
        if ($controls->madeFor !== '') {
            yield $this->onBoard($line, $controls->madeFor, $boards);
        }
        if ($controls->otherBoard !== '') {
            yield $this->onOtherBoard($line, $controls, $boards);
        }
    }

    /** @param  list<Line>  $boards */
    private function onBoard(Line $line, string $madeFor, array $boards): Finding
    {
        $right = self::named($madeFor, $boards);
        $working = [
            $this->text("{$line->name()} was made for", $madeFor),
            ...array_map(fn (Line $board) => $this->text("{$board->name()} is", $board->part->controls->boardName ?? ''), $boards),
        ];

        return match (true) {
            $right !== null => $this->answer(
                Verdict::Fits,
                [$line, $right],
                fn (): Words => new Words("{$line->name()} lies on {$right->name()}, which it was made for.", $working, 'same'),
            ),
            $boards === [] => $this->answer(
                Verdict::Missing,
                [$line],
                fn (): Words => new Words(
                    "{$line->name()} needs the controller board \"{$madeFor}\" beneath it, which is not on the list.",
                    $working,
                    'no controller board',
                    [Remedy::add(Role::Controls, 'Add that controller board'), $this->swap($line, 'Take controls that stand alone')],
                ),
            ),
            default => $this->answer(Verdict::Clash, [$line, $boards[0]], fn (): Words => new Words(
                "{$line->name()} was made for \"{$madeFor}\"; its contacts miss those of {$boards[0]->name()}.",
                $working,
                'different',
                [
                    $this->swap($line, 'Take the ones made for this board'), $this->swap($boards[0], 'Take the board they were made for'),
                ])),
        };
    }

    /**
     * The buttons of a set that lie on a second board are pressed against nothing while that board is not there.
     *
     * @param  list<Line>  $boards
     */
    private function onOtherBoard(Line $line, Controls $controls, array $boards): Finding
    {
        $name = $controls->otherBoard;
        $which = $controls->onOtherBoard > 0 ? ucfirst(Phrase::count($controls->onOtherBoard, 'buttons')) : 'A part';
        $working = [
            $this->text("Of {$line->name()}", strtolower($which)." on \"{$name}\""),
            ...array_map(fn (Line $board) => $this->text("{$board->name()} is", $board->part->controls->boardName ?? ''), $boards),
        ];
        $right = self::named($name, $boards);

        return $right !== null
            ? $this->answer(Verdict::Fits, [$line, $right], fn (): Words => new Words(
                "{$which} of {$line->name()} ".($controls->onOtherBoard > 1 ? 'lie' : 'lies')." on {$right->name()}, the rest on the other board.", $working, 'both there',
            ), 'second')
            : $this->answer(Verdict::Missing, [$line], fn (): Words => new Words(
                "{$which} of {$line->name()} ".($controls->onOtherBoard > 1 ? 'lie' : 'lies')." on the controller board \"{$name}\", which is not on the list.",
                $working,
                'no such board',
                [Remedy::add(Role::Controls, 'Add that controller board'), $this->swap($line, 'Take a set that lies on one board')],
            ), 'second');
    }

    /** @param  list<Line>  $boards */
    private static function named(string $name, array $boards): ?Line
    {
        foreach ($boards as $board) {
            if ($board->part->controls?->boardName === $name) {
                return $board;
            }
        }

        return null;
    }
}
