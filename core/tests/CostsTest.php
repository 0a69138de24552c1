<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Sourcing\Costs;

$line = static fn (string $state, string $amount = '10', array $more = []): array => ['role' => 'board', 'line' => ['state' => $state, 'price' => ['amount' => $amount, 'currency' => 'EUR'], ...$more]];

it('counts each state where it belongs', function (string $state, string $planned, string $committed, string $spent) use ($line): void {
    $costs = Costs::of(Make::build(['one' => $line($state)]));
    expect([$costs->planned->rounded(), $costs->committed->rounded(), $costs->spent->rounded()])->toBe([$planned, $committed, $spent]);
})->with([
    ['to-find', '10.00', '0.00', '0.00'], ['chosen', '10.00', '0.00', '0.00'], ['ordered', '10.00', '10.00', '0.00'],
    ['arrived', '10.00', '10.00', '10.00'], ['tested', '10.00', '10.00', '10.00'], ['faulty', '10.00', '10.00', '10.00'],
]);

it('never lets committed exceed planned, nor spent committed', function (): void {
    foreach (['refuge', 'thimble', 'barge'] as $demo) {
        $costs = Costs::of(Make::demo($demo));
        expect($costs->committed->isMoreThan($costs->planned))->toBeFalse()->and($costs->spent->isMoreThan($costs->committed))->toBeFalse();
    }
});

it('works Thimble out by hand', function (): void {
    // 7.20 + 8.40 + 5.60 + 4.50 + 6.90 + 3.20 = 35.80 EUR; jumpers 2.00 GBP × 1.17 = 2.34 EUR; the rest is owned.
    expect(Costs::of(Make::demo('thimble'))->planned->says())->toBe('38.14 EUR');
});

it('takes the line\'s price before the offer\'s, and the offer\'s before none', function (): void {
    $offers = ['offers' => [['vendor' => 'A', 'price' => ['amount' => '7', 'currency' => 'EUR']], ['vendor' => 'B', 'price' => ['amount' => '5', 'currency' => 'EUR']]]];
    $planned = static fn (array $line): string => Costs::of(Make::build(['one' => ['role' => 'board', 'part' => $offers, 'line' => $line]]))->planned->rounded();
    expect($planned([]))->toBe('7.00')
        ->and($planned(['price' => ['amount' => '6.5', 'currency' => 'EUR']]))->toBe('6.50')
        ->and($planned(['origin' => 'own']))->toBe('0.00')
        ->and($planned(['origin' => 'own', 'price' => ['amount' => '2', 'currency' => 'EUR']]))->toBe('2.00');
});

it('names what has no price, and what has no rate', function (): void {
    $costs = Costs::of(Make::build([
        'one' => ['role' => 'board'], 'two' => ['role' => 'board', 'line' => ['price' => ['amount' => '4', 'currency' => 'SEK']]], 'three' => ['role' => 'board', 'line' => ['origin' => 'gift']],
    ]));
    expect(array_map(static fn ($line): string => $line->id, $costs->unpriced))->toBe(['one'])
        ->and(array_map(static fn ($line): string => $line->id, $costs->withoutRate))->toBe(['two']);
});

it('multiplies by the quantity and leaves candidates out', function () use ($line): void {
    $costs = Costs::of(Make::build(['one' => $line('chosen', '3.33', ['quantity' => 3]), 'two' => $line('chosen', '99', ['slot' => 'one', 'chosen' => false])]));
    expect($costs->planned->rounded())->toBe('9.99')->and($costs->byLine())->toHaveKeys(['one'])->not->toHaveKey('two');
});
