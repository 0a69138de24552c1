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

final class KitGaps extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('whole.kit-gaps', 'What a kit leaves out is on the list.');
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('kit');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $kit = $line->part->kit;
        if ($kit === null) {
            return;
        }
        $gaps = [];
        $working = [$this->text("{$line->name()} contains", implode(', ', $kit->contains))];
        foreach ($kit->lacks as $lack) {
            $fillers = array_values(array_filter($facts->filling($lack['role']), static fn (Line $other): bool => $other->id !== $line->id));
            $working[] = $this->text("leaves out {$lack['what']}", $fillers === [] ? 'not on the list' : $fillers[0]->name(), 'worked out');
            if ($fillers === []) {
                $gaps[] = $lack;
            }
        }
        if ($gaps === []) {
            yield $this->answer(
                Verdict::Fits,
                [$line],
                fn (): Words => new Words("Everything that {$line->name()} leaves out is on the list.", $working, 'no gap'),
            );

            return;
        }
        foreach ($gaps as $gap) {
            yield $this->answer(
                Verdict::Missing,
                [$line],
                fn (): Words => new Words(
                    "{$line->name()} comes without {$gap['what']}, and there is none on the list.",
                    $working,
                    'left out of the box',
                    [Remedy::add($gap['role'], "Add {$gap['what']}")],
                ),
                $gap['what'],
            );
        }
    }
}
