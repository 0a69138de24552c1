<?php

declare(strict_types=1);

namespace PocketPlot\Report;

use PocketPlot\Appraisal;
use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Cents;
use PocketPlot\Sourcing\LineCost;
use PocketPlot\Sourcing\Progress;

/** Where the money goes: by line, by what it is for, by vendor, by day. Every sum is that of its rows, to the last cent. */
final readonly class MoneyReport
{
    private Build $build;

    public function __construct(private Appraisal $appraisal)
    {
        $this->build = $appraisal->build;
    }

    /** @return array<string, mixed> as the API answers it (contract/openapi.json, "Money") */
    public function toArray(): array
    {
        $costs = $this->appraisal->costs;
        $rows = $this->rows();

        return [
            'currency' => $costs->planned->currency,
            'planned' => $costs->planned->rounded(),
            'committed' => $costs->committed->rounded(),
            'spent' => $costs->spent->rounded(),
            'refunded' => $costs->refunded->rounded(),
            'lines' => array_map(static fn (array $row): array => ['name' => $row['name'], 'line' => $row['line'], ...self::said($row['cost'])], $rows),
            'sums' => self::said(self::summed(array_column($rows, 'cost'))),
            'byRole' => self::grouped($rows, 'for'),
            'byVendor' => self::grouped($rows, 'vendor'),
            'over' => $this->overTime(),
            'unpriced' => array_map(static fn (Line $line): string => $line->name(), [...$costs->unpriced, ...$costs->withoutRate]),
            'withoutPost' => $costs->withoutPost,
            'readyMade' => $this->build->brief->readyMade?->toArray(),
        ];
    }

    /** @return list<array{name: string, line: ?string, for: string, vendor: string, cost: LineCost}> */
    private function rows(): array
    {
        $costs = $this->appraisal->costs;
        $rows = [];
        foreach ($this->build->chosen() as $line) {
            $cost = $costs->lines[$line->id] ?? null;
            if ($cost !== null) {
                $ordered = Progress::ordered($line, $this->build);
                $rows[] = [
                    'name' => $line->name(),
                    'line' => $line->id,
                    'for' => in_array($line->role, [Role::Tool, Role::Material], true) ? 'tools and consumables' : $line->role->says(),
                    'vendor' => match (true) {
                        $ordered !== [] => $ordered[0][0]->vendor,
                        $line->origin->isFree() => 'at home',
                        default => $line->vendor === '' ? ($line->part->bestOffer()->vendor ?? 'nobody yet') : $line->vendor,
                    },
                    'cost' => $cost,
                ];
            }
        }
        foreach ($costs->apart as $name => $cost) {
            $rows[] = ['name' => $name, 'line' => null, 'for' => 'not on the list any more', 'vendor' => explode(', ', (string) $name)[0], 'cost' => $cost];
        }

        return $rows;
    }

    /**
     * @param  list<array{name: string, line: ?string, for: string, vendor: string, cost: LineCost}>  $rows
     * @param  'for'|'vendor'  $by
     * @return list<array<string, string>> the dearest first
     */
    private static function grouped(array $rows, string $by): array
    {
        $groups = [];
        foreach ($rows as $row) {
            $groups[$row[$by]] = isset($groups[$row[$by]]) ? $groups[$row[$by]]->plus($row['cost']) : $row['cost'];
        }
        uasort($groups, static fn (LineCost $a, LineCost $b): int => $b->whole() <=> $a->whole());

        $names = array_map(strval(...), array_keys($groups));

        return array_map(static fn (string $name, LineCost $cost): array => ['name' => $name, ...self::said($cost)], $names, $groups);
    }

    /** @param  list<LineCost>  $costs */
    private static function summed(array $costs): LineCost
    {
        return array_reduce($costs, static fn (LineCost $sum, LineCost $one): LineCost => $sum->plus($one), new LineCost(0));
    }

    /** @return list<array{on: string, what: string, amount: string, sum: string}> money as it was promised, order by order, and what of it came back */
    private function overTime(): array
    {
        $days = [];
        foreach ($this->build->orders as $order) {
            $home = $order->holds() ? $this->build->rates->cents($order->total(), $order->currency, $this->build->brief->currency) : null;
            if ($home !== null) {
                $days[] = [(string) $order->placedOn, $order->vendor, $home];
            }
        }
        sort($days);
        $sum = 0;
        $over = [];
        foreach ($days as [$on, $what, $cents]) {
            $sum += $cents;
            $over[] = ['on' => $on, 'what' => $what, 'amount' => Cents::says($cents), 'sum' => Cents::says($sum)];
        }

        return $over;
    }

    /** @return array{goods: string, post: string, duty: string, tax: string, refund: string, whole: string, committed: string, spent: string} */
    private static function said(LineCost $cost): array
    {
        return array_map(Cents::says(...), [
            'goods' => $cost->goods, 'post' => $cost->post, 'duty' => $cost->duty, 'tax' => $cost->tax, 'refund' => $cost->refund,
            'whole' => $cost->whole(), 'committed' => $cost->committed, 'spent' => $cost->spent,
        ]);
    }
}
