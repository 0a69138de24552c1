<?php

declare(strict_types=1);

namespace PocketPlot\Check\Software;

use PocketPlot\Build\Line;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\YesNo;

final class ReadyImage extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('software.image', 'There is a system that is ready to be written for the board.', ['software.image']);
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('software');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $software = $line->part->software;
        if ($software === null) {
            return;
        }
        if ($software->image === YesNo::Unknown) {
            yield $this->unmeasured($line, 'software.image');

            return;
        }
        $ready = $software->image === YesNo::Yes;
        yield $this->answer($ready ? Verdict::Fits : Verdict::Tight, [$line], fn (): Words => new Words($ready
            ? "A system for {$line->name()} is ready to be written."
            : "Nobody offers a ready system for {$line->name()}; it has to be put together.", [
                $this->text('Ready system', $software->image->value),
            ], $ready ? 'one exists' : 'evenings of work', [
                $this->swap($line, 'Take a board with a ready system'),
                Remedy::byHand('Plan two or three evenings for it, and keep notes of every line.'),
            ]));
    }
}
