<?php

declare(strict_types=1);

use CoreTests\Texts;
use PocketPlot\Clipping\Amount;
use PocketPlot\Clipping\Amounts;
use PocketPlot\Clipping\Filling;
use PocketPlot\Clipping\Find;
use PocketPlot\Clipping\Names;
use PocketPlot\Clipping\Plain;
use PocketPlot\Clipping\Reader;
use PocketPlot\Clipping\RoleGuess;
use PocketPlot\Clipping\Variants;
use PocketPlot\File\PartReader;
use PocketPlot\Part\Role;

/** @return list<array<string, mixed>> */
function foundIn(string $text, Role $role): array
{
    return array_map(static fn (Find $find): array => $find->toArray(), Reader::read($text, $role));
}

it('reads numbers as many hands write them', function (string $text, array $expected): void {
    $plain = Plain::of($text);
    $found = (new Amounts(Amounts::hasCommas($plain->text)))->in($plain->text);
    expect(array_map(static fn (Amount $one): array => [$one->unit, ...$one->bounds()], $found))->toEqual($expected);
})->with([
    ['5V/3A', [['V', 'usual' => 5], ['mA', 'usual' => 3000]]],
    ['DC 6-36 V', [['V', 'least' => 6, 'most' => 36]]],
    ['12V⎓2.4A', [['V', 'usual' => 12], ['mA', 'usual' => 2400]]],
    ['≤ 450 mA', [['mA', 'most' => 450]]],
    ['20 000 mAh / 74 Wh', [['mAh', 'usual' => 20000], ['Wh', 'usual' => 74]]],
    ['1,200 mAh', [['mAh', 'usual' => 1200]]],
    ['0,45 A', [['mA', 'usual' => 450]]],
    ['approx. 0.6A typ., 1.2A max', [['mA', 'usual' => 600], ['mA', 'most' => 1200]]],
    ['from 6 up to 14 volts', [['V', 'least' => 6, 'most' => 14]]],
    ['between 380 and 640 mA', [['mA', 'least' => 380, 'most' => 640]]],
    ['never more than 0.94 A', [['mA', 'most' => 940]]],
    ['operating temp 0-50°C', [['°C', 'least' => 0, 'most' => 50]]],
    ['weight: 46g (1.6oz)', [['g', 'usual' => 46], ['g', 'usual' => 45.359237]]],
    ['5,0 V ± 5 %', [['V', 'least' => 4.75, 'usual' => 5, 'most' => 5.25]]],
    ['4.20 ± 0.05 V', [['V', 'least' => 4.15, 'usual' => 4.2, 'most' => 4.25]]],
    ['9…15 V', [['V', 'least' => 9, 'most' => 15]]],
    ['< 30 µA', [['mA', 'most' => 0.03]]],
    ['３．７Ｖ　１８００ｍＡｈ', [['V', 'usual' => 3.7], ['mAh', 'usual' => 1800]]],
    ['٥ V', [['V', 'usual' => 5]]],
    ['5V-1A', [['V', 'usual' => 5], ['mA', 'usual' => 1000]]],
    ['2 a piece, 12 V in the box', [['V', 'usual' => 12]]],
]);

it('tells the room inside from the size', function (string $text, array $expected): void {
    $sides = [];
    foreach (Reader::read($text, Role::Case_) as $find) {
        $sides[$find->what] = array_values($find->says);
    }
    expect($sides)->toEqual($expected);
})->with([
    ['inner size 120 x 70 x 25 mm', ['room inside' => [120, 70, 25]]], ['internal dimensions: 120 x 70 x 25 mm', ['room inside' => [120, 70, 25]]],
    ["Außenmaße 130 x 80 x 30 mm\nInnenmaße 120 x 70 x 25 mm", ['size' => [130, 80, 30], 'room inside' => [120, 70, 25]]],
    ['dimensions 130 x 80 x 30 mm', ['size' => [130, 80, 30]]],
]);

