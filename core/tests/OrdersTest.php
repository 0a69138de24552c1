<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Appraisal;
use PocketPlot\Assembly\Arrivals;
use PocketPlot\Build\Build;
use PocketPlot\Build\Order;
use PocketPlot\Check\RuleBook;
use PocketPlot\File\BadFile;
use PocketPlot\File\Fields;
use PocketPlot\File\OrderFile;
use PocketPlot\File\VendorReader;
use PocketPlot\Quantity\Cents;
use PocketPlot\Quantity\Day;
use PocketPlot\Report\ArrivalChecks;
use PocketPlot\Report\MoneyReport;
use PocketPlot\Sourcing\BadOrder;
use PocketPlot\Sourcing\Costs;
use PocketPlot\Sourcing\LineCost;
use PocketPlot\Sourcing\MarketOfBuild;
use PocketPlot\Sourcing\OrderChanges;
use PocketPlot\Sourcing\OrderPricing;
use PocketPlot\Sourcing\Placing;
use PocketPlot\Sourcing\PlannedOrder;
use PocketPlot\Sourcing\Progress;
use PocketPlot\Sourcing\Terms;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

const HARROW = [
    'name' => 'Harrow', 'currency' => 'GBP', 'post' => ['steps' => [['price' => '6.00']]], 'lead' => ['usual' => 5],
    'taxPercent' => 20, 'dutyPercent' => 5, 'dutyFreeUpTo' => '20.00',
];

/** @return array<string, mixed> a line that sells for so much at a vendor */
function sold(string $amount, string $currency = 'EUR', array $line = [], string $vendor = 'Harrow', array $part = []): array
{
    return ['role' => 'material', 'part' => $part, 'line' => ['price' => ['amount' => $amount, 'currency' => $currency], 'vendor' => $vendor, ...$line]];
}

/** @param  array<string, int>  $came */
function item(string $line, int $pieces, string $goods, array $came = [], array $more = []): array
{
    return ['line' => $line, 'part' => "part-{$line}", 'name' => ucfirst($line), 'packets' => $pieces, 'pieces' => $pieces, 'goods' => $goods, ...$came, ...$more];
}

function ordered(array $items, string $state = 'placed', array $more = []): array
{
    return ['id' => 'o1', 'vendor' => 'Harrow', 'state' => $state, 'placedOn' => '2026-11-20', 'expectedOn' => '2026-11-30', 'currency' => 'EUR', 'items' => $items, ...$more];
}

function anOrder(array $items, string $state = 'placed'): Order
{
    return OrderFile::read(new Fields(ordered($items, $state), 'order'));
}

/** @return array<string, array{string, string, string, string, string}> goods, post, duty, tax, whole of each line */
function opened(Build $build): array
{
    return array_map(
        static fn (LineCost $one): array => array_map(Cents::says(...), [$one->goods, $one->post, $one->duty, $one->tax, $one->whole()]),
        Costs::of($build)->lines,
    );
}

