<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Appraisal;
use PocketPlot\Build\Build;
use PocketPlot\Quantity\Day;
use PocketPlot\Report\Shopping;
use PocketPlot\Sourcing\Condition;
use PocketPlot\Sourcing\Costs;
use PocketPlot\Sourcing\MarketOfBuild;
use PocketPlot\Sourcing\MarketOffer;
use PocketPlot\Sourcing\Wishes;

/*
 * Shopping as builders told it, each with what they worked out on paper, written down before it was run.
 */

/**
 * @param  array<string, array<string, string>>  $sold  price in the vendor's currency at each vendor, by part
 * @param  list<array<string, mixed>>  $vendors
 * @param  array<string, array<string, mixed>>  $lines  what else is to be said of a line
 * @param  array<string, array<string, mixed>>  $parts
 * @param  array<string, string>  $worth
 */
function told(array $sold, array $vendors, array $lines = [], array $parts = [], array $worth = [], array $more = []): Build
{
    $currencies = array_column($vendors, 'currency', 'name');
    $list = [];
    foreach ($sold as $part => $prices) {
        $list[$part] = ['role' => 'material', 'line' => $lines[$part] ?? [], 'part' => [...($parts[$part] ?? []), 'offers' => array_map(
            static fn (string $name, string $price): array => ['vendor' => $name, 'price' => ['amount' => $price, 'currency' => $currencies[$name] ?? 'EUR'], 'leadDays' => 3],
            array_keys($prices), $prices,
        )]];
    }

    return Make::build($list, [], ['vendors' => $vendors, 'rates' => ['base' => 'EUR', 'worth' => $worth], ...$more]);
}

/** @return array<string, mixed> */
function seller(string $name, ?string $post, int $days = 4, array $more = []): array
{
    return ['name' => $name, 'currency' => 'EUR', 'lead' => ['usual' => $days], ...($post === null ? [] : ['post' => ['steps' => [['price' => $post]]]]), ...$more];
}

/** @param  list<MarketOffer>  $noted */
function answer(Build $build, ?Wishes $wishes = null, array $noted = [], array $spares = [], string $today = '2026-11-23'): array
{
    $market = MarketOfBuild::of($build, $noted, Day::of($today));
    $plan = (new Shopping(Appraisal::of($build, Day::of($today)), $market, $wishes ?? new Wishes, $spares))->toArray()['plans'][0];

    return [$plan['total'], implode(' + ', array_column($plan['orders'], 'vendor')), $plan['arrives'], count($plan['unmet'])];
}

function boardAndLead(array $first): Build
{
    return told(['board' => ['A' => '40', 'B' => '38'], 'lead' => ['A' => '4', 'B' => '5']], [$first, seller('B', '4.50')]);
}

function overTheHolidays(): Build
{
    $closed = seller('A', '3.00', 4, ['closures' => [['from' => '2026-12-21', 'to' => '2027-01-03']]]);

    return told(['board' => ['A' => '40', 'B' => '48']], [$closed, seller('B', '3.00', 12)]);
}

function panelAndPack(int $duty): Build
{
    $abroad = seller('H', '0.00', 4, ['dutyPercent' => $duty, 'dutyFreeUpTo' => '150.00']);

    return told(['panel' => ['H' => '100'], 'pack' => ['H' => '60', 'E' => '72']], [$abroad, seller('E', '0.00')]);
}

function usedPanel(): MarketOffer
{
    return new MarketOffer('u', 'F', 'part-panel', 1, [1 => 1200], Condition::UsedUntested, 1);
}

function cheaperByThree(): MarketOffer
{
    return new MarketOffer('n', 'A', 'part-cell', 1, [1 => 500, 3 => 400]);
}

