<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Assembly\Arrivals;
use PocketPlot\Assembly\Gate;
use PocketPlot\Assembly\GateReadings;
use PocketPlot\Assembly\Measure;
use PocketPlot\Assembly\Plan;
use PocketPlot\Assembly\PlanView;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepBook;
use PocketPlot\Assembly\StepSource;
use PocketPlot\Assembly\StepState;
use PocketPlot\Assembly\Substitution;
use PocketPlot\Build\Build;
use PocketPlot\Build\Tick;
use PocketPlot\Build\WorkPlan;
use PocketPlot\Facts\Facts;
use PocketPlot\File\BadFile;
use PocketPlot\File\BuildReader;
use PocketPlot\File\Fields;
use PocketPlot\File\WorkFile;
use PocketPlot\Quantity\Day;

function planOf(Build $build): Plan
{
    return Plan::of(new Facts($build), Make::today());
}

/** @return array<string, Step> by id */
function steps(array $lines, array $work = []): array
{
    return planOf(Make::build($lines, more: ['work' => $work]))->steps();
}

/** The same build with these steps ticked, one after the other, with the parts it has. */
function ticked(Build $build, array $ids): Build
{
    $plan = planOf($build);
    $ticks = [];
    foreach ($ids as $id) {
        $with = [];
        foreach ($plan->step($id)->lines ?? [] as $line) {
            $with[$line->id] = $line->part->id;
        }
        $ticks[$id] = new Tick($id, Make::today(), $with);
    }

    return $build->withTicks($ticks);
}

/** @return list<string> */
function idsOf(array $steps): array
{
    return array_values(array_map(static fn (Step $step): string => $step->id, $steps));
}

/** A build whose parts are all there. */
function allHere(string $kind): Build
{
    $document = Make::demoDocument($kind);
    $document['lines'] = array_map(static fn (array $line): array => [...$line, 'state' => 'arrived'], $document['lines']);
    $document['ticks'] = [];

    return BuildReader::read($document);
}

it('finds one step as the book has it', function (): void {
    $build = Make::build(
        ['panel' => ['role' => 'display']],
        more: ['work' => ['own' => [['id' => 'own/a', 'title' => 'A']], 'changed' => ['light/panel' => ['minutes' => 7]], 'dropped' => ['keep' => 'no']]],
    );
    [$steps] = StepBook::of(new Facts($build));
    foreach ($steps as $id => $step) {
        expect(StepBook::find(new Facts($build), $id))->toEqual($step);
    }
    expect(StepBook::find(new Facts($build), 'keep'))->toBeNull()->and(StepBook::find(new Facts($build), 'nothing'))->toBeNull();
});

it('has no steps without parts', function (): void {
    expect(steps([]))->toBe([]);
});

