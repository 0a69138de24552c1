<?php

declare(strict_types=1);

use App\Actions\KeepPart;
use App\Actions\StartBuild;
use App\Models\PartRecord;
use App\Models\User;
use PocketPlot\Check\RuleBook;
use PocketPlot\File\Json;

beforeEach(function (): void {
    $this->travelTo('2026-11-23 12:00:00');
    $this->user = $this->builder();
    $this->actingAs($this->user);
    $this->given = ['name' => 'Brass lamp board', 'role' => 'board', 'facets' => [
        'size' => ['lengthMm' => ['typed' => '1/8 in', 'source' => 'measured', 'on' => '2026-11-20']],
        'supply' => ['volts' => ['typed' => '19 V ± 1', 'source' => 'listing'], 'peakMa' => ['typed' => '2,5A', 'source' => 'guess']],
    ]];
});

describe('search', function (): void {
    it('counts and pages, by role, facet and owner', function (): void {
        $all = $this->getJson('/api/parts')->assertOk();
        expect($all->json('total'))->toBeGreaterThanOrEqual(250)->and($all->json('parts'))->toHaveCount(50);
        expect($this->getJson('/api/parts?from=50')->json('parts.0.name'))->not->toBe($all->json('parts.0.name'));
        $panels = $this->getJson('/api/parts?facet=panel')->assertOk()->json('parts');
        expect(array_unique(array_column($panels, 'role')))->toContain('display');
        expect($this->getJson('/api/parts?own=1')->json('total'))->toBe(0);
        KeepPart::asNew($this->user, $this->given);
        expect($this->getJson('/api/parts?own=1')->json('parts.0.own'))->toBeTrue();
    });
    it('has parts for all kinds of build', function (): void {
        foreach (['board', 'display', 'controls', 'case', 'cells', 'charger', 'regulator', 'sound', 'storage', 'cooling', 'switch', 'cable', 'fastener', 'material', 'tool'] as $role) {
            expect($this->getJson("/api/parts?role={$role}")->json('total'))->toBeGreaterThan(7, $role);
        }
    });
});

