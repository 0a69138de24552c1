<?php

declare(strict_types=1);

use PocketPlot\Quantity\BadFigure;
use PocketPlot\Quantity\Cents;
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

it('reckons days as the calendar does', function (string $from, int $days, string $to): void {
    expect((string) Day::of($from)->plusDays($days))->toBe($to)->and(Day::of($from)->daysUntil(Day::of($to)))->toBe($days)
        ->and(Day::of($to)->daysUntil(Day::of($from)))->toBe(-$days)->and((string) Day::of($to)->plusDays(-$days))->toBe($from);
})->with([
    ['2026-11-27', 0, '2026-11-27'], ['2026-12-31', 1, '2027-01-01'], ['2024-02-28', 1, '2024-02-29'], ['2024-02-29', 1, '2024-03-01'],
    // No leap day in a full century, but in every fourth: 1900 had 365 days, 2000 had 366.
    ['1900-02-28', 1, '1900-03-01'], ['2000-02-28', 1, '2000-02-29'], ['1900-01-01', 365, '1901-01-01'], ['2000-01-01', 366, '2001-01-01'],
    // Four centuries are 146,097 days.
    ['2026-11-27', 146_097, '2426-11-27'], ['0001-03-01', 30, '0001-03-31'],
]);

it('reckons every day of forty years as PHP\'s own calendar does', function (): void {
    $day = Day::of('1999-12-25');
    $other = new DateTimeImmutable('1999-12-25 00:00:00 UTC');
    for ($count = 0; $count < 14_610; $count++) {
        if ((string) $day !== $other->format('Y-m-d')) {
            expect((string) $day)->toBe($other->format('Y-m-d'));
        }
        [$day, $other] = [$day->plusDays(1), $other->modify('+1 day')];
    }
    expect((string) $day)->toBe('2039-12-25');
});

it('rounds to hundredths half up and keeps what is exact', function (string $amount, int $cents): void {
    expect(Cents::of(Money::of($amount, 'EUR')))->toBe($cents);
})->with([
    ['12', 1200], ['12.3', 1230], ['12.34', 1234], ['12.345', 1235], ['12.3449999', 1234], ['-0.005', -1], ['0.004', 0],
    ['1000000000.99', 100_000_000_099],
]);

it('counts days over months and years', function (): void {
    expect((string) Day::of('2026-12-30')->plusDays(3))->toBe('2027-01-02')
        ->and(fn () => Day::of('2026-13-01'))->toThrow(BadFigure::class);
});
