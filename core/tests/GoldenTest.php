<?php

declare(strict_types=1);

use CoreTests\Golden;

it('says what it said before', function (): void {
    $before = Golden::before();
    $count = 0;
    foreach (Golden::builds(Golden::FEW) as $name => $build) {
        expect(Golden::differences($before[$name] ?? [], Golden::plain(Golden::said($name, $build))))->toBe([], $name);
        $count++;
    }
    expect($count)->toBeGreaterThan(Golden::FEW);
});
