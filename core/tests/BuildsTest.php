<?php

declare(strict_types=1);

use CoreTests\Make;

/**
 * Seven builds, one of each kind that people attempt. Beside each stands what a careful builder expects:
 * every clash, what is missing and every open figure, and some of what is tight and what fits, as "rule/line".
 */
const KINDS = ['fresh-body', 'donor-body', 'upgrade-stack', 'phone-core', 'small-pc-core', 'kit-no-iron', 'lap-portable'];

it('sees what a careful builder sees', function (string $kind): void {
    $appraisal = Make::appraise(Make::trial($kind));
    /** @var array<string, list<string>> $expected */
    $expected = json_decode(Make::read("core/tests/builds/{$kind}.expected.json"), true, 8, JSON_THROW_ON_ERROR);
    $seen = [];
    foreach ($appraisal->findings as $finding) {
        $seen[$finding->verdict->value][] = $finding->rule.'/'.($finding->ofWhole ? 'build' : ($finding->lines[0] ?? 'build'));
    }
    foreach (['clash', 'missing', 'unmeasured'] as $verdict) {
        $is = array_values(array_unique($seen[$verdict] ?? []));
        sort($is);
        sort($expected[$verdict]);
        expect($is)->toBe($expected[$verdict], "{$kind}: {$verdict}");
    }
    foreach (['tight', 'fits'] as $verdict) {
        foreach ($expected[$verdict] as $key) {
            expect($seen[$verdict] ?? [])->toContain($key);
        }
    }
})->with(KINDS);