it('makes steps out of what the parts are', function (array $line, array $expected): void {
    expect(array_keys(steps(['it' => $line])))->toEqualCanonicalizing([...$expected, 'photo', 'test-open', 'test-closed', 'keep']);
})->with([
    'a bare pack is charged, metered, fused, seated, emptied once' => [
        ['role' => 'cells', 'facets' => Make::ironPack()],
        ['charge/it', 'meter/it', 'fuse/it', 'seat/it', 'run/it'],
    ],
    'a power bank needs no fuse of ours' => [
        ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'Li-ion', 'series' => 1, 'sealed' => true]], 'part' => ['sits' => 'outside']],
        ['charge/it', 'meter/it', 'run/it'],
    ],
    'cells that are not charged again' => [
        ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'alkaline', 'series' => 2]]],
        ['meter/it', 'fuse/it', 'seat/it', 'run/it'],
    ],
    'a converter is set before anything hangs on it' => [['role' => 'regulator', 'facets' => Make::converter(6, 30, 5, 1000)], ['set/it', 'mount/small']],
    'a wall supply is metered' => [
        ['role' => 'charger', 'facets' => ['poweredBy' => 'mains', 'outputs' => [['name' => 'plug', 'volts' => 12]]], 'part' => ['sits' => 'outside']],
        ['meter/it'],
    ],
    'a board with software is written, then started' => [
        ['role' => 'board', 'facets' => ['software' => ['imageGb' => 1]]],
        ['image/it', 'first/it', 'mount/it'],
    ],
    'a board that comes written is only started' => [
        ['role' => 'board', 'facets' => ['software' => ['imageGb' => 0, 'card' => 'built-in']]],
        ['first/it', 'mount/it'],
    ],
    'a board that loses files is shut down' => [
        ['role' => 'board', 'facets' => ['software' => ['imageGb' => 1, 'needsShutdown' => 'yes']]],
        ['image/it', 'first/it', 'mount/it', 'shutdown/it'],
    ],
    'a panel is lit before it is mounted' => [['role' => 'display'], ['light/it', 'mount/it']],
    'a panel of which nobody knows the volts is swept' => [
        ['role' => 'display', 'facets' => ['supply' => ['drawMa' => 100]]],
        ['sweep/it', 'light/it', 'mount/it'],
    ],
    'controls are tried before they are mounted' => [['role' => 'controls'], ['press/it', 'mount/it']],
    'a radio pad is charged and paired' => [
        ['role' => 'controls', 'facets' => ['controls' => ['speaks' => ['bluetooth'], 'players' => 1]], 'part' => ['sits' => 'outside']],
        ['charge/it', 'pair/it', 'press/it'],
    ],
    'a pad outside is tried, not mounted' => [['role' => 'controls', 'part' => ['sits' => 'outside']], ['press/it']],
    'a loudspeaker is heard' => [['role' => 'sound'], ['hear/it', 'mount/small']],
    'a fan turns' => [['role' => 'cooling', 'facets' => ['cooling' => ['fan' => true]]], ['spin/it', 'mount/it']],
    'a heatsink is stuck on' => [['role' => 'cooling', 'facets' => ['cooling' => ['fan' => false]]], ['sink/it']],
    'an add-on is soldered on' => [['role' => 'material', 'facets' => ['spots' => ['takes' => 'left bay']], 'part' => ['sits' => 'inside']], ['addon/it']],
    'a ribbon is laid' => [
        ['role' => 'cable', 'facets' => ['cable' => ['oneEnd' => 'ribbon-15', 'otherEnd' => 'ribbon-15', 'carries' => ['dsi']]]],
        ['ribbon/it'],
    ],
    'a coil is fitted' => [['role' => 'charger', 'facets' => ['coil' => ['side' => 'receiver']]], ['coil/it', 'mount/small']],
    'a tool needs no step' => [['role' => 'tool', 'part' => ['sits' => 'nowhere']], []],
]);

it('makes a body by what it is', function (array $facets, array $has, array $lacks): void {
    $steps = steps(['box' => ['role' => 'case', 'facets' => $facets]]);
    expect($steps)->toHaveKeys([...$has, 'dry/box', 'close/box'])->and(array_intersect(array_keys($steps), $lacks))->toBe([]);
})->with([
    'cut' => [['body' => ['cuttable' => true]], ['cut/box'], ['print/box', 'strip/box', 'glue/box']],
    'drawn around the parts' => [['body' => ['drawn' => true]], ['draw/box', 'sample/box', 'print/box'], ['cut/box']],
    'an old shell' => [
        ['body' => ['cuttable' => true, 'openings' => [['name' => 'power', 'face' => 'left', 'connector' => 'usb-c', 'widthMm' => 10, 'heightMm' => 5]]]],
        ['strip/box', 'cut/box'],
        ['print/box'],
    ],
    'a kit' => [['body' => [], 'kit' => ['contains' => ['screws', 'ribbon'], 'lacks' => []]], ['unpack/box'], ['cut/box']],
]);

it('levels packs before they are joined, each fused and charged alone', function (): void {
    $cell = ['pack' => ['chemistry' => 'LiPo', 'series' => 1, 'capacityMah' => 2000, 'cellFullV' => 4.2, 'cellNominalV' => 3.7, 'cellEmptyV' => 3.0]];
    $build = Make::build(
        ['a' => ['role' => 'cells', 'facets' => $cell], 'b' => ['role' => 'cells', 'facets' => $cell]],
        more: ['joins' => [['kind' => 'parallel', 'from' => 'a', 'to' => 'b']]],
    );
    $ids = idsOf(planOf($build)->sequence());
    $level = array_search('level/a', $ids, true);
    foreach (['charge/a', 'charge/b', 'meter/a', 'meter/b', 'fuse/a', 'fuse/b'] as $before) {
        expect(array_search($before, $ids, true))->toBeLessThan($level);
    }
    // The house margin for cells in parallel: 0.05 V.
    expect(planOf($build)->step('level/a')->gate->measures[0]->passes())->toBe('0.05 V or less')->and($ids)->not->toContain('level/b');
});

