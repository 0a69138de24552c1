<?php

declare(strict_types=1);

namespace PocketPlot\Check\People;

use PocketPlot\Check\Answers;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Rule;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Constants;
use PocketPlot\Quantity\Money;

final class Tools implements Rule
{
    use Answers;

    public static function meta(): Meta
    {
        return new Meta('people.tools', 'The tools that the parts ask for are on the bench, or their price is known.',
            ['tools', 'serves'], ['tools']);
    }

    public function check(Facts $facts): iterable
    {
        $have = $facts->build->brief->tools;
        $inList = [];
        foreach ($facts->with('serves') as $line) {
            $inList = [...$inList, ...$line->part->work->serves];
        }
        foreach ($facts->with('tools') as $line) {
            $wanted = $line->part->work->tools;
            if ($wanted === []) {
                continue;
            }
            $working = [$this->text("{$line->name()} asks for", implode(', ', $wanted))];
            $lacking = array_values(array_diff($wanted, $have ?? [], $inList));
            if ($lacking === []) {
                yield $this->answer(Verdict::Fits, [$line], "The tools for {$line->name()} are there.", $working, 'nothing lacks');

                continue;
            }
            if ($have === null) {
                yield $this->answer(Verdict::Unmeasured, [$line], "The brief does not say what tools you have; {$line->name()} asks for ".implode(', ', $lacking).'.', $working, 'cannot be compared yet', [Remedy::measure($line->id, FigureRef::of('tools'))]);

                continue;
            }
            $cost = Money::zero('EUR');
            foreach ($lacking as $tool) {
                $price = isset(Constants::TOOL_EUR[$tool]) ? Money::of(Constants::TOOL_EUR[$tool], 'EUR') : null;
                $working[] = new WorkingLine("A {$tool}, about", $price?->rounded(), 'EUR', $price === null ? 'unknown' : 'guess');
                $cost = $price === null ? $cost : $cost->plus($price);
            }
            $shown = $facts->build->rates->convert($cost, $facts->build->brief->currency) ?? $cost;
            yield $this->answer(Verdict::Tight, [$line], sprintf('%s asks for a %s, which is not on your bench; about %s to buy.', $line->name(), implode(' and a ', $lacking), $shown->says()), $working, 'can be bought or borrowed', [
                Remedy::add(Role::Tool, 'Put the tool on the parts list, with its price'), Remedy::brief('Tick it in the brief, if it is there or can be borrowed'), $this->swap($line, 'Take something that asks for less'),
            ]);
        }
    }
}
