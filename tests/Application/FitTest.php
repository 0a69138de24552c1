<?php

declare(strict_types=1);

use App\Actions\StartBuild;
use App\Models\BuildRecord;
use App\Models\PartRecord;
use Illuminate\Support\Facades\Artisan;
use PocketPlot\Fit\Box;
use PocketPlot\Fit\Solid;

beforeEach(function (): void {
    $this->travelTo('2026-11-23 19:00:00');
    $this->user = $this->builder();
    $this->actingAs($this->user);
    $this->build = StartBuild::fromDemo($this->user, 'thimble', null);
    $this->path = "/api/builds/{$this->build->id}";
    $this->fit = fn (array $given) => $this->postJson(
        "{$this->path}/fit",
        ['version' => BuildRecord::query()->findOrFail($this->build->id)->version, ...$given],
    );
    $this->pose = fn (string $line): ?array => collect($this->getJson("{$this->path}/fit")->json('pieces'))->firstWhere('line', $line)['pose'];
});

/** @return list<array<string, mixed>> what a stream told */
function toldLines(Illuminate\Testing\TestResponse $answer): array
{
    return array_map(
        static fn (string $line): array => json_decode($line, true, 64, JSON_THROW_ON_ERROR),
        array_values(array_filter(explode("\n", $answer->streamedContent()))),
    );
}

it('answers in the contract\'s shape, laid, empty, and without a body', function (): void {
    $fit = $this->assertShape($this->getJson("{$this->path}/fit")->assertOk(), 'Fit')->json();
    expect($fit['isWhole'])->toBeTrue()->and($fit['troubles'])->toBe([])->and($fit['map']['deepMm'])->toEqual(14)->and($fit['shell']['prints'])->toBe(['front', 'back']);
    ($this->fit)(['did' => 'clear'])->assertOk();
    $this->assertShape($this->getJson("{$this->path}/fit")->assertOk(), 'Fit')->assertJsonPath('map', null)->assertJsonPath('shell', null);
    $blank = StartBuild::blank($this->user, 'Blank');
    $this->assertShape($this->getJson("/api/builds/{$blank->id}/fit")->assertOk(), 'Fit')->assertJsonPath('room', null);
});

it('puts, turns, pins, frees and takes out a piece, and shows each at once', function (): void {
    $answer = ($this->fit)(['did' => 'put', 'line' => 'cell', 'piece' => 1, 'xMm' => 20, 'yMm' => 6.5, 'zMm' => 4])->assertOk();
    expect($answer->json('build.version'))->toBe(2)->and(($this->pose)('cell'))->toEqual([
        'xMm' => 20,
        'yMm' => 6.5,
        'zMm' => 4,
        'turn' => ($this->pose)('cell')['turn'],
        'pinned' => false,
    ]);
    $turn = ($this->pose)('cell')['turn'];
    ($this->fit)(['did' => 'turn', 'line' => 'cell', 'view' => 'side'])->assertOk();
    expect(($this->pose)('cell')['turn'])->not->toBe($turn);
    ($this->fit)(['did' => 'pin', 'line' => 'cell', 'pinned' => true])->assertOk();
    expect(($this->pose)('cell')['pinned'])->toBeTrue();
    ($this->fit)(['did' => 'clear', 'all' => false])->assertOk()->assertJsonPath('fit.isWhole', false);
    expect(($this->pose)('cell'))->not->toBeNull()->and(($this->pose)('panel'))->toBeNull();
    ($this->fit)(['did' => 'out', 'line' => 'cell'])->assertOk();
    expect(($this->pose)('cell'))->toBeNull();
});

it('says where two clash and by how much, as a finding, too', function (): void {
    $answer = ($this->fit)(['did' => 'put', 'line' => 'cell', 'xMm' => 30, 'yMm' => 6.5, 'zMm' => 0])->assertOk();
    $clash = collect($answer->json('fit.troubles'))->firstWhere('kind', 'overlap');
    expect($clash['where'])->toHaveCount(6)->and($clash['says'])->toContain('run into each other by')
        ->and(collect($answer->json('build.appraisal.findings'))->pluck('says'))->toContain($clash['says'])
        ->and($answer->json('build.appraisal.tabs.fit.verdict'))->toBe('clash');
});

it('lets a drawn body grow to the left: everything else moves on', function (): void {
    $panel = ($this->pose)('panel');
    ($this->fit)(['did' => 'put', 'line' => 'beeper', 'xMm' => -10, 'yMm' => 0, 'zMm' => 0])->assertOk();
    expect(($this->pose)('beeper')['xMm'])->toEqual(0)->and(($this->pose)('panel')['xMm'])->toEqual($panel['xMm'] + 10);
});