it('collects the lines for the set-up as one text', function (): void {
    $steps = planOf(Make::trial('fresh-body'))->steps();
    expect($steps['lines/board']->text)->toContain('sound=serial-amplifier')->toContain('# Nightjar serial amplifier');
});

it('cuts a board down only when the builder says so: probed first, tried after', function (): void {
    $lines = ['pad' => ['role' => 'controls'], 'board' => ['role' => 'board']];
    expect(steps($lines))->not->toHaveKey('slim/pad');
    $ids = array_keys(steps($lines, ['slim' => ['pad']]));
    expect(array_search('press/pad', $ids, true))->toBeLessThan(array_search('map/pad', $ids, true))
        ->and(array_search('map/pad', $ids, true))->toBeLessThan(array_search('slim/pad', $ids, true))
        ->and(array_search('slim/pad', $ids, true))->toBeLessThan(array_search('retest/pad', $ids, true))
        ->and(steps($lines, ['slim' => ['pad']])['slim/pad']->cannotBeUndone())->toContain('does not come back');
});

it('warns where the danger is, once', function (string $step, array $lines, string $words): void {
    $cautions = implode(' ', array_unique(steps($lines)[$step]->cautions));
    expect(substr_count($cautions, $words))->toBe(1);
})->with([
    ['charge/it', ['it' => ['role' => 'cells', 'facets' => Make::ironPack()]], 'Lithium cells can burn'],
    ['charge/it', ['it' => ['role' => 'cells', 'facets' => Make::ironPack()]], 'qualified person'],
    ['fuse/it', ['it' => ['role' => 'cells', 'facets' => Make::ironPack()]], 'Hot iron and fumes'],
    ['cut/it', ['it' => ['role' => 'case', 'facets' => ['body' => ['cuttable' => true]]]], 'eye protection'],
    ['meter/it', ['it' => ['role' => 'charger', 'facets' => ['poweredBy' => 'mains', 'outputs' => []]]], 'mains-powered box to a qualified person'],
    ['press/it', ['it' => ['role' => 'controls', 'part' => ['cautions' => ['Mind the spring.']]]], 'Mind the spring.'],
    ['mount/it', ['it' => ['role' => 'cooling', 'facets' => ['cooling' => ['fan' => true]]]], 'fingers'],
]);

it('lays out all that an evening needs, each once', function (): void {
    $evening = planOf(allHere('thimble'))->evenings()[0];
    $layOut = $evening->layOut();
    expect($layOut['lines'])->toContain('cell', 'charger')->and($layOut['tools'])->toContain('multimeter')
        ->and($layOut['places'])->toContain('a surface that does not burn, for charging')
        ->and(array_unique($layOut['lines']))->toBe($layOut['lines']);
});

it('names tools that nobody has, and none while nobody has said what there is', function (?array $tools, array $lacks): void {
    $build = Make::build(
        ['it' => ['role' => 'cells', 'facets' => Make::ironPack()], 'iron' => ['role' => 'tool', 'part' => ['serves' => ['soldering iron']]]],
        $tools === null ? [] : ['tools' => $tools],
    );
    $plan = planOf($build);
    expect($plan->lackedTools($plan->step('fuse/it')))->toBe($lacks);
})->with([[null, []], [[], ['multimeter']], [['multimeter'], []], [['saw'], ['multimeter']]]);

it('waits only for what is not at hand', function (string $state, bool $waits): void {
    $step = steps(['panel' => ['role' => 'display', 'line' => ['state' => $state]]])['light/panel'];
    expect($step->waitsFor() !== [])->toBe($waits);
})->with([['to-find', true], ['chosen', true], ['ordered', true], ['faulty', true], ['arrived', false], ['tested', false]]);

it('knows every kind in the folder', function (): void {
    $files = array_map(
        static fn (string $file): string => 'PocketPlot\\Assembly\\Steps\\'.basename($file, '.php'),
        glob(__DIR__.'/../src/Assembly/Steps/*.php') ?: [],
    );
    expect(array_values(array_filter(
        $files,
        static fn (string $class): bool => is_a($class, StepSource::class, true),
    )))->toEqualCanonicalizing(StepBook::SOURCES);
});

