<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Build\Build;
use PocketPlot\File\BadFile;
use PocketPlot\File\Format;
use PocketPlot\File\Json;
use PocketPlot\File\MarketFile;
use PocketPlot\File\MarketReader;
use PocketPlot\Report\BasketReport;
use PocketPlot\Sourcing\Demand;

/** A market of one vendor and one part, with something changed. */
function marketDocument(array $change = []): array
{
    return array_replace_recursive([
        'format' => 'pocketplot-market', 'version' => 2, 'home' => 'EUR', 'today' => '2026-11-26',
        'demands' => [['id' => 'a', 'name' => 'A board', 'pieces' => 2, 'parts' => [['id' => 'board', 'grams' => 40]]]],
        'vendors' => [['name' => 'Barn', 'currency' => 'EUR', 'post' => ['steps' => [['price' => '4.50']]], 'lead' => ['usual' => 5]]],
        'offers' => [['vendor' => 'Barn', 'part' => 'board', 'prices' => [['price' => '12.30']]]],
    ], $change);
}

function marketFile(array $document, ?Build $build = null): MarketFile
{
    return MarketReader::read((new Format(Format::MARKET, Make::read('core/schema/market.schema.json')))->decode(Json::encode($document)), $build);
}

it('plans from a file', function (): void {
    $file = marketFile(marketDocument());
    $report = (new BasketReport($file->demands, $file->market, $file->wishes))->toArray();
    // 2 × 12.30 and 4.50 of post.
    expect($report['total'])->toBe('29.10')->and($report['exact'])->toBeTrue()->and($report['arrives'])->toBe('2026-12-01')
        ->and($report['orders'][0]['items'][0])->toMatchArray(['id' => 'a', 'pieces' => 2, 'goods' => '24.60', 'landed' => '29.10'])
        ->and($report['without'])->toBe([]);
});

it('says what each condition costs', function (array $wishes, array $expected): void {
    $second = ['vendors' => [1 => ['name' => 'Far', 'currency' => 'EUR', 'lead' => ['usual' => 30]]], 'offers' => [1 => ['vendor' => 'Far', 'part' => 'board', 'prices' => [['price' => '10.00']]]]];
    $file = marketFile(marketDocument([...$second, 'wishes' => $wishes]));
    $without = (new BasketReport($file->demands, $file->market, $file->wishes))->without();
    expect(array_map(static fn (array $one): array => [$one['condition'], $one['total'], $one['saves'], $one['arrives']], $without))->toBe($expected);
})->with([
    'a day' => [['needBy' => '2026-12-05'], [['needBy', '20.00', '9.10', '2026-12-26']]],
    'a vendor' => [['avoid' => ['Far']], [['avoid', '20.00', '9.10', '2026-12-26']]],
    'what costs nothing' => [['mostParcels' => 1], [['mostParcels', '20.00', '0.00', '2026-12-26']]],
]);

it('takes what a build still needs, one demand a part', function (): void {
    $build = Make::build([
        'board' => ['role' => 'board', 'facets' => ['size' => ['massG' => 46.2]], 'line' => ['state' => 'chosen']],
        'here' => ['role' => 'display', 'line' => ['state' => 'arrived']],
        'under way' => ['role' => 'case', 'line' => ['state' => 'ordered']],
        'mine' => ['role' => 'sound', 'line' => ['state' => 'chosen', 'origin' => 'own']],
        'broken' => ['role' => 'cells', 'line' => ['state' => 'faulty', 'quantity' => 2]],
    ], [], []);
    $document = marketDocument();
    unset($document['demands']);
    expect(array_map(static fn (Demand $one): array => [$one->id, $one->pieces, $one->grams], marketFile($document, $build)->demands))->toBe([
        ['board', 1, ['part-board' => 47]], ['broken', 2, ['part-broken' => 0]],
    ]);
});

