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
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Constants;
use PocketPlot\Quantity\Money;

final class Tools extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('people.tools', 'The tools that the parts ask for are on the bench, or their price is known.', ['tools']);
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('tools');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $have = $facts->brief()->tools;
        $wanted = $line->part->work->asked($facts->brief()->mustHaves)->tools;
        if ($wanted === []) {
            return;
        }
        $working = [$this->text("{$line->name()} asks for", implode(', ', $wanted))];
        $lacking = array_values(array_diff($wanted, $have ?? [], Consumables::onList($facts)));
        if ($lacking === []) {
            yield $this->answer(Verdict::Fits, [$line], fn (): Words => new Words("The tools for {$line->name()} are there.", $working, 'nothing lacks'));

            return;
        }
        if ($have === null) {
            yield $this->answer(
                Verdict::Unmeasured,
                [$line],
                fn (): Words => new Words(
                    "The brief does not say what tools you have; {$line->name()} asks for ".Phrase::all(array_map(Phrase::a(...), $lacking)).'.',
                    $working,
                    'cannot be compared yet',
                    [Remedy::measure($line->id, FigureRef::of('tools'))],
                ),
                waitsFor: [[$line->id, FigureRef::of('tools')]],
            );

            return;
        }
        $cost = Money::zero('EUR');
        foreach ($lacking as $tool) {
            $price = isset(Constants::TOOL_EUR[$tool]) ? Money::of(Constants::TOOL_EUR[$tool], 'EUR') : null;
            $working[] = new WorkingLine("A {$tool}, about", $price?->rounded(), 'EUR', $price === null ? 'unknown' : 'guess');
            $cost = $price === null ? $cost : $cost->plus($price);
        }
        $shown = $facts->rates()->convert($cost, $facts->brief()->currency) ?? $cost;
        yield $this->answer(Verdict::Missing, [$line], fn (): Words => new Words(sprintf(
            '%s asks for %s, which %s not on your bench%s.',
            $line->name(),
            Phrase::all(array_map(Phrase::a(...), $lacking)),
            count($lacking) === 1 ? 'is' : 'are',
            $cost->amount->isZero() ? '' : "; about {$shown->says()} to buy",
        ), $working, 'can be bought or borrowed', [
            Remedy::add(
                Role::Tool,
                'Put the tool on the parts list, with its price',
            ), Remedy::brief('Tick it in the brief, if it is there or can be borrowed'), $this->swap($line, 'Take something that asks for less'), ...self::withoutExtra($line, $lacking, $facts),
        ]));
    }

    /**
     * @param  list<string>  $lacking
     * @return list<Remedy>
     */
    public static function withoutExtra(Line $line, array $lacking, Facts $facts): array
    {
        $wishes = $line->part->work->wishesThatAsk($facts->brief()->mustHaves, $lacking);

        return $wishes === [] ? [] : [Remedy::brief(sprintf(
            'Leave %s out of the brief: only for %s does %s ask for %s',
            Phrase::all(array_map(static fn (string $wish): string => "\"{$wish}\"", $wishes)),
            count($wishes) === 1 ? 'that' : 'those',
            $line->name(),
            Phrase::all($lacking),
        ))];
    }
}
