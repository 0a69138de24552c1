<?php

declare(strict_types=1);

namespace PocketPlot\Check\Control;

use PocketPlot\Build\Line;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

final class BoardFit extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('control.board-fit', 'Membranes and buttons lie on the controller board they were made for.');
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('controls');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $madeFor = $line->part->controls->madeFor ?? '';
        if ($madeFor === '') {
            return;
        }
        $boards = array_values(array_filter($facts->with('controls'), static fn (Line $other): bool => ($other->part->controls->boardName ?? '') !== ''));
        $right = array_values(array_filter($boards, static fn (Line $other): bool => $other->part->controls?->boardName === $madeFor));
        $working = [
            $this->text("{$line->name()} was made for", $madeFor),
            ...array_map(fn (Line $board) => $this->text("{$board->name()} is", $board->part->controls->boardName ?? ''), $boards),
        ];
        yield match (true) {
            $right !== [] => $this->answer(
                Verdict::Fits,
                [$line, $right[0]],
                fn (): Words => new Words("{$line->name()} lies on {$right[0]->name()}, which it was made for.", $working, 'same'),
            ),
            $boards === [] => $this->answer(
                Verdict::Clash,
                [$line],
                fn (): Words => new Words(
                    "{$line->name()} needs the controller board \"{$madeFor}\" beneath it.",
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
}
