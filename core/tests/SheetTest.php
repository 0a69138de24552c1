<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Part\Part;
use PocketPlot\Sheet\Cells;
use PocketPlot\Sheet\Column;
use PocketPlot\Sheet\Headings;
use PocketPlot\Sheet\NameIndex;
use PocketPlot\Sheet\SheetReader;
use PocketPlot\Sheet\SheetRow;

/** @return list<list<string>> cells of lines parted by "|" */
function cells(string $table): array
{
    return array_map(static fn (string $line): array => array_map(trim(...), explode('|', $line)), explode("\n", trim($table, "\n")));
}

/** @return list<SheetRow> */
function readSheet(string $table): array
{
    $rows = cells($table);
    $at = Headings::find($rows);
    $below = array_slice($rows, $at === null ? 0 : $at + 1);
    $headings = $at === null ? [] : $rows[$at];

    return (new SheetReader($headings, Headings::kinds($headings, $below)))->read($below, ($at ?? -1) + 2);
}

it('finds the headings wherever they stand, and what the columns hold', function (string $table, ?int $at, string $kinds): void {
    $rows = cells($table);
    expect(Headings::find($rows))->toBe($at);
    $headings = $at === null ? [] : $rows[$at];
    expect(implode(' ', array_map(static fn (Column $kind): string => $kind->value, Headings::kinds($headings, array_slice($rows, $at === null ? 0 : $at + 1)))))->toBe($kinds);
})->with([
    'in the first row' => ["Part|Qty|Price\nSome board|1|12.00", 0, 'name quantity price'],
    'below a title and a gap' => ["Handheld, third try||\n||\nItem|How many|Cost each|Shop\nBoard|1|12|Somewhere", 2, 'name quantity price vendor'],
    'German' => ["Pos.|Bezeichnung|Anzahl|Einzelpreis (EUR)|Gesamtpreis|Händler|Bemerkung\n1|Platine|1|9,90|9,90|Laden|-", 0, 'ignored name quantity price total vendor note'],
    'one price that is for all' => ["What|Qty|Total\nButtons|12|6", 0, 'name quantity total'],
    'two prices: the second is for all' => ["Item|Price|Price\nBoard|2|4", 0, 'name price total'],
    'figures of its own' => ["Name|Weight (g)|Voltage|Status\nFan|12|5 V|ordered", 0, 'name figure figure state'],
    'none: by the cells' => ["Flat cell|2|4.50|https://shop.example/1\nBoost board|1|3.20|https://shop.example/2\nFan|1|2.20|https://shop.example/3", null, 'name quantity price link'],
    'one column with a heading' => ["Parts\nBoard\nPanel", 0, 'name'],
    'one column without' => ["A board\nA panel\nTwo sticks", null, 'name'],
    'a type is what it is for where a name stands beside it' => ["Type|Component\nDisplay|Five-inch panel", 0, 'role name'],
    'a type is the name where there is none' => ["Type|Amount|Supplier\nFive-inch panel|1|Shop", 0, 'name quantity vendor'],
    'words of a long cell are no headings' => ["This is the list of all the parts and the price of each of them|\nName|Price\nBoard|3", 1, 'name price'],
    'numbers of rows are no pieces' => ["#|Part|Pcs|Each\n1|Board|1|15\n2|Panel|1|21\n3|Cell|2|5\nStill open:|||", 0, 'ignored name quantity price'],
    'without a heading, too' => ["|Part|Each\n1|Board|15\n2|Panel|21\n3|Cell|5", 0, 'ignored name price'],
    'but pieces are' => ["#|Part|Each\n1|Board|15\n2|Panel|21\n2|Cell|5", 0, 'quantity name price'],
    'what is there, and numbers of shops' => ["Ref|Component name|Needed|Price/unit|Got it?|VAT\nU1|Board|1|28|yes|20%", 0, 'ignored name quantity price state ignored'],
    'our own export' => ["line|role|part|maker|chosen|quantity|state|origin|unit price|currency|in EUR|vendor|expected|verdict|note\nboard|board|B|M|yes|1|chosen|buy|4.00|EUR|4.00|V||fits|", 0,
        'ignored role name maker ignored quantity state origin price currency ignored vendor ignored ignored note'],
]);

