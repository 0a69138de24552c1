<?php

declare(strict_types=1);

use CoreTests\Told;

it('says what an experienced friend says of a build', function (string $name): void {
    $wrong = array_map(
        static fn (array $answer): string => "{$answer['says']} → {$answer['seen']}",
        array_values(array_filter(Told::judge($name), static fn (array $answer): bool => ! $answer['right'])),
    );
    expect($wrong)->toBe([]);
})->with(Told::names());

it('knows better than the friend in four builds at most', function (): void {
    expect(count(array_filter(Told::names(), static fn (string $name): bool => isset(Told::expected($name)['errs']))))->toBeLessThanOrEqual(4);
});
