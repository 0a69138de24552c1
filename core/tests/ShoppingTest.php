<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Appraisal;
use PocketPlot\Build\Build;
use PocketPlot\File\PartReader;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Day;
use PocketPlot\Report\SecondHand;
use PocketPlot\Report\Shopping;
use PocketPlot\Sourcing\Condition;
use PocketPlot\Sourcing\MarketOfBuild;
use PocketPlot\Sourcing\MarketOffer;
use PocketPlot\Sourcing\ShoppingList;
use PocketPlot\Sourcing\Wishes;

/** @return array<string, mixed> */
function vendor(string $name, string $post, int $days, array $more = []): array
{
    return ['name' => $name, 'currency' => 'EUR', 'post' => ['steps' => [['price' => $post]]], 'lead' => ['usual' => $days], ...$more];
}

/** @param  array<string, string>  $prices  by vendor */
function listed(array $prices, array $line = [], array $part = []): array
{
    return ['role' => 'material', 'line' => $line, 'part' => ['offers' => array_map(
        static fn (string $name, string $price): array => ['vendor' => $name, 'price' => ['amount' => $price, 'currency' => 'EUR'], 'leadDays' => 3], array_keys($prices), $prices,
    ), ...$part]];
}

/** @param  list<MarketOffer>  $noted */
function shopping(Build $build, array $noted = [], ?Wishes $wishes = null, bool $mayChoose = false): Shopping
{
    return new Shopping(Appraisal::of($build, Make::today()), MarketOfBuild::of($build, $noted, Make::today()), $wishes ?? new Wishes, mayChoose: $mayChoose);
}

describe('the shopping list', function (): void {
    it('holds what is neither owned, nor on its way, nor here', function (array $line, ?int $pieces): void {
        $demands = ShoppingList::of(Make::build(['one' => listed(['A' => '4'], ['quantity' => 3, ...$line])]));
        expect($demands === [] ? null : $demands[0]->pieces)->toBe($pieces);
    })->with([
        'to be found' => [['state' => 'to-find'], 3], 'chosen' => [[], 3], 'what broke is bought again' => [['state' => 'faulty'], 3],
        'ordered' => [['state' => 'ordered'], null], 'here' => [['state' => 'arrived'], null], 'printed' => [['origin' => 'print'], null],
        'two in the drawer' => [['owned' => 2], 1], 'all in the drawer' => [['owned' => 3], null], 'only a candidate' => [['chosen' => false], null],
    ]);

    it('buys spares, and nothing used where only new will do', function (): void {
        $demand = ShoppingList::of(Make::build(['one' => listed(['A' => '4'], ['quantity' => 3])]), ['one' => 2], [], [Role::Material])[0];
        expect([$demand->pieces, $demand->mayBeUsed])->toBe([5, false]);
    });

    it('buys one part for two lines together', function (): void {
        $build = Make::build(['one' => listed(['A' => '4'], ['quantity' => 3])], [], ['lines' => [['id' => 'one', 'part' => 'part-one', 'quantity' => 3], ['id' => 'two', 'part' => 'part-one', 'slot' => 'two']]]);
        expect(ShoppingList::of($build))->toHaveCount(1)->and(ShoppingList::of($build)[0]->pieces)->toBe(4)
            ->and(ShoppingList::dealt($build, $build->lines[0], 5))->toBe(['one' => 4, 'two' => 1]);
    });
});

describe('the market of a build', function (): void {
    it('lets what was noted hold before the line, and the line before the listing', function (): void {
        $build = Make::build(['one' => listed(['A' => '4', 'B' => '3'], ['vendor' => 'A', 'price' => ['amount' => '3.50', 'currency' => 'EUR']])], [], ['vendors' => [vendor('A', '1.00', 2)]]);
        $prices = static fn (array $noted): array => array_map(static fn (MarketOffer $one): array => [$one->vendor, $one->prices[1], $one->condition->value], MarketOfBuild::of($build, $noted, Make::today())->offers);
        expect($prices([]))->toBe([['A', 350, 'new'], ['B', 300, 'new']])
            ->and($prices([new MarketOffer('n', 'A', 'part-one', 1, [1 => 333]), new MarketOffer('u', 'A', 'part-one', 1, [1 => 100], Condition::UsedTested)]))
            ->toBe([['A', 333, 'new'], ['B', 300, 'new'], ['A', 100, 'used-tested']])
            ->and($prices([new MarketOffer('x', 'Nobody', 'part-one', 1, [1 => 1])]))->toBe([['A', 350, 'new'], ['B', 300, 'new']]);
    });

    it('reckons with a vendor of whom nobody knows the terms, and says so', function (): void {
        $shopping = shopping(Make::build(['one' => listed(['A' => '4'])]))->toArray();
        expect($shopping['withoutPost'])->toBe(['A'])->and($shopping['plans'][0]['total'])->toBe('4.00')->and($shopping['plans'][0]['arrives'])->toBe('2026-11-26');
    });
});

