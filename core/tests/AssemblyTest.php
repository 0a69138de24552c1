<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepPlanner;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Facts\Facts;

/** @return array<string, Step> by id */
function steps(array $lines): array
{
    $steps = [];
    foreach (StepPlanner::plan(new Facts(Make::build($lines))) as $step) {
        $steps[$step->id] = $step;
    }

    return $steps;
}

it('has no steps without parts', function (): void {
    expect(steps([]))->toBe([]);
});

it('makes steps out of what the parts are', function (array $line, array $expected): void {
    expect(array_keys(steps(['it' => $line])))->toBe([...$expected, 'test-open', 'test-closed']);
})->with([
    'a bare pack is charged, metered, fused' => [['role' => 'cells', 'facets' => Make::ironPack()], ['charge/it', 'meter/it', 'fuse/it']],
    'a power bank needs no fuse of ours' => [['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'Li-ion', 'series' => 1, 'sealed' => true]]], ['charge/it', 'meter/it']],
    'a converter is set before anything hangs on it' => [['role' => 'regulator', 'facets' => Make::converter(6, 30, 5, 1000)], ['set/it']],
    'a wall supply is metered' => [['role' => 'charger', 'facets' => ['poweredBy' => 'mains', 'outputs' => [['name' => 'plug', 'volts' => 12]]], 'part' => ['sits' => 'outside']], ['meter/it']],
    'a board with software is written, then started' => [['role' => 'board', 'facets' => ['software' => ['imageGb' => 1]]], ['image/it', 'first/it', 'mount/it']],
    'a panel is lit before it is mounted' => [['role' => 'display'], ['light/it', 'mount/it']],
    'controls are tried before they are mounted' => [['role' => 'controls'], ['press/it', 'mount/it']],
    'a pad outside is tried, not mounted' => [['role' => 'controls', 'part' => ['sits' => 'outside']], ['press/it']],
    'a loudspeaker is heard' => [['role' => 'sound'], ['hear/it']],
    'material is laid out' => [['role' => 'material', 'part' => ['sits' => 'nowhere']], ['use/it']],
    'a tool needs no step' => [['role' => 'tool', 'part' => ['sits' => 'nowhere']], []],
]);

it('cuts a body that can be cut and prints one that is drawn', function (): void {
    expect(steps(['box' => ['role' => 'case', 'facets' => ['body' => ['cuttable' => true]]]]))->toHaveKeys(['dry/box', 'cut/box', 'close/box'])->not->toHaveKey('print/box')
        ->and(steps(['box' => ['role' => 'case', 'facets' => ['body' => ['drawn' => true]]]]))->toHaveKeys(['print/box', 'dry/box', 'close/box'])->not->toHaveKey('cut/box');
});

it('says what cannot be undone', function (): void {
    $steps = steps(['box' => ['role' => 'case', 'facets' => ['body' => ['cuttable' => true]]]]);
    expect($steps['cut/box']->cannotBeUndone)->not->toBe('')->and($steps['dry/box']->cannotBeUndone)->toBe('');
});

it('warns where the danger is', function (string $step, array $lines, string $words): void {
    expect(implode(' ', steps($lines)[$step]->cautions))->toContain($words);
})->with([
    ['charge/it', ['it' => ['role' => 'cells', 'facets' => Make::ironPack()]], 'Lithium cells can burn'],
    ['charge/it', ['it' => ['role' => 'cells', 'facets' => Make::ironPack()]], 'qualified person'],
    ['fuse/it', ['it' => ['role' => 'cells', 'facets' => Make::ironPack()]], 'Hot iron and fumes'],
    ['cut/it', ['it' => ['role' => 'case', 'facets' => ['body' => ['cuttable' => true]]]], 'eye protection'],
    ['meter/it', ['it' => ['role' => 'charger', 'facets' => ['poweredBy' => 'mains', 'outputs' => []]]], 'mains-powered box to a qualified person'],
    ['press/it', ['it' => ['role' => 'controls', 'part' => ['cautions' => ['Mind the spring.']]]], 'Mind the spring.'],
]);

it('lays out all that a step needs', function (): void {
    $steps = steps([
        'pack' => ['role' => 'cells', 'facets' => Make::ironPack()], 'charger' => ['role' => 'charger', 'facets' => ['charger' => ['chemistries' => ['LiFePO4'], 'seriesLeast' => 4, 'seriesMost' => 4]]],
        'panel' => ['role' => 'display', 'facets' => Make::load(9, 16)], 'switch' => ['role' => 'switch'],
    ]);
    $names = static fn (string $step): array => array_map(static fn ($line): string => $line->id, $steps[$step]->lines);
    expect($names('charge/pack'))->toBe(['pack', 'charger'])
        ->and($names('fuse/pack'))->toBe(['pack', 'switch'])
        ->and($names('rail/pack:pack'))->toBe(['pack', 'panel']);
});

it('waits only for what is not at hand', function (string $state, bool $waits): void {
    $step = steps(['panel' => ['role' => 'display', 'line' => ['state' => $state]]])['light/panel'];
    expect($step->waitsFor() !== [])->toBe($waits);
})->with([['to-find', true], ['chosen', true], ['ordered', true], ['faulty', true], ['arrived', false], ['tested', false]]);

it('keeps a step\'s id when a part is swapped, so that its tick stays', function (): void {
    $build = Make::demo('refuge');
    $panel = array_values(array_filter(Make::library(), static fn ($part): bool => $part->id === 'panel-rook-9w'))[0];
    $ids = static fn ($build): array => array_map(static fn (Step $step): string => $step->id, StepPlanner::plan(new Facts($build)));
    expect($ids($build->withSwap('panel', $panel)))->toBe($ids($build));
});

describe('the order of the kinds of step', function (): void {
    it('follows from what comes after what, not from the order of the list', function (): void {
        $sorted = StepPlanner::inOrder(StepPlanner::SOURCES);
        $turned = StepPlanner::inOrder(array_reverse(StepPlanner::SOURCES));
        $half = intdiv(count(StepPlanner::SOURCES), 2);
        $cut = StepPlanner::inOrder([...array_slice(StepPlanner::SOURCES, $half), ...array_slice(StepPlanner::SOURCES, 0, $half)]);
        expect($turned)->toBe($sorted)->and($cut)->toBe($sorted)->and($sorted)->toHaveCount(count(StepPlanner::SOURCES));
        foreach ($sorted as $at => $source) {
            foreach ($source::comesAfter() as $earlier) {
                expect(array_search($earlier, $sorted, true))->toBeLessThan($at, "{$source} after {$earlier}");
            }
        }
    });

    it('refuses kinds that wait for each other, and one that waits for what is not there', function (): void {
        expect(fn () => StepPlanner::inOrder([HenStep::class, EggStep::class]))->toThrow(LogicException::class, 'EggStep, HenStep')
            ->and(fn () => StepPlanner::inOrder([HenStep::class]))->toThrow(LogicException::class, 'HenStep');
    });

    it('knows every kind in the folder', function (): void {
        $files = array_map(static fn (string $file): string => 'PocketPlot\\Assembly\\Steps\\'.basename($file, '.php'), glob(__DIR__.'/../src/Assembly/Steps/*.php') ?: []);
        $kinds = array_values(array_filter($files, static fn (string $class): bool => is_a($class, StepSource::class, true) && ! (new ReflectionClass($class))->isAbstract()));
        expect($kinds)->toEqualCanonicalizing(StepPlanner::SOURCES);
    });
});

class HenStep implements StepSource
{
    public static function comesAfter(): array
    {
        return [EggStep::class];
    }

    public function steps(Facts $facts): iterable
    {
        return [];
    }
}

class EggStep extends HenStep
{
    public static function comesAfter(): array
    {
        return [HenStep::class];
    }
}
