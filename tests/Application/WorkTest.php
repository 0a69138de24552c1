<?php

declare(strict_types=1);

use App\Actions\ReadBack;
use App\Actions\StartBuild;
use App\Models\BuildRecord;
use App\Models\StepEventRecord;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

beforeEach(function (): void {
    $this->travelTo('2026-11-23 19:00:00');
    $this->user = $this->builder();
    $this->actingAs($this->user);
    $this->build = StartBuild::fromDemo($this->user, 'thimble', null);
    $this->path = "/api/builds/{$this->build->id}";
    $this->take = fn (array ...$events) => $this->postJson("{$this->path}/record", ['events' => array_values($events)]);
    $this->work = fn (array $given) => $this->postJson(
        "{$this->path}/work",
        ['version' => BuildRecord::query()->findOrFail($this->build->id)->version, ...$given],
    );
    $this->states = fn (): array => array_column($this->getJson("{$this->path}/plan")->assertOk()->json('steps'), 'state', 'id');
});

/** @return array<string, mixed> */
function entry(string $id, string $step, string $did = 'done', array $more = []): array
{
    return ['id' => $id, 'step' => $step, 'did' => $did, 'on' => '2026-11-23', ...$more];
}

/**
 * What a gate asks, answered so that it passes: yes, and figures in the middle of what the plan says passes.
 *
 * @return array<string, bool|float>
 */
function wellRead(array $step): array
{
    $read = [];
    foreach ($step['gate'] ?? [] as $one) {
        preg_match_all('/\d+(?:\.\d+)?/', $one['passes'], $numbers);
        $figures = array_map(floatval(...), $numbers[0]);
        $read[$one['key']] = $one['unit'] === '' ? true : match (true) {
            count($figures) > 1 => array_sum($figures) / 2,
            str_ends_with($one['passes'], 'or less') => $figures[0] / 2,
            default => ($figures[0] ?? 20.0) * 1.1,
        };
    }

    return $read;
}

const FUSED = ['read' => ['off' => true, 'on' => true]];

const HEAP = ['read' => ['plays' => true, 'charger' => true, 'draw-cell:pack' => '140 mA', 'volts-board:3.3 V pin' => '3,28 V']];

describe('the plan', function (): void {
    it('answers in the contract\'s shape', function (): void {
        $this->assertShape($this->getJson("{$this->path}/plan")->assertOk(), 'Plan');
        ($this->take)(entry('f', 'fuse/cell', 'failed', ['note' => 'It sparked.']))->assertOk();
        $this->assertShape($this->getJson("{$this->path}/plan")->assertOk(), 'Plan');
        $faults = $this->getJson("{$this->path}/faults")->assertOk();
        expect($faults->json('faults.0.saw'))->toBe(['It sparked.'])->and($faults->json('faults.0.suspects'))->not->toBe([]);
    });

    it('goes out as a calendar', function (): void {
        $calendar = (string) $this->get("{$this->path}/evenings.ics")->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8')->getContent();
        $plan = $this->getJson("{$this->path}/plan")->json('evenings');
        expect(substr_count($calendar, 'BEGIN:VEVENT'))->toBe(count($plan))->and($calendar)->toContain('DTSTART;VALUE=DATE:'.str_replace('-', '', $plan[0]['on']))->toContain('Thimble: ');
    });

    it('is printed of a file, without a database', function (): void {
        $this->artisan(
            'plot:steps',
            ['file' => base_path('demo/thimble.pocketplot.json'), '--today' => '2026-11-23'],
        )->expectsOutputToContain('Finished: 2026-12-')->assertExitCode(0);
        $this->artisan(
            'plot:steps',
            ['file' => base_path('demo/thimble.pocketplot.json'), '--today' => '2026-11-23', '--json' => true],
        )->expectsOutputToContain('"isProved"')->assertExitCode(0);
        $this->artisan('plot:steps', ['file' => base_path('README.md')])->assertExitCode(3);
    });
});

