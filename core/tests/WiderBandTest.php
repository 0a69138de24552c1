<?php

declare(strict_types=1);

use CoreTests\Golden;
use CoreTests\Make;
use PocketPlot\Appraisal;
use PocketPlot\Build\Build;
use PocketPlot\Check\Finding;
use PocketPlot\File\BadFile;
use PocketPlot\File\FacetBook;
use PocketPlot\File\PartReader;

/** What a part bears, not how sure a figure is: a wider window is a kinder one. */
const WINDOWS = ['supply.volts', 'supplies.volts', 'charger.inputVolts'];

/** How much wider, on either side. */
const WIDER = 0.15;

/**
 * The part once for each of its figures, that one less sure than it was.
 *
 * @param  array<string, mixed>  $raw
 * @return iterable<string, array<string, mixed>> by the figure's path
 */
function lessSure(array $raw): iterable
{
    foreach (FacetBook::all() as $name => $facet) {
        $value = ((array) ($raw['facets'] ?? []))[$name] ?? null;
        if (! is_array($value)) {
            continue;
        }
        foreach ($facet->isMany() ? array_keys($value) : [null] as $index) {
            foreach ($facet->fields() as $field => [$kind]) {
                $group = (array) ($index === null ? $value : $value[$index]);
                $figure = $group[$field] ?? null;
                // A share that grows beyond the whole is no figure at all; efficiencies are told by their curve.
                if ($figure === null || ! FacetBook::isFigure($kind) || $kind === 'share' || $kind === 'mm±' || in_array("{$name}.{$field}", WINDOWS, true)) {
                    continue;
                }
                $least = is_array($figure) ? ($figure['least'] ?? null) : $figure;
                $most = is_array($figure) ? ($figure['most'] ?? null) : $figure;
                if (! is_numeric($least) || ! is_numeric($most) || (float) $least <= 0.0 || isset($figure['measured'])) {
                    continue;
                }
                $usual = is_array($figure) ? ($figure['usual'] ?? ($least + $most) / 2) : $figure;
                $wide = [...(is_array($figure) ? $figure : []), 'least' => $least * (1 - WIDER), 'usual' => $usual, 'most' => $most * (1 + WIDER)];
                $wider = $raw;
                $index === null ? $wider['facets'][$name][$field] = $wide : $wider['facets'][$name][$index][$field] = $wide;
                yield $index === null ? "{$name}.{$field}" : "{$name}.{$index}.{$field}" => $wider;
            }
        }
    }
}

/** @return array<string, Finding> by key */
function byKey(Appraisal $appraisal): array
{
    $findings = [];
    foreach ($appraisal->findings as $finding) {
        $findings[$finding->key()] = $finding;
    }

    return $findings;
}

/** @return array<string, string> by which rail each input is fed */
function feeds(Appraisal $appraisal): array
{
    return array_column($appraisal->toArray()['supply']['feeds'], 'rail', 'line');
}

it('never judges more mildly when a figure is less sure', function (Build $build): void {
    $before = Appraisal::toCompare($build, Make::today());
    $was = byKey($before);
    $tried = 0;
    $milder = [];
    foreach ($build->chosen() as $line) {
        foreach (lessSure($line->part->raw) as $path => $raw) {
            try {
                $part = PartReader::read($raw);
            } catch (BadFile) {
                // Two figures that may not overlap would.
                continue;
            }
            $after = $before->after($build->withPart($line->part->id, $part), Make::today());
            if (feeds($after) !== feeds($before)) {
                // Another rail suits better now: that is another build.
                continue;
            }
            $tried++;
            foreach (byKey($after) as $key => $finding) {
                if (isset($was[$key]) && $finding->verdict->weight() < $was[$key]->verdict->weight()) {
                    $milder[] = "{$line->id} {$path}: {$key} went from {$was[$key]->verdict->value} to {$finding->verdict->value}";
                }
            }
        }
    }
    expect($milder)->toBe([])->and($tried)->toBeGreaterThan(3);
})->with(static function (): iterable {
    foreach ([...Golden::IN_TREE, ...Golden::TRIALS] as $name) {
        yield $name => [in_array($name, Golden::IN_TREE, true) ? Make::demo($name) : Make::trial($name)];
    }
    foreach (range(301, 320) as $seed) {
        yield "drawn {$seed}" => [Golden::drawn($seed)];
    }
});