describe('parts of one\'s own', function (): void {
    it('takes figures as people write them', function (): void {
        $page = $this->assertShape($this->postJson('/api/parts', ['part' => $this->given])->assertCreated(), 'PartPage');
        $rows = collect($page->json('sheet'))->flatMap(static fn (array $facet): array => $facet['rows'])->keyBy('field');
        expect($rows['lengthMm']['says'])->toBe('3.18 mm')->and($rows['volts']['says'])->toBe('18 to 20 V')->and($rows['peakMa']['says'])->toBe('2500 mA')->and($rows['peakMa']['source'])->toBe('guess');
    });
    it('names every field it cannot take, and keeps nothing', function (): void {
        $this->given['facets']['supply'] = ['volts' => ['typed' => 'plenty'], 'peakMa' => ['typed' => '3 kg']];
        $answer = $this->postJson('/api/parts', ['part' => $this->given])->assertStatus(422)->assertJsonPath('code', 'bad-file');
        expect($answer->json('problems'))->toHaveCount(2)->and($answer->json('problems.0.field'))->toBe('facets/supply/volts')
            ->and(PartRecord::query()->where('user_id', $this->user->id)->count())->toBe(0);
    });
    it('refuses contradictions and unknown connectors by field', function (array $facets, string $field): void {
        $problems = $this->postJson('/api/parts', ['part' => [...$this->given, 'facets' => $facets]])->assertStatus(422)->json('problems');
        expect($problems[0]['field'])->toBe($field);
    })->with([
        [['pack' => ['chemistry' => 'Li-ion', 'series' => 1, 'cellFullV' => ['typed' => '2.9 V'], 'cellEmptyV' => ['typed' => '3 V']]], 'facets/pack/cellFullV'],
        [['sockets' => [['name' => 'a', 'connector' => 'usb-z', 'carries' => 'usb', 'direction' => 'in']]], 'facets/sockets/0/connector'],
        [['pack' => ['chemistry' => 'moonlight', 'series' => 1]], 'facets/pack/chemistry'],
    ]);
    it('changes only on the version that was opened', function (): void {
        $id = KeepPart::asNew($this->user, $this->given)->id;
        $this->putJson("/api/parts/{$id}", ['version' => 1, 'part' => [...$this->given, 'name' => 'Tin lamp board']])->assertOk()->assertJsonPath('version', 2)->assertJsonPath('part.name', 'Tin lamp board');
        $this->putJson("/api/parts/{$id}", ['version' => 1, 'part' => $this->given])->assertStatus(409)->assertJsonPath('code', 'stale-part');
        expect(PartRecord::query()->findOrFail($id)->name)->toBe('Tin lamp board');
    });
    it('copies a part of the shelf, to be adjusted', function (): void {
        $copy = $this->postJson("/api/parts/{$this->part('panel-rook-9')}/copy")->assertCreated();
        expect($copy->json('own'))->toBeTrue()->and($copy->json('part.name'))->toBe('Rook 9 panel, adjusted')->and($copy->json('spec.facets.panel.widthPx'))->toBe(1280);
    });
    it('leaves the shelf and other people\'s parts alone', function (): void {
        $shelf = $this->part('panel-rook-9');
        $other = KeepPart::asNew($this->builder('other@example.test'), $this->given)->id;
        $this->putJson("/api/parts/{$shelf}", ['version' => 1, 'part' => $this->given])->assertNotFound();
        $this->deleteJson("/api/parts/{$shelf}")->assertNotFound();
        $this->getJson("/api/parts/{$other}")->assertNotFound();
        $this->putJson("/api/parts/{$other}", ['version' => 1, 'part' => $this->given])->assertNotFound();
        $this->deleteJson("/api/parts/{$other}")->assertNotFound();
        $this->postJson("/api/parts/{$other}/copy")->assertNotFound();
    });
    it('says in which builds a part is used', function (): void {
        $build = $this->refuge($this->user);
        $this->refuge($this->builder('other@example.test'));
        expect($this->getJson("/api/parts/{$this->part('panel-rook-9')}")->json('usedIn'))->toBe([['id' => $build->id, 'name' => 'Refuge']]);
    });
    it('goes out as a file and comes in again', function (): void {
        KeepPart::asNew($this->user, $this->given);
        $file = (string) $this->get('/api/parts/file')->assertOk()->getContent();
        $this->actingAs($this->builder('other@example.test'));
        $this->assertShape($this->postJson('/api/parts/imports/preview', ['text' => $file])->assertOk(), 'PartsPreview')->assertJsonPath('count', 1)->assertJsonPath('known', 0);
        $this->postJson('/api/parts/imports', ['text' => $file])->assertCreated()->assertJson(['added' => 1, 'changed' => 0, 'left' => 0]);
        $this->postJson('/api/parts/imports', ['text' => $file])->assertJson(['added' => 0, 'changed' => 0, 'left' => 1]);
        $this->postJson('/api/parts/imports', ['text' => $file, 'overwrite' => true])->assertJson(['added' => 0, 'changed' => 1, 'left' => 0]);
    });
    it('takes nothing of a file with one bad part', function (): void {
        $file = Json::encode(['format' => 'pocketplot-library', 'version' => 1, 'parts' => [['id' => 'good', 'name' => 'Good', 'role' => 'tool'], ['id' => 'bad', 'name' => 'Bad', 'role' => 'wizard']]]);
        $this->postJson('/api/parts/imports', ['text' => $file])->assertStatus(422);
        expect(PartRecord::query()->where('user_id', $this->user->id)->count())->toBe(0);
    });
    it('takes ten thousand parts in one go', function (): void {
        $parts = array_map(static fn (int $number): array => ['id' => "screw-{$number}", 'name' => "Screw {$number}", 'role' => 'fastener', 'facets' => ['fastener' => ['thread' => 'M3', 'lengthMm' => $number % 40 + 1]]], range(1, 10000));
        $this->postJson('/api/parts/imports', ['text' => Json::encode(['format' => 'pocketplot-library', 'version' => 1, 'parts' => $parts])])->assertCreated()->assertJsonPath('added', 10000);
        expect($this->getJson('/api/parts?own=1&q=77')->assertOk()->json('total'))->toBeGreaterThan(10);
    });
});

it('lays up to four parts side by side and marks what differs', function (): void {
    $ids = implode(',', array_map($this->part(...), ['panel-rook-9', 'panel-rook-9w']));
    $facets = collect($this->assertShape($this->getJson("/api/comparison?parts={$ids}")->assertOk(), 'Comparison')->json('facets'))->keyBy('facet');
    $rows = collect($facets['supply']['rows'])->keyBy('label');
    expect($rows['supply window']['says'])->toBe(['9 to 13 V', '8 to 17 V'])->and($rows['supply window']['differs'])->toBeTrue()->and($rows['draw taken at']['differs'])->toBeFalse();
    expect($this->getJson('/api/comparison?parts=1,2,3,4,5')->json('parts'))->toHaveCount(4);
    $this->getJson('/api/comparison?parts=all')->assertStatus(422);
});