it('answers as the paper did', function (Closure $told, array $expected): void {
    expect($told())->toBe($expected);
})->with([
    // A board for 40.00 or 38.00, a lead for 4.00 or 5.00. All at A 44.00 and 3.00 post; all at B 43.00 and 4.50; apart 42.00 and 7.50.
    'one parcel is cheaper than two bargains' => [fn () => answer(boardAndLead(seller('A', '3.00'))), ['47.00', 'A', '2026-11-27', 0]],
    'and free from just that sum on' => [
        fn () => answer(boardAndLead(seller('A', null, 4, ['post' => ['steps' => [['price' => '3.00']], 'freeFrom' => '44.00']]))),
        ['44.00', 'A', '2026-11-27', 0],
    ],
    // 6 screws for the shell and 16 for the frame: 22, in packets of 20: two, 6.20 and 2.00.
    'two lines share the packets of one part' => [fn () => answer(Make::build(
        ['screw' => ['role' => 'material', 'part' => ['packetOf' => 20, 'offers' => [['vendor' => 'A', 'price' => ['amount' => '3.10', 'currency' => 'EUR'], 'leadDays' => 3]]]]], [],
        ['vendors' => [seller('A', '2.00')], 'lines' => [['id' => 'shell', 'part' => 'part-screw', 'quantity' => 6], ['id' => 'frame', 'part' => 'part-screw', 'quantity' => 16, 'slot' => 'frame']]],
    )), ['8.20', 'A', '2026-11-27', 0]],
    // C takes orders from 10.00 on; a switch for 1.80 alone is none.
    'too little for the vendor that is cheapest' => [
        fn () => answer(told(['switch' => ['A' => '2.90', 'C' => '1.80']], [seller('A', '3.90'), seller('C', '1.50', 4, ['leastOrder' => '10.00'])])),
        ['6.80', 'A', '2026-11-27', 0],
    ],
    // 12.00 GBP at 1.15 is 13.80, post 5.00 GBP is 5.75, tax a fifth of both: 2.76 and 1.15. 23.46 against 23.50 at home.
    'from abroad, four cents cheaper at the door' => [
        fn () => answer(told(['panel' => ['G' => '12', 'A' => '23.50']], [seller('G', '5.00', 4, ['currency' => 'GBP', 'taxPercent' => 20]), seller('A', '0.00')], worth: ['GBP' => '1.15'])),
        ['23.46', 'G', '2026-11-27', 0],
    ],
    // Panel 100, pack 60 at H, which has duty of 4 % above 150: 160 and 6.40. Or the pack at E for 72.
    'duty is paid where apart is dearer still' => [fn () => answer(panelAndPack(4)), ['166.40', 'H', '2026-11-27', 0]],
    // With a tenth of duty 176 against 172.
    'and two parcels keep below it where that is cheaper' => [fn () => answer(panelAndPack(10)), ['172.00', 'E + H', '2026-11-27', 0]],
    // Ordered on 21 December: A is closed to 3 January and takes four days, the 8th; B takes twelve, the 2nd.
    'closed over the holidays' => [fn () => answer(overTheHolidays(), today: '2026-12-21'), ['43.00', 'A', '2027-01-08', 0]],
    'and here by the fifth, please' => [
        fn () => answer(overTheHolidays(), new Wishes(Day::of('2027-01-05')), today: '2026-12-21'),
        ['51.00', 'B', '2027-01-02', 0],
    ],
    'nobody can, by the first' => [fn () => answer(overTheHolidays(), new Wishes(Day::of('2027-01-01')), today: '2026-12-21'), ['0.00', '', null, 1]],
    'a used one is taken' => [
        fn () => answer(told(['panel' => ['A' => '30']], [seller('A', '3.00'), seller('F', '5.00', 2)]), null, [usedPanel()]),
        ['17.00', 'F', '2026-11-25', 0],
    ],
    'unless only new will do' => [
        fn () => answer(told(['panel' => ['A' => '30']], [seller('A', '3.00'), seller('F', '5.00', 2)]), new Wishes(usedAllowed: false), [usedPanel()]),
        ['33.00', 'A', '2026-11-27', 0],
    ],
    // Two at 5.00; with a spare three at 4.00.
    'two are two' => [
        fn () => answer(told(['cell' => ['A' => '5']], [seller('A', '1.00')], ['cell' => ['quantity' => 2]]), null, [cheaperByThree()]),
        ['11.00', 'A', '2026-11-27', 0],
    ],
    'and a spare comes with a better price' => [
        fn () => answer(told(['cell' => ['A' => '5']], [seller('A', '1.00')], ['cell' => ['quantity' => 2]]), null, [cheaperByThree()], ['cell' => 1]),
        ['13.00', 'A', '2026-11-27', 0],
    ],
    // Three needed, packets of two at 4.00; one lies in the drawer.
    'the drawer saves a packet' => [
        fn () => answer(told(['button' => ['A' => '4']], [seller('A', '1.00')], ['button' => ['quantity' => 3, 'owned' => 1]], ['button' => ['packetOf' => 2]])),
        ['5.00', 'A', '2026-11-27', 0],
    ],
    // More of them are cheaper than just enough: 9 at 1.00 are 9.00, ten at 0.80 are 8.00.
    'one more than needed, since that is cheaper' => [
        fn () => answer(told(['wire' => ['A' => '1']], [seller('A', '0.00')], ['wire' => ['quantity' => 9]]), null, [new MarketOffer('n', 'A', 'part-wire', 1, [1 => 100, 10 => 80])]),
        ['8.00', 'A', '2026-11-27', 0],
    ],
    // Light by post, heavy by parcel: 400 g and 300 g are 700 g, above 500.
    'too heavy for the cheap post' => [
        fn () => answer(told(['one' => ['A' => '10'], 'two' => ['A' => '10']], [seller('A', null, 4, ['post' => ['steps' => [['upToGrams' => 500, 'price' => '2.00'], ['price' => '6.00']]]])], [], ['one' => ['facets' => ['size' => ['massG' => 400]]], 'two' => ['facets' => ['size' => ['massG' => 300]]]])),
        ['26.00', 'A', '2026-11-27', 0],
    ],
]);

it('reckons as the paper did when the wrong one came', function (): void {
    // Three at 4.00 and 2.00 post: 14.00. Two are right, one is the wrong variant; 4.00 come back. One more: 5.00 and 2.00 post.
    $order = [
        'id' => 'o1', 'vendor' => 'A', 'state' => 'arrived', 'placedOn' => '2026-11-10', 'currency' => 'EUR',
        'items' => [['line' => 'pad', 'part' => 'part-pad', 'name' => 'Pad', 'packets' => 3, 'pieces' => 3, 'goods' => '12.00', 'post' => '2.00', 'right' => 2, 'wrong' => 1, 'refund' => '4.00']],
    ];
    $build = told(['pad' => ['A' => '5']], [seller('A', '2.00')], ['pad' => ['quantity' => 3]], more: ['orders' => [$order]]);
    $costs = Costs::of($build);
    expect([$costs->planned->rounded(), $costs->committed->rounded(), $costs->spent->rounded(), $costs->refunded->rounded()])->toBe(['17.00', '10.00', '10.00', '4.00'])
        ->and(answer($build))->toBe(['7.00', 'A', '2026-11-27', 0]);
});