it('makes no circle of its own, whatever the build', function (string $kind): void {
    expect(planOf(in_array($kind, ['refuge', 'thimble', 'barge'], true) ? Make::demo($kind) : Make::trial($kind))->links()->circles)->toBe([]);
})->with(['refuge', 'thimble', 'barge', 'fresh-body', 'donor-body', 'upgrade-stack', 'phone-core', 'small-pc-core', 'kit-no-iron', 'lap-portable']);

it('never blocks when all parts are there and steps are ticked in their order', function (string $kind): void {
    $build = $kind === 'refuge' || $kind === 'thimble' || $kind === 'barge' ? allHere($kind) : Make::trial($kind);
    $done = [];
    $sequence = idsOf(planOf($build)->sequence());
    foreach ($sequence as $id) {
        $plan = planOf(ticked($build, $done));
        expect($plan->state($plan->step($id)))->toBe(StepState::Open, $id);
        $done[] = $id;
    }
    expect(planOf(ticked($build, $done))->open())->toBe([])->and(planOf(ticked($build, $done))->next())->toBeNull();
})->with(['thimble', 'refuge', 'fresh-body', 'small-pc-core']);

it('lets a late part hold up only what needs it', function (): void {
    $lines = [
        'board' => ['role' => 'board', 'line' => ['state' => 'arrived']], 'pad' => ['role' => 'controls', 'line' => ['state' => 'arrived']],
        'panel' => ['role' => 'display', 'line' => ['state' => 'ordered', 'expectedOn' => '2026-12-01']],
    ];
    $plan = planOf(Make::build($lines, ['eveningMinutes' => 60]));
    $tonight = idsOf($plan->evenings()[0]->steps);
    expect($tonight)->toContain('first/board', 'press/pad')->not->toContain('light/panel')
        // From 1 December: light, mounts, tests; the chain begins with the parcel.
        ->and($plan->chain()['parcel']?->id)->toBe('panel')->and(idsOf($plan->chain()['steps'])[0])->toBe('light/panel')
        ->and((string) $plan->evenings()[1]->on)->toBe('2026-12-01')->and(array_map(
            static fn ($line): string => $line->id,
            $plan->evenings()[1]->arrives,
        ))->toBe(['panel']);
});

it('names no day while nobody knows when a part comes', function (): void {
    $plan = planOf(Make::build([
        'board' => ['role' => 'board', 'line' => ['state' => 'arrived']],
        'panel' => ['role' => 'display', 'line' => ['state' => 'ordered']],
    ]));
    expect($plan->finish())->toBeNull()->and(idsOf(array_map(
        static fn (int $at): Step => $plan->open()[$at],
        $plan->timetable()->undated,
    )))->toContain('light/panel', 'test-open')
        ->not->toContain('first/board')->and(array_map(static fn ($line): string => $line->id, $plan->undatedLines()))->toBe(['panel']);
});

it('counts free evenings', function (array $work, string $finish): void {
    // Three steps of 60 minutes, one after the other, in evenings of 60; 2026-11-23 is a Monday.
    $own = [
        ['id' => 'a', 'title' => 'A', 'minutes' => 60],
        ['id' => 'b', 'title' => 'B', 'minutes' => 60, 'after' => ['a']],
        ['id' => 'c', 'title' => 'C', 'minutes' => 60, 'after' => ['b']],
    ];
    $dropped = array_fill_keys(['photo', 'test-open', 'test-closed', 'keep'], 'not now');
    $build = Make::build(
        ['it' => ['role' => 'tool', 'line' => ['state' => 'arrived']]],
        ['eveningMinutes' => 60],
        ['work' => ['own' => $own, 'dropped' => $dropped, ...$work]],
    );
    expect((string) planOf($build)->finish())->toBe($finish);
})->with([
    'every evening: Monday to Wednesday' => [[], '2026-11-25'],
    'Tuesdays and Saturdays: 24, 28 November, 1 December' => [['weekdays' => [2, 6]], '2026-12-01'],
    'with a day off: Monday, Wednesday, Thursday' => [['daysOff' => ['2026-11-24']], '2026-11-26'],
]);