it('answers the rule book, its pages and the facets', function (): void {
    expect($this->assertShape($this->getJson('/api/rules')->assertOk(), 'RuleBook')->json('rules'))->toHaveCount(count(RuleBook::RULES));
    $this->assertShape($this->getJson('/api/rules/power.cable-drop')->assertOk(), 'RulePage')->assertJsonPath('page.title', 'What a lead loses');
    $this->getJson('/api/rules/power.nonsense')->assertNotFound();
    $this->assertShape($this->getJson('/api/facets')->assertOk(), 'Facets');
    $this->assertShape($this->postJson('/api/typed', ['text' => '8 1/4 in', 'unit' => 'mm'])->assertOk(), 'Echo')->assertJsonPath('says', '209.55 mm');
    $this->postJson('/api/typed', ['text' => 'rather long', 'unit' => 'mm'])->assertOk()->assertJsonPath('says', null);
});

describe('a build\'s own copy', function (): void {
    it('takes a measurement, keeps what was stated, and leaves the library alone', function (): void {
        $build = $this->refuge($this->user);
        $after = $this->assertShape($this->putJson("/api/builds/{$build->id}/lines/panel/figures", ['version' => 1, 'figure' => 'supply.volts', 'typed' => '8 to 15 V'])->assertOk(), 'Build');
        expect($after->json('appraisal.vitals.clashes'))->toBe(1);
        $path = "/api/builds/{$after->json('id')}/finding";
        $finding = $this->assertShape($this->getJson("{$path}?key=power.supply-window/panel")->assertOk(), 'FindingInFull')->json();
        $this->getJson("{$path}?key=no.such/finding")->assertNotFound();
        $this->getJson($path)->assertStatus(422);
        expect($finding['verdict'])->toBe('fits')->and($finding['working'][0])->toMatchArray(['value' => '8 to 15', 'source' => 'measured', 'stated' => '9 to 13 V (datasheet)']);
        expect(collect($after->json('since'))->firstWhere('key', 'power.supply-window/panel'))->toMatchArray(['was' => 'clash', 'is' => 'fits', 'better' => true]);
        expect($this->getJson("/api/parts/{$this->part('panel-rook-9')}")->json('spec.facets.supply.volts'))->not->toHaveKey('measured');
        expect($this->get("/api/builds/{$build->id}/file")->getContent())->toContain('"measured"');
    });
    it('says what cannot be read, and changes nothing', function (string $figure, string $typed, string $field): void {
        $build = $this->refuge($this->user);
        $answer = $this->putJson("/api/builds/{$build->id}/lines/panel/figures", ['version' => 1, 'figure' => $figure, 'typed' => $typed])->assertStatus(422);
        expect($answer->json('fields'))->toHaveKey($field)->and($build->refresh()->version)->toBe(1);
    })->with([['supply.volts', 'quite high', 'typed'], ['supply.volts', '', 'typed'], ['sockets', 'no idea', 'typed'], ['drivers', '5 V', 'figure'], ['output.volts@nowhere', '5 V', 'typed']]);
    it('opens in the editor and is written by itself', function (): void {
        $build = $this->refuge($this->user);
        $spec = $this->assertShape($this->getJson("/api/builds/{$build->id}/lines/speaker/part")->assertOk(), 'LinePart')->json('spec');
        $spec['facets']['size'] = ['lengthMm' => ['typed' => '12 cm'], 'widthMm' => ['typed' => '80 mm'], 'heightMm' => ['typed' => '6 cm'], 'massG' => ['typed' => '0,4 kg']];
        $after = $this->putJson("/api/builds/{$build->id}/lines/speaker/part", ['version' => 1, 'part' => $spec])->assertOk();
        // Both verdicts that wait for the protection of the pack.
        expect($after->json('appraisal.vitals.unmeasured'))->toBe(2);
        $this->putJson("/api/builds/{$build->id}/lines/speaker/part", ['version' => 1, 'part' => $spec])->assertStatus(409);
    });
});