describe('landed costs', function (): void {
    it('works out an order from abroad by hand', function (): void {
        // 15.00 + 10.00 GBP at 1.20 are 18.00 + 12.00 = 30.00 EUR. 25 GBP are more than the 20 that go free of duty: 5 %, 0.90 and 0.60.
        // Post 6.00 GBP = 7.20 EUR, by value: 18/30 of it 4.32, 12/30 of it 2.88.
        // Tax 20 % on 18.90 and 12.60: 3.78 and 2.52; on the post 1.44, of which 86 and 57 hundredths, and the one left over to the dearest: 0.87.
        $build = Make::build(
            ['one' => sold('15', 'GBP'), 'two' => sold('10', 'GBP')], [],
            ['rates' => ['base' => 'EUR', 'worth' => ['GBP' => '1.20']], 'vendors' => [HARROW]],
        );
        expect(opened($build))->toBe(['one' => ['18.00', '4.32', '0.90', '4.65', '27.87'], 'two' => ['12.00', '2.88', '0.60', '3.09', '18.57']])
            ->and(Costs::of($build)->planned->says())->toBe('46.44 EUR')->and(Costs::of($build)->vendors)->toBe(['one' => 'Harrow', 'two' => 'Harrow']);
    });

    it('adds nothing where nobody knows the terms, or nothing is bought any more', function (array $line, array $vendors): void {
        $build = Make::build(['one' => sold('10', 'EUR', $line)], [], ['vendors' => $vendors]);
        expect(Costs::of($build)->planned->rounded())->toBe('10.00');
    })->with([
        'no terms' => [[], []],
        'arrived by hand' => [['state' => 'arrived'], [['currency' => 'EUR'] + HARROW]],
        'ordered by hand' => [['state' => 'ordered'], [['currency' => 'EUR'] + HARROW]],
        'owned' => [['origin' => 'own'], [['currency' => 'EUR'] + HARROW]],
        'post not known' => [[], [['name' => 'Harrow', 'currency' => 'EUR']]],
    ]);

    it('names vendors whose post nobody knows, while something is to be bought there', function (): void {
        $known = static fn (array $line): array => Costs::of(Make::build(['one' => sold('10', 'EUR', $line)], [], ['vendors' => [['name' => 'Harrow', 'currency' => 'EUR']]]))->withoutPost;
        expect($known([]))->toBe(['Harrow'])->and($known(['state' => 'arrived']))->toBe([]);
    });

    it('takes the terms that hold', function (int $goods, int $grams, int $post, bool $dutiable): void {
        $vendor = VendorReader::read(new Fields([
            'name' => 'A', 'currency' => 'EUR', 'post' => ['steps' => [['upToGrams' => 500, 'price' => '3.00'], ['upToGrams' => 2000, 'price' => '5.00']], 'freeFrom' => '60.00'],
            'leastOrder' => '10.00', 'dutyPercent' => 4, 'dutyFreeUpTo' => '150.00',
        ]));
        $terms = Terms::holding(Terms::of($vendor, Make::build([])->rates, 'EUR'), $vendor, $goods, $grams);
        expect([$terms?->post, $terms?->dutiable])->toBe([$post, $dutiable]);
    })->with([
        'light' => [2000, 500, 300, false], 'heavier' => [2000, 501, 500, false], 'free from a sum on' => [6000, 100, 0, false],
        'just below' => [5999, 100, 300, false], 'less than the least order is reckoned as it' => [100, 100, 300, false],
        'dutiable' => [15001, 100, 0, true], 'heavier than any step goes by the heaviest' => [2000, 9000, 500, false],
    ]);

    it('leaves out what lies in the drawer, and counts what is owned at the value it was given', function (array $line, string $planned): void {
        expect(Costs::of(Make::build(['one' => sold('4', 'EUR', ['quantity' => 3, ...$line])]))->planned->rounded())->toBe($planned);
    })->with([
        'none' => [[], '12.00'], 'two of three' => [['owned' => 2], '4.00'], 'all' => [['owned' => 3], '0.00'],
        'all, at a value' => [['owned' => 3, 'origin' => 'own'], '12.00'],
    ]);

    it('is the sum of its lines to the last cent, whatever the build', function (int $seed): void {
        $dice = new Randomizer(new Xoshiro256StarStar($seed));
        $lines = $items = [];
        foreach (range(1, $dice->getInt(2, 30)) as $number) {
            $currency = ['EUR', 'GBP', 'SEK'][$dice->getInt(0, 2)];
            $lines["l{$number}"] = sold(Cents::says($dice->getInt(1, 9000)), $currency, [
                'quantity' => $quantity = $dice->getInt(1, 5), 'state' => ['to-find', 'chosen', 'ordered', 'arrived', 'faulty'][$dice->getInt(0, 4)], 'owned' => $dice->getInt(0, 1),
            ], ['Harrow', 'Ferry', 'nobody'][$dice->getInt(0, 2)], ['packetOf' => $dice->getInt(1, 3)]);
            if ($dice->getInt(1, 3) === 1) {
                $came = ['right' => $dice->getInt(0, $quantity)];
                $items[] = item($dice->getInt(1, 6) === 1 ? 'gone' : "l{$number}", $quantity, Cents::says($dice->getInt(1, 5000)), $came, ['post' => Cents::says($dice->getInt(0, 900)), 'refund' => Cents::says($dice->getInt(0, 1))]);
            }
        }
        $build = Make::build($lines, [], [
            'rates' => ['base' => 'EUR', 'worth' => ['GBP' => '1.1700', 'SEK' => '0.0880']],
            'vendors' => [HARROW, ['name' => 'Ferry', 'currency' => 'SEK', 'post' => ['steps' => [['upToGrams' => 300, 'price' => '49.00'], ['price' => '79.00']], 'freeFrom' => '700.00'], 'lead' => ['usual' => 9]]],
            'orders' => $items === [] ? [] : [ordered($items)],
        ]);
        $report = (new MoneyReport(Appraisal::of($build, Make::today())))->toArray();
        $cents = static fn (string $sum): int => (int) round(((float) $sum) * 100);
        foreach (['whole' => 'planned', 'committed' => 'committed', 'spent' => 'spent', 'refund' => 'refunded'] as $column => $total) {
            expect(array_sum(array_map($cents, array_column($report['lines'], $column))))->toBe($cents($report[$total]), $total);
            foreach (['byRole', 'byVendor'] as $by) {
                expect(array_sum(array_map($cents, array_column($report[$by], $column))))->toBe($cents($report[$total]), "{$by} {$total}");
            }
        }
        foreach ($report['lines'] as $row) {
            expect($cents($row['goods']) + $cents($row['post']) + $cents($row['duty']) + $cents($row['tax']) - $cents($row['refund']))->toBe($cents($row['whole']))
                ->and($cents($row['spent']))->toBeLessThanOrEqual($cents($row['committed']));
        }
    })->with(range(1, 40));
});

