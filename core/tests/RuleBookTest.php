<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Check\HelpPage;
use PocketPlot\Check\Measuring;
use PocketPlot\Check\RuleBook;
use PocketPlot\File\FacetBook;
use PocketPlot\Part\Role;

/** Every rule that a careful builder can ask for, by name. */
const BOOK = [
    'power' => ['supply-window', 'converter-headroom', 'rail-current', 'source-current', 'port-current', 'cable-drop', 'cell-protection', 'deep-discharge', 'charger-match', 'charge-rate', 'play-while-charging', 'cable-ends', 'parallel-cells', 'keep-awake', 'linear-heat', 'switch-rating', 'short-circuit', 'runtime', 'lead', 'in-play', 'two-supplies', 'polarity', 'contacts'],
    'video' => ['path', 'mode', 'scaling', 'first-start', 'signal-to-light', 'ribbon'],
    'control' => ['coverage', 'path', 'pins', 'usb-slots', 'firmware', 'board-fit', 'face', 'room', 'grip'],
    'audio' => ['path', 'supply', 'load', 'channels', 'headphone-sense', 'hum'],
    'body' => ['fits-inside', 'stack-height', 'openings', 'mounting', 'variant', 'spot', 'insulation', 'field-shadow', 'print-bed', 'wall', 'bears', 'fasteners', 'travel', 'cable-room', 'tipping', 'spacers'],
    'heat' => ['dissipation', 'airflow', 'limits'],
    'software' => ['image', 'driver', 'storage', 'safe-shutdown', 'rights', 'programming'],
    'people' => ['skills', 'wires', 'tools', 'consumables'],
    'money' => ['budget', 'ready-made', 'packets'],
    'fit' => ['clear', 'face', 'sockets', 'warm', 'coil', 'leads', 'bare', 'hands', 'wires'],
    'whole' => ['missing-role', 'wanted', 'kit-gaps', 'unmeasured'],
];

it('holds exactly the rules it should', function (): void {
    $wanted = [];
    foreach (BOOK as $family => $names) {
        foreach ($names as $name) {
            $wanted[] = "{$family}.{$name}";
        }
    }
    $is = array_map(static fn (string $rule): string => $rule::meta()->id, RuleBook::RULES);
    sort($wanted);
    sort($is);
    expect($is)->toBe($wanted);
});

it('says of each rule what it checks and which figures it compares', function (string $rule): void {
    $meta = $rule::meta();
    expect($meta->sentence)->toEndWith('.')
        ->and(array_diff($meta->figures, Measuring::keys()))->toBe([]);
})->with(RuleBook::RULES);

it('has a help page for each rule that says what, why, how it is worked out, how to measure and what mends it', function (string $rule): void {
    $meta = $rule::meta();
    $page = HelpPage::parse(Make::read("core/help/{$meta->id}.md"));
    expect($page->title)->not->toBe('')
        ->and(array_keys($page->sections))->toBe(['What', 'Why', 'Working', 'How to measure', 'What mends it']);
    foreach ($page->sections as $name => $paragraphs) {
        expect(implode(' ', $paragraphs))->toMatch('/^.{40,}/s', "{$meta->id}: {$name}");
    }
})->with(RuleBook::RULES);

it('has a test table for each rule', function (string $rule): void {
    $tests = '';
    foreach (glob(__DIR__.'/Rules/*.php') ?: [] as $file) {
        $tests .= file_get_contents($file);
    }
    $short = substr($rule, (int) strrpos($rule, '\\') + 1);
    expect(str_contains($tests, "describe({$short}::id()") || str_contains($tests, "describe('{$rule::meta()->id}'"))->toBeTrue($short);
})->with(RuleBook::RULES);

it('publishes the facets as they are', function (string $schema): void {
    $published = json_decode(Make::read("core/schema/{$schema}.schema.json"), true, 512, JSON_THROW_ON_ERROR);
    $ours = json_decode((string) json_encode(FacetBook::schema()), true, 512, JSON_THROW_ON_ERROR);
    // Run bin/schema after a facet was changed.
    expect($published['$defs']['part']['properties']['facets'])->toEqual($ours);
})->with(['build', 'library']);

it('asks every role only for facets that exist', function (): void {
    foreach (Role::cases() as $role) {
        expect(FacetBook::FOR_ROLE)->toHaveKey($role->value)
            ->and(array_diff(FacetBook::FOR_ROLE[$role->value], array_keys(FacetBook::facets())))->toBe([]);
    }
});