describe('joins', function (): void {
    it('are settled, obeyed, exported and taken back', function (): void {
        $build = $this->refuge($this->user);
        $answer = $this->putJson("/api/builds/{$build->id}/joins", ['version' => 1, 'kind' => 'power', 'from' => 'five-volt', 'to' => 'panel', 'output' => '5 V', 'gaugeAwg' => '24', 'lengthMm' => 'a bit'])->assertStatus(422);
        expect($answer->json('fields'))->toHaveKey('lengthMm');
        $after = $this->putJson("/api/builds/{$build->id}/joins", ['version' => 1, 'kind' => 'power', 'from' => 'five-volt', 'to' => 'panel', 'output' => '5 V', 'gaugeAwg' => '24', 'lengthMm' => '50 cm'])->assertOk();
        $feed = collect($after->json('appraisal.supply.feeds'))->firstWhere('line', 'panel');
        expect($feed)->toMatchArray(['rail' => 'five-volt:5 V', 'settled' => true])->and(json_decode((string) $this->get("/api/builds/{$build->id}/file")->getContent(), true)['joins'][0])->toMatchArray(['gaugeAwg' => 24, 'lengthMm' => 500]);
        // Five volts are too few for the panel before any wire: that is the window's affair.
        expect(collect($after->json('appraisal.findings'))->pluck('key'))->toContain('power.supply-window/panel')
            ->not->toContain('power.cable-drop/panel/five-volt');
        $back = $this->deleteJson("/api/builds/{$build->id}/joins", ['version' => 2, 'kind' => 'power', 'to' => 'panel'])->assertOk();
        expect(collect($back->json('appraisal.supply.feeds'))->firstWhere('line', 'panel'))->toMatchArray(['rail' => 'pack:pack', 'settled' => false]);
    });
    it('are refused when they can never be', function (array $join, string $field): void {
        $build = $this->refuge($this->user);
        expect($this->putJson("/api/builds/{$build->id}/joins", ['version' => 1, 'kind' => 'power', ...$join])->assertStatus(422)->json('fields'))->toHaveKey($field);
    })->with([[['from' => 'panel', 'to' => 'board'], 'from'], [['from' => 'pack', 'to' => 'box'], 'to'], [['from' => 'pack', 'to' => 'panel', 'output' => 'gold'], 'output'], [['from' => 'pack', 'to' => 'pack'], 'to']]);
    it('may make a circle, which is then a clash', function (): void {
        $build = $this->refuge($this->user);
        $after = $this->putJson("/api/builds/{$build->id}/joins", ['version' => 1, 'kind' => 'power', 'from' => 'board', 'to' => 'five-volt', 'output' => 'USB sockets'])->assertOk();
        $after = $this->putJson("/api/builds/{$build->id}/joins", ['version' => 2, 'kind' => 'power', 'from' => 'five-volt', 'to' => 'board', 'output' => '5 V'])->assertOk();
        expect(collect($after->json('appraisal.findings'))->where('verdict', 'clash')->pluck('says')->implode(' '))->toContain('fed from itself');
    });
});

it('sets margins of a build, and puts them back', function (): void {
    $build = StartBuild::fromDemo($this->user, 'thimble', null);
    $strict = $this->putJson("/api/builds/{$build->id}/margins", ['version' => 1, 'margins' => ['supply-volts' => '2 V', 'border-share' => '10 %']])->assertOk();
    expect($strict->json('brief.margins'))->toBe(['supply-volts' => 2, 'border-share' => 0.1])->and($strict->json('appraisal.verdict'))->toBe('tight');
    $house = $this->putJson("/api/builds/{$build->id}/margins", ['version' => 2, 'margins' => ['supply-volts' => null, 'border-share' => null]])->assertOk();
    expect($house->json('appraisal.verdict'))->toBe('fits');
    $this->putJson("/api/builds/{$build->id}/margins", ['version' => 3, 'margins' => ['patience' => '3']])->assertStatus(422);
    $this->putJson("/api/builds/{$build->id}/margins", ['version' => 3, 'margins' => ['supply-volts' => 'a little']])->assertStatus(422);
});

it('tells changes against the last look', function (): void {
    $build = $this->refuge($this->user);
    expect($this->getJson("/api/builds/{$build->id}")->json('since'))->toBe([]);
    $this->postJson("/api/builds/{$build->id}/lines/panel/swap", ['version' => 1, 'part' => $this->part('panel-rook-9w')])->assertOk();
    expect(collect($this->getJson("/api/builds/{$build->id}")->json('since'))->where('better', true)->pluck('key'))->toContain('power.supply-window/panel');
    $this->postJson("/api/builds/{$build->id}/look", ['version' => 2])->assertOk()->assertJsonPath('since', []);
});

it('lists the rule book on the command line', function (): void {
    $this->artisan('plot:rules')->expectsOutputToContain('power.supply-window')->assertSuccessful();
    Illuminate\Support\Facades\Artisan::call('plot:rules', ['--json' => true]);
    $rules = json_decode(Illuminate\Support\Facades\Artisan::output(), true, 16, JSON_THROW_ON_ERROR);
    expect($rules)->toHaveCount(count(RuleBook::RULES))->and($rules[0])->toHaveKeys(['id', 'family', 'sentence', 'figures']);
});