it('looks for arrangements, tells how far it is, and each is taken as it was told', function (): void {
    ($this->fit)(['did' => 'pin', 'line' => 'panel', 'pinned' => true])->assertOk();
    $pinned = ($this->pose)('panel');
    $answer = $this->get("{$this->path}/fit/arrangements?seconds=0.3&aim=volume&seed=4")->assertOk();
    $lines = toldLines($answer);
    expect(array_column($lines[0]['styles'], 'style'))->toBe(['free', 'cells-beside', 'cells-behind'])->and(end($lines)['end'])->toBeTrue();
    $found = array_values(array_filter(array_column($lines, 'found')));
    expect($found)->not->toBe([]);
    foreach ($found as $one) {
        expect($one['bound'])->toBeLessThanOrEqual($one['measure'] + 0.01)->and($one['unit'])->toBe('cm³');
    }
    $taken = ($this->fit)(['did' => 'take', 'poses' => $found[0]['poses'], 'split' => $found[0]['split']])->assertOk()->json('fit');
    $outside = $taken['shell']['outsideMm'];
    expect($taken['isWhole'])->toBeTrue()->and(($this->pose)('panel'))->toEqual($pinned);
    foreach ([0, 1, 2] as $axis) {
        expect(abs($outside[$axis] - $found[0]['outsideMm'][$axis]))->toBeLessThan(0.06);
    }
    // The size in the vitals is that of the arrangement.
    $sides = $this->getJson($this->path)->json('appraisal.vitals.size.sidesMm');
    rsort($outside);
    foreach ($outside as $axis => $mm) {
        expect(abs($sides[$axis] - $mm))->toBeLessThan(0.06);
    }
});

it('names what goes into the room in no way', function (): void {
    $spec = $this->getJson("{$this->path}/lines/beeper/part")->json('spec');
    $spec['facets']['size']['lengthMm'] = $spec['facets']['size']['widthMm'] = 300;
    $this->putJson("{$this->path}/lines/beeper/part", ['version' => 1, 'part' => $spec])->assertOk();
    $lines = toldLines($this->get("{$this->path}/fit/arrangements?seconds=0.2")->assertOk());
    expect(array_column($lines, 'goesNowhere')[0])->toBe(['beeper#1']);
});

it('gives the halves, the script and the templates', function (): void {
    $stl = $this->get("{$this->path}/fit/front.stl")->assertOk()->assertHeader('Content-Type', 'model/stl')->getContent();
    expect(strlen((string) $stl))->toBe(84 + 50 * unpack('V', (string) $stl, 80)[1]);
    expect($this->get("{$this->path}/fit/body.scad")->assertOk()->getContent())->toContain('wall = 2;');
    expect($this->get("{$this->path}/fit/right.svg")->assertOk()->assertHeader('Content-Type', 'image/svg+xml')->getContent())->toContain('charging inlet');
    foreach (['front.scad2', 'middle.stl', 'inside.svg'] as $file) {
        $this->get("{$this->path}/fit/{$file}")->assertNotFound();
    }
});

it('frees the place of a part that is swapped, and keeps a pinned one', function (): void {
    $other = PartRecord::query()->where('key', 'pack-cobnut-500')->firstOrFail();
    $swap = fn (string $line) => $this->postJson(
        "{$this->path}/lines/{$line}/swap",
        ['version' => BuildRecord::query()->findOrFail($this->build->id)->version, 'part' => $other->id],
    )->assertOk();
    $swap('cell');
    expect(($this->pose)('cell'))->toBeNull();
    ($this->fit)(['did' => 'put', 'line' => 'cell', 'xMm' => 0, 'yMm' => 0, 'zMm' => 20, 'pinned' => true])->assertOk();
    $swap('cell');
    expect(($this->pose)('cell')['pinned'])->toBeTrue();
});

it('travels with the file, and an older file is upgraded', function (): void {
    $file = json_decode((string) $this->get("{$this->path}/file")->getContent());
    expect($file->version)->toBe(3)->and($file->fit->poses)->toHaveCount(7);
    $copy = $this->postJson('/api/imports', ['text' => json_encode($file)])->assertCreated()->json('id');
    expect($this->getJson("/api/builds/{$copy}/fit")->json('isWhole'))->toBeTrue();
    // What version 2 had under the same name was somebody's own.
    [$file->version, $file->fit] = [2, 'loose'];
    $old = $this->postJson('/api/imports', ['text' => json_encode($file)])->assertCreated()->json('id');
    expect($this->getJson("/api/builds/{$old}/fit")->json('map'))->toBeNull()
        ->and(json_decode((string) $this->get("/api/builds/{$old}/file")->getContent(), true)['own-fit'])->toBe('loose');
});

