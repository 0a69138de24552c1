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
use PocketPlot\Part\Role;

final class Programming extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('software.programming', 'A board that takes the builder\'s own program over a lead has one that carries data.');
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('software');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $by = $line->part->software->programmedBy ?? '';
        if ($by === '') {
            return;
        }
        foreach ($facts->with('cable') as $lead) {
            if ($lead->part->cable?->leadsFrom($by, 'usb') !== null) {
                yield $this->answer(
                    Verdict::Fits,
                    [$line, $lead],
                    fn (): Words => new Words("{$lead->name()} takes the program to {$line->name()}.", [], 'it carries data'),
                );

                return;
            }
        }
        yield $this->answer(Verdict::Missing, [$line], fn (): Words => new Words(
            "No lead on the list takes a program to {$line->name()}: one with {$by} at its end and wires for data is wanted; many charging leads have none.",
            [$this->text("{$line->name()} is programmed over", $by)],
            'no data wires',
            [Remedy::add(Role::Cable, "Add a {$by} lead that carries data")],
        ));
    }
}