describe('the record', function (): void {
    it('ticks what was done, with the parts and the figures, and notes the reading under Bench', function (): void {
        ($this->take)(
            entry('e1', 'fuse/cell', 'done', FUSED),
            entry('e2', 'press/knob', 'done', ['read' => ['all' => true]]),
            entry('e3', 'hear/beeper', 'done', ['read' => ['clean' => true], 'minutes' => 12, 'at' => '19:40', 'note' => 'a little thin']),
            entry('e4', 'heap', 'done', HEAP),
        )
            ->assertOk()->assertJsonPath('results.3', ['id' => 'e4', 'result' => 'taken', 'says' => '']);
        expect(($this->states)())->toMatchArray(['fuse/cell' => 'done', 'heap' => 'done'])
            ->and(DB::table('build_ticks')->where('step', 'heap')->value('was_read'))->toContain('140')->toContain('3.28')
            ->and(DB::table('build_ticks')->where('step', 'fuse/cell')->value('done_with'))->toContain('"cell":');
        $readings = $this->getJson("{$this->path}/bench")->assertOk()->json('readings');
        expect(array_column($readings, 'kind'))->toEqualCanonicalizing(['volts', 'draw'])
            ->and($this->getJson("{$this->path}/record")->json('entries.1'))->toMatchArray([
                'step' => 'hear/beeper',
                'at' => '19:40',
                'minutes' => 12,
                'note' => 'a little thin',
                'title' => 'Hear Dunnock beeper',
            ]);
    });

    it('ticks a step and takes the tick away', function (): void {
        $left = ($this->take)(entry('a', 'keys/board'))->assertOk()->json('build.appraisal.vitals.stepsLeft');
        expect(($this->states)()['keys/board'])->toBe('done');
        ($this->take)(entry('b', 'keys/board', 'undone'))->assertOk()->assertJsonPath('build.appraisal.vitals.stepsLeft', $left + 1);
        expect(DB::table('build_ticks')->where('step', 'keys/board')->exists())->toBeFalse();
    });

    it('takes each entry once, however often it is sent', function (): void {
        ($this->take)(entry('e1', 'fuse/cell', 'done', FUSED))->assertOk();
        ($this->take)(
            entry('e1', 'fuse/cell', 'done', FUSED),
            entry('e1', 'fuse/cell', 'undone'),
        )->assertOk()->assertJsonPath('results.*.result', ['already', 'already']);
        expect(($this->states)()['fuse/cell'])->toBe('done')->and(StepEventRecord::query()->where('build_id', $this->build->id)->count())->toBe(1);
    });

    it('takes ticks of two devices at once, each from an older page', function (): void {
        $version = $this->getJson($this->path)->json('version');
        ($this->take)(entry('phone-1', 'fuse/cell', 'done', FUSED))->assertOk();
        ($this->take)(
            entry('tablet-1', 'press/knob', 'done', ['read' => ['all' => true]]),
            entry('tablet-2', 'fuse/cell', 'done', FUSED),
        )->assertOk()->assertJsonPath('build.version', $version + 2);
        expect(($this->states)())->toMatchArray(['fuse/cell' => 'done', 'press/knob' => 'done'])->and(DB::table('build_ticks')->where('step', 'fuse/cell')->count())->toBe(1);
    });

    it('takes an entry once that two devices send at one moment', function (): void {
        // Outside the test's transaction, in processes of their own, as two browsers are.
        $email = 'bench'.bin2hex(random_bytes(4)).'@example.test';
        $boot = 'require "'.base_path('vendor/autoload.php').'"; $app = require "'.base_path('bootstrap/app.php').'"; $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap(); ';
        $script = static fn (string $code): Process => new Process([PHP_BINARY, '-r', $boot.$code], base_path());
        $made = $script('$u = '.User::class.'::query()->create(["name" => "Bench", "email" => "'.$email.'", "password" => "a long enough one"]); echo '.StartBuild::class.'::fromDemo($u, "thimble", null)->id;');
        $id = trim($made->mustRun()->getOutput());
        $take = '$b = '.BuildRecord::class."::query()->findOrFail('{$id}'); ".'$e = new PocketPlot\Build\StepEvent("same", "keys/board", PocketPlot\Build\StepDid::Done, PocketPlot\Quantity\Day::of("2026-11-20")); '
            .'App\Actions\EditBuild::whatever($b, function ($b) use ($e) { $t = new App\Actions\TakeRecord($b); $t->take([[$e, []]]); echo $t->results[0]["result"]; });';
        $racers = [$script($take), $script($take)];
        array_walk($racers, static fn (Process $one) => $one->start());
        array_walk($racers, static fn (Process $one) => $one->wait());
        $answers = array_map(static fn (Process $one): string => $one->getOutput(), $racers);
        sort($answers);
        $count = $script('echo '.StepEventRecord::class."::query()->where('build_id', '{$id}')->count(), ' ', App\Models\TickRecord::query()->where('build_id', '{$id}')->where('step', 'keys/board')->count();");
        expect($answers)->toBe(['already', 'taken'])->and($count->mustRun()->getOutput())->toBe('1 1');
        $script(User::class.'::query()->where("email", "'.$email.'")->delete();')->mustRun();
    });

    it('does not pass a gate that was not read, or not well', function (array $more, string $result, string $says, string $state): void {
        $answer = ($this->take)(entry('e', 'heap', 'done', $more))->assertOk();
        expect($answer->json('results.0.result'))->toBe($result)->and($answer->json('results.0.says'))->toContain($says)->and(($this->states)()['heap'])->toBe($state)
            ->and(StepEventRecord::query()->where('build_id', $this->build->id)->count())->toBe(1);
    })->with([
        'nothing read' => [[], 'unread', 'is still to be read', 'waits'],
        'one left out' => [['read' => ['plays' => true, 'charger' => true, 'draw-cell:pack' => 140]], 'unread', 'Volts of Quill micro board', 'waits'],
        'a figure that cannot be read' => [
            ['read' => ['plays' => true, 'charger' => true, 'draw-cell:pack' => 'a lot', 'volts-board:3.3 V pin' => '3.3']],
            'unread',
            'Milliamps out of Cobnut 500 cell',
            'waits',
        ],
        'too much' => [['read' => [...HEAP['read'], 'draw-cell:pack' => '0.4 A']], 'failed', 'too much', 'failed'],
        'no' => [['read' => [...HEAP['read'], 'plays' => false]], 'failed', 'picture, sound, controls: no', 'failed'],
    ]);

    it('keeps what was done at a step that is no longer there', function (): void {
        $this->deleteJson("{$this->path}/lines/beeper", ['version' => 1])->assertOk();
        ($this->take)(entry(
            'e',
            'hear/beeper',
            'done',
            ['read' => ['clean' => true], 'note' => 'it sang'],
        ))->assertOk()->assertJsonPath('results.0.result', 'kept');
        expect($this->getJson("{$this->path}/record")->json('entries.0'))->toMatchArray([
            'step' => 'hear/beeper',
            'note' => 'it sang',
            'did' => 'noted',
        ])->and(DB::table('build_ticks')->where('step', 'hear/beeper')->exists())->toBeFalse();
    });

    it('keeps a photograph, and the step where there is none in the file', function (): void {
        $picture = imagecreatetruecolor(40, 30);
        ob_start();
        imagepng($picture);
        $png = 'data:image/png;base64,'.base64_encode((string) ob_get_clean());
        ($this->take)(
            entry('e1', 'fuse/cell', 'done', [...FUSED, 'photo' => $png]),
            entry('e2', 'press/knob', 'done', ['read' => ['all' => true], 'photo' => 'data:image/png;base64,'.base64_encode('no picture')]),
        )
            ->assertOk()->assertJsonPath('results.0.says', '')->assertJsonPath(
                'results.1.says',
                'This file is no photograph that can be read; choose a JPEG, PNG or WebP.',
            );
        expect(($this->states)())->toMatchArray(['fuse/cell' => 'done', 'press/knob' => 'done']);
        $this->get("{$this->path}/record/e1/photo")->assertOk()->assertHeader('Content-Type', 'image/jpeg');
        $this->get("{$this->path}/record/e2/photo")->assertNotFound();
        // A photograph of 40 MB does not go in as one of 6.
        ($this->take)(entry(
            'e3',
            'hear/beeper',
            'done',
            ['read' => ['clean' => true], 'photo' => 'data:image/png;base64,'.str_repeat('A', 8_000_001)],
        ))->assertStatus(422);
    });

    it('counts no day after today', function (): void {
        ($this->take)(entry('e', 'fuse/cell', 'done', [...FUSED, 'on' => '2027-01-01']))->assertOk();
        expect(DB::table('build_ticks')->where('step', 'fuse/cell')->value('done_on'))->toStartWith('2026-11-23');
    });

    it('travels with the file', function (): void {
        ($this->take)(entry('e1', 'fuse/cell', 'done', [...FUSED, 'note' => 'the red one']), entry('e2', 'heap', 'failed', ['note' => 'dark']))->assertOk();
        ($this->work)(['did' => 'drop', 'step' => 'photo', 'why' => 'no camera'])->assertOk();
        $file = (string) $this->get("{$this->path}/file")->assertOk()->getContent();
        $copy = $this->postJson('/api/imports', ['text' => $file])->assertCreated()->json('id');
        $again = json_decode((string) $this->get("/api/builds/{$copy}/file")->getContent(), true);
        $first = json_decode($file, true);
        expect($again['record'])->toBe($first['record'])->and($again['ticks'])->toBe($first['ticks'])->and($again['work'])->toBe($first['work'])->and($first['work']['faults'][0]['doneThen'])->toContain('fuse/cell');
    });

    it('refuses what is no entry, naming the field', function (array $event, string $field): void {
        $this->postJson("{$this->path}/record", ['events' => [$event]])->assertStatus(422)->assertJsonStructure(['fields' => [$field]]);
        expect(StepEventRecord::query()->where('build_id', $this->build->id)->count())->toBe(0);
    })->with([
        'no id' => [['step' => 'heap', 'did' => 'done'], 'events.0.id'],
        'no such doing' => [['id' => 'e', 'step' => 'heap', 'did' => 'dreamt'], 'events.0.did'],
        'no day' => [['id' => 'e', 'step' => 'heap', 'did' => 'done', 'on' => 'Friday'], 'events.0.on'],
        'something more' => [['id' => 'e', 'step' => 'heap', 'did' => 'done', 'by' => 'me'], 'events.0'],
    ]);

    it('holds no more than its file can', function (): void {
        DB::table('step_events')->insert(array_map(
            fn (int $nth): array => [
                'build_id' => $this->build->id,
                'key' => "x{$nth}",
                'document' => json_encode(['id' => "x{$nth}", 'step' => 's', 'did' => 'noted', 'on' => '2026-01-01']),
            ],
            range(1, ReadBack::MOST_EVENTS),
        ));
        ($this->take)(entry('one-more', 'fuse/cell', 'done', FUSED))->assertStatus(422)->assertJsonPath(
            'fields.events.0',
            'The record of a build holds at most 5000 entries. Save the file, and begin another build.',
        );
    });
});