it('leaves of several variants the one that is meant, where the text says which', function (string $text, string $left): void {
    $chosen = Variants::chosen($text);
    expect(strlen($chosen))->toBe(strlen($text))->and((string) preg_replace('/ {2,}/', ' ', $chosen))->toBe($left);
})->with([
    'rows of a table' => ["size | mA\n4.3\" | 160\n5.0\" | 240\nYour selection: 5.0\"", "size | mA\n \n5.0\" | 240\nYour selection: 5.0\""],
    'lines with letters' => ["A) 1000 mAh\nB) 2000 mAh\nYou ordered: B", " \nB) 2000 mAh\nYou ordered: B"],
    'lines with names' => ["Corry-3: 3.3 V\nCorry-5: 5 V\nThis is the Corry-5.", " \nCorry-5: 5 V\nThis is the Corry-5."],
    'items in a line' => ['PA-1 (3 W), PA-2 (2 x 3 W), PA-2H (10 W). Item you are viewing: PA-2', ' , PA-2 (2 x 3 W), . Item you are viewing: PA-2'],
    'items between slashes' => ['Supplies: 5 V 3 A / 12 V 1.5 A / 15 V 1 A. In this offer: 12 V', 'Supplies: / 12 V 1.5 A / In this offer: 12 V'],
    'a choice in brackets' => ['RAM 1 GB | 2 GB | [4 GB]', 'RAM | | 4 GB'],
    'nobody says which' => ["A) 1000 mAh\nB) 2000 mAh", "A) 1000 mAh\nB) 2000 mAh"],
    'a choice that is none of them' => ["A) 1000 mAh\nB) 2000 mAh\nYou ordered: C", "A) 1000 mAh\nB) 2000 mAh\nYou ordered: C"],
    'units in brackets' => ['current [mA] | | 190 |', 'current [mA] | | 190 |'],
    'letters of two bytes' => ["Größe A: 1\nGröße B: 2\nyours is Größe B", " \nGröße B: 2\nyours is Größe B"],
]);

it('keeps places where other variants were left out', function (): void {
    $found = Reader::read("A) Ø 18 mm, 1000 mAh\nB) Ø 18 mm, 2000 mAh\nYou ordered: B", Role::Cells);
    $capacity = array_values(array_filter($found, static fn (Find $find): bool => $find->what === 'capacity'));
    expect($capacity)->toHaveCount(1)
        ->and(mb_substr("A) Ø 18 mm, 1000 mAh\nB) Ø 18 mm, 2000 mAh\nYou ordered: B", $capacity[0]->start, $capacity[0]->end - $capacity[0]->start))->toBe('2000 mAh');
});

it('names the part of a text', function (string $text, string $name): void {
    expect(Names::first($text))->toBe($name);
})->with([
    ['★ SANDLARK 5 inch HDMI panel ★ 800x480', 'SANDLARK 5 inch HDMI panel'],
    ['🔥 VOMBRI Nano-3 Single Board Computer 🔥 NEW 2024 MODEL!!', 'VOMBRI Nano-3 Single Board Computer'], ['LiFePO4 block "Stodar 12-6" | 4S1P', 'LiFePO4 block "Stodar 12-6"'],
    ['Item No. 20-3310   Single board PC "Stint 2"', 'Single board PC "Stint 2"'], ['★ QUOLL 5" IPS panel 800x480, capacitive touch ★', 'QUOLL 5" IPS panel 800x480'], ['[review, 3 of 5] Bought the Fettle Zero for a wrist console', 'Fettle Zero'],
    ['what\'s the real draw of the Cobble R1? vendor page: "max 1A"', 'Cobble R1'], ['HDMI ribbon set: A plug straight + mini C plug and 20 cm', 'HDMI ribbon set'],
    ['Replacement battery f. "Rook Pocket" consoles', 'Replacement battery f. "Rook Pocket" consoles'], ['LCD screen 8 inch module with driver card for consoles', 'LCD screen 8 inch module with driver'], ['Perlin C2 board, second hand', 'Perlin C2 board'],
    ['Quick write-up on the Dunlin Core since somebody asked. Bought it in March.', 'Dunlin Core'],
    ['Got rid of my old 5 inch (0.6 A) and put in this: a bare panel with its driver', 'Bare panel'],
    ['Selling four flat cells out of unused medical things. Marked 3.7 V', 'Four flat cells'],
    ['Gutted a cheap wireless pad for this. What is left is the main board', 'Cheap wireless pad'],
    ["It's a biscuit tin, oval no, square.", 'Biscuit tin'], ['Thinking about the Oxbow shell: moulded, grey', 'Oxbow'],
    ['Re: which cells for the brick? I ended up with the green ones from Teasel, 21700 size.', 'Teasel'],
    ['can anyone settle this. the sheet of my "Pennock R3" says 5V 1A', 'Pennock R3'],
    ['I have no word for it', 'I have no word for it'],
]);