describe('plans', function (): void {
    // Two things, both at A and at B; C sells only the first, dear and at once.
    $build = static fn (array $more = []): Build => Make::build(
        ['one' => listed(['A' => '10', 'B' => '6', 'C' => '14'], ...($more['one'] ?? [])), 'two' => listed(['A' => '10', 'B' => '20'])], [],
        ['vendors' => [vendor('A', '2.00', 9), vendor('B', '1.00', 6), vendor('C', '0.00', 1)]],
    );

    it('lays the cheapest, the soonest and the one of fewest parcels side by side', function () use ($build): void {
        $plans = array_map(static fn (array $one): array => [$one['way'], $one['report']->plan->total(), (string) $one['report']->plan->arrives(), count($one['report']->plan->orders)], shopping($build())->plans());
        // B and A: 6 + 1 and 10 + 2. All of it soonest: B sells both within six days, C the first at once: 14 and 20 + 1; or both at B: 26 + 1.
        // One parcel: both at A cost 22, at B 27.
        expect($plans)->toBe([['least', 1900, '2026-12-02', 2], ['soonest', 2700, '2026-11-29', 1], ['fewest-parcels', 2200, '2026-12-02', 1]]);
    });

    it('says what each condition costs', function () use ($build): void {
        $report = shopping($build(), [], new Wishes(Day::of('2026-11-29')))->plans()[0]['report'];
        expect($report->toArray()['without'])->toBe([['condition' => 'needBy', 'total' => '19.00', 'saves' => '8.00', 'unmet' => 0, 'arrives' => '2026-12-02']]);
    });

    it('buys at a preferred vendor as long as others are not cheaper by more than that is worth', function (string $name, int $cents, int $total, int $orders) use ($build): void {
        // Alone: at A 22.00, at B 27.00; cheapest at B and A together, 7.00 and 12.00.
        $plan = shopping($build(), [], new Wishes(prefer: [$name], preferCents: $cents))->plans()[0]['report']->plan;
        expect([$plan->total(), count($plan->orders), $plan->isExact()])->toBe([$total, $orders, true]);
    })->with([
        'not worth it' => ['A', 299, 1900, 2], 'worth it: 19.00 and 3.01 for the order at B' => ['A', 301, 2200, 1],
        'the dearer one, worth very much' => ['B', 801, 2700, 1], 'one that sells nothing that is wanted' => ['Nobody', 100, 1900, 2],
    ]);

    it('says what preferring costs', function () use ($build): void {
        expect(shopping($build(), [], new Wishes(prefer: ['A'], preferCents: 500))->plans()[0]['report']->toArray()['without'])
            ->toBe([['condition' => 'prefer', 'total' => '19.00', 'saves' => '3.00', 'unmet' => 0, 'arrives' => '2026-12-02']]);
    });

    it('opens down to lines that sum up', function () use ($build): void {
        $cents = static fn (string $sum): int => (int) round((float) $sum * 100);
        foreach (shopping($build())->toArray()['plans'] as $plan) {
            expect(array_sum(array_map($cents, array_column($plan['orders'], 'total'))))->toBe($cents($plan['total']));
            foreach ($plan['orders'] as $order) {
                expect(array_sum(array_map($cents, array_column($order['items'], 'landed'))))->toBe($cents($order['total']));
            }
        }
    });

    it('takes another candidate of a place where it fits and is cheaper, when it may', function (bool $may, string $total, string $part): void {
        $build = Make::build(['one' => listed(['A' => '10']), 'other' => listed(['A' => '4'], ['slot' => 'one', 'chosen' => false])], [], ['vendors' => [vendor('A', '2.00', 9)]]);
        $plan = shopping($build, [], null, $may)->toArray()['plans'][0];
        expect([$plan['total'], $plan['orders'][0]['items'][0]['part']])->toBe([$total, $part]);
    })->with([[false, '12.00', 'part-one'], [true, '6.00', 'part-other']]);

    it('never takes one that clashes', function (): void {
        $feeds = ['outputs' => [['name' => 'out', 'volts' => 5, 'maxMa' => 3000]]];
        $panel = static fn (float $least, float $most): array => ['supply' => ['volts' => ['least' => $least, 'usual' => $least, 'most' => $most], 'drawMa' => 300]];
        $build = Make::build([
            'supply' => ['role' => 'charger', 'facets' => [...$feeds], 'line' => ['state' => 'arrived', 'origin' => 'own']],
            'panel' => [...listed(['A' => '30']), 'role' => 'display', 'facets' => $panel(4.5, 5.5)],
            'cheap' => [...listed(['A' => '5'], ['slot' => 'panel', 'chosen' => false]), 'role' => 'display', 'facets' => $panel(9.0, 14.0)],
        ], [], ['vendors' => [vendor('A', '0.00', 9)]]);
        expect(shopping($build, [], null, true)->toArray()['plans'][0]['orders'][0]['items'][0]['part'])->toBe('part-panel');
    });

    it('says of each line where its pieces are', function (array $line, array $counts): void {
        $row = shopping(Make::build(['one' => listed(['A' => '4'], ['quantity' => 3, ...$line])]))->toArray()['list'][0];
        expect([$row['owned'], $row['awaited'], $row['here'], $row['toBuy']])->toBe($counts);
    })->with([
        'nowhere' => [[], [0, 0, 0, 3]], 'ordered by hand' => [['state' => 'ordered'], [0, 3, 0, 0]], 'here by hand' => [['state' => 'tested'], [0, 0, 3, 0]],
        'at home' => [['origin' => 'gift', 'state' => 'arrived'], [3, 0, 0, 0]], 'one in the drawer' => [['owned' => 1], [1, 0, 0, 2]],
    ]);

    it('marks what clashes, old offers, and what is sold out', function (): void {
        $noted = [
            new MarketOffer('old', 'B', 'part-one', 1, [1 => 100], seenOn: Day::of('2026-01-01')), new MarketOffer('gone', 'C', 'part-one', 1, [1 => 100], stock: 0, seenOn: Day::of('2026-11-22')),
        ];
        $build = Make::build(['one' => listed(['A' => '10'], ['quantity' => 2])], [], ['vendors' => [vendor('A', '2.00', 9), vendor('B', '1.00', 6), vendor('C', '0.00', 1)]]);
        $offers = shopping($build, $noted)->toArray()['list'][0]['offers'];
        expect(array_map(static fn (array $one): array => [$one['vendor'], $one['goods'], $one['isOld']], $offers))->toBe([['B', '2.00', true], ['A', '20.00', false], ['C', null, false]]);
    });
});