describe('what came of a line', function (): void {
    it('says its state from its pieces', function (int $quantity, array $line, array $came, string $state, int $toBuy): void {
        $build = Make::build(['one' => sold('4', 'EUR', ['quantity' => $quantity, ...$line])], [], ['orders' => $came === [] ? [] : [ordered([item('one', 3, '9.00', $came)])]]);
        $progress = Progress::of($build->lines[0], $build);
        expect([$progress->state()->value, $progress->toBuy])->toBe([$state, $toBuy]);
    })->with([
        'nothing ordered: as it was written' => [3, ['state' => 'to-find'], [], 'to-find', 3],
        'nothing ordered, written as arrived' => [3, ['state' => 'arrived'], [], 'arrived', 0],
        'all awaited' => [3, [], ['right' => 0, 'tested' => 0], 'ordered', 0],
        'two right, one awaited' => [3, [], ['right' => 2], 'ordered', 0],
        'all right' => [3, [], ['right' => 3], 'arrived', 0],
        'all tested' => [3, [], ['right' => 3, 'tested' => 3], 'tested', 0],
        'one wrong' => [3, [], ['right' => 2, 'wrong' => 1], 'faulty', 1],
        'one broken, the rest awaited' => [3, [], ['broken' => 1], 'faulty', 1],
        'one missing, but one to spare' => [2, [], ['right' => 2, 'missing' => 1], 'arrived', 0],
        'more are needed than were ordered' => [5, [], ['right' => 3], 'chosen', 2],
        'the drawer has the rest' => [5, ['owned' => 2], ['right' => 3], 'arrived', 0],
        'the drawer has all' => [3, ['owned' => 3], [], 'arrived', 0],
        'what was put away is not here' => [3, [], ['right' => 3, 'putAway' => 1], 'chosen', 1],
    ]);

    it('leaves out what is cancelled, and what was ordered of another part', function (array $order): void {
        $build = Make::build(['one' => sold('4')], [], ['orders' => [$order]]);
        expect(Progress::of($build->lines[0], $build)->toBuy)->toBe(1);
    })->with([
        'cancelled' => [ordered([item('one', 1, '4.00')], 'cancelled')],
        'another part' => [ordered([item('one', 1, '4.00', [], ['part' => 'part-old'])])],
    ]);

    it('counts money as it went', function (array $order, string $planned, string $committed, string $spent, string $refunded): void {
        $build = Make::build(['one' => sold('4', 'EUR', ['quantity' => 2])], [], ['orders' => [$order]]);
        $costs = Costs::of($build);
        expect(array_map(static fn ($sum): string => $sum->rounded(), [$costs->planned, $costs->committed, $costs->spent, $costs->refunded]))->toBe([$planned, $committed, $spent, $refunded]);
    })->with([
        // Goods 8.00, post 3.00: 11.00 in all.
        'on its way' => [ordered([item('one', 2, '8.00', [], ['post' => '3.00'])]), '11.00', '11.00', '0.00', '0.00'],
        'half of it here' => [ordered([item('one', 2, '8.00', ['right' => 1], ['post' => '3.00'])]), '11.00', '11.00', '5.50', '0.00'],
        'here' => [ordered([item('one', 2, '8.00', ['right' => 2], ['post' => '3.00'])]), '11.00', '11.00', '11.00', '0.00'],
        // One came broken: 11.00 less 4.00 that came back, and 4.00 for one more.
        'one broken, refunded, to be bought again' => [ordered([item('one', 2, '8.00', ['right' => 1, 'broken' => 1], ['post' => '3.00', 'refund' => '4.00'])]), '11.00', '7.00', '7.00', '4.00'],
        'cancelled' => [ordered([item('one', 2, '8.00')], 'cancelled'), '8.00', '0.00', '0.00', '0.00'],
        // The list holds another part by now: 8.00 for that, and the 11.00 that are gone.
        'lost on the way' => [ordered([item('one', 2, '8.00', [], ['post' => '3.00', 'part' => 'part-old'])]), '19.00', '11.00', '0.00', '0.00'],
    ]);

    it('tells what was paid for the list of before apart', function (): void {
        $build = Make::build(['one' => sold('4')], [], ['orders' => [ordered([item('gone', 1, '9.00', [], ['name' => 'Old panel'])])]]);
        expect(array_map(static fn (LineCost $one): int => $one->whole(), Costs::of($build)->apart))->toBe(['Harrow, Old panel' => 900]);
    });
});