describe('a gate that fails', function (): void {
    it('opens a fault, halves the suspects, is mended when the gate passes', function (): void {
        ($this->take)(
            entry('e1', 'fuse/cell', 'done', FUSED),
            entry('e2', 'press/knob', 'done', ['read' => ['all' => true]]),
            entry('e3', 'hear/beeper', 'done', ['read' => ['clean' => true]]),
        )->assertOk();
        ($this->take)(entry(
            'e4',
            'heap',
            'done',
            ['read' => [...HEAP['read'], 'volts-board:3.3 V pin' => '2.9']],
        ))->assertOk()->assertJsonPath('results.0.result', 'failed');
        $fault = $this->getJson("{$this->path}/faults")->assertOk()->json('faults.0');
        expect($fault['saw'][0])->toContain('2.9 V, too little')->and(array_sum(array_column($fault['suspects'], 'share')))->toBeGreaterThan(0.5)->toBeLessThan(1.01)
            ->and($fault['next'])->not->toBeNull();
        ($this->work)(['did' => 'look', 'fault' => $fault['id'], 'key' => $fault['next']['key'], 'well' => true])->assertOk();
        $after = $this->getJson("{$this->path}/faults")->json('faults.0');
        expect($after['looked'][0])->toMatchArray(['key' => $fault['next']['key'], 'well' => true])->and($after['next']['key'] ?? null)->not->toBe($fault['next']['key']);
        ($this->work)(['did' => 'look', 'fault' => $fault['id'], 'key' => $fault['next']['key']])->assertOk();
        expect($this->getJson("{$this->path}/faults")->json('faults.0.looked'))->toBe([]);
        ($this->take)(entry('e5', 'heap', 'done', HEAP))->assertOk()->assertJsonPath('results.0.result', 'taken');
        expect($this->getJson("{$this->path}/faults")->json('faults.0'))->toMatchArray([
            'state' => 'mended',
            'mendedOn' => '2026-11-23',
            'suspects' => [],
        ])->and(($this->states)()['heap'])->toBe('done');
    });

    it('waits on others until a day', function (): void {
        ($this->take)(entry('e', 'heap', 'failed', ['note' => 'dark']))->assertOk();
        $id = $this->getJson("{$this->path}/faults")->json('faults.0.id');
        ($this->work)([
            'did' => 'fault',
            'fault' => $id,
            'state' => 'waiting on others',
        ])->assertStatus(422)->assertJsonStructure(['fields' => ['lookAgainOn']]);
        ($this->work)([
            'did' => 'fault',
            'fault' => $id,
            'state' => 'waiting on others',
            'lookAgainOn' => '2027-01-10',
            'note' => 'the maker writes a driver',
        ])->assertOk();
        expect($this->getJson("{$this->path}/faults")->json('faults.0'))->toMatchArray(['state' => 'waiting on others', 'lookAgainOn' => '2027-01-10'])
            ->and($this->getJson("{$this->path}/plan")->json('finish'))->toBeGreaterThan('2027-01-10');
        ($this->work)(['did' => 'fault', 'fault' => 'nobody', 'state' => 'mended'])->assertStatus(422)->assertJsonStructure(['fields' => ['fault']]);
    });

    it('names the way back to a part, and takes it', function (): void {
        // All is done, and closed.
        $steps = $this->getJson("{$this->path}/plan")->json('steps');
        $entries = array_map(
            fn (array $step, int $nth): array => entry("t{$nth}", $step['id'], 'done', ['read' => wellRead($step)]),
            $steps,
            array_keys($steps),
        );
        ($this->take)(...$entries)->assertOk();
        expect(array_unique(array_values(($this->states)())))->toBe(['done']);
        $way = $this->getJson("{$this->path}/way-back?line=panel")->assertOk();
        $this->assertShape($way, 'WayBack');
        expect(array_column($way->json('undo'), 'id'))->toContain('close/body')->and(array_column($way->json('again'), 'id'))->toContain('test-closed');
        ($this->take)(...array_map(
            fn (array $one, int $nth): array => entry("u{$nth}", $one['id'], 'undone'),
            [...$way->json('undo'), ...$way->json('again')],
            array_keys([...$way->json('undo'), ...$way->json('again')]),
        ))->assertOk();
        $states = ($this->states)();
        expect($states['close/body'])->not->toBe('done')->and($states['charge/cell'])->toBe('done')->and($states['test-closed'])->toBe('waits');
        $this->getJson("{$this->path}/way-back?step=nothing")->assertNotFound();
    });
});

