<?php

declare(strict_types=1);

use PocketPlot\Clipping\Amount;
use PocketPlot\Clipping\Amounts;
use PocketPlot\Clipping\Glossary;
use PocketPlot\Clipping\SpelledNumbers;

it('reads numbers that are written out, in the unit behind them', function (string $text, string $unit, float $value): void {
    $amounts = (new Amounts(false))->in(SpelledNumbers::inFigures($text));
    expect(array_map(static fn (Amount $one): array => [$one->unit, round($one->value(), 3)], $amounts))->toBe([[$unit, $value]]);
})->with([
    ['five volts', 'V', 5.0], ['twelve volts from the wall', 'V', 12.0], ['four hundred and ten milliamps', 'mA', 410.0], ['twenty-five watts', 'W', 25.0],
    ['0.1 of an amp', 'mA', 100.0], ['half an amp', 'mA', 500.0], ['two and a half volts', 'V', 2.5],
    // An inch is 25.4 mm: an eighth of it 3.175, five eighths 15.875.
    ['an eighth of an inch', 'mm', 3.175], ['five eighths of an inch', 'mm', 15.875],
    // A foot is 304.8 mm.
    ['about five feet of it', 'mm', 1524.0],
    // 1.9 ounces of 28.3495 g; 1 lb of 453.592 g and 5 oz of 28.3495 g.
    ['One point nine ounces', 'g', 53.864], ['1 lb 5 oz', 'g', 595.3],
]);

it('leaves alone what is no number of a unit', function (string $text): void {
    expect(SpelledNumbers::inFigures($text))->toBe($text);
})->with(['one of my volts meters', 'two boards, 5 V', 'a third of an ounce', 'five screws and a volt', 'half way to the amp board', 'ten of them']);

it('keeps every number where it stood', function (): void {
    $text = 'it takes four hundred and ten milliamps at five volts';
    $amounts = (new Amounts(false))->in(SpelledNumbers::inFigures($text), 100);
    expect(strlen(SpelledNumbers::inFigures($text)))->toBe(strlen($text));
    foreach ($amounts as $one) {
        expect(substr($text, $one->start - 100, $one->end - $one->start))->toEndWith($one->unit === 'V' ? 'volts' : 'milliamps');
    }
});

it('reads words of other shops in as many bytes', function (string $says, string $is): void {
    $read = Glossary::plain($says);
    expect(strlen($read))->toBe(strlen($says))->and((string) preg_replace('/ +/', ' ', trim($read)))->toBe($is);
})->with([
    ['länge 80 mm, breite 50 mm', 'length 80 mm, width 50 mm'], ['ladestrom max. 2 a', 'charging max. 2 a'],
    ['entladeschluss 3,0 v', 'end voltage 3,0 v'], ['descending pressure module', 'step down module'], ['export flow 3a', 'out current 3a'],
    ['3,5 zoll anzeige, 4,5 bis 5,5 v', '3,5 inch display, 4,5 to 5,5 v'], ['netzteil empfohlen', 'adapter suggested'], ['bis zu 2 a', 'up to 2 a'],
    ['flat cable 40 foot', 'flat cable 40 pin'], ['a 6 foot cable', 'a 6 foot cable'], ['the foot of it', 'the foot of it'],
]);