it('guesses what a part is from its German name', function (string $name, Role $role): void {
    expect(RoleGuess::of($name))->toBe($role);
})->with([
    ['Lademodul für Li-Ion', Role::Charger], ['Steckernetzteil 12 V', Role::Charger], ['Aufwärtswandler 5 V', Role::Regulator], ['Drucktaster 12 mm', Role::Controls],
]);

it('keeps places: every sign of the plain text stands for one of the original', function (string $text, Role $role, string $what, string $marked): void {
    foreach (Reader::read($text, $role) as $find) {
        if ($find->what === $what) {
            expect(mb_substr($text, $find->start, $find->end - $find->start))->toBe($marked);

            return;
        }
    }
    throw new RuntimeException("no {$what}");
})->with([
    ['★ Größe: 85 × 56 × 17 mm ★ 46 g', Role::Board, 'size', '85 × 56 × 17 mm'],
    ['★ Größe: 85 × 56 × 17 mm ★ 46 g', Role::Board, 'mass', '46 g'],
    ['電源：５Ｖ（ＵＳＢ－Ｃ）', Role::Board, 'supply voltage', '５Ｖ'],
    ["Voltage\u{00A0}| 5\u{202F}V", Role::Board, 'supply voltage', "5\u{202F}V"],
]);

it('reads what stands there and falls into no trap', function (string $file, float $precision, float $recall): void {
    $sum = ['right' => 0, 'bad' => [], 'wanted' => 0, 'found' => 0.0, 'forbidden' => []];
    foreach (Texts::of($file) as $text) {
        $score = Texts::score($text);
        $sum['right'] += $score['right'];
        $sum['wanted'] += $score['wanted'];
        $sum['found'] += $score['found'];
        $sum['bad'] = [...$sum['bad'], ...$score['wrong'], ...$score['forbidden']];
    }
    expect($sum['right'] / ($sum['right'] + count($sum['bad'])))->toBeGreaterThanOrEqual($precision, implode("\n", $sum['bad']))
        ->and($sum['found'] / $sum['wanted'])->toBeGreaterThanOrEqual($recall);
})->with([
    'thirty from before the reader' => ['before', 0.99, 0.98],
    'thirty from after it' => ['after', 0.98, 0.96],
    'more, each read blind once' => ['later', 0.98, 0.96],
    'the next ones' => ['blind', 0.98, 0.96],
    'told anew: shops, notes and sheets' => ['new1', 0.94, 0.9],
    'told anew: thin clients and teardowns' => ['new2', 0.94, 0.9],
    'told anew: answers and other tongues' => ['new3', 0.94, 0.9],
    'told anew: reviews and phones' => ['new4', 0.94, 0.9],
    'told anew: cousins of those told from outside' => ['new5', 0.94, 0.9],
    'told anew: part lists and replies' => ['new6', 0.94, 0.9],
    'told anew: numbers of one\'s own' => ['new7', 0.96, 0.91],
    'told anew: loud shops' => ['new8', 0.95, 0.9],
    'told anew: clubs and brothers-in-law' => ['new9', 0.93, 0.87],
    // Nothing was learned from these and nothing mended for them: no more is promised of a text that nobody has seen.
    'set aside: robots and replies' => ['aside1', 0.89, 0.8],
    'set aside: diaries and sheets' => ['aside2', 0.89, 0.75],
    'the last plain ones' => ['last', 0.98, 0.96],
    'hard ones' => ['hard', 0.96, 0.94],
    'more hard ones' => ['hard2', 0.94, 0.9],
    'a third lot' => ['hard3', 0.96, 0.92],
    'a fourth lot' => ['hard4', 0.93, 0.92],
    'a fifth lot' => ['hard5', 0.93, 0.9],
    'a sixth lot' => ['hard6', 0.93, 0.88],
    'second-hand ads and pages of shops' => ['hard7', 0.94, 0.88],
    'lists, tables and bench notes' => ['hard8', 0.95, 0.92],
    'translations, variants and measured things' => ['hard9', 0.98, 0.94],
    'figures in words, rows with their units in front' => ['hard10', 0.94, 0.95],
    'units with the label, claims beside measurements' => ['hard11', 0.96, 0.91],
    'parts told again in other words' => ['hard12', 0.98, 0.96],
    'other kinds of text for each kind of part' => ['hard13', 0.98, 0.96],
    'whole stories, told at length' => ['hard14', 0.98, 0.95],
    'more of them' => ['hard15', 0.97, 0.93],
    'variants of which one is meant, questions and answers' => ['hard16', 0.96, 0.92],
    'tables of many makers, translations, posts' => ['hard17', 0.98, 0.96],
    'ten last stories' => ['hard18', 0.98, 0.96],
    'short and loud' => ['hard19', 0.98, 0.97],
]);