it('leaves out what is no part', function (string $name, bool $isLeftOut): void {
    $rows = readSheet("Item|Qty|Price\nBoard|1|12\n{$name}||7.50");
    expect($rows[1]->leftOut !== '')->toBe($isLeftOut, $name);
})->with([
    ['Delivery', true], ['Post & packing', true], ['Post', true], ['Porto', true], ['Postage abroad', true], ['VAT 20 %', true], ['Rabatt', true], ['Versandkosten', true],
    ['Post M3, brass', false], ['Customised shell', false], ['Taxi horn', false], ['Budget speaker', false],
]);

it('reads money as people write it', function (string $cell, ?string $amount, string $currency): void {
    expect(Cells::money($cell))->toBe([$amount, $currency]);
})->with([
    ['12.50', '12.50', ''], ['€ 12,50', '12.50', 'EUR'], ['12,5 €', '12.5', 'EUR'], ['$5', '5', 'USD'], ['US$ 7.20', '7.20', 'USD'], ['1.234,50 EUR', '1234.50', 'EUR'],
    ['1,234.50', '1234.50', ''], ['1 200 kr', '1200', ''], ["1'250.00 CHF", '1250.00', 'CHF'], ['12,- €', '12', 'EUR'], ['0.125', '0.125', ''], ['1.250', '1250', ''], ['£3', '3', 'GBP'],
    ['free', '0', ''], ['gift', '0', ''], ['ask him', null, ''], ['', null, ''], ['4-6 EUR', null, 'EUR'], ['-', null, ''],
]);

it('reads the currency that a cell or a heading names', function (string $cell, string $currency): void {
    expect(Cells::currency($cell))->toBe($currency);
})->with([
    ['€', 'EUR'], ['eur', 'EUR'], ['Euros', 'EUR'], ['US$', 'USD'], ['Price (£)', 'GBP'], ['Einzelpreis in EUR', 'EUR'], ['Cost 2026, CHF', 'CHF'], ['Price each', ''], ['', ''], ['QQQ', ''],
]);

it('takes a price in the currency of its cell, of its row, of its heading, in this order', function (string $table, string $currency): void {
    expect(readSheet($table)[0]->currency)->toBe($currency);
})->with([
    'the cell' => ["Item|Price (EUR)|Currency\nFan|2 USD|GBP", 'USD'],
    'the row' => ["Item|Price (EUR)|Currency\nFan|2|GBP", 'GBP'],
    'one that is not known goes as it is' => ["Item|Price|Currency\nFan|2|qqq", 'QQQ'],
    'the heading' => ["Item|Price (EUR)|Qty\nFan|2|1", 'EUR'],
    'none' => ["Item|Price|Qty\nFan|2|1", ''],
]);

it('keeps what is too long for a name, among what the row says', function (): void {
    $name = 'Boost board '.str_repeat('very ', 24).'strong, 5.1 V, 3 A';
    $row = readSheet("Item|Price|Qty\n{$name}|2|1")[0];
    expect($row->name)->toBe(mb_substr($name, 0, 120))->and($row->text)->toContain('5.1 V, 3 A');
});

it('reads numbers of pieces', function (string $cell, ?int $pieces): void {
    expect(Cells::quantity($cell))->toBe($pieces);
})->with([['2', 2], ['2x', 2], ['x 3', 3], ['4 pcs', 4], ['1.0', 1], ['10 Stück', 10], ['two', 2], ['a pair', 2], ['0', null], ['some', null], ['99999', null], ['', null], ['1-2', null]]);

it('reads how far the buying is', function (string $cell, ?string $state): void {
    expect(Cells::state($cell)?->value)->toBe($state);
})->with([['ordered', 'ordered'], ['Bestellt', 'ordered'], ['on its way', 'ordered'], ['✓', 'arrived'], ['yes', 'arrived'], ['in the drawer', 'arrived'], ['works', 'tested'],
    ['DOA', 'faulty'], ['no', 'to-find'], ['?', 'to-find'], ['to buy', 'chosen'], ['maybe', null], ['', null]]);

it('takes links that lead to a page, and no others', function (string $cell, ?string $link): void {
    expect(Cells::link($cell))->toBe($link);
})->with([
    ['https://shop.example/a?b=1', 'https://shop.example/a?b=1'], ['www.shop.example/x', 'https://www.shop.example/x'], ['javascript:alert(1)', null],
    ['data:text/html,x', null], ['ftp://shop.example', null], ['https://a b', null], ['file:///etc/passwd', null],
]);