it('says what stands in the way of a gate', function (Measure $measure, float|bool|null $read, ?string $fault): void {
    $faults = Gate::of($measure)->faults($read === null ? [] : [$measure->key => $read]);
    expect($faults)->toBe($fault === null ? [] : [$fault]);
})->with([
    'within' => [new Measure('v', 'Volts', 'V', 4.75, 5.25), 5.0, null],
    'at the edge' => [new Measure('v', 'Volts', 'V', 4.75, 5.25), 4.75, null],
    'too little' => [new Measure('v', 'Volts', 'V', 4.75, 5.25), 4.6, 'Volts: 4.6 V, too little; 4.75 to 5.25 V passes.'],
    'too much' => [new Measure('i', 'Current', 'mA', null, 900.0), 950.0, 'Current: 950 mA, too much; 900 mA or less passes.'],
    'not enough hours' => [new Measure('h', 'Hours', 'h', 3.0), 2.5, 'Hours: 2.5 h, too little; 3 h or more passes.'],
    'nobody knows what passes' => [new Measure('v', 'Volts', 'V'), 99.0, null],
    'not read yet' => [new Measure('v', 'Volts', 'V', 4.75, 5.25), null, null],
    'yes' => [Measure::yes('y', 'It works'), true, null],
    'no' => [Measure::yes('y', 'It works'), false, 'It works: no.'],
]);

it('takes the bounds of a gate from the appraisal', function (): void {
    $steps = planOf(Make::demo('refuge'))->steps();
    $measures = [];
    foreach (['set/five-volt', 'meter/pack', 'heap'] as $id) {
        foreach ($steps[$id]->gate->measures as $one) {
            $measures["{$id} {$one->key}"] = $one->passes();
        }
    }
    // LiFePO4, 4 in series: 2.5 to 3.65 V a cell. The 5 V buck gives 4.85 to 5.25: ±5 % of 5.05 is wider.
    expect($measures['meter/pack volts'])->toBe('10 to 14.6 V')->and($measures['set/five-volt volts-5 V'])->toBe('4.8 to 5.3 V')->and($measures['heap draw-pack:pack'])->toEndWith('mA or less');
});

it('makes readings of the bench out of what a gate read', function (): void {
    $build = Make::demo('thimble');
    $plan = planOf($build);
    $rows = GateReadings::of($plan->step('heap'), ['plays' => true, 'draw-cell:pack' => 140.0, 'volts-board:3.3 V pin' => 3.28], new Facts($build));
    expect(array_map(
        static fn (array $row): array => array_intersect_key($row, array_flip(['line', 'kind', 'volts', 'milliamps', 'state', 'at'])),
        $rows,
    ))->toEqualCanonicalizing([
        ['line' => 'board', 'kind' => 'volts', 'volts' => 3.28, 'at' => '3.3 V pin'],
        ['line' => 'cell', 'kind' => 'draw', 'state' => 'heavy', 'volts' => 3.7, 'milliamps' => 140.0],
    ])->and(GateReadings::of($plan->step('test-closed'), ['warmest' => 61.0], new Facts($build)))->toBe([])
        ->and(GateReadings::of(
            $plan->step('test-closed'),
            ['warmest' => 61.0, 'air' => 22.0],
            new Facts($build),
        )[0])->toMatchArray(['kind' => 'temperature', 'celsius' => 61.0, 'airC' => 22.0]);
});

