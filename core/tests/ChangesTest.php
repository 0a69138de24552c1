<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Build\Build;
use PocketPlot\Check\Changes;
use PocketPlot\Check\RuleBook;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use PocketPlot\WhatIf\Candidates;

/** @return Changes what does not hold any more of refuge, with another part in a line's place */
function changesOf(string $line, string $part): Changes
{
    $facts = new Facts(Make::demo('refuge'));
    $noted = RuleBook::askNoting($facts);
    $new = array_values(array_filter(Make::library(), static fn (Part $one): bool => $one->id === $part))[0];

    return $noted->changes(Facts::after($facts, $facts->build->withSwap($line, $new))) ?? throw new RuntimeException('nothing was noted');
}

it('judges again what the other part sways, and nothing else', function (string $line, string $part, array $again, array $holds): void {
    $changes = changesOf($line, $part);
    foreach ($again as $rule) {
        expect($changes->none($rule))->toBeFalse($rule);
    }
    foreach ($holds as $rule) {
        expect($changes->none($rule))->toBeTrue($rule);
    }
})->with([
    'a panel sways picture, power and run time' => [
        'panel', 'panel-rook-9w', ['video.path', 'power.supply-window', 'power.runtime'], ['software.storage', 'control.firmware', 'people.wires'],
    ],
    'a card sways what is kept on it' => [
        'card', 'card-thrift-64', ['software.storage'], ['power.cable-drop', 'power.runtime', 'video.scaling', 'power.rail-current', 'audio.path'],
    ],
]);

it('goes by what gives a feed its volts, not by what else hangs there', function (): void {
    $changes = changesOf('panel', 'panel-rook-9w');
    // The thirstier or thriftier panel is another load of the same pack; who else lives from it gets the same volts.
    expect($changes->holds('power.supply-window', 'panel'))->toBeFalse();
    $others = array_filter(
        array_keys((new Facts(Make::demo('refuge')))->feeds()),
        static fn (string $feed): bool => $feed !== 'panel' && $changes->holds('power.supply-window', $feed),
    );
    expect(count($others))->toBeGreaterThan(2);
});

it('finds nothing changed where nothing was', function (): void {
    $facts = new Facts(Make::demo('thimble'));
    $changes = RuleBook::askNoting($facts)->changes(Facts::after($facts, $facts->build));
    foreach (RuleBook::RULES as $rule) {
        expect($changes?->none($rule::id()))->toBeTrue($rule);
    }
});

it('has nothing to go by where nothing was noted', function (): void {
    $facts = new Facts(Make::demo('thimble'));
    expect(RuleBook::ask($facts)->changes($facts))->toBeNull();
});

it('says the day with a part only to who asks for it', function (): void {
    $build = Make::demo('refuge');
    $panels = array_slice(array_values(array_filter(Make::library(), static fn (Part $part): bool => $part->role === Role::Display)), 0, 4);
    foreach (Candidates::judge($build, $panels, Role::Display, 'panel', Make::today()) as ['part' => $part, 'effect' => $effect]) {
        $after = Make::appraise($build->withSwap('panel', $part))->vitals->toArray();
        expect($effect->weighed(false)['vitals']['finish'])->toBeNull()
            ->and($effect->weighed(true)['vitals']['finish'])->toBe($after['finish'])
            ->and($effect->weighed(true)['vitals'])->not->toHaveKeys(['next', 'stepsLeft'])
            ->and(json_encode($effect->toArray()['vitals']))->toBe(json_encode($after));
    }
});

it('gives the keys of a verdict in the order of the findings', function (Build $build): void {
    $appraisal = Make::appraise($build);
    foreach (PocketPlot\Check\Verdict::cases() as $verdict) {
        $keys = [];
        foreach ($appraisal->findings as $finding) {
            $keys = $finding->verdict === $verdict ? [...$keys, $finding->key()] : $keys;
        }
        expect($appraisal->keysOf($verdict))->toBe($keys);
    }
})->with(static fn (): array => array_map(static fn (string $name): array => [Make::demo($name)], ['refuge', 'thimble', 'barge']));
