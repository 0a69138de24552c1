<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Assembly\Plan;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\StepState;
use PocketPlot\Assembly\Suspects;
use PocketPlot\Assembly\WayBack;
use PocketPlot\Build\Build;
use PocketPlot\Build\Fault;
use PocketPlot\Build\FaultState;
use PocketPlot\Build\Tick;
use PocketPlot\Build\WorkPlan;
use PocketPlot\Facts\Facts;
use PocketPlot\Quantity\Day;

/** Everything before this step is done, in the order of the plan. */
function doneUpTo(Build $build, string $until, ?WorkPlan $work = null): Build
{
    $ticks = [];
    foreach (Plan::of(new Facts($build), Make::today())->sequence() as $step) {
        if ($step->id === $until) {
            break;
        }
        $ticks[$step->id] = new Tick($step->id, Make::today());
    }

    return $build->withTicks($ticks)->withWork($work ?? new WorkPlan);
}

function failing(Build $build, string $gate, array $looked = [], FaultState $state = FaultState::Open, ?Day $again = null): Build
{
    $done = doneUpTo($build, $gate);

    return $done->withWork(new WorkPlan(faults: [new Fault(
        'f',
        $gate,
        Make::today(),
        $state,
        ['It plays: no.'],
        $looked,
        $again,
        doneThen: array_keys($done->ticks),
    )]));
}

function suspectsOf(Build $build): Suspects
{
    $appraisal = Make::appraise($build);

    return new Suspects($appraisal->plan, $appraisal->facts, $appraisal->findings, $build->work->faults[0]);
}

/** The fewest done steps whose going lets the hands reach these lines, by trying every set. */
function fewestByTrying(Plan $plan, array $lines): int
{
    $done = array_values(array_filter($plan->sequence(), $plan->isDone(...)));
    // Only steps that cover something, or keep the power on, can be worth undoing for the reach alone.
    $some = array_values(array_filter($done, static fn (Step $step): bool => $step->covers !== [] || str_starts_with($step->id, 'seat/')));
    $best = count($some) + 1;
    for ($set = 0; $set < 1 << count($some); $set++) {
        $undone = array_values(array_filter($some, static fn (Step $step, int $at): bool => ($set & 1 << $at) !== 0, ARRAY_FILTER_USE_BOTH));
        $kept = array_filter($done, static fn (Step $step): bool => ! in_array($step, $undone, true));
        $covered = array_merge(...array_map(static fn (Step $step): array => $step->covers, array_values($kept)));
        $needed = array_merge($lines, ...array_map(static fn (Step $step): array => $step->reaches, $undone));
        $wires = array_filter($undone, static fn (Step $step): bool => $step->phase->value === 'wire and mount' && ! str_starts_with($step->id, 'seat/'));
        $live = array_filter($kept, static fn (Step $step): bool => str_starts_with($step->id, 'seat/'));
        if (array_intersect($covered, $needed) === [] && ($wires === [] || $live === [])) {
            $best = min($best, count($undone));
        }
    }

    return $best;
}

it('takes back the fewest steps, against every set of steps', function (string $kind): void {
    $build = Make::trial($kind);
    $sequence = Plan::of(new Facts($build), Make::today())->sequence();
    foreach (['ring', 'photo', end($sequence)->id] as $until) {
        $plan = Plan::of(new Facts(doneUpTo($build, $until)), Make::today());
        foreach ($build->lines as $line) {
            $way = WayBack::to($plan, [$line->id]);
            expect(count($way->undo))->toBe(fewestByTrying($plan, [$line->id]), "{$kind} {$until} {$line->id}");
        }
    }
})->with(['upgrade-stack', 'fresh-body', 'phone-core', 'small-pc-core', 'kit-no-iron', 'lap-portable', 'donor-body']);

it('opens the shell, then the board, to get at a membrane, and unplugs the pack first', function (): void {
    $build = doneUpTo(Make::trial('upgrade-stack'), 'test-closed');
    $way = WayBack::to(Plan::of(new Facts($build), Make::today()), ['pads']);
    $ids = array_map(static fn (Step $step): string => $step->id, $way->undo);
    expect($ids)->toBe(['close/shell', 'seat/cell', 'mount/board'])->and($way->blocked)->toBe([])
        ->and(array_map(static fn (Step $step): string => $step->id, $way->again))->toContain('ring', 'test-open');
});

