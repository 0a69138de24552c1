<?php

declare(strict_types=1);

namespace PocketPlot\Check\Money;

use PocketPlot\Build\Line;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Quantity\Cents;
use PocketPlot\Quantity\Money;
use PocketPlot\Sourcing\Costs;
use PocketPlot\Sourcing\LineCost;

final class WithinBudget extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta('money.budget', 'Everything together costs no more than the brief allows.', ['price', 'rate']);
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $budget = $facts->brief()->budget;
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
        $converted = $facts->rates()->convert($budget, $facts->brief()->currency) ?? $budget;
        $prices = array_map(static fn (LineCost $one): int => $one->whole(), $costs->lines);
        arsort($prices);
        $top = array_slice($prices, 0, 4, true);
        $dearest = array_values(array_filter($facts->lines(), static fn (Line $line): bool => isset($top[$line->id])));
        usort($dearest, static fn (Line $a, Line $b): int => $prices[$b->id] <=> $prices[$a->id]);
        $tightAt = $converted->times((string) $facts->margin('budget-share'));
        $incomplete = $costs->unpriced !== [] || $costs->withoutRate !== [];
        $verdict = match (true) {
            $costs->planned->isMoreThan($converted) => Verdict::Clash,
            $incomplete => Verdict::Unmeasured,
            $costs->planned->isMoreThan($tightAt) => Verdict::Tight,
            default => Verdict::Fits,
        };
        $waits = [...$costs->unpriced, ...$costs->withoutRate];
        $open = $verdict === Verdict::Unmeasured ? [[$waits[0]->id, FigureRef::of($costs->unpriced === [] ? 'rate' : 'price')]] : [];
        yield $this->answer($verdict, $verdict === Verdict::Unmeasured ? $waits : $dearest, fn (): Words => new Words(match ($verdict) {
            Verdict::Clash => "The parts come to {$costs->planned->says()}; the budget is {$converted->says()}.",
            Verdict::Unmeasured => $costs->planned->amount->isZero()
                ? "No price is known yet; the budget is {$converted->says()}."
                : "The prices known so far come to {$costs->planned->says()} of {$converted->says()}; some are missing.",
            default => "The parts come to {$costs->planned->says()} of {$converted->says()}.",
        }, [
            ...array_map(fn (Line $line): WorkingLine => $this->money($line->name(), Cents::money($prices[$line->id], $costs->planned->currency)), $dearest),
            ...$this->opened($costs),
            $this->money('Everything together', $costs->planned),
            new WorkingLine('Budget', $converted->rounded(), $converted->currency, 'brief'),
        ], 'the whole build against the budget', match ($verdict) {
            Verdict::Fits => [],
            Verdict::Unmeasured => array_map(static fn (array $one): Remedy => Remedy::measure(...$one), $open),
            default => [
                ...array_map(static fn (Line $line): Remedy => Remedy::swap($line->id, $line->role, "Take something cheaper for {$line->name()}"), $dearest),
                Remedy::brief('Raise the budget in the brief'),
            ],
        }), 'total', true, $open);
    }

    /** @return list<WorkingLine> what is in the sum beside the goods, where there is any */
    private function opened(Costs $costs): array
    {
        $currency = $costs->planned->currency;
        $sums = ['Goods' => 0, 'Post' => 0, 'Duty' => 0, 'Tax at the border' => 0, 'Refunded' => 0];
        foreach ([...array_values($costs->lines), ...array_values($costs->apart)] as $one) {
            $sums['Goods'] += $one->goods;
            $sums['Post'] += $one->post;
            $sums['Duty'] += $one->duty;
            $sums['Tax at the border'] += $one->tax;
            $sums['Refunded'] -= $one->refund;
        }
        $beside = array_filter(array_diff_key($sums, ['Goods' => 0]));
        $opened = $beside === [] ? [] : ['Goods' => $sums['Goods']] + $beside;

        return array_map(fn (string $label, int $cents): WorkingLine => $this->money($label, Cents::money($cents, $currency)), array_keys($opened), $opened);
    }

    private function money(string $label, Money $money): WorkingLine
    {
        return new WorkingLine($label, $money->rounded(), $money->currency, 'listing');
    }
}