it('refuses by field what contradicts itself', function (array $change, string $says): void {
    expect(static fn () => marketFile(marketDocument($change)))->toThrow(BadFile::class, $says);
})->with([
    'a packet of nothing' => [['offers' => [['pieces' => 0]]], 'offers/0/pieces'],
    'an unknown vendor' => [['offers' => [['vendor' => 'Attic']]], 'offers/0/vendor: "Attic" is none of the vendors'],
    'a vendor twice' => [['vendors' => [1 => ['name' => 'Barn', 'currency' => 'EUR', 'lead' => ['usual' => 1]]]], 'vendors/1/name: "Barn" is there twice'],
    'an offer twice' => [['offers' => [1 => ['vendor' => 'Barn', 'part' => 'board', 'prices' => [['price' => '9.00']]]]], 'offers/1: "board" is offered twice by Barn'],
    'two prices for as many' => [['offers' => [['prices' => [1 => ['price' => '11.00']]]]], 'offers/0/prices/1/from: there are two prices from 1 on'],
    'no price for one' => [['offers' => [['prices' => [['from' => 5]]]]], 'offers/0/prices: there is no price for one packet'],
    'a sum of three decimals' => [['offers' => [['prices' => [['price' => '1.234']]]]], 'offers/0/prices/0/price'],
    'a sum in words' => [['offers' => [['prices' => [['price' => 'cheap']]]]], 'offers/0/prices/0/price'],
    'a currency that is none' => [['vendors' => [['currency' => 'euro']]], 'vendors/0/currency'],
    'a day that is none' => [['today' => '2026-02-30'], 'today'],
    'post in no order' => [['vendors' => [['post' => ['steps' => [['upToGrams' => 500], ['upToGrams' => 200, 'price' => '2.00']]]]]], 'vendors/0/post/steps/1/upToGrams'],
    'post for any weight before the last' => [['vendors' => [['post' => ['steps' => [1 => ['upToGrams' => 200, 'price' => '2.00']]]]]], 'the steps of the post are not in order'],
    'a lead time in no order' => [['vendors' => [['lead' => ['least' => 9]]]], 'vendors/0/lead: 9, 5 and 5 days are in no order'],
    'a closure that ends before it begins' => [['vendors' => [['closures' => [['from' => '2026-12-24', 'to' => '2026-12-20']]]]], 'vendors/0/closures/0'],
    'a share that is none' => [['vendors' => [['taxPercent' => 1900]]], 'vendors/0/taxPercent'],
    'an unknown vendor to avoid' => [['wishes' => ['avoid' => ['Attic']]], 'wishes/avoid'],
    'no parcel at all' => [['wishes' => ['mostParcels' => 0]], 'wishes/mostParcels'],
    'a demand twice' => [['demands' => [1 => ['id' => 'a', 'parts' => [['id' => 'panel']]]]], 'demands: "a" is there 2 times'],
    'a demand for nothing' => [['demands' => [1 => ['id' => 'b', 'parts' => []]]], 'demands/1/parts: no part would do'],
]);

it('says a sum in hundredths as people write it', function (int $cents, string $says): void {
    expect(BasketReport::sum($cents))->toBe($says);
})->with([[0, '0.00'], [5, '0.05'], [-5, '-0.05'], [12345, '123.45'], [-120, '-1.20']]);

it('reads the market that ships with the demo, and every total is the sum of what it opens into', function (): void {
    $file = marketFile((array) Json::decode(Make::read('demo/refuge.market.json')));
    $report = (new BasketReport($file->demands, $file->market, $file->wishes))->toArray();
    $cents = static fn (string $sum): int => (int) str_replace('.', '', $sum);
    $orders = 0;
    foreach ($report['orders'] as $order) {
        $orders += $cents($order['total']);
        expect($cents($order['goods']) + $cents($order['post']) + $cents($order['duty']) + $cents($order['tax']))->toBe($cents($order['total']))
            ->and(array_sum(array_map($cents, array_column($order['items'], 'landed'))))->toBe($cents($order['total']))
            ->and(array_sum(array_map($cents, array_column($order['items'], 'goods'))))->toBe($cents($order['goods']));
    }
    expect($orders)->toBe($cents($report['total']))->and($report['exact'])->toBeTrue()->and($report['unmet'])->toBe([]);
});