it('says what cannot be taken back on the way', function (): void {
    $build = Make::build(
        ['panel' => ['role' => 'display', 'line' => ['state' => 'arrived']]],
        more: [
            'work' => ['own' => [['id' => 'own/pour', 'title' => 'Pour resin over it', 'lines' => ['panel'], 'canBeUndone' => false]]],
            'ticks' => [['step' => 'own/pour', 'on' => '2026-11-20']],
        ],
    );
    $way = WayBack::to(Plan::of(new Facts($build), Make::today()), ['panel'], ['own/pour']);
    expect(array_map(static fn (Step $step): string => $step->id, $way->blocked))->toBe(['own/pour']);
});

it('suspects first what was done since the last test that passed', function (): void {
    $suspects = suspectsOf(failing(Make::trial('fresh-body'), 'test-closed'));
    $first = array_values($suspects->all)[0];
    // Between the last gate before closing and the test after closing there is only the closing itself.
    expect($first->key)->toBe('step close/body')->and($first->why)->toContain('done since the last test that passed')
        ->and(array_sum($suspects->shares()))->toEqualWithDelta(1.0, 1e-9);
});

it('suspects the work of the step itself first, where the test is about that', function (string $gate, string $first): void {
    $suspects = suspectsOf(failing(Make::trial('fresh-body'), $gate));
    expect(array_key_first($suspects->all))->toBe($first)->and($suspects->looks)->toHaveKey('redo '.substr($first, 5));
})->with([['fuse/cell', 'step fuse/cell'], ['seat/cell', 'step seat/cell'], 'a mere test: what was wired' => ['ring', 'step rail/board:USB sockets']]);

it('names the look that halves the suspects', function (string $gate): void {
    $suspects = suspectsOf(failing(Make::trial('fresh-body'), $gate));
    $shares = $suspects->shares();
    $next = $suspects->next();
    foreach ($suspects->looks as $look) {
        expect(abs($next->share($shares) - 0.5))->toBeLessThanOrEqual(abs($look->share($shares) - 0.5) + 1e-9);
    }
})->with(['heap', 'test-open', 'test-closed']);

it('clears what a look found well, and keeps to what it found wanting', function (): void {
    $build = Make::trial('fresh-body');
    $look = suspectsOf(failing($build, 'heap'))->next();
    $before = suspectsOf(failing($build, 'heap'))->shares();
    $well = suspectsOf(failing($build, 'heap', [$look->key => true]));
    $bad = suspectsOf(failing($build, 'heap', [$look->key => false]));
    expect($look->share($well->shares()))->toBeLessThan(0.1)->and($look->share($bad->shares()))->toBeGreaterThan(0.9)
        ->and($look->share($before))->toBeGreaterThan(0.1)->toBeLessThan(0.9)
        ->and($well->next()?->key)->not->toBe($look->key)->and($bad->next()?->key)->not->toBe($look->key);
});

it('comes to one suspect by halving, in fewer looks than there are suspects', function (): void {
    $build = Make::trial('fresh-body');
    $guilty = 'lead lead';
    $looked = [];
    $count = 0;
    do {
        $suspects = suspectsOf(failing($build, 'heap', $looked));
        $next = $suspects->next();
        if ($next !== null) {
            $looked[$next->key] = ! in_array($guilty, $next->tells, true);
        }
    } while ($next !== null && ++$count < 50);
    expect(array_key_first(suspectsOf(failing($build, 'heap', $looked))->all))->toBe($guilty)->and($count)->toBeLessThan(count($suspects->all) / 2);
});

it('names a failed gate as the next thing to do, unless it waits on others', function (): void {
    $next = static fn (FaultState $state, ?Day $again = null): string => Make::appraise(failing(Make::demo('thimble'), 'heap', [], $state, $again))->vitals->next()['says'];
    expect($next(FaultState::Open))->toBe('Find out why it failed: Run the whole heap from the pack.')
        ->and($next(FaultState::Waiting, Day::of('2026-12-10')))->not->toContain('why it failed')
        ->and($next(FaultState::Mended))->not->toContain('why it failed');
});

it('holds up what waits for a failed gate until it is mended', function (): void {
    $build = Make::trial('fresh-body');
    $open = Plan::of(new Facts(failing($build, 'heap')), Make::today());
    $waiting = Plan::of(new Facts(failing($build, 'heap', [], FaultState::Waiting, Day::of('2026-12-10'))), Make::today());
    $mended = Plan::of(new Facts(failing($build, 'heap', [], FaultState::Mended)), Make::today());
    expect($open->state($open->step('heap')))->toBe(StepState::Failed)->and($open->state($open->step('dry/body')))->toBe(StepState::Waits)
        ->and($mended->state($mended->step('heap')))->toBe(StepState::Open)
        ->and($waiting->finish()?->isAfter(Day::of('2026-12-10')))->toBeTrue()->and($waiting->finish()?->isAfter($mended->finish()))->toBeTrue();
});