it('takes anything without harm', function (string $text): void {
    $found = Reader::read($text, Role::Board);
    expect($found)->toBeArray();
    foreach ($found as $find) {
        expect($find->start)->toBeLessThanOrEqual($find->end)->and($find->end)->toBeLessThanOrEqual(mb_strlen(mb_scrub($text, 'UTF-8')));
    }
})->with([
    'nothing' => [''],
    'blanks' => [" \n\t\n "],
    'binary' => [implode('', array_map(chr(...), range(0, 255)))],
    'half a sign' => ["5 V \xE2\x82"],
    'right to left' => ["\u{202E}5 V\u{202C} مصدر ٥ فولت"],
    'one endless line' => [str_repeat('5 V 3 A, ', 5000)],
    'nothing but numbers' => [str_repeat('1 ', 20000)],
    'nothing but brackets' => [str_repeat('((((', 5000)],
    'five megabytes' => [str_repeat("Supply 5 V, draw 300 mA, 85 x 56 x 17 mm.\n", 120000)],
]);

it('reads no script and no tag', function (): void {
    expect(foundIn('<p title="9 V">Supply <b>5 V</b></p><script>var volts = "12 V";</script><style>a{width:40mm}</style>', Role::Board))
        ->toBe([['what' => 'supply voltage', 'usual' => 5.0]]);
});

it('leaves what it cannot tell', function (string $text, Role $role): void {
    expect(foundIn($text, $role))->toBe([]);
})->with([
    'no figures at all' => ['A lovely little thing, works like a charm', Role::Board],
    'the old one' => ['The old one drew 300 mA from 5 V', Role::Board],
    'a supply to buy' => ['Please use our 2 A adapter', Role::Board],
    'air around it' => ['Operating temperature 0 to 70 °C', Role::Board],
    'a warranty' => ['24 months warranty, 4.7/5 from 312 buyers', Role::Display],
]);

it('marks two words that contradict each other', function (): void {
    $draw = array_values(array_filter(Reader::read("Current 450 mA\nCurrent 900 mA", Role::Board), static fn (Find $one): bool => $one->what === 'draw'));
    expect($draw)->toHaveCount(1)->and($draw[0]->isUnsure)->toBeTrue();
});

