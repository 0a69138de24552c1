<?php

declare(strict_types=1);

use CoreTests\LinearModel;
use CoreTests\Markets;
use PocketPlot\Build\LeadTime;
use PocketPlot\Build\PostTariff;
use PocketPlot\Build\Vendor;
use PocketPlot\Quantity\Day;
use PocketPlot\Quantity\Rates;
use PocketPlot\Sourcing\Basket;
use PocketPlot\Sourcing\Choice;
use PocketPlot\Sourcing\Condition;
use PocketPlot\Sourcing\Demand;
use PocketPlot\Sourcing\LineCost;
use PocketPlot\Sourcing\Market;
use PocketPlot\Sourcing\MarketOffer;
use PocketPlot\Sourcing\Plan;
use PocketPlot\Sourcing\PlannedOrder;
use PocketPlot\Sourcing\Share;
use PocketPlot\Sourcing\Wishes;

/** @param  array<string, array<string, mixed>>  $terms  by vendor */
function market(array $terms, array $prices, array $more = []): Market
{
    $vendors = $offers = [];
    foreach ($terms as $name => $of) {
        $vendors[$name] = new Vendor(
            $name, $of['currency'] ?? 'EUR', $of['post'] ?? PostTariff::flat(500), $of['lead'] ?? new LeadTime(2, 4, 8), $of['closures'] ?? [],
            $of['leastOrder'] ?? 0, $of['tax'] ?? 0, $of['duty'] ?? 0, $of['dutyFreeUpTo'] ?? 0,
        );
        foreach ($prices[$name] ?? [] as $part => $price) {
            $offers[] = new MarketOffer("{$name} {$part}", $name, $part, 1, is_array($price) ? $price : [1 => $price]);
        }
    }

    return new Market($vendors, [...$offers, ...$more], new Rates('EUR', ['GBP' => '1.20']), 'EUR', Day::of('2026-11-26'));
}

/** @return list<Demand> one piece of each part */
function want(string ...$parts): array
{
    return array_map(static fn (string $part): Demand => new Demand($part, ucfirst($part), 1, [$part => 100]), $parts);
}

/** @return array<string, string> by demand, the vendor it is bought at */
function bought(Plan $plan): array
{
    $bought = [];
    foreach ($plan->orders as $order) {
        foreach ($order->choices as $choice) {
            $bought[$choice->demand->id] = $order->vendor->name;
        }
    }
    ksort($bought);

    return $bought;
}