describe('what the builder decides', function (): void {
    $lines = [
        'panel' => ['role' => 'display', 'line' => ['state' => 'arrived']],
        'box' => ['role' => 'case', 'facets' => ['body' => []], 'line' => ['state' => 'arrived']],
    ];

    it('takes own steps in where they are wanted', function () use ($lines): void {
        $ids = idsOf(planOf(Make::build(
            $lines,
            more: ['work' => ['own' => [[
                'id' => 'own/lens',
                'title' => 'Polish the lens',
                'after' => ['light/panel'],
                'before' => ['mount/panel'],
                'lines' => ['panel'],
            ]]]],
        ))->sequence());
        $at = array_search('own/lens', $ids, true);
        expect(array_search('light/panel', $ids, true))->toBeLessThan($at)->and($at)->toBeLessThan(array_search('mount/panel', $ids, true));
    });

    it('reports the shortest circle, names what can give way, and plans all the same', function () use ($lines): void {
        // What is soldered to the panel has to come before the lid; the builder wants it after.
        $plan = planOf(Make::build($lines, more: ['work' => ['own' => [
            ['id' => 'own/wire', 'title' => 'One more wire', 'after' => ['close/box'], 'lines' => ['panel']],
            ['id' => 'own/far', 'title' => 'Far', 'after' => ['test-closed'], 'before' => ['light/panel']],
        ]]]));
        $circles = array_map(static fn ($circle): array => array_map(static fn ($link): string => $link->from, $circle->links), $plan->links()->circles);
        expect($circles[0])->toEqualCanonicalizing(['own/wire', 'close/box'])->and($plan->links()->circles)->toHaveCount(2)
            ->and(array_map(static fn ($link): string => "{$link->from} {$link->to}", $plan->links()->circles[0]->canGiveWay()))->toBe(['close/box own/wire'])
            ->and(count($plan->sequence()))->toBe(count($plan->steps()))->and($plan->steps())->toHaveKeys(['own/wire', 'own/far']);
        foreach ($plan->links()->circles[0]->links as $nth => $link) {
            expect($link->to)->toBe($plan->links()->circles[0]->links[($nth + 1) % 2]->from);
        }
    });

    it('keeps a dropped step visible, and what came before it before what came after', function (): void {
        $build = Make::build(
            ['cell' => ['role' => 'cells', 'facets' => Make::ironPack(), 'line' => ['state' => 'arrived']]],
            more: ['work' => ['dropped' => ['meter/cell' => 'trust it']]],
        );
        $plan = planOf($build);
        $view = (new PlanView($plan, new Facts($build)))->whole();
        $ids = idsOf($plan->sequence());
        expect($ids)->not->toContain('meter/cell')->and(array_search('charge/cell', $ids, true))->toBeLessThan(array_search('fuse/cell', $ids, true))
            ->and($view['dropped'])->toBe([['id' => 'meter/cell', 'title' => 'Meter Cell', 'isSafety' => true, 'why' => 'trust it']]);
    });

    it('changes words and minutes', function () use ($lines): void {
        $step = planOf(Make::build(
            $lines,
            more: ['work' => ['changed' => ['light/panel' => ['minutes' => 7, 'note' => 'the blue lead', 'title' => 'See it shine']]]],
        ))->step('light/panel');
        expect([
            $step->minutes->usual,
            $step->minutes->most,
            $step->note,
            $step->title,
        ])->toBe([7, 7, 'the blue lead', 'See it shine'])->and($step->gate)->not->toBeNull();
    });

    it('says which own links lead nowhere any more', function () use ($lines): void {
        expect(planOf(Make::build(
            $lines,
            more: ['work' => ['own' => [['id' => 'own/x', 'title' => 'X', 'after' => ['hear/gone']]]]],
        ))->links()->lost)->toBe([['step' => 'own/x', 'asks' => 'hear/gone']]);
    });

    it('keeps a hand-made order as far as it is possible, and says where it is not', function (): void {
        $build = allHere('thimble');
        $machine = idsOf(planOf($build)->sequence());
        $wanted = ['light/panel', 'hear/beeper', 'press/knob', 'first/board'];
        $plan = planOf($build->withWork(new WorkPlan(order: $wanted)));
        $ids = idsOf($plan->sequence());
        $places = array_map(static fn (string $id): int => (int) array_search($id, $ids, true), $wanted);
        expect($ids)->toEqualCanonicalizing($machine)->and($places[0])->toBeLessThan($places[1])->and($places[1])->toBeLessThan($places[2])
            // The board starts before anything is proved at it.
            ->and($places[3])->toBeLessThan($places[0])
            ->and(array_map(
                static fn (array $one): string => "{$one['step']} {$one['before']}",
                $plan->moved(),
            ))->toEqualCanonicalizing(['first/board light/panel', 'first/board hear/beeper', 'first/board press/knob']);
    });

    it('refuses what cannot be', function (array $work, string $field): void {
        expect(fn () => WorkFile::read(new Fields($work, 'work')))->toThrow(fn (BadFile $bad) => expect($bad->problems[0]->field)->toBe($field));
    })->with([
        'a step that needs itself' => [['own' => [['id' => 'own/a', 'title' => 'A', 'after' => ['own/a']]]], 'work/own/0/after'],
        'two of one id' => [['own' => [['id' => 'own/a', 'title' => 'A'], ['id' => 'own/a', 'title' => 'B']]], 'work/own'],
        'no evening' => [['weekdays' => []], 'work/weekdays'],
        'no such day' => [['weekdays' => [8]], 'work/weekdays'],
        'no minutes' => [['own' => [['id' => 'own/a', 'title' => 'A', 'minutes' => 0]]], 'work/own/0/minutes'],
        'neither yes nor no' => [['faults' => [['id' => 'f', 'step' => 's', 'openedOn' => '2026-11-23', 'looked' => ['x' => 3]]]], 'work/faults/0/looked/x'],
    ]);

    it('writes what it read', function (): void {
        $work = [
            'order' => ['a', 'b'], 'own' => [[
                'id' => 'own/a',
                'title' => 'A',
                'minutes' => 20,
                'says' => 'So',
                'lines' => ['x'],
                'after' => ['b'],
                'tools' => ['saw'],
                'asks' => 'Good?',
                'canBeUndone' => false,
                'aloneHours' => 2.5,
                'x-why' => 1,
            ]],
            'changed' => ['b' => ['minutes' => 3]], 'dropped' => ['c' => 'no need'], 'slim' => ['pad'], 'weekdays' => [2, 6], 'daysOff' => ['2026-12-24'],
            'faults' => [[
                'id' => 'f',
                'step' => 'heap',
                'openedOn' => '2026-11-23',
                'state' => 'waiting on others',
                'saw' => ['It plays: no.'],
                'looked' => ['volts a' => false],
                'lookAgainOn' => '2026-12-01',
                'note' => 'asked the maker',
                'doneThen' => ['a'],
            ]],
            'x-mood' => 'fine',
        ];
        expect(WorkFile::document(WorkFile::read(new Fields($work))))->toEqual($work)->and(WorkFile::document(WorkFile::read(new Fields([]))))->toBe([]);
    });
});

