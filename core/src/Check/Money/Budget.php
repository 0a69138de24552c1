<?php

declare(strict_types=1);

namespace PocketPlot\Check\Money;

use PocketPlot\Build\Line;
use PocketPlot\Check\Answers;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Rule;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Quantity\Money;

final class Budget implements Rule
{
    use Answers;

    public static function meta(): Meta
    {
        return new Meta('money.budget', 'Everything together costs no more than the brief allows.',
            ['any'],
            ['price', 'rate']);
    }

    public function check(Facts $facts): iterable
    {
        $budget = $facts->build->brief->budget;
        $costs = $facts->costs();
        foreach ($costs->unpriced as $line) {
            yield $this->unmeasured($line, 'price', [], [$this->money('Known so far', $costs->planned)], 'price');
        }
        foreach ($costs->withoutRate as $line) {
            yield $this->unmeasured($line, 'rate', [], [$this->money('Known so far', $costs->planned)], 'rate');
        }
        if ($budget === null) {
            return;
        }
        $converted = $facts->build->rates->convert($budget, $facts->build->brief->currency) ?? $budget;
        // Floats will do to put the dearest first; the sums stay exact.
        $prices = $costs->worth;
        arsort($prices);
        $top = array_slice($prices, 0, 4, true);
        $dearest = array_values(array_filter($facts->lines(), static fn (Line $line): bool => isset($top[$line->id])));
        usort($dearest, static fn (Line $a, Line $b): int => $prices[$b->id] <=> $prices[$a->id]);
        $working = [
            ...array_map(fn (Line $line): WorkingLine => $this->money($line->name(), $costs->byLine[$line->id]), $dearest),
            $this->money('Everything together', $costs->planned),
            new WorkingLine('Budget', $converted->rounded(), $converted->currency, 'brief'),
        ];
        $tightAt = $converted->times((string) $facts->margin('target-share'));
        $incomplete = $costs->unpriced !== [] || $costs->withoutRate !== [];
        $verdict = match (true) {
            $costs->planned->isMoreThan($converted) => Verdict::Clash,
            $incomplete => Verdict::Unmeasured,
            $costs->planned->isMoreThan($tightAt) => Verdict::Tight,
            default => Verdict::Fits,
        };
        $says = match ($verdict) {
            Verdict::Clash => "The parts come to {$costs->planned->says()}; the budget is {$converted->says()}.",
            Verdict::Unmeasured => "The prices known so far come to {$costs->planned->says()} of {$converted->says()}; some are missing.",
            default => "The parts come to {$costs->planned->says()} of {$converted->says()}.",
        };
        yield $this->answer($verdict, $verdict === Verdict::Unmeasured ? [...$costs->unpriced, ...$costs->withoutRate] : $dearest, $says, $working,
            'the whole build against the budget', match ($verdict) {
                Verdict::Fits => [],
                Verdict::Unmeasured => [Remedy::measure([...$costs->unpriced, ...$costs->withoutRate][0]->id, $costs->unpriced === [] ? FigureRef::of('rate') : FigureRef::of('price'))],
                default => [
                    ...array_map(static fn (Line $line): Remedy => Remedy::swap($line->id, $line->role, "Take something cheaper for {$line->name()}"), $dearest),
                    Remedy::brief('Raise the budget in the brief'),
                ],
            }, 'total', true);
    }

    private function money(string $label, Money $money): WorkingLine
    {
        return new WorkingLine($label, $money->rounded(), $money->currency, 'listing');
    }
}
