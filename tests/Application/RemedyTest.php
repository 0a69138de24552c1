<?php

declare(strict_types=1);

use App\Actions\ImportBuild;
use App\Models\BuildRecord;
use CoreTests\Told;

/** A told build as a build of this builder. */
function toldBuild(mixed $test, string $name): BuildRecord
{
    $text = (string) file_get_contents(base_path("core/tests/builds/told/{$name}.pocketplot.json"));

    return ImportBuild::as($test->user, $text);
}

beforeEach(function (): void {
    $this->travelTo('2026-11-23 12:00:00');
    $this->user = $this->builder();
    $this->actingAs($this->user);
});

it('offers fixes that hold, applied whole: the finding is gone or milder, nothing new clashes, no vital is lost', function (string $told): void {
    $build = toldBuild($this, $told);
    $path = "/api/builds/{$build->id}";
    $before = $this->getJson($path)->assertOk()->json();
    $weights = ['fits' => 0, 'tight' => 1, 'unmeasured' => 2, 'missing' => 3, 'clash' => 4];
    $tried = 0;
    foreach ($before['appraisal']['findings'] as $finding) {
        if (! in_array($finding['verdict'], ['clash', 'missing'], true)) {
            continue;
        }
        foreach (array_slice($this->getJson("{$path}/remedies?finding=".urlencode($finding['key']))->assertOk()->json('remedies'), 0, 3) as $remedy) {
            Illuminate\Support\Facades\DB::beginTransaction();
            $after = $this->assertShape($this->postJson("{$path}/remedy", [
                'version' => $before['version'], 'part' => $remedy['libraryId'], 'line' => $remedy['line'], 'role' => $remedy['role'],
                'settles' => $remedy['settles'], 'frees' => $remedy['frees'], 'brightness' => $remedy['brightness'], 'hours' => $remedy['hours'],
            ])->assertOk(), 'Build')->json();
            Illuminate\Support\Facades\DB::rollBack();
            $was = array_column($before['appraisal']['findings'], 'verdict', 'key');
            $is = array_column($after['appraisal']['findings'], 'verdict', 'key');
            $what = "{$finding['key']}: {$remedy['does']}";
            expect($weights[$is[$finding['key']] ?? 'fits'])->toBeLessThan($weights[$finding['verdict']], $what);
            $clashed = array_keys(array_filter($is, static fn (string $verdict, string $key): bool => $verdict === 'clash' && ($was[$key] ?? '') !== 'clash', ARRAY_FILTER_USE_BOTH));
            // What is added has another name than the trial had.
            expect(count($clashed))->toBe(0, "{$what}: ".implode(', ', $clashed));
            expect($after['appraisal']['vitals']['runTime']['usualHours'] === null && $before['appraisal']['vitals']['runTime']['usualHours'] !== null)->toBeFalse($what)
                ->and($after['appraisal']['vitals'])->toEqual($remedy['vitals']);
            $tried++;
        }
    }
    // Some builds have nothing that the library could mend; those here surely have.
    expect($tried)->toBeGreaterThan(in_array($told, ['b02-lantern', 'c01-tarn-slab', 'b10-quarry', 'c06-kestrow-slate', 'b18-sandpiper'], true) ? 0 : -1);
})->with(Told::names());