describe('decisions', function (): void {
    it('adds, changes, drops and takes up steps', function (): void {
        ($this->work)([
            'did' => 'add',
            'title' => 'Polish the lens',
            'minutes' => 20,
            'after' => ['light/panel'],
            'lines' => ['panel'],
            'asks' => 'Clear all over',
        ])->assertOk();
        $own = $this->getJson("{$this->path}/plan")->json('own.0');
        expect($own)->toMatchArray(['title' => 'Polish the lens', 'minutes' => 20])->and(($this->states)())->toHaveKey($own['id']);
        ($this->work)(['did' => 'own', 'step' => $own['id'], 'title' => 'Polish it well', 'minutes' => 25])->assertOk();
        ($this->work)(['did' => 'change', 'step' => 'heap', 'minutes' => 55, 'note' => 'use the long lead'])->assertOk();
        ($this->work)(['did' => 'drop', 'step' => 'insulate', 'why' => 'wooden body'])->assertOk();
        $plan = $this->getJson("{$this->path}/plan")->json();
        $steps = array_column($plan['steps'], null, 'id');
        expect($steps[$own['id']]['title'])->toBe('Polish it well')->and($steps['heap'])->toMatchArray([
            'note' => 'use the long lead',
            'minutes' => ['least' => 55, 'usual' => 55, 'most' => 55],
        ])
            ->and($plan['dropped'])->toBe([[
                'id' => 'insulate',
                'title' => 'Keep bare boards off metal',
                'isSafety' => true,
                'why' => 'wooden body',
            ]])->and($steps)->not->toHaveKey('insulate');
        ($this->work)(['did' => 'take-up', 'step' => 'insulate'])->assertOk();
        ($this->work)(['did' => 'remove', 'step' => $own['id']])->assertOk();
        ($this->work)(['did' => 'change', 'step' => 'heap', 'note' => ''])->assertOk();
        expect(($this->states)())->toHaveKey('insulate')->not->toHaveKey($own['id'])->and(array_column(
            $this->getJson("{$this->path}/plan")->json('steps'),
            null,
            'id',
        )['heap']['note'])->toBe('');
    });

    it('plans by free evenings', function (): void {
        $before = $this->getJson("{$this->path}/plan")->json('finish');
        $after = ($this->work)(['did' => 'evenings', 'weekdays' => [6], 'daysOff' => ['2026-11-28'], 'eveningMinutes' => 90])->assertOk();
        expect($after->json('appraisal.vitals.finish.on'))->toBeGreaterThan($before)->and($after->json('brief.eveningMinutes'))->toBe(90)
            ->and(array_column($this->getJson("{$this->path}/plan")->json('evenings'), 'on'))->each->toBeIn(array_map(
                static fn (int $week): string => date('Y-m-d', strtotime('2026-12-05') + 604800 * $week),
                range(0, 60),
            ));
    });

    it('refuses what cannot be, naming the field, and changes nothing', function (array $given, string $field): void {
        ($this->work)($given)->assertStatus(422)->assertJsonStructure(['fields' => [$field]]);
        expect(BuildRecord::query()->findOrFail($this->build->id)->work)->toBeNull();
    })->with([
        'no evening' => [['did' => 'evenings', 'weekdays' => []], 'weekdays'],
        'no minutes' => [['did' => 'evenings', 'eveningMinutes' => 0], 'eveningMinutes'],
        'a step of no minutes' => [['did' => 'add', 'title' => 'Rest', 'minutes' => 0], 'minutes'],
        'a step without words' => [['did' => 'add', 'title' => ''], 'title'],
        'nothing that can be done' => [['did' => 'explode'], 'did'],
        'an order of no list' => [['did' => 'order', 'order' => 'heap'], 'order'],
    ]);

    it('keeps an order of one\'s own, and lets go of it', function (): void {
        ($this->work)(['did' => 'order', 'order' => ['hear/beeper', 'press/knob']])->assertOk();
        expect($this->getJson("{$this->path}/plan")->json('isOwnOrder'))->toBeTrue();
        ($this->work)(['did' => 'order', 'order' => []])->assertOk();
        expect($this->getJson("{$this->path}/plan")->json('isOwnOrder'))->toBeFalse();
        ($this->work)(['did' => 'order'])->assertStatus(422)->assertJsonStructure(['fields' => ['order']]);
    });

    it('is held up by an older page', function (): void {
        $this->postJson("{$this->path}/work", ['version' => 9, 'did' => 'drop', 'step' => 'keep'])->assertStatus(409);
    });

    it('shows a circle, and what can give way', function (): void {
        ($this->work)(['did' => 'add', 'title' => 'One more wire', 'after' => ['close/body'], 'before' => ['mount/board']])->assertOk();
        $plan = $this->getJson("{$this->path}/plan")->json();
        expect($plan['circles'])->toHaveCount(1)->and($plan['circles'][0]['canGiveWay'])->not->toBe([]);
    });
});