describe('changes of an order', function (): void {
    $do = [
        'arrive' => static fn (Order $order, array $pieces): Order => OrderChanges::arrived($order, 0, [...['right' => 0, 'wrong' => 0, 'broken' => 0, 'missing' => 0], ...$pieces]),
    ];

    it('takes pieces in until none is awaited', function () use ($do): void {
        $order = $do['arrive'](anOrder([item('one', 3, '9.00'), item('two', 1, '1.00')]), ['right' => 2]);
        expect($order->state->value)->toBe('arrived-in-part')->and($order->items[0]->awaited())->toBe(1);
        $order = $do['arrive']($order, ['missing' => 1]);
        expect($order->state->value)->toBe('arrived-in-part');
        $order = OrderChanges::arrived($order, 1, ['right' => 0, 'wrong' => 1, 'broken' => 0, 'missing' => 0]);
        expect($order->state->value)->toBe('arrived')->and(OrderFile::read(new Fields(OrderFile::document($order), 'order')))->toEqual($order);
    });

    it('goes its way', function (): void {
        $order = OrderChanges::sent(OrderChanges::confirmed(anOrder([item('one', 1, '9.00')])), 'KW 1');
        expect([$order->state->value, $order->tracking])->toBe(['sent', 'KW 1'])
            ->and((string) OrderChanges::expected($order, Day::of('2026-12-09'))->expectedOn)->toBe('2026-12-09')
            ->and($order->daysLate(Day::of('2026-11-30')))->toBe(0)->and($order->daysLate(Day::of('2026-12-03')))->toBe(3)
            ->and(OrderChanges::cancelled($order)->holds())->toBeFalse();
    });

    it('refuses what cannot be', function (callable $change, string $field, string $says): void {
        try {
            $change(anOrder([item('one', 3, '9.00', ['right' => 1, 'wrong' => 1], ['post' => '1.50'])]));
            throw new RuntimeException('it was taken');
        } catch (BadOrder $bad) {
            expect($bad->field)->toBe($field)->and($bad->getMessage())->toContain($says);
        }
    })->with([
        'more than are awaited' => [static fn (Order $one) => OrderChanges::arrived($one, 0, ['right' => 2, 'wrong' => 0, 'broken' => 0, 'missing' => 0]), 'right', 'only 1 more'],
        'none at all' => [static fn (Order $one) => OrderChanges::arrived($one, 0, ['right' => 0, 'wrong' => 0, 'broken' => 0, 'missing' => 0]), 'right', 'how many'],
        'another window took it in' => [static fn (Order $one) => OrderChanges::arrived(OrderChanges::arrived($one, 0, ['right' => 1, 'wrong' => 0, 'broken' => 0, 'missing' => 0]), 0, ['right' => 1, 'wrong' => 0, 'broken' => 0, 'missing' => 0]), 'did', 'has come'],
        'a thing that is not in it' => [static fn (Order $one) => OrderChanges::arrived($one, 7, ['right' => 1, 'wrong' => 0, 'broken' => 0, 'missing' => 0]), 'item', 'does not hold'],
        'cancelled though something came' => [OrderChanges::cancelled(...), 'did', 'came already'],
        'confirmed though cancelled' => [static fn (Order $one) => OrderChanges::confirmed(anOrder([item('one', 1, '1.00')], 'cancelled')), 'did', 'cancelled'],
        'here before it was ordered' => [static fn (Order $one) => OrderChanges::expected($one, Day::of('2026-11-19')), 'expectedOn', 'later day'],
        'tested more than came right' => [static fn (Order $one) => OrderChanges::tested($one, 0, 2, 0), 'works', '1 of One'],
        'refunded more than it cost' => [static fn (Order $one) => OrderChanges::refunded($one, 0, 1051), 'refund', '10.50 EUR'],
        'put away what is needed' => [static fn (Order $one) => OrderChanges::putAway($one, 0, 2, 0), 'pieces', '1 of One'],
    ]);

    it('tests, refunds and puts away', function (): void {
        $order = anOrder([item('one', 3, '9.00', ['right' => 2, 'wrong' => 1])]);
        $failed = OrderChanges::tested($order, 0, 1, 1)->items[0];
        expect([$failed->right, $failed->tested, $failed->broken])->toBe([1, 1, 1])
            ->and(OrderChanges::refunded($order, 0, 300)->total())->toBe(600)
            ->and(OrderChanges::putAway($order, 0, 2, 1)->items[0]->kept())->toBe(1);
    });
});