it('finds the plan that is worked out by hand', function (array $terms, array $prices, array $expected, int $total): void {
    $plan = Basket::cheapest(want('board', 'lead', 'panel'), market($terms, $prices), new Wishes);
    expect(bought($plan))->toBe($expected)->and($plan->total())->toBe($total)->and($plan->isExact())->toBeTrue();
})->with([
    // Each where it is cheapest: 30 + 5 and 8 + 40 + 5, 88.00; all at Barn: 31 + 8 + 40 + 5 = 84.00.
    'one parcel less is worth one euro' => [
        ['Kiosk' => [], 'Barn' => []], ['Kiosk' => ['board' => 3000, 'panel' => 4600], 'Barn' => ['board' => 3100, 'lead' => 800, 'panel' => 4000]],
        ['board' => 'Barn', 'lead' => 'Barn', 'panel' => 'Barn'], 8400,
    ],
    // At Barn 79.00 of goods: one euro short of free post. The lead at Barn though it is 1.50 dearer: 80.50, no post; and 30 + 5 would be more.
    'what is dearer makes the post free' => [
        ['Kiosk' => [], 'Barn' => ['post' => PostTariff::flat(600, 8000)]],
        ['Kiosk' => ['lead' => 650], 'Barn' => ['board' => 3200, 'lead' => 800, 'panel' => 4050]],
        ['board' => 'Barn', 'lead' => 'Barn', 'panel' => 'Barn'], 8050,
    ],
    // Barn sells nothing below 50.00: the lead alone cannot come from there, the panel with it can.
    'a least order' => [
        ['Kiosk' => [], 'Barn' => ['leastOrder' => 5000]],
        ['Kiosk' => ['board' => 3000, 'lead' => 900, 'panel' => 4500], 'Barn' => ['lead' => 100, 'panel' => 4400]],
        ['board' => 'Kiosk', 'lead' => 'Kiosk', 'panel' => 'Kiosk'], 8900,
    ],
    // 100 pounds are 120 euros; 20 % of tax on goods and post: board 20 GBP = 24.00, post 5 GBP = 6.00, tax 4.80 + 1.20, together 36.00, and 40.00 at home.
    'another currency, and tax at the border' => [
        ['Isle' => ['currency' => 'GBP', 'tax' => 2000], 'Barn' => []], ['Isle' => ['board' => 2000], 'Barn' => ['board' => 4000, 'lead' => 800, 'panel' => 4000]],
        ['board' => 'Isle', 'lead' => 'Barn', 'panel' => 'Barn'], 8900,
    ],
    // The same at 35.00 at home: 35.00 is less than 36.00.
    'and the same where it is not worth it' => [
        ['Isle' => ['currency' => 'GBP', 'tax' => 2000], 'Barn' => []], ['Isle' => ['board' => 2000], 'Barn' => ['board' => 3500, 'lead' => 800, 'panel' => 4000]],
        ['board' => 'Barn', 'lead' => 'Barn', 'panel' => 'Barn'], 8800,
    ],
    // Duty of 10 % begins above 60.00. All three at Isle: 30 + 40 + 8 = 78.00, duty 7.80, post 5: 90.80. Without the lead still above. The panel at home: 38 + 5 + 43 + 5 = 91.00.
    'duty on the whole order' => [
        ['Isle' => ['duty' => 1000, 'dutyFreeUpTo' => 6000], 'Barn' => []], ['Isle' => ['board' => 3000, 'lead' => 800, 'panel' => 4000], 'Barn' => ['panel' => 4300]],
        ['board' => 'Isle', 'lead' => 'Isle', 'panel' => 'Isle'], 9080,
    ],
    // 50 cents more for the panel at home, and the order stays below what is dutiable: 38 + 5 + 42.50 + 5.
    'an order kept below the duty' => [
        ['Isle' => ['duty' => 1000, 'dutyFreeUpTo' => 6000], 'Barn' => []], ['Isle' => ['board' => 3000, 'lead' => 800, 'panel' => 4000], 'Barn' => ['panel' => 4250]],
        ['board' => 'Isle', 'lead' => 'Isle', 'panel' => 'Barn'], 9050,
    ],
    // 300 g in one parcel cost 9.00, up to 200 g 3.00. One of three elsewhere: 3 + 3 + 0.40 more.
    'post by weight' => [
        ['Kiosk' => ['post' => PostTariff::flat(300)], 'Barn' => ['post' => new PostTariff([[200, 300], [null, 900]])]],
        ['Kiosk' => ['lead' => 840], 'Barn' => ['board' => 3000, 'lead' => 800, 'panel' => 4000]],
        ['board' => 'Barn', 'lead' => 'Kiosk', 'panel' => 'Barn'], 8440,
    ],
]);

it('buys packets, breaks and stock as they are', function (int $pieces, array $offer, ?array $expected): void {
    expect((new MarketOffer('o', 'Barn', 'screw', ...$offer))->cheapest($pieces))->toBe($expected);
})->with([
    'whole packets' => [7, ['pieces' => 5, 'prices' => [1 => 300]], [2, 600]],
    'a break that is reached' => [7, ['pieces' => 1, 'prices' => [1 => 100, 5 => 80]], [7, 560]],
    // Nine at 1.00 are 9.00, ten at 0.80 are 8.00.
    'a break that is worth one more' => [9, ['pieces' => 1, 'prices' => [1 => 100, 10 => 80]], [10, 800]],
    'a break that is not' => [5, ['pieces' => 1, 'prices' => [1 => 100, 10 => 80]], [5, 500]],
    'a break beyond what there is' => [9, ['pieces' => 1, 'prices' => [1 => 100, 10 => 80], 'stock' => 9], [9, 900]],
    'too few' => [9, ['pieces' => 1, 'prices' => [1 => 100], 'stock' => 8], null],
    'breaks in any order' => [9, ['pieces' => 1, 'prices' => [10 => 80, 1 => 100, 4 => 90]], [10, 800]],
]);