it('shows nobody the library without signing in', function (string $method, string $path): void {
    $this->app['auth']->guard()->forgetUser();
    $this->json($method, $path)->assertStatus(401);
})->with([['GET', '/api/parts'], ['POST', '/api/parts'], ['GET', '/api/rules'], ['GET', '/api/comparison?parts=1'], ['GET', '/api/parts/file'], ['POST', '/api/parts/imports'], ['GET', '/api/facets']]);

it('keeps the shared shelf in an account nobody signs in to', function (): void {
    expect(User::shelf()->id)->not->toBe($this->user->id);
});

describe('typical parts', function (): void {
    it('stand apart from the shelf, and are found where they are asked for', function (): void {
        expect($this->getJson('/api/parts?q=single-board+four')->assertOk()->json('total'))->toBe(0);
        $found = $this->getJson('/api/parts?typical=1&q=single-board+four')->assertOk()->json('parts');
        expect($found)->toHaveCount(1)->and($found[0])->toMatchArray(['typical' => true, 'own' => false, 'maker' => '']);
        $build = StartBuild::blank($this->user, 'An idea');
        $candidates = $this->getJson("/api/builds/{$build->id}/candidates?role=board&typical=1")->assertOk()->json('candidates');
        expect(array_unique(array_column(array_column($candidates, 'part'), 'typical')))->toBe([true]);
    });

    it('become one\'s own, in pencil until each figure is confirmed', function (): void {
        $build = StartBuild::blank($this->user, 'An idea');
        $path = "/api/builds/{$build->id}";
        $id = $this->getJson('/api/parts?typical=1&q=single-board+four')->json('parts.0.libraryId');
        $with = $this->assertShape($this->postJson("{$path}/lines", ['version' => 1, 'part' => $id, 'role' => 'board'])->assertOk(), 'Build')->json();
        expect($with['appraisal']['vitals']['pencil'])->toBe(1)->and($with['lines'][0]['part']['typical'])->toBeTrue()
            ->and(array_unique(array_column($with['appraisal']['findings'], 'pencil')))->toContain(true);
        $mine = $this->postJson("{$path}/lines/board/mine", ['version' => 2, 'name' => 'Petrel 2'])->assertOk()->json();
        $figures = array_column($mine['appraisal']['toConfirm'], 'says', 'figure');
        expect($mine['lines'][0]['part'])->toMatchArray(['name' => 'Petrel 2', 'typical' => false])->and($mine['appraisal']['vitals']['pencil'])->toBe(0)
            ->and($figures)->toMatchArray(['supply.volts' => '4.75 to 5.25 V', 'output.volts@USB sockets' => '4.85 to 5.15 V'])
            ->and($this->getJson('/api/parts?own=1')->json('parts.0.name'))->toBe('Petrel 2');
        // What is confirmed is typed as it stands there, and is asked no more.
        $version = 3;
        foreach ($figures as $figure => $says) {
            $mine = $this->putJson("{$path}/lines/board/figures", ['version' => $version++, 'figure' => $figure, 'typed' => $says])->assertOk()->json();
        }
        expect($mine['appraisal']['toConfirm'])->toBe([]);
        $this->postJson("{$path}/lines/board/mine", ['version' => $version, 'name' => 'Again'])->assertStatus(422);
    });

    it('are never offered as a fix', function (): void {
        $build = $this->refuge($this->user);
        $found = $this->getJson("/api/builds/{$build->id}/remedies?finding=".urlencode('power.supply-window/panel'))->assertOk()->json();
        expect(array_filter([...$found['remedies'], ...$found['trades']], static fn (array $one): bool => ($one['part']['typical'] ?? false) === true))->toBe([]);
    });
});

it('finds by figures, and puts in the order of a figure', function (): void {
    $names = fn (string $query): array => $this->getJson("/api/parts?{$query}")->assertOk()->json('parts');
    $thin = $names('role=display&q='.urlencode('under 6 mm'));
    expect($thin)->not->toBe([])->and(count($thin))->toBeLessThan($this->getJson('/api/parts?role=display')->json('total'));
    $prices = array_map(static fn (array $part): float => (float) ($part['offers'][0]['price']['amount'] ?? INF), $names('role=cooling&sort=price'));
    $sorted = $prices;
    sort($sorted);
    expect($prices)->toBe($sorted);
    $this->getJson('/api/parts?sort=mood')->assertStatus(422);
});