describe('orders in files', function (): void {
    it('keep what this version does not know', function (): void {
        $document = ordered([item('one', 2, '8.00', ['right' => 1])], 'sent', ['tracking' => 'KW 1', 'why' => 'it is for another build', 'x-note' => ['a' => 1]]);
        expect(OrderFile::document(OrderFile::read(new Fields($document, 'order'))))->toEqual($document);
    });

    it('refuse what cannot be counted', function (array $more, string $says): void {
        expect(static fn () => Make::build(['one' => sold('4')], [], ['orders' => [ordered([item('one', 2, '8.00')], 'placed', $more)]]))->toThrow(BadFile::class, $says);
    })->with([
        'more came than were ordered' => [['items' => [item('one', 2, '8.00', ['right' => 2, 'broken' => 1])]], 'count each piece once'],
        'a sum of three decimals' => [['items' => [item('one', 2, '8.001')]], 'two decimals'],
        'no day' => [['placedOn' => null], 'placedOn'],
        'an unknown state' => [['state' => 'lost'], 'state'],
    ]);

    it('refuse two of one name', function (): void {
        expect(static fn () => Make::build(['one' => sold('4')], [], ['orders' => [ordered([item('one', 1, '4.00')]), ordered([item('one', 1, '4.00')])]]))->toThrow(BadFile::class, 'two orders');
    });
});

