<?php

declare(strict_types=1);

use App\Actions\ImportBuild;
use App\Models\BuildRecord;
use App\Models\PartRecord;
use CoreTests\Tree;
use CoreTests\Worse;

/** A told build as a build of this builder. */
function toldBuild(mixed $test, string $name): BuildRecord
{
    return ImportBuild::as($test->user, Tree::text($name));
}

beforeEach(function (): void {
    $this->travelTo('2026-11-23 12:00:00');
    $this->user = $this->builder();
    $this->actingAs($this->user);
});

/** The fix as the page sends it. */
function asSent(array $remedy, int $version): array
{
    return ['version' => $version, 'part' => $remedy['libraryId'], ...array_intersect_key($remedy, array_flip(['line', 'role', 'settles', 'frees', 'brightness', 'hours', 'with']))];
}

it('offers fixes that hold, applied whole: the finding is gone or milder, nothing else is worse, no vital is lost', function (string $name): void {
    $build = ImportBuild::as($this->user, Tree::text($name));
    $path = "/api/builds/{$build->id}";
    $before = $this->getJson($path)->assertOk()->json();
    $tried = 0;
    foreach ($before['appraisal']['findings'] as $finding) {
        if ($finding['verdict'] === 'fits') {
            continue;
        }
        $found = $this->getJson("{$path}/remedies?finding=".urlencode($finding['key']))->assertOk()->json();
        foreach ([...array_slice($found['remedies'], 0, $finding['verdict'] === 'tight' ? 1 : 2), ...array_slice($found['trades'], 0, 1)] as $remedy) {
            Illuminate\Support\Facades\DB::beginTransaction();
            $after = $this->assertShape($this->postJson("{$path}/remedy", asSent($remedy, $before['version']))->assertOk(), 'Build')->json();
            Illuminate\Support\Facades\DB::rollBack();
            $what = "{$finding['key']}: {$remedy['does']}";
            $left = Worse::worst($after['appraisal']['findings'])[$finding['key']]['verdict'] ?? 'fits';
            $worse = Worse::after($before['appraisal']['findings'], $after['appraisal']['findings'], $finding['key']);
            [$was, $is] = [$before['appraisal']['vitals'], $after['appraisal']['vitals']];
            expect(Worse::WEIGHTS[$left])->toBeLessThan(Worse::WEIGHTS[$finding['verdict']], $what)
                // A remedy removes it and adds nothing; a trade says what it leaves, and what it adds is for a fault only.
                ->and(count($worse) + ($left === 'fits' ? 0 : 1))->toBe(count($remedy['leaves']), "{$what}: ".implode(', ', $worse))
                ->and($worse === [] && $left === 'fits')->toBe(in_array($remedy, $found['remedies'], true), $what)
                ->and($worse === [] || in_array($finding['verdict'], ['clash', 'missing'], true))->toBeTrue($what)
                ->and($is)->toEqual($remedy['vitals'])
                ->and($is['runTime']['usualHours'] === null && $was['runTime']['usualHours'] !== null)->toBeFalse($what)
                ->and($is['mass']['unweighed'])->toBeLessThanOrEqual($was['mass']['unweighed'], $what)
                ->and($is['finish']['on'] === null && $was['finish']['on'] !== null)->toBeFalse($what)
                ->and($is['size']['sidesMm'] === [] && $was['size']['sidesMm'] !== [])->toBeFalse($what);
            $tried++;
        }
    }
    // Some builds have nothing that the library could mend; those here surely have.
    expect($tried)->toBeGreaterThan(in_array($name, ['b02-lantern', 'c01-tarn-slab', 'b10-quarry', 'refuge', 'upgrade-stack'], true) ? 0 : -1);
})->with(Tree::names());

it('puts the solder on the list together with what asks for it, and nobody else\'s part', function (): void {
    $build = toldBuild($this, 'b02-lantern');
    $path = "/api/builds/{$build->id}";
    $remedy = $this->getJson("{$path}/remedies?finding=power.supply-window/panel")->assertOk()->json('remedies.0');
    expect($remedy['with'])->toHaveCount(1)->and($remedy['does'])->toContain(', with Solder');
    $after = $this->postJson("{$path}/remedy", asSent($remedy, 1))->assertOk()->json();
    expect(collect($after['lines'])->pluck('part.id'))->toContain('mat-solder');
    $theirs = PartRecord::query()->create([...PartRecord::query()->findOrFail($remedy['with'][0])->replicate()->getAttributes(), 'user_id' => $this->builder('bo@example.test')->id]);
    $this->postJson("{$path}/remedy", asSent([...$remedy, 'with' => [$theirs->id]], 2))->assertStatus(422);
});

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
    $found = $this->getJson("{$path}/remedies?finding=".urlencode($key))->assertOk()->json();
    $remedy = collect([...$found['remedies'], ...$found['trades']])->firstWhere('kind', $kind);
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
