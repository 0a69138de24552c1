<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Build\Line;
use PocketPlot\Quantity\Figure;

/** Short ways for a rule to answer. */
trait Answers
{
    /**
     * @param  list<Line>  $lines
     * @param  list<WorkingLine>  $working
     * @param  list<Remedy>  $remedies
     */
    private function answer(Verdict $verdict, array $lines, string $says, array $working = [], string $comparison = '', array $remedies = [], string $about = '', bool $ofWhole = false): Finding
    {
        $ids = array_values(array_unique(array_map(static fn (Line $line): string => $line->id, $lines)));

        return new Finding(self::id(), $verdict, $ids, $says, $working, $comparison, $remedies, $about, $ofWhole);
    }

    /**
     * @param  list<Line>  $others
     * @param  list<WorkingLine>  $working
     * @param  string  $so  what stays open until it is known
     */
    private function unmeasured(Line $line, string $figure, array $others = [], array $working = [], string $about = '', string $so = ''): Finding
    {
        $name = Measuring::name($figure);

        return $this->answer(
            Verdict::Unmeasured,
            [$line, ...$others],
            "Nobody knows the {$name} of {$line->name()} yet".($so === '' ? '.' : ", so {$so}."),
            [...$working, new WorkingLine("{$line->name()}: {$name}", null, '', 'unknown')],
            'cannot be compared yet',
            [Remedy::measure($line->id, $figure)],
            $about,
        );
    }

    private function row(string $label, Figure $figure): WorkingLine
    {
        return WorkingLine::figure($label, $figure);
    }

    private function count(string $label, int|float $value, string $unit = '', string $source = 'worked out'): WorkingLine
    {
        return new WorkingLine($label, (float) $value, $unit, $source);
    }
}