describe('placing', function (): void {
    $build = static fn (array $lines, array $more = []): Build => Make::build($lines, [], ['vendors' => [['currency' => 'EUR'] + HARROW], ...$more]);
    $order = static function (Build $build, array $items): PlannedOrder|array {
        return OrderPricing::order($build, MarketOfBuild::of($build, [], Make::today()), 'Harrow', $items);
    };

    it('deals the pieces of a packet over the lines that hold the part', function () use ($build, $order): void {
        $twice = $build(['one' => sold('9', 'EUR', ['quantity' => 2], 'Harrow', ['packetOf' => 4])], [
            'lines' => [
                ['id' => 'one', 'part' => 'part-one', 'quantity' => 2, 'vendor' => 'Harrow', 'price' => ['amount' => '9', 'currency' => 'EUR']],
                ['id' => 'again', 'part' => 'part-one', 'quantity' => 1, 'slot' => 'again'],
            ],
        ]);
        $planned = $order($twice, [['line' => 'one', 'offer' => 'line one', 'pieces' => 3]]);
        expect($planned)->toBeInstanceOf(PlannedOrder::class);
        $placed = Placing::of($planned, $twice, 'o9', Make::today(), 'anyway');
        // Four pieces: two needed here, one there, and the fourth stays with the first.
        expect(array_map(static fn ($one): array => [$one->line, $one->pieces], $placed->items))->toBe([['one', 3], ['again', 1]])
            ->and(array_sum(array_map(static fn ($one): int => $one->landed(), $placed->items)))->toBe($planned->total())
            ->and([$placed->why, (string) $placed->expectedOn])->toBe(['anyway', '2026-11-28']);
    });

    it('says what is wrong with an order', function (array $items, array $says) use ($build, $order): void {
        expect($order($build(['one' => sold('9')]), $items))->toBe($says);
    })->with([
        'nothing' => [[], ['items' => 'An order holds at least one thing.']],
        'a line that is gone' => [[['line' => 'two', 'offer' => 'line one', 'pieces' => 1]], ['items.0.pieces' => 'This line is not on the list any more. Look at the plan again.']],
        'an offer that is gone' => [[['line' => 'one', 'offer' => 'noted 7', 'pieces' => 1]], ['items.0.pieces' => 'Harrow offers One no more. Look at the plan again.']],
    ]);

    it('says so when nobody knows the vendor', function () use ($build): void {
        $one = $build(['one' => sold('9')]);
        expect(OrderPricing::order($one, MarketOfBuild::of($one, [], Make::today()), 'Nobody', []))->toHaveKey('vendor');
    });
});

describe('days', function (): void {
    it('reckons with closures while nothing is ordered, and with the order once it is', function (array $line, array $vendor, string $day): void {
        $build = Make::build(['one' => sold('4', 'EUR', $line)], [], ['vendors' => [[...HARROW, ...$vendor]]]);
        expect((string) Arrivals::of($build->lines[0], Make::today(), $build->vendors))->toBe($day);
    })->with([
        // 23 November and 5 days.
        'open' => [[], [], '2026-11-28'],
        'closed until the end of the month' => [[], ['closures' => [['from' => '2026-11-20', 'to' => '2026-11-30']]], '2026-12-06'],
        'a closure that follows the other' => [[], ['closures' => [['from' => '2026-12-01', 'to' => '2026-12-02'], ['from' => '2026-11-20', 'to' => '2026-11-30']]], '2026-12-08'],
        'expected on a day' => [['state' => 'ordered', 'expectedOn' => '2026-12-02'], [], '2026-12-02'],
        'late: not before today' => [['state' => 'ordered', 'expectedOn' => '2026-11-02'], [], '2026-11-23'],
    ]);
});

describe('what to look at on arrival', function (): void {
    it('names variants, contents, counts, sizes and what is not known', function (array $part, string $says): void {
        $build = Make::build(['one' => ['role' => $part['role'] ?? 'display', 'facets' => $part['facets'] ?? [], 'part' => array_diff_key($part, ['facets' => true, 'role' => true])]]);
        $appraisal = Appraisal::of($build, Make::today());
        expect(implode("\n", ArrivalChecks::of($appraisal, $build->lines[0])))->toContain($says);
    })->with([
        'the variant it has' => [['facets' => ['variant' => ['has' => ['lens' => 'glued']]]], 'The right variant? It has to be lens: glued.'],
        'the variant it wants' => [['facets' => ['variant' => ['wants' => ['lens' => 'none']]]], 'It is meant for lens: none.'],
        'a packet' => [['role' => 'fastener', 'packetOf' => 20], 'A packet holds 20'],
        'a size' => [['facets' => ['size' => ['lengthMm' => 180, 'widthMm' => 120, 'heightMm' => 7.5]]], '180 × 120 × 7.5 mm'],
        'cells' => [['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'LiPo', 'series' => 1]]], 'swollen'],
        'always' => [[], 'cracks'],
    ]);

    it('goes by rules that there are', function (): void {
        $ids = array_map(static fn ($meta): string => $meta->id, RuleBook::metas());
        expect(array_values(array_diff(ArrivalChecks::TO_HOLD_AGAINST, $ids)))->toBe([]);
    });
});