it('puts finds into a part, and the part can be read', function (string $text, Role $role, array $expected): void {
    $finds = Reader::read($text, $role);
    $filling = new Filling($finds, $role, '2026-11-26');
    $part = $filling->put(['id' => 'own', 'name' => 'Mine', 'role' => $role->value], array_keys($finds));
    foreach ($expected as $path => $value) {
        $at = array_reduce(explode('.', $path), static fn (mixed $inner, string $key): mixed => is_array($inner) ? $inner[$key] ?? null : null, $part);
        expect($at)->toEqual($value, $path);
    }
    expect(PartReader::read($part)->name)->toBe('Mine');
})->with([
    'a board' => [
        "Supply 5 V (4.75-5.25 V) over USB-C\nidle 300 mA, typ. 500 mA, max. 900 mA\n85 x 56 x 17 mm, 46 g, holes 58 x 49 mm, M2.5\nmini HDMI\n39.90 EUR", Role::Board,
        [
            'facets.supply.volts' => ['least' => 4.75, 'usual' => 5.0, 'most' => 5.25, 'source' => 'listing', 'on' => '2026-11-26'],
            'facets.supply.drawMa' => ['least' => 300.0, 'usual' => 500.0, 'most' => 900.0, 'source' => 'listing', 'on' => '2026-11-26'],
            'facets.size.heightMm.value' => 17.0, 'facets.size.massG.value' => 46.0, 'facets.mount' => ['pattern' => '58x49', 'thread' => 'M2.5'],
            'facets.sockets.1' => ['name' => 'hdmi-mini hdmi', 'connector' => 'hdmi-mini', 'carries' => 'hdmi', 'direction' => 'out'],
            'offers' => [['vendor' => 'not said', 'price' => ['amount' => '39.90', 'currency' => 'EUR']]],
        ],
    ],
    // 11.1 V over three in series are 3.7 V a cell, 12.6 V are 4.2 V.
    'a pack by the cell' => [
        '3S2P 11.1V 5200 mAh Li-ion, charge to 12.6 V, max. discharge 10 A, with BMS', Role::Cells,
        [
            'facets.pack.series' => 3, 'facets.pack.parallel' => 2, 'facets.pack.cellNominalV.value' => 3.7, 'facets.pack.cellFullV.value' => 4.2,
            'facets.pack.capacityMah.value' => 5200.0, 'facets.pack.maxDischargeMa.value' => 10000.0, 'facets.pack.protection' => 'built-in', 'facets.pack.chemistry' => 'Li-ion',
        ],
    ],
    // 12.8 V of LiFePO4 at 3.2 V a cell are four in series.
    'a pack whose series follows from its chemistry' => ['LiFePO4 pack 12.8 V 6 Ah', Role::Cells, ['facets.pack.series' => 4, 'facets.pack.cellNominalV.value' => 3.2]],
    'a charger with four outputs' => [
        'Wall charger 100-240V, out 5V 3A, 9V 3A, 15V 2A, 20V 1.5A', Role::Charger,
        ['facets.poweredBy' => 'mains', 'facets.outputs.0.name' => '5 V', 'facets.outputs.3.volts.value' => 20.0, 'facets.outputs.3.continuousMa.value' => 1500.0],
    ],
    // 6 W at 12 V are 500 mA.
    'watts as milliamps' => ['Input 12 V DC, power consumption 6 W', Role::Display, ['facets.supply.drawMa.value' => 500.0, 'facets.supply.drawAtV.value' => 12.0]],
    'a converter' => [
        "Step-down, input 6-24 V\noutput 5.1 V 3 A, efficiency 93 %, quiescent current 0.9 mA", Role::Regulator,
        [
            'facets.outputs.0.topology' => 'buck', 'facets.outputs.0.efficiency.value' => 0.93, 'facets.outputs.0.idleMa.value' => 0.9,
            'facets.supply.volts' => ['least' => 6.0, 'most' => 24.0, 'source' => 'listing', 'on' => '2026-11-26'],
        ],
    ],
    'a protection board' => [
        '2S BMS 8 A, Li-ion, cut-off 5.6 V, release 6.0 V', Role::Regulator,
        ['facets.protector.series' => 2, 'facets.protector.mostMa.value' => 8000.0, 'facets.protector.cutOffV.value' => 5.6, 'facets.protector.chemistries' => ['Li-ion']],
    ],
    'a lead' => ['USB-C to micro USB lead, 30 cm, 24 AWG', Role::Cable, ['facets.cable.oneEnd' => 'usb-c', 'facets.cable.otherEnd' => 'usb-micro', 'facets.cable.lengthMm.value' => 300.0]],
    'one end of a window is no window' => ['LDO 3.3 V, input up to 15 V', Role::Regulator, ['facets.supply.volts' => null, 'facets.outputs.0.volts.value' => 3.3]],
    'a packet' => ['Tact switches, bag of 50, 2.80 EUR', Role::Controls, ['packetOf' => 50, 'offers.0.price.amount' => '2.80']],
]);

it('knows what a text is about that nobody has seen', function (string $file, int $least): void {
    $right = array_filter(Texts::of($file), static fn (array $text): bool => RoleGuess::of($text['text'])?->value === $text['role']);
    expect(count($right))->toBeGreaterThanOrEqual($least)
        // Words alone took 22 and 18 of 28 for what they are.
        ->and(count(array_filter(Texts::of($file), static fn (array $text): bool => RoleGuess::byWords($text['text'])?->value === $text['role'])))->toBeLessThan($least);
})->with([['aside1', 27], ['aside2', 26]]);

it('makes a proposal of whatever it finds in any text', function (string $file): void {
    foreach (Texts::of($file) as $text) {
        $role = Role::from($text['role']);
        $filling = new Filling(Reader::read($text['text'], $role), $role, '2026-11-27', $text['text'], 'GBP');
        $proposals = $filling->proposals(['name' => 'Mine', 'role' => $role->value, 'facets' => []]);
        foreach ($proposals as $one) {
            expect($one->label)->not->toBe('', $text['name'])->and($one->says)->not->toBe('', $text['name']);
        }
    }
    expect(Texts::of($file))->not->toBe([]);
})->with(['before', 'after', 'later', 'blind', 'last', 'hard', 'hard2', 'hard3', 'hard4', 'hard5', 'hard6', 'hard7', 'hard8', 'hard9', 'hard10', 'hard11', 'hard12', 'hard13', 'hard14', 'hard15', 'hard16', 'hard17', 'hard18', 'hard19', 'new1', 'new2', 'new3', 'new4', 'new5', 'new6',
    'new7', 'new8', 'new9', 'aside1', 'aside2']);