describe('a find in a shop', function (): void {
    $supply = ['role' => 'charger', 'facets' => ['outputs' => [['name' => 'out', 'volts' => 12, 'continuousMa' => 3000, 'peakMa' => 3000]]], 'line' => ['state' => 'arrived', 'origin' => 'own']];
    $panel = static fn (array $line = []): array => ['role' => 'display', 'facets' => Make::load(9, 14), ...array_diff_key(listed(['A' => '40'], $line), ['role' => true])];
    $found = static fn (array $volts, string $price = '15'): PocketPlot\Part\Part => PartReader::read([
        'id' => 'found', 'name' => 'Old monitor', 'role' => 'display', 'facets' => $volts === [] ? [] : Make::load($volts['least'], $volts['most'], atV: $volts['usual']),
        'offers' => [['vendor' => 'seen in a shop', 'price' => ['amount' => $price, 'currency' => 'EUR'], 'leadDays' => 0]],
    ]);
    $judge = static function (Build $build, PocketPlot\Part\Part $part, array $library = []): array {
        $place = $build->line('panel') ?? throw new LogicException('no panel');

        return (new SecondHand(Appraisal::toCompare($build, Make::today()), $place, $part, $library, Make::today()))->toArray();
    };
    $fits = ['least' => 9, 'usual' => 12, 'most' => 14];

    it('is worth what the place costs otherwise, or what the budget leaves, whichever is less', function (array $brief, ?string $worth) use ($supply, $panel, $found, $judge, $fits): void {
        // Bought as planned: 40.00 and 2.00 for post.
        $build = Make::build(['supply' => $supply, 'panel' => $panel()], $brief, ['vendors' => [vendor('A', '2.00', 9)]]);
        expect($judge($build, $found($fits))['worth'])->toBe($worth);
    })->with([
        'no budget' => [[], '42.00'],
        'a budget of 30' => [['budget' => ['amount' => '30', 'currency' => 'EUR']], '30.00'],
        'a budget of 90' => [['budget' => ['amount' => '90', 'currency' => 'EUR']], '42.00'],
    ]);

    it('is worth nothing that can be told without a price or a budget', function () use ($supply, $panel, $found, $judge, $fits): void {
        $bare = $panel();
        unset($bare['part']['offers']);
        expect($judge(Make::build(['supply' => $supply, 'panel' => $bare]), $found($fits))['worth'])->toBeNull();
    });

    it('is worth less by what it needs besides', function () use ($supply, $panel, $found, $judge): void {
        $build = Make::build(['supply' => $supply, 'panel' => $panel()], [], ['vendors' => [vendor('A', '2.00', 9)]]);
        $bucks = array_values(array_filter(Make::library(), static fn ($part): bool => in_array($part->id, ['reg-brook-5', 'reg-sluice-12'], true)));
        $answer = $judge($build, $found(['least' => 4.5, 'usual' => 5, 'most' => 5.5]), $bucks);
        // 42.00 less 6.80 for the converter that makes 5 V of 12.
        expect([$answer['verdict'], $answer['worth'], $answer['because'][1]['says'] ?? ''])->toBe(['clash', '35.20', 'It would need Brook 5 V buck, 4 A besides'])
            ->and($answer['clashes'])->not->toBe([]);
    });

    it('says what nobody knows about it, and what to look at', function () use ($supply, $panel, $found, $judge): void {
        $answer = $judge(Make::build(['supply' => $supply, 'panel' => $panel()]), $found([]));
        expect($answer['verdict'])->toBe('unmeasured')->and(implode(' ', $answer['unknown']))->toContain('Supply window')
            ->and(implode(' ', $answer['look']))->toContain('Not known yet: supply window')->and($answer['vitals']['cost']['amount'])->toBe('15.00');
    });
});
