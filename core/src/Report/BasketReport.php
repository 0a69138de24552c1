<?php

declare(strict_types=1);

namespace PocketPlot\Report;

use PocketPlot\Quantity\Cents;
use PocketPlot\Sourcing\Basket;
use PocketPlot\Sourcing\Choice;
use PocketPlot\Sourcing\Demand;
use PocketPlot\Sourcing\Market;
use PocketPlot\Sourcing\Plan;
use PocketPlot\Sourcing\PlannedOrder;
use PocketPlot\Sourcing\Wishes;

/** The cheapest basket with everything that it opens into, and what each condition costs. Sums as decimals in the home currency. */
final readonly class BasketReport
{
    public Plan $plan;

    /** @param  list<Demand>  $demands */
    public function __construct(private array $demands, private Market $market, private Wishes $wishes)
    {
        $this->plan = Basket::cheapest($demands, $market, $wishes);
    }

    /** @return array<string, mixed> as `plot:basket --json` prints it */
    public function toArray(): array
    {
        return [
            'currency' => $this->market->home,
            'possible' => $this->plan->isPossible,
            'total' => self::sum($this->plan->total()),
            'exact' => $this->plan->isExact(),
            'bound' => self::sum($this->plan->bound()),
            'slack' => self::sum($this->plan->total() - $this->plan->bound()),
            'arrives' => $this->plan->arrives() === null ? null : (string) $this->plan->arrives(),
            'decides' => $this->plan->decides()?->vendor->name,
            'orders' => array_map(self::order(...), $this->plan->orders),
            'unmet' => array_map(static fn (Demand $one): array => ['id' => $one->id, 'name' => $one->name], $this->plan->unmet),
            'without' => $this->without(),
        ];
    }

    /**
     * The plan without each of the conditions: what it costs to have it.
     *
     * @return list<array{condition: string, total: string, saves: string, unmet: int, arrives: ?string}>
     */
    public function without(): array
    {
        $without = [];
        foreach ($this->wishes->without() as $condition => $other) {
            $plan = Basket::cheapest($this->demands, $this->market, $other);
            $without[] = [
                'condition' => $condition,
                'total' => self::sum($plan->total()),
                'saves' => self::sum($this->plan->total() - $plan->total()),
                'unmet' => count($plan->unmet),
                'arrives' => $plan->arrives() === null ? null : (string) $plan->arrives(),
            ];
        }

        return $without;
    }

    /** @return array<string, mixed> */
    private static function order(PlannedOrder $order): array
    {
        $landed = $order->landed();

        return [
            'vendor' => $order->vendor->name,
            'arrives' => (string) $order->arrives,
            'latest' => (string) $order->latest,
            'goods' => self::sum($order->goods()),
            'post' => self::sum($order->terms->post),
            'duty' => self::sum($order->duty()),
            'tax' => self::sum($order->tax()),
            'total' => self::sum($order->total()),
            'items' => array_map(static fn (Choice $one): array => [
                'id' => $one->demand->id,
                'name' => $one->demand->name,
                'offer' => $one->offer->id,
                'part' => $one->offer->part,
                'packets' => $one->packets,
                'pieces' => $one->packets * $one->offer->pieces,
                'needed' => $one->demand->pieces,
                'condition' => $one->offer->condition->value,
                'goods' => self::sum($one->atHome),
                'post' => self::sum($landed[$one->demand->id]->post),
                'duty' => self::sum($landed[$one->demand->id]->duty),
                'tax' => self::sum($landed[$one->demand->id]->tax),
                'landed' => self::sum($landed[$one->demand->id]->whole()),
            ], $order->choices),
        ];
    }

    /** Hundredths as a decimal: "-0.05". */
    public static function sum(int $cents): string
    {
        return Cents::says($cents);
    }
}