it('keeps to what is wished', function (Wishes $wishes, array $expected): void {
    $terms = ['Near' => ['lead' => new LeadTime(1, 2, 4)], 'Far' => ['lead' => new LeadTime(10, 20, 40)], 'Attic' => []];
    $used = [new MarketOffer('u', 'Attic', 'panel', 1, [1 => 1500], Condition::UsedTested)];
    $plan = Basket::cheapest(want('board', 'panel'), market($terms, ['Near' => ['board' => 4000, 'panel' => 4000], 'Far' => ['board' => 1000, 'panel' => 3000]], $used), $wishes);
    expect(bought($plan))->toBe($expected);
})->with([
    'nothing' => [new Wishes, ['board' => 'Far', 'panel' => 'Attic']],
    'nothing used' => [new Wishes(usedAllowed: false), ['board' => 'Far', 'panel' => 'Far']],
    'in a week' => [new Wishes(needBy: Day::of('2026-12-03'), usedAllowed: false), ['board' => 'Near', 'panel' => 'Near']],
    'not from there' => [new Wishes(avoid: ['Far']), ['board' => 'Near', 'panel' => 'Attic']],
    'one parcel' => [new Wishes(mostParcels: 1), ['board' => 'Far', 'panel' => 'Far']],
]);

it('takes the cheaper of two parts that would both do', function (): void {
    $either = [new Demand('panel', 'A panel', 1, ['rook' => 200, 'sill' => 150]), ...want('lead')];
    $plan = Basket::cheapest($either, market(['Barn' => []], ['Barn' => ['rook' => 4000, 'sill' => 3600, 'lead' => 500]]), new Wishes);
    expect(array_map(static fn (Choice $one): string => $one->offer->part, $plan->orders[0]->choices))->toBe(['sill', 'lead']);
});

it('says what nobody sells, and plans the rest', function (): void {
    $plan = Basket::cheapest(want('board', 'moon'), market(['Barn' => []], ['Barn' => ['board' => 3000]]), new Wishes);
    expect(array_map(static fn (Demand $one): string => $one->id, $plan->unmet))->toBe(['moon'])->and($plan->total())->toBe(3500);
    $nothing = Basket::cheapest(want('moon'), market([], []), new Wishes);
    expect($nothing->orders)->toBe([])->and($nothing->total())->toBe(0)->and($nothing->arrives())->toBeNull();
});

it('says that it cannot be, where a least order is not reached', function (): void {
    $plan = Basket::cheapest(want('lead'), market(['Barn' => ['leastOrder' => 5000]], ['Barn' => ['lead' => 500]]), new Wishes);
    expect($plan->isPossible)->toBeFalse()->and($plan->isExact())->toBeFalse()->and($plan->orders)->toBe([]);
});

it('does not ask a vendor whose money has no rate', function (): void {
    $plan = Basket::cheapest(want('lead'), market(['Barn' => [], 'Fjord' => ['currency' => 'NOK']], ['Barn' => ['lead' => 500], 'Fjord' => ['lead' => 10]]), new Wishes);
    expect(bought($plan))->toBe(['lead' => 'Barn']);
});

