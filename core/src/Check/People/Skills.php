<?php

declare(strict_types=1);

namespace PocketPlot\Check\People;

use PocketPlot\Build\Line;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Phrase;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Quantity\Constants;

final class Skills extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('people.skills', 'The builder can do what the parts ask for.', ['skills']);
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('skills');
    }

    /** Neither the skill nor the tool for it: nobody begins to solder without an iron. */
    private function lacksTools(Line $line, Facts $facts): bool
    {
        $have = $facts->brief()->tools;

        return $have !== null && array_diff($line->part->work->asked($facts->brief()->mustHaves)->tools, $have) !== [];
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $have = $facts->brief()->skills;
        $wanted = $line->part->work->asked($facts->brief()->mustHaves)->skills;
        if ($wanted === []) {
            return;
        }
        $working = [new WorkingLine("{$line->name()} asks for", implode(', ', $wanted), '', 'datasheet')];
        if ($have === null) {
            yield $this->answer(Verdict::Unmeasured, [$line], fn (): Words => new Words('The brief does not say what you can do; '
                .$line->name()
                .' asks for '
                .Phrase::all($wanted)
                .'.', $working, 'cannot be compared yet', [
                    Remedy::measure($line->id, FigureRef::of('skills')),
                ]), waitsFor: [[$line->id, FigureRef::of('skills')]]);

            return;
        }
        $working[] = new WorkingLine('You can', $have === [] ? 'nothing ticked yet' : implode(', ', $have), '', 'brief');
        $lacking = array_values(array_diff($wanted, $have));
        if ($lacking === []) {
            yield $this->answer(Verdict::Fits, [$line], fn (): Words => new Words("You can do what {$line->name()} asks for.", $working, 'nothing lacks'));

            return;
        }
        $hazards = array_values(array_intersect($lacking, Constants::HAZARDOUS_SKILLS));
        $swap = Remedy::swap($line->id, $line->role, "Take something that asks for less than {$line->name()}");
        $leave = Tools::withoutExtra($line, $lacking, $facts);
        yield $hazards !== []
            ? $this->answer(Verdict::Clash, [$line], fn (): Words => new Words(
                "{$line->name()} asks for ".Phrase::all($hazards).', which is not for trying out.',
                $working,
                'a mistake here can hurt someone',
                [
                    $swap, Remedy::byHand('Have it done by someone who knows how, then tick the skill in the brief.'), ...$leave,
                ]))
            : $this->answer($this->lacksTools($line, $facts) ? Verdict::Clash : Verdict::Tight, [$line], fn (): Words => new Words("{$line->name()} asks for "
                .Phrase::all($lacking)
                .', which '.(count($lacking) === 1 ? 'is' : 'are').' not ticked in the brief.', $working, 'can be learned or asked of a friend', [
                    Remedy::byHand('Practise on scrap first, or ask somebody who can.'), $swap, ...$leave,
                ]));
    }
}