it('takes each row, or says why not', function (): void {
    $rows = readSheet(<<<'TABLE'
        Item|Qty|Price (EUR)|Where|Link|Status|Weight (g)|Notes
        POWER||||||
        Flat cell 3.7 V 5000 mAh|2|€ 14,50|Cellmart|https://cell.example/1|ordered|98|with leads
        Display||||||
        Five inch 800 x 480|1|38.90 USD|drawer|not a link|perhaps|120|
        |3|2.00||||
        12345|1|||||
        ||||||
        Item|Qty|Price (EUR)|Where|Link|Status|Weight (g)|Notes
        Total|||68.40|||
        Screws M2.5|a few|cheap||||
        TABLE);
    $said = array_map(static fn (SheetRow $row): array => [$row->row, $row->name, $row->role?->value, $row->quantity, $row->price, $row->currency, $row->leftOut], $rows);
    expect($said)->toBe([
        [2, 'POWER', null, 1, null, '', 'the heading of a group'],
        [3, 'Flat cell 3.7 V 5000 mAh', 'cells', 2, '14.50', 'EUR', ''],
        [4, 'Display', 'display', 1, null, '', 'the heading of a group: what its name does not tell is for display'],
        // Nothing in its name tells; the group does.
        [5, 'Five inch 800 x 480', 'display', 1, '38.90', 'USD', ''],
        [6, '', 'display', 3, '2.00', 'EUR', 'no name'],
        [7, '12345', 'display', 1, null, '', '"12345" is no name'],
        [9, 'Item', 'display', 1, null, '', 'the headings once more'],
        [10, 'Total', 'display', 1, null, '', 'a sum, not a part'],
        // Its own name tells more than the group it stands in.
        [11, 'Screws M2.5', 'fastener', 1, null, '', ''],
    ]);
    expect($rows[1]->text)->toBe("Flat cell 3.7 V 5000 mAh\nWeight: 98 g\nwith leads")
        ->and($rows[1]->vendor)->toBe('Cellmart')->and($rows[1]->link)->toBe('https://cell.example/1')->and($rows[1]->state?->value)->toBe('ordered')
        ->and($rows[3]->vendor)->toBe('')->and($rows[3]->origin?->value)->toBe('own')->and($rows[3]->note)->toBe("perhaps\nnot a link")
        ->and($rows[3]->problems)->toBe(['"perhaps" is no state that is known; it goes into the note.', '"not a link" is no link that is known; it goes into the note.'])
        ->and($rows[8]->problems)->toBe(['"a few" is no number of pieces; one is taken.', '"cheap" is no price; none is taken.']);
});

it('shares the price of a row among its pieces', function (): void {
    // 6.00 for 12 is 0.50 each; 10 for 3 is 3.3333.
    $prices = array_map(static fn (SheetRow $row): ?string => $row->price, readSheet("What|Qty|Total\nButtons|12|\$6.00\nFeet|3|10\nFan|1|2.20"));
    expect($prices)->toBe(['0.5', '3.3333', '2.20']);
});

it('finds a part by its name as somebody else wrote it', function (string $written, ?string $found): void {
    $names = array_map(static fn (Part $part): string => $part->name, Make::library());
    $place = (new NameIndex($names))->find($written);
    expect($place === null ? null : $names[$place])->toBe($found);
})->with([
    'as it is' => ['Brook 5 V buck, 4 A', 'Brook 5 V buck, 4 A'],
    'other order, no gaps' => ['buck Brook 4A 5V', 'Brook 5 V buck, 4 A'],
    'a letter left out' => ['Larch D bord', 'Larch D board'],
    'a letter too many' => ['Rookk 9 panel', 'Rook 9 panel'],
    'two letters changed about' => ['Larhc D board', 'Larch D board'],
    'many of it' => ['Rook 9 panels', 'Rook 9 panel'],
    'other figures are another part' => ['Brook 5 V buck, 5 A', null],
    'what many are' => ['5 V buck', null],
    'another make' => ['Boost board 5V 3A', null],
    'nothing of it' => ['Grandmother\'s lamp', null],
    'marks alone' => ['---', null],
    'empty' => ['', null],
]);

it('knows every part of the shelf again under its own name, and none with a letter left out as another', function (): void {
    $names = array_map(static fn (Part $part): string => $part->name, Make::library());
    $index = new NameIndex($names);
    foreach ($names as $name) {
        $letters = array_keys(array_filter(str_split($name), ctype_alpha(...)));
        $at = $letters[intdiv(count($letters), 2)];
        $slipped = $index->find(substr($name, 0, $at).substr($name, $at + 1));
        expect($names[$index->find($name) ?? -1] ?? '')->toBe($name);
        expect($slipped === null || $names[$slipped] === $name)->toBeTrue($name);
    }
});