it('says of a price without a currency in which money it would be taken', function (): void {
    $filling = new Filling(Reader::read('Tarn mini pc, want 45 ono', Role::Board), Role::Board, '2026-11-27', '', 'GBP');
    expect(array_column(array_map(static fn ($one): array => $one->toArray(), $filling->proposals([])), 'says'))->toBe(['45.00 GBP, in no currency said'])
        ->and($filling->put(['name' => 'Mine', 'role' => 'board', 'facets' => []], [0])['offers'][0]['price'])->toBe(['amount' => '45.00', 'currency' => 'GBP']);
});

it('reads thousands, bare sums and questions as people mean them', function (Role $role, string $text, string $what, array $says): void {
    $found = array_values(array_filter(Reader::read($text, $role), static fn ($find): bool => $find->what === $what));
    expect(array_map(static fn ($find): array => array_intersect_key($find->toArray(), ['usual' => 1, 'least' => 1, 'most' => 1, 'amount' => 1, 'currency' => 1, 'packet' => 1]), $found))->toEqual($says);
})->with([
    'a point that parts thousands' => [Role::Cells, 'Powerbank 10.000 mAh, 5 V', 'capacity', [['usual' => 10000]]],
    'a comma that does, among decimal commas' => [Role::Cells, 'Akku 3,7 V, 10,000 mAh, 1,5 A', 'capacity', [['usual' => 10000]]],
    'decimals of ampere-hours' => [Role::Cells, 'LiFePO4 12.8 V 1.250 Ah', 'capacity', [['usual' => 1250]]],
    'a draw in thousands' => [Role::Board, 'draws 1.250 mA at most, 5 V', 'draw', [['most' => 1250]]],
    'a price each' => [Role::Cooling, 'fan 40 mm, 1.50 each', 'price', [['amount' => '1.50', 'packet' => 1]]],
    'a round price' => [Role::Board, 'my old board, want 45 ono', 'price', [['amount' => '45.00', 'packet' => 1]]],
    'a dash for the cents' => [Role::Regulator, 'step down, 3,- for one, 10,- for all 4', 'price', [['amount' => '3.00', 'packet' => 1], ['amount' => '10.00', 'packet' => 4]]],
    'a label' => [Role::Display, "Panel 5 inch\nPrice | 64,90", 'price', [['amount' => '64.90', 'packet' => 1]]],
    'post that is in it' => [Role::Board, 'board, 9 € shipping included', 'price', [['amount' => '9.00', 'currency' => 'EUR', 'packet' => 1]]],
    'post that is not' => [Role::Board, 'board, 9 €, 4 € shipping', 'price', [['amount' => '9.00', 'currency' => 'EUR', 'packet' => 1]]],
    'a size is no price' => [Role::Board, 'board 85.60 x 56.50 mm', 'price', []],
    'volts are none' => [Role::Regulator, 'output 5.10 V, input 6.00 to 24.00', 'price', []],
    'what somebody asks' => [Role::Board, "5 V\nQ: can it run from 3.3 V? A: No.", 'supply voltage', [['usual' => 5]]],
    'a window without its unit' => [Role::Regulator, 'step down board. in 4.5-40, out turnable 1.3 - 37', 'supply voltage', [['least' => 4.5, 'most' => 40]]],
]);

it('says what stands in the part already, and leaves alone what is not confirmed', function (): void {
    $finds = Reader::read('Supply 5 V, weight 46 g, 7 inch', Role::Display);
    $filling = new Filling($finds, Role::Display, '2026-11-26');
    $part = ['name' => 'Mine', 'role' => 'display', 'facets' => ['size' => ['massG' => ['value' => 50, 'source' => 'measured']]], 'kept' => 'so'];
    $proposals = $filling->proposals($part);
    expect(array_map(static fn ($one): array => [$one->label, $one->says, $one->was, $one->isPlaced], $proposals))->toBe([
        ['supply window', '5 V', '', true],
        ['weight', '46 g', '50', true],
        ['diagonal', '7 in', '', false],
    ]);
    expect($filling->put($part, [0]))->toBe([
        'name' => 'Mine', 'role' => 'display',
        'facets' => ['size' => ['massG' => ['value' => 50, 'source' => 'measured']], 'supply' => ['volts' => ['value' => 5.0, 'source' => 'listing', 'on' => '2026-11-26']]],
        'kept' => 'so',
    ])->and($filling->put($part, []))->toBe($part);
});

