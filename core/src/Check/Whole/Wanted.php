<?php

declare(strict_types=1);

namespace PocketPlot\Check\Whole;

use PocketPlot\Build\Line;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;

/** A line that only says what is wanted counts with its figures, and is missing until something stands in its place. */
final class Wanted extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('whole.wanted', 'What is only wanted has been found and stands in its place.', ['facets']);
    }

    protected function lines(Facts $facts): iterable
    {
        return array_filter($facts->lines(), static fn (Line $line): bool => $line->part->isWanted);
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $what = rtrim($line->part->summary, '.');
        yield $this->answer(Verdict::Missing, [$line], fn (): Words => new Words(
            'Still to be found: '.lcfirst($what === '' ? $line->name() : $what).'.',
            [$this->text('What it has to be', $what === '' ? $line->name() : $what, 'worked out from this build')],
            'counted with these figures until one is found',
            [$this->swap($line, 'Take one that does'), Remedy::byHand('Search the library, or enter the part that you found')],
        ));
    }
}
