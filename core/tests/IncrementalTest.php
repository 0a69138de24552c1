<?php

declare(strict_types=1);

use CoreTests\Incremental;

it('says of a build after swaps and additions what it says of the same build from nothing', function (): void {
    $count = 0;
    foreach (Incremental::trials(Incremental::FEW, 7) as [$name, $differences]) {
        expect($differences)->toBe([], $name);
        $count++;
    }
    expect($count)->toBe(Incremental::FEW);
});