it('tells names of several parts from the text of one', function (string $text, bool $isList): void {
    expect(Names::areIn($text))->toBe($isList);
})->with([
    'names alone' => ["my board\n5 inch panel\na gizmo", true],
    'names with figures' => ["Petrel 2 board 5 V\nLiPo cell 3.7 V 5000 mAh\n5 inch HDMI panel 800x480, 5 V 420 mA", true],
    'one line' => ['LiPo cell 3.7 V 5000 mAh', false],
    'a listing' => ["5 inch IPS panel 800x480\nSupply 5V DC (micro USB), typ 420 mA\n121 x 76 x 8 mm, 94 g\nonly €31.50", false],
    'a pack and its plug' => ["LiPo pack 7.4V 2S1P 2200mAh 16.28Wh, XT30 plug\n105 x 34 x 18 mm, 128 g\n17,50 EUR", false],
    'a body and what it is printed of' => ["Printed shell, two halves, PLA\ninside 190 x 120 x 45 mm, wall 2.4 mm\n190 g, 6 EUR of filament", false],
    'names that begin with a figure' => ["Old tablet board, 2 GB\n7 inch panel\nflat LiPo cell 3.7 V 4000 mAh\n8 buttons and d-pad\n5 V boost board, 2 A\nprinted case 190 x 100 x 24 mm", true],
    'a list with numbers' => ["1. Compute board 45 g\n2. 10 inch monitor panel 12 V\n3. 12 V power brick 5 A\n4. arcade buttons x 16\n5. 2 joysticks\n6. amp board 12 V 2x10 W", true],
    'names and what they need' => ["12 V barrel supply 60 W\nbuck converter 5 V 5 A\nmini PC board 12 V 3 A\nHDMI lead 1 m\n15 inch panel 12 V 1.2 A", true],
    'packs and fans' => ["5 inch display 5 V 400 mA\n18650 pack 2S 7.4 V 5200 mAh\n30 mm fan 5 V 120 mA\n64 GB card", true],
]);

it('takes the text of one part for no list', function (string $file): void {
    $lists = array_filter(Texts::of($file), static fn (array $text): bool => Names::areIn($text['text']));
    expect(array_column($lists, 'name'))->toBe([]);
})->with(['aside1', 'aside2', 'hard12', 'new5']);

it('takes a list for one, whatever stands beside the names', function (string $text): void {
    expect(Names::areIn($text))->toBeTrue();
})->with([
    "Robin main board\n4 inch screen\ntwo cells\ncharging thing\nknobs", "- compute module\n- carrier\n- 10\" panel\n- 3S pack 5 Ah\n- buck 5 V\n- wooden box",
    "Board A, 22 EUR\nPanel B, 31 EUR\nCell C, 7 EUR\nPad D, 9 EUR", "1x mini PC\n2x speaker 3 W\n1x amp\n4x M3 standoff",
    "Hauptplatine\nBildschirm 7 Zoll\nAkku\nLadegerät\nGehäuse",
]);

it('guesses what a part is for by its name, or leaves it open', function (string $name, string $role): void {
    expect(RoleGuess::of($name)->value ?? 'open')->toBe($role);
})->with([
    ['2 joysticks', 'controls'], ['analog sticks', 'controls'], ['pair of paddles', 'controls'], ['64 GB card', 'storage'], ['two heatsinks', 'cooling'],
    ['12 V barrel supply 60 W', 'charger'], ['USB-C supply 5 V 3 A and lead', 'charger'], ['9 V plug-in supply', 'charger'], ['Charge and boost board', 'charger'],
    ['7-inch ribbon panel', 'display'], ['panel ribbon', 'cable'], ['old monitors', 'display'], ['sound board', 'sound'], ['headphones', 'sound'],
    ['toolbox', 'case'], ['thin client', 'board'], ['thermal pads', 'material'], ['some gizmo', 'open'], ['', 'open'],
]);