describe('a part replaced in mid-build', function (): void {
    it('has its steps done again, the others not', function (): void {
        $build = ticked(allHere('thimble'), ['charge/cell', 'meter/cell', 'image/board', 'first/board', 'light/panel', 'press/knob']);
        $panel = array_values(array_filter(Make::library(), static fn ($part): bool => $part->id === 'panel-rook-9w'))[0];
        $swapped = $build->withSwap('panel', $panel);
        $plan = planOf($swapped);
        expect($plan->state($plan->step('light/panel')))->not->toBe(StepState::Done)->and($plan->isDone($plan->step('press/knob')))->toBeTrue()
            ->and(Substitution::of($plan, $swapped)['again'])->toBe([['step' => 'light/panel', 'lines' => ['panel']]])
            ->and(Substitution::of(planOf($build), $build)['again'])->toBe([]);
    });

    it('names ticked steps that fell away, and pieces that nothing needs any more', function (): void {
        $document = Make::demoDocument('refuge');
        $document['ticks'] = [['step' => 'hear/speaker', 'on' => '2026-11-20'], ['step' => 'spin/gone', 'on' => '2026-11-20']];
        $document['orders'] = [['id' => 'o1', 'vendor' => 'V', 'state' => 'arrived', 'placedOn' => '2026-11-01', 'currency' => 'EUR', 'items' => [
            ['line' => 'panel', 'part' => 'another-panel', 'name' => 'Another panel', 'packets' => 1, 'pieces' => 1, 'goods' => '5.00', 'right' => 1],
            ['line' => 'card', 'part' => $document['lines'][11]['part'], 'name' => 'Card', 'packets' => 1, 'pieces' => 1, 'goods' => '5.00', 'right' => 1],
        ]]];
        $build = BuildReader::read($document);
        expect(Substitution::of(planOf($build), $build))->toBe([
            'gone' => ['spin/gone'],
            'again' => [],
            'orphans' => [['order' => 'o1', 'name' => 'Another panel', 'pieces' => 1]],
        ]);
    });
});

it('knows the day of a part', function (): void {
    $build = Make::build(['panel' => ['role' => 'display', 'line' => ['state' => 'ordered', 'expectedOn' => '2026-11-20']]]);
    expect((string) Arrivals::of($build->lines[0], Day::of('2026-11-23')))->toBe('2026-11-23');
});
