<?php

declare(strict_types=1);

use PocketPlot\Quantity\BadFigure;
use PocketPlot\Quantity\Day;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Money;
use PocketPlot\Quantity\Rates;
use PocketPlot\Quantity\Typed;

it('reads figures as people write them', function (string $text, string $unit, float $value): void {
    expect(Typed::figure($text, $unit))->toEqualWithDelta($value, 1e-6);
})->with([
    ['340', 'mm', 340], ['2,5', 'mm', 2.5], ['.5', 'mm', 0.5], ['13 cm', 'mm', 130], ['1/8 in', 'mm', 3.175], ['1 1/2"', 'mm', 38.1], ['0.3m', 'mm', 300],
    ['1.2 kg', 'g', 1200], ['2lb 3oz', 'g', 907.18474 + 85.048569], ['4 h 30 min', 'h', 4.5], ['90 min', 'h', 1.5], ['2 h', 'min', 120], ['512 MB', 'GB', 0.512], ['1 TB', 'GB', 1000],
]);

it('refuses what is no figure', function (string $text): void {
    expect(fn () => Typed::figure($text, 'mm'))->toThrow(BadFigure::class, 'cannot be read');
})->with(['', 'wide', '-5', '12 kg', '1/0 in', '3 4', '12mmm', '1e9', '5 mm wide']);

it('reads money as people write it', function (string $text, string $says): void {
    expect(Typed::money($text, 'EUR')->says())->toBe($says);
})->with([['18,50', '18.50 EUR'], ['18.5 gbp', '18.50 GBP'], ['SEK 390', '390.00 SEK'], [' 7 ', '7.00 EUR']]);

it('refuses what is no money', function (string $text): void {
    expect(fn () => Typed::money($text, 'EUR'))->toThrow(BadFigure::class);
})->with(['', '-4', '1.234,50', 'EUR 4 GBP', 'four']);

it('keeps a band in order', function (): void {
    expect(fn () => Figure::band(3, 2, 4, 'V'))->toThrow(BadFigure::class, 'not in rising order');
});

it('stays unknown through arithmetic', function (): void {
    expect(Figure::unknown('W')->plus(Figure::exactly(1, 'W'))->isKnown())->toBeFalse()
        ->and(Figure::unknown('W')->times(2)->isKnown())->toBeFalse()
        ->and(fn () => Figure::unknown('W')->usual())->toThrow(BadFigure::class);
});

it('says a figure without more digits than it is worth', function (Figure $figure, string $says): void {
    expect($figure->says())->toBe($says);
})->with([
    [Figure::exactly(5, 'V'), '5 V'], [Figure::band(3, 3.7, 4.2, 'V'), '3 to 4.2 V'], [Figure::exactly(1234.56, 'mA'), '1235 mA'], [Figure::unknown('V'), 'unknown'], [Figure::exactly(0.5, ''), '0.5'],
    [Figure::exactly(0.0, 'V'), '0 V'], [Figure::exactly(-0.001, 'V'), '0 V'], [Figure::exactly(10.04, 'V'), '10 V'], [Figure::exactly(99.96, 'V'), '100 V'], [Figure::exactly(2e15, 'W'), '2000000000000000 W'], [Figure::exactly(100, 'mm'), '100 mm'],
]);

it('adds money without losing a cent', function (): void {
    $sum = Money::zero('EUR');
    for ($times = 0; $times < 1000; $times++) {
        $sum = $sum->plus(Money::of('0.10', 'EUR'));
    }
    expect($sum->rounded())->toBe('100.00');
});

it('does not add two currencies', function (): void {
    expect(fn () => Money::of('1', 'EUR')->plus(Money::of('1', 'GBP')))->toThrow(LogicException::class);
});

it('converts through the base currency', function (): void {
    $rates = new Rates('EUR', ['GBP' => '1.17', 'SEK' => '0.088']);
    // 100 SEK × 0.088 = 8.80 EUR; ÷ 1.17 = 7.5214 GBP.
    expect($rates->convert(Money::of('100', 'SEK'), 'EUR')?->rounded())->toBe('8.80')
        ->and($rates->convert(Money::of('100', 'SEK'), 'GBP')?->rounded())->toBe('7.52')
        ->and($rates->convert(Money::of('100', 'CHF'), 'EUR'))->toBeNull();
});

it('counts days over months and years', function (): void {
    expect((string) Day::of('2026-12-30')->plusDays(3))->toBe('2027-01-02')
        ->and(fn () => Day::of('2026-13-01'))->toThrow(BadFigure::class);
});