it('sends after a closure, and after the next one that follows at once', function (string $ordered, string $arrives): void {
    $closures = [[Day::of('2026-12-20'), Day::of('2026-12-31')], [Day::of('2027-01-01'), Day::of('2027-01-03')]];
    $vendor = new Vendor('Barn', 'EUR', PostTariff::flat(500), new LeadTime(2, 4, 8), $closures);
    expect((string) $vendor->arrival(Day::of($ordered), 4))->toBe($arrives);
})->with([['2026-12-19', '2026-12-23'], ['2026-12-20', '2027-01-08'], ['2026-12-31', '2027-01-08'], ['2027-01-04', '2027-01-08']]);

it('says which parcel decides the day', function (): void {
    $market = market(['Near' => ['lead' => new LeadTime(1, 2, 4)], 'Far' => ['lead' => new LeadTime(10, 20, 40)]], ['Near' => ['board' => 100], 'Far' => ['panel' => 100]]);
    $plan = Basket::cheapest(want('board', 'panel'), $market, new Wishes);
    expect((string) $plan->arrives())->toBe('2026-12-16')->and($plan->decides()?->vendor->name)->toBe('Far')->and((string) $plan->orders[0]->latest)->toBe('2027-01-05');
});

it('shares the landed cost out to the last cent', function (int $seed): void {
    [$demands, $market] = Markets::drawn($seed, 12, 4);
    $plan = Basket::cheapest($demands, $market, new Wishes);
    expect(count($plan->orders))->toBeGreaterThan(0);
    foreach ($plan->orders as $order) {
        $landed = array_map(static fn (LineCost $one): int => $one->whole(), $order->landed());
        expect(array_sum($landed))->toBe($order->total())
            ->and($order->goods() + $order->terms->post + $order->duty() + $order->tax())->toBe($order->total())
            ->and(min($landed))->toBeGreaterThan(0);
    }
    expect(array_sum(array_map(static fn (PlannedOrder $one): int => $one->total(), $plan->orders)))->toBe($plan->total());
})->with(range(1, 12));

it('rounds a share half up', function (int $cents, int $share, int $expected): void {
    expect(Share::of($cents, $share))->toBe($expected);
})->with([[1000, 1900, 190], [1, 5000, 1], [1, 4999, 0], [333, 1000, 33], [335, 1000, 34], [0, 1900, 0]]);

it('is the least of all ways there are', function (int $seed): void {
    [$demands, $market] = Markets::drawn($seed, 3 + $seed % 4, 2 + $seed % 3);
    $parcels = $seed % 5 === 0 ? 1 + $seed % 2 : null;
    $plan = Basket::cheapest($demands, $market, new Wishes(mostParcels: $parcels));
    expect($plan->isPossible ? $plan->total() : null)->toBe(Markets::leastOfAll($demands, $market, $parcels))
        ->and($plan->isExact())->toBe($plan->isPossible);
})->with(range(1, 200));

it('is what another program finds for the same model', function (int $seed): void {
    [$demands, $market] = Markets::drawn(500 + $seed, 12 + $seed % 18, 4 + $seed % 5);
    $plan = Basket::cheapest($demands, $market, new Wishes);
    expect($plan->isExact())->toBeTrue()->and($plan->total())->toBe(LinearModel::solved(LinearModel::of($demands, $market)));
})->with(range(1, 50));

it('never calls exact what it did not go through, and never misses its bound', function (): void {
    [$demands, $market] = Markets::drawn(7, 120, 15);
    $plan = Basket::cheapest($demands, $market, new Wishes);
    $taken = [];
    foreach ($plan->orders as $order) {
        foreach ($order->choices as $choice) {
            $taken[] = [$choice->offer, $choice->packets, $choice->goods, $choice->demand->grams[$choice->offer->part]];
        }
    }
    expect($plan->total())->toBe(Markets::cost($taken, $market))->toBeGreaterThanOrEqual($plan->bound())->toBeLessThan((int) (1.02 * $plan->bound()))
        ->and($plan->isExact())->toBe($plan->total() === $plan->bound());
});