it('refuses what cannot be, in words, and keeps what is there', function (array $given, string $field, string $says): void {
    $before = $this->getJson("{$this->path}/fit")->json('pieces');
    $fields = ($this->fit)($given)->assertStatus(422)->json('fields');
    expect($fields[$field][0] ?? json_encode($fields))->toContain($says)->and($this->getJson("{$this->path}/fit")->json('pieces'))->toBe($before);
})->with([
    'no place' => [['did' => 'put', 'line' => 'cell'], 'xMm', 'from the left'],
    'a place beyond the hills' => [['did' => 'put', 'line' => 'cell', 'xMm' => 9000, 'yMm' => 0, 'zMm' => 0], 'xMm', 'from the left'],
    'an unknown line' => [['did' => 'put', 'line' => 'nobody', 'xMm' => 0, 'yMm' => 0, 'zMm' => 0], 'line', 'not on the list'],
    'a piece without a place' => [['did' => 'turn', 'line' => 'tape'], 'line', 'no place'],
    'a mirrored turn' => [['did' => 'put', 'line' => 'cell', 'xMm' => 0, 'yMm' => 0, 'zMm' => 0, 'turn' => 'wlh'], 'turn', '24 turns'],
    'nothing known' => [['did' => 'shake'], 'did', 'Say what'],
    'half a pose' => [['did' => 'take', 'poses' => [['line' => 'cell']]], 'poses.0.xMm', 'distances'],
]);

it('never overwrites what another window did', function (): void {
    ($this->fit)(['did' => 'put', 'line' => 'cell', 'xMm' => 20, 'yMm' => 6, 'zMm' => 4])->assertOk();
    $this->postJson("{$this->path}/fit", ['version' => 1, 'did' => 'put', 'line' => 'cell', 'xMm' => 1, 'yMm' => 1, 'zMm' => 1])
        ->assertStatus(409)->assertJsonPath('fresh.version', 2);
    expect(($this->pose)('cell')['xMm'])->toEqual(20);
});

it('reads the outer box of a drawing that is sent as it is', function (): void {
    $stl = (new Solid)->add(new Box(0, 0, 0, 85, 56, 17))->mesh()->stl('a board');
    $send = fn (string $bytes, string $query = '') => $this->call(
        'POST',
        "/api/stl{$query}",
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'],
        $bytes,
    );
    $this->assertShape($send($stl)->assertOk(), 'StlBox')->assertJsonPath('sidesMm', [85, 56, 17])->assertJsonPath('isClosed', true);
    $send($stl, '?unit=in')->assertOk()->assertJsonPath('sidesMm.0', 2159);
    expect($send(substr($stl, 0, 200))->assertStatus(422)->json('fields.file.0'))->toContain('cut off')
        ->and($send($stl, '?unit=miles')->assertStatus(422)->json('fields.unit.0'))->toContain('millimetres');
});

it('tells the fit of a file without a database', function (): void {
    $file = base_path('demo/thimble.pocketplot.json');
    $folder = sys_get_temp_dir().'/fit-'.uniqid();
    expect(Artisan::call('plot:fit', ['file' => $file, '--stl' => $folder, '--svg' => $folder, '--scad' => "{$folder}/body.scad"]))->toBe(0)
        ->and(Artisan::output())->toContain('Decides the thickness: ')
        ->and(array_map(basename(...), glob("{$folder}/*") ?: []))->toContain('front.stl', 'back.stl', 'right.svg', 'body.scad');
    array_map(unlink(...), glob("{$folder}/*") ?: []);
    rmdir($folder);
    expect(Artisan::call('plot:fit', ['file' => $file, '--arrange' => true, '--seconds' => '0.2', '--json' => true]))->toBe(0);
    $json = json_decode(Artisan::output(), true);
    expect($json['arrangements'][0]['measure'])->toBeGreaterThanOrEqual($json['arrangements'][0]['bound'] - 0.01);
    expect(Artisan::call('plot:fit', ['file' => base_path('demo/refuge.pocketplot.json')]))->toBe(2)
        ->and(Artisan::call(
            'plot:fit',
            ['file' => base_path('core/tests/builds/kit-no-iron.pocketplot.json'), '--arrange' => true, '--seconds' => '0.2', '--style' => 'free'],
        ))->toBe(1)
        ->and(Artisan::call('plot:fit', ['file' => 'nowhere.json']))->toBe(3)
        ->and(Artisan::call('plot:fit', ['file' => $file, '--aim' => 'beauty']))->toBe(3);
});

it('is nobody else\'s', function (string $method, string $path): void {
    $this->actingAs($this->builder('somebody@example.org'));
    $this->json($method, $this->path.$path, ['version' => 1, 'did' => 'clear'])->assertNotFound();
})->with([['GET', '/fit'], ['POST', '/fit'], ['GET', '/fit/arrangements'], ['GET', '/fit/front.stl'], ['GET', '/fit/front.svg']]);