it('says what a replaced part brings with it', function (): void {
    $other = DB::table('parts')->where('role', 'display')->whereJsonContains('spec->name', 'Rook 9 panel')->value('id') ?? DB::table('parts')->where('name', 'Rook 9 panel')->value('id');
    ($this->take)(entry('e0', 'light/panel', 'undone'), entry('e1', 'light/panel', 'done', ['read' => ['picture' => true, 'bright' => '20 mA']]))->assertOk();
    $this->postJson("{$this->path}/lines/panel/swap", ['version' => BuildRecord::query()->findOrFail($this->build->id)->version, 'part' => $other])->assertOk();
    expect($this->getJson("{$this->path}/plan")->json('substitution.again'))->toBe([['step' => 'light/panel', 'lines' => ['panel']]])
        ->and($this->getJson("{$this->path}/record")->json('entries.0'))->toMatchArray([
            'did' => 'noted',
            'title' => 'Pane square serial panel replaced by Rook 9 panel',
        ])
        ->and($this->getJson("{$this->path}/record")->json('entries.0.note'))->toContain('To be done again: Light Rook 9 panel');
});

it('is nobody else\'s', function (string $method, string $path): void {
    $this->actingAs($this->builder('somebody@example.org'));
    $this->json($method, $this->path.$path, ['version' => 1, 'did' => 'drop', 'step' => 'x', 'events' => [entry('e', 'x')]])->assertNotFound();
})->with([
    ['GET', '/plan'],
    ['POST', '/work'],
    ['GET', '/faults'],
    ['GET', '/way-back?line=panel'],
    ['GET', '/evenings.ics'],
    ['GET', '/record'],
    ['POST', '/record'],
    ['GET', '/record/x/photo'],
]);