it('puts what a finding asks for on the list as wanted, and takes a real part in its place', function (): void {
    $build = toldBuild($this, 'b10-quarry');
    $path = "/api/builds/{$build->id}";
    $key = 'software.storage/board';
    $finding = $this->assertShape($this->getJson("{$path}/finding?key=".urlencode($key))->assertOk(), 'FindingInFull')->json();
    expect($finding['needs'][0])->toMatchArray(['role' => 'storage', 'name' => 'microsd', 'says' => 'microsd: 32 GB or more', 'line' => null]);
    $after = $this->assertShape($this->postJson("{$path}/wanted", ['version' => 1, 'finding' => $key])->assertOk(), 'Build')->json();
    $findings = array_column($after['appraisal']['findings'], 'verdict', 'key');
    // The card is there; how full it gets is another finding.
    expect($findings)->not->toHaveKey($key)->and($findings['software.storage/storage'])->toBe('fits')->and($findings['whole.wanted/storage'])->toBe('missing')
        ->and(collect($after['lines'])->firstWhere('id', 'storage'))->toMatchArray(['state' => 'to-find', 'chosen' => true]);
    $remedies = $this->getJson("{$path}/remedies?finding=whole.wanted/storage")->assertOk()->json('remedies');
    expect($remedies)->not->toBeEmpty();
    $found = $this->postJson("{$path}/remedy", ['version' => 2, 'part' => $remedies[0]['libraryId'], 'line' => 'storage', 'role' => 'storage'])->assertOk()->json();
    expect(array_column($found['appraisal']['findings'], 'verdict', 'key'))->not->toHaveKey('whole.wanted/storage');
});

it('wants a larger one instead of the one that is there, and keeps that one as a candidate', function (): void {
    $build = toldBuild($this, 'c01-tarn-slab');
    $after = $this->postJson("/api/builds/{$build->id}/wanted", ['version' => 1, 'finding' => 'power.runtime/pack'])->assertOk()->json();
    $lines = collect($after['lines'])->where('slot', collect($after['lines'])->firstWhere('id', 'pack')['slot']);
    expect($lines->pluck('chosen', 'id')->all())->toBe(['pack' => false, 'cells' => true]);
});

it('refuses to want what nobody asks for', function (string $finding): void {
    $build = toldBuild($this, 'b10-quarry');
    $this->postJson("/api/builds/{$build->id}/wanted", ['version' => 1, 'finding' => $finding])->assertStatus(422)->assertJsonPath('fields.finding.0', 'Nothing is wanted for this any more. Open the build again and look.');
    expect($build->refresh()->version)->toBe(1);
})->with(['no.such/finding', 'software.image/board']);

it('refuses a fix that does nothing', function (): void {
    $build = toldBuild($this, 'b10-quarry');
    $this->postJson("/api/builds/{$build->id}/remedy", ['version' => 1])->assertStatus(422);
});

it('applies a fix that is a figure', function (string $told, string $key, string $kind, callable $written): void {
    $build = toldBuild($this, $told);
    $path = "/api/builds/{$build->id}";
    $remedies = $this->getJson("{$path}/remedies?finding=".urlencode($key))->assertOk()->json('remedies');
    $remedy = collect($remedies)->firstWhere('kind', $kind);
    expect($remedy)->not->toBeNull();
    $after = $this->postJson("{$path}/remedy", ['version' => 1, ...array_intersect_key($remedy, array_flip(['settles', 'frees', 'brightness', 'hours']))])->assertOk()->json();
    expect($written($build->refresh()))->toBeTrue()
        ->and($after['appraisal']['vitals'])->toEqual($remedy['vitals'])
        ->and(array_column($after['appraisal']['findings'], 'verdict', 'key')[$key] ?? 'fits')->toBe('tight');
})->with([
    'fewer hours' => ['c01-tarn-slab', 'power.runtime/pack', 'ask', static fn (BuildRecord $build): bool => $build->brief['runTimeHours'] == 1.4 && isset($build->brief['games'])],
    'thicker wires' => ['b19-dipper', 'power.cable-drop/phone/cells', 'wires', static fn (BuildRecord $build): bool => $build->joins()->where('gauge_awg', 20)->exists()],
]);

it('dims the display of the way of playing that counts', function (): void {
    $build = toldBuild($this, 'c01-tarn-slab');
    $this->postJson("/api/builds/{$build->id}/remedy", ['version' => 1, 'brightness' => 0.4])->assertOk();
    expect($build->refresh()->profiles[0])->toMatchArray(['name' => 'Usual play', 'brightness' => 0.4]);
    $this->postJson("/api/builds/{$build->id}/remedy", ['version' => 2, 'brightness' => 1.5])->assertStatus(422)->assertJsonValidationErrors('brightness', 'fields');
});
