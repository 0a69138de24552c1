<?php

declare(strict_types=1);

use App\Actions\ImportBuild;
use App\Actions\StartBuild;
use App\Library\JudgedParts;
use App\Mapping\BuildMapper;
use App\Mapping\Today;
use App\Models\BuildRecord;
use App\Models\LineRecord;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use PocketPlot\Appraisal;
use PocketPlot\File\Json;
use PocketPlot\Part\Role;

beforeEach(function (): void {
    $this->travelTo('2026-11-23 12:00:00');
    $this->user = $this->builder();
    $this->actingAs($this->user);
});

/** @return array<string, mixed> the line of a build answer */
function lineOf(array $build, string $id): array
{
    foreach ($build['lines'] as $line) {
        if ($line['id'] === $id) {
            return $line;
        }
    }

    return [];
}

it('shows builds as cards, of one\'s own only', function (): void {
    $this->refuge($this->builder('other@example.test'));
    $this->refuge($this->user);
    $cards = $this->getJson('/api/builds')->assertOk()->json('builds');
    expect($cards)->toHaveCount(1)
        ->and($cards[0]['verdict'])->toBe('clash')
        ->and($cards[0]['vitals']['next']['kind'])->toBe('settle');
});

it('starts blank and from each demo', function (array $given, string $verdict): void {
    $this->assertShape($this->postJson('/api/builds', $given)->assertCreated(), 'Build')->assertJsonPath('appraisal.verdict', $verdict)->assertJsonPath('version', 1);
})->with([
    [['name' => 'Cobnut'], 'missing'], [['demo' => 'refuge'], 'clash'], [['demo' => 'thimble'], 'fits'], [['demo' => 'barge', 'name' => 'My barge'], 'unmeasured'],
]);

it('wants a name for a blank build', function (): void {
    $this->postJson('/api/builds', ['name' => ' '])->assertStatus(422)->assertJsonPath('fields.name.0', 'Give the build a name of up to 120 characters.');
});

it('answers the same appraisal from rows as from the file', function (string $demo): void {
    $build = StartBuild::fromDemo($this->user, $demo, null);
    [, $core] = ImportBuild::read(StartBuild::demoFile($demo));
    $expected = Json::encode(Appraisal::of($core, Today::day())->toArray());
    $given = $this->assertShape($this->getJson("/api/builds/{$build->id}")->assertOk(), 'Build');
    expect(json_decode((string) $given->getContent())->appraisal)->toEqual(json_decode($expected));
})->with(['refuge', 'thimble', 'barge']);

describe('edits of lines', function (): void {
    beforeEach(function (): void {
        $this->build = $this->refuge($this->user);
        $this->path = "/api/builds/{$this->build->id}";
    });

    it('applies a remedy: the clash is gone and the vitals moved, in the same answer', function (): void {
        $key = 'power.supply-window/panel';
        $remedies = $this->getJson("{$this->path}/remedies?finding=".urlencode($key))->assertOk()->json('remedies');
        expect($remedies)->not->toBeEmpty();
        $first = $remedies[0];
        $given = ['version' => 1, 'part' => $first['libraryId'], 'line' => $first['line'], 'role' => $first['role'], 'settles' => $first['settles'], 'frees' => $first['frees']];
        $after = $this->assertShape($this->postJson("{$this->path}/remedy", $given)->assertOk(), 'Build')->json();
        $findings = array_column($after['appraisal']['findings'], 'verdict', 'key');
        expect($findings[$key])->toBe('fits')
            ->and($after['appraisal']['vitals'])->toEqual($first['vitals'])
            ->and($after['appraisal']['vitals']['clashes'])->toBe(1)
            ->and($after['version'])->toBe(2);
    });

    it('swaps a part and forgets what was known of sourcing the old one', function (): void {
        $after = $this->postJson("{$this->path}/lines/solar-board/swap", ['version' => 1, 'part' => $this->part('chg-flotsam-ion')])->assertOk()->json();
        expect(lineOf($after, 'solar-board'))->toMatchArray(['state' => 'chosen', 'price' => null, 'expectedOn' => null])
            ->and(lineOf($after, 'solar-board')['part']['id'])->toBe('chg-flotsam-ion')
            ->and(array_column($after['appraisal']['findings'], 'verdict', 'key')['power.charger-match/solar-board'])->toBe('clash');
    });

    it('writes what is at hand into the brief, and leaves the rest of it', function (): void {
        $before = $this->getJson($this->path)->json('brief');
        $after = $this->putJson("{$this->path}/at-hand", ['version' => 1, 'tools' => ['multimeter'], 'consumables' => []])->assertOk()->json('brief');
        expect($after)->toEqual([...$before, 'tools' => ['multimeter'], 'consumables' => []]);
        $this->putJson("{$this->path}/at-hand", ['version' => 2, 'tools' => 'a saw'])->assertStatus(422);
    });

    it('changes, removes and puts back several lines in one go, or none of them', function (): void {
        $after = $this->postJson("{$this->path}/lines/many", ['version' => 1, 'lines' => ['board', 'panel'], 'then' => 'change', 'state' => 'ordered', 'vendor' => 'Cellmart'])->assertOk()->json();
        expect(lineOf($after, 'board'))->toMatchArray(['state' => 'ordered', 'vendor' => 'Cellmart'])->and(lineOf($after, 'panel'))->toMatchArray(['state' => 'ordered', 'vendor' => 'Cellmart']);
        $gone = $this->postJson("{$this->path}/lines/many", ['version' => 2, 'lines' => ['board', 'panel'], 'then' => 'remove'])->assertOk()->json();
        expect(array_column($gone['lines'], 'id'))->not->toContain('board')->not->toContain('panel')->and(lineOf($gone, 'panel-small')['chosen'])->toBeTrue();
        $back = $this->postJson("{$this->path}/lines/many", ['version' => 3, 'lines' => ['board', 'panel'], 'then' => 'restore'])->assertOk()->json();
        expect(lineOf($back, 'panel')['chosen'])->toBeTrue()->and(lineOf($back, 'board')['state'])->toBe('ordered');
        $this->postJson("{$this->path}/lines/many", ['version' => 4, 'lines' => ['board', 'nobody'], 'then' => 'remove'])->assertNotFound();
        expect(array_column($this->getJson($this->path)->json('lines'), 'id'))->toContain('board');
    });

    it('chooses among candidates', function (): void {
        $after = $this->postJson("{$this->path}/lines/panel-small/choose", ['version' => 1])->assertOk()->json();
        expect(lineOf($after, 'panel-small')['chosen'])->toBeTrue()->and(lineOf($after, 'panel')['chosen'])->toBeFalse();
    });

    it('keeps another candidate beside a line', function (): void {
        $after = $this->postJson("{$this->path}/lines", ['version' => 1, 'part' => $this->part('panel-ledge-5'), 'role' => 'display', 'beside' => 'panel'])->assertOk()->json();
        $new = lineOf($after, 'display');
        expect($new['slot'])->toBe('panel')->and($new['chosen'])->toBeFalse();
    });

    it('removes with undo', function (): void {
        $before = $this->getJson($this->path)->json('appraisal');
        $after = $this->deleteJson("{$this->path}/lines/panel", ['version' => 1])->assertOk()->json();
        expect(lineOf($after, 'panel'))->toBe([])
            ->and($after['removed'][0])->toMatchArray(['id' => 'panel', 'name' => 'Rook 9 panel'])
            ->and(lineOf($after, 'panel-small')['chosen'])->toBeTrue();
        $again = $this->postJson("{$this->path}/lines/panel/restore", ['version' => 2])->assertOk()->json();
        expect($again['appraisal'])->toEqual($before)->and(lineOf($again, 'panel-small')['chosen'])->toBeFalse();
    });

    it('takes figures as people write them', function (array $given, string $field, mixed $expected): void {
        $after = $this->patchJson("{$this->path}/lines/panel", ['version' => 1, ...$given])->assertOk()->json();
        expect(lineOf($after, 'panel')[$field])->toBe($expected);
    })->with([
        [['price' => '41,5'], 'price', ['amount' => '41.50', 'currency' => 'EUR']],
        [['price' => '35 gbp'], 'price', ['amount' => '35.00', 'currency' => 'GBP']],
        [['price' => ''], 'price', null],
        [['quantity' => 2], 'quantity', 2],
        [['expectedOn' => '2026-12-24'], 'expectedOn', '2026-12-24'],
        [['note' => 'no scratch'], 'note', 'no scratch'],
        [['note' => ''], 'note', ''],
        [['state' => 'faulty'], 'state', 'faulty'],
        [['origin' => 'gift'], 'origin', 'gift'],
        [['vendor' => 'Low Shelf Electronics'], 'vendor', 'Low Shelf Electronics'],
    ]);

    it('refuses what cannot be, names the field and changes nothing', function (array $given, string $field): void {
        $response = $this->patchJson("{$this->path}/lines/panel", ['version' => 1, ...$given])->assertStatus(422);
        $this->assertShape($response, 'Problem');
        expect(array_keys($response->json('fields')))->toContain($field)->and($this->getJson($this->path)->json('version'))->toBe(1);
    })->with([
        [['quantity' => 0], 'quantity'], [['quantity' => -3], 'quantity'], [['quantity' => 'two'], 'quantity'], [['quantity' => 1e9], 'quantity'],
        [['price' => 'cheap'], 'price'], [['price' => '-4'], 'price'], [['price' => ['amount' => '1e9', 'currency' => 'EUR']], 'price.amount'],
        [['state' => 'lost'], 'state'], [['origin' => 'found'], 'origin'], [['expectedOn' => '2026-02-30'], 'expectedOn'],
        [['note' => str_repeat('x', 4001)], 'note'], [['note' => str_repeat('x', 5_000_000)], 'note'],
    ]);

    it('refuses a part that is not in the library', function (): void {
        $this->postJson("{$this->path}/lines", ['version' => 1, 'part' => 99999999, 'role' => 'board'])->assertStatus(422)->assertJsonPath('fields.part.0', 'This part is not in your library. Open the list again and choose another.');
    });

    it('answers 404 for a line that is not there', function (): void {
        $this->assertShape($this->patchJson("{$this->path}/lines/nowhere", ['version' => 1, 'quantity' => 2])->assertNotFound(), 'Problem');
    });

    it('never lets a stale page overwrite a fresh one', function (): void {
        $this->patchJson("{$this->path}/lines/panel", ['version' => 1, 'note' => 'first'])->assertOk();
        $stale = $this->assertShape($this->patchJson("{$this->path}/lines/panel", ['version' => 1, 'note' => 'second'])->assertStatus(409), 'Problem');
        $stale->assertJsonPath('code', 'stale')->assertJsonPath('fresh.version', 2);
        expect(lineOf($stale->json('fresh'), 'panel')['note'])->toBe('first')->and(lineOf($this->getJson($this->path)->json(), 'panel')['note'])->toBe('first');
    });

    it('writes nothing when an edit breaks halfway', function (): void {
        DB::listen(function ($query): void {
            if (str_starts_with($query->sql, 'update `builds`')) {
                throw new RuntimeException('the power went');
            }
        });
        $this->postJson("{$this->path}/lines", ['version' => 1, 'part' => $this->part('reg-sluice-12'), 'role' => 'regulator'])->assertStatus(500)->assertJsonPath('code', 'broken');
        expect(LineRecord::query()->where('build_id', $this->build->id)->where('key', 'regulator')->exists())->toBeFalse();
    });
});

describe('the brief', function (): void {
    $brief = static fn (array $with = []): array => ['purpose' => 'A trial', 'currency' => 'EUR', 'games' => [], ...$with];

    it('takes figures with their units', function () use ($brief): void {
        $build = StartBuild::blank($this->user, 'Trial');
        $after = $this->assertShape($this->putJson("/api/builds/{$build->id}/brief", ['version' => 1, 'name' => 'Trial two', 'brief' => $brief([
            'runTimeHours' => '4 h 30 min', 'budget' => '220 gbp', 'largestMassG' => '1,2 kg', 'gamesGb' => '500 MB', 'eveningMinutes' => '1.5 h',
            'largestMm' => ['lengthMm' => '20 cm', 'widthMm' => '4 in', 'heightMm' => '30'],
        ])])->assertOk(), 'Build');
        expect($after->json('name'))->toBe('Trial two')->and($after->json('brief'))->toEqual([
            'purpose' => 'A trial', 'currency' => 'EUR', 'games' => [], 'runTimeHours' => 4.5, 'budget' => ['amount' => '220', 'currency' => 'GBP'],
            'largestMassG' => 1200, 'gamesGb' => 0.5, 'eveningMinutes' => 90, 'largestMm' => ['lengthMm' => 200, 'widthMm' => 101.6, 'heightMm' => 30],
        ]);
    });

    it('keeps keys it does not know and takes emptied targets out', function () use ($brief): void {
        $build = $this->refuge($this->user);
        $build->forceFill(['brief' => [...$build->brief, 'x-mood' => 'patient']])->save();
        $after = $this->putJson("/api/builds/{$build->id}/brief", ['version' => 1, 'name' => 'Refuge', 'brief' => $brief(['budget' => '', 'runTimeHours' => ''])])->assertOk()->json('brief');
        expect($after)->toHaveKey('x-mood')->not->toHaveKey('budget')->not->toHaveKey('runTimeHours');
    });

    it('does not take silence about skills for having none', function () use ($brief): void {
        $build = StartBuild::blank($this->user, 'Trial');
        $silent = $this->putJson("/api/builds/{$build->id}/brief", ['version' => 1, 'name' => 'Trial', 'brief' => $brief(['skills' => null])])->assertOk()->json('brief');
        $none = $this->putJson("/api/builds/{$build->id}/brief", ['version' => 2, 'name' => 'Trial', 'brief' => $brief(['skills' => []])])->assertOk()->json('brief');
        expect($silent)->not->toHaveKey('skills')->and($none['skills'])->toBe([]);
    });

    it('names the field that cannot be read', function (array $given, string $field) use ($brief): void {
        $build = StartBuild::blank($this->user, 'Trial');
        expect(array_keys($this->putJson("/api/builds/{$build->id}/brief", ['version' => 1, 'name' => 'Trial', 'brief' => $brief($given)])->assertStatus(422)->json('fields')))->toContain($field);
    })->with([
        [['runTimeHours' => 'long'], 'brief.runTimeHours'], [['runTimeHours' => -1], 'brief.runTimeHours'], [['largestMassG' => '3 miles'], 'brief.largestMassG'],
        [['budget' => 'little'], 'brief.budget'], [['currency' => 'euros'], 'brief.currency'], [['largestMm' => ['lengthMm' => '10', 'widthMm' => '', 'heightMm' => '']], 'brief.largestMm.widthMm'],
        [['games' => [['class' => 'knob', 'players' => 99]]], 'brief.games.0.players'],
    ]);
});

describe('files', function (): void {
    it('exports what it imported, unknown keys included, with the same appraisal', function (string $demo): void {
        $text = StartBuild::demoFile($demo);
        $document = Json::decode($text);
        $document['x-photos'] = ['front.jpg'];
        $document['lines'][0]['x-bin'] = 7;
        $document['parts'][0]['facets']['x-smell'] = new stdClass;
        $document['rates']['x-bank'] = 'the one at the corner';
        $document['ticks'] = [['step' => 'test-open', 'on' => '2026-11-01', 'x-by' => 'Ada']];
        $ids = array_column($document['lines'], 'id');
        $document['joins'] = [['kind' => 'power', 'from' => $ids[0], 'to' => $ids[1], 'x-wire' => 'red']];
        $document['lines'][1]['price'] = ['amount' => '0.0375', 'currency' => 'EUR'];
        $build = BuildRecord::query()->findOrFail($this->assertShape($this->postJson('/api/imports', ['text' => Json::encode($document)])->assertCreated(), 'Build')->json('id'));
        $file = $this->get("/api/builds/{$build->id}/file")->assertOk()->assertHeader('Content-Disposition', "attachment; filename=\"{$demo}.pocketplot.json\"");
        expect(Json::decode((string) $file->getContent()))->toEqual($document);
        $again = ImportBuild::as($this->user, (string) $file->getContent());
        expect(Appraisal::of(BuildMapper::toCore($again), Today::day())->toArray())->toEqual(Appraisal::of(BuildMapper::toCore($build), Today::day())->toArray());
    })->with(['refuge', 'thimble', 'barge']);

    it('shows what an import would bring and stores nothing', function (): void {
        $document = Json::decode(StartBuild::demoFile('thimble'));
        $document['x-photos'] = [];
        $document['parts'][] = ['id' => 'spare', 'name' => 'A spare', 'role' => 'tool'];
        $before = BuildRecord::query()->count();
        $this->assertShape($this->postJson('/api/imports/preview', ['text' => Json::encode($document)])->assertOk(), 'ImportPreview')
            ->assertJsonPath('name', 'Thimble')->assertJsonCount(10, 'lines')->assertJsonPath('kept', ['x-photos'])->assertJsonPath('unused', ['A spare']);
        expect(BuildRecord::query()->count())->toBe($before);
    });

    it('refuses a bad file, says every problem and stores nothing', function (string $text, string $problem): void {
        $before = BuildRecord::query()->count();
        $response = $this->assertShape($this->postJson('/api/imports', ['text' => $text])->assertStatus(422), 'Problem');
        expect(implode(' ', array_map(static fn (array $one): string => "{$one['field']}: {$one['wrong']}; {$one['fix']}", $response->json('problems'))))->toContain($problem)->and(BuildRecord::query()->count())->toBe($before);
    })->with([
        ['{"format', 'not readable as JSON'], ['{"format":"recipe"}', 'not of ours'],
        ['{"format":"pocketplot-build","version":1,"name":"x","lines":[{"id":"a","part":"b"}]}', 'no part "b"'],
        ['{"format":"pocketplot-build","version":1,"name":"x","lines":[{"id":"a","part":"b","quantity":-1}]}', 'lines/0/quantity'],
        ['{"note":"'.str_repeat('x', 16_000_000).'"}', '16.0 MB'],
    ]);

    it('exports the parts list as CSV that a spreadsheet will not run', function (): void {
        $build = $this->refuge($this->user);
        $build->lines[0]->fill(['note' => '=1+1, "quoted"'])->save();
        $csv = (string) $this->get("/api/builds/{$build->id}/parts.csv")->assertOk()->getContent();
        $rows = explode("\r\n", trim($csv));
        expect($rows)->toHaveCount(19)
            ->and($rows[1])->toContain('"\'=1+1, ""quoted"""')
            ->and($rows[2])->toContain('Rook 9 panel')->toContain('clash')->toContain('44.00');
    });
});

describe('the library', function (): void {
    it('finds parts by the beginnings of words', function (string $words, string $first): void {
        expect($this->getJson('/api/parts?q='.urlencode($words))->assertOk()->json('parts.0.name'))->toBe($first);
    })->with([['rook wide', 'Rook 9 wide-range panel'], ['slim bod', 'Sedge Nib board'], ['sluice 3', 'Sluice 12 V buck-boost, 3 A'], ['+drum* "', 'Drum round cell in holder']]);

    it('weighs every candidate against the build', function (): void {
        $build = $this->refuge($this->user);
        $candidates = $this->getJson("/api/builds/{$build->id}/candidates?role=display&swap=panel")->assertOk()->json('candidates');
        $verdicts = array_column($candidates, 'verdict');
        $byId = array_combine(array_map(static fn (array $one): string => $one['part']['id'], $candidates), $candidates);
        // Tight for its wide borders, like the panel it replaces; the clash is gone.
        expect($byId['panel-rook-9w']['verdict'])->toBe('tight')->and($byId['panel-rook-9w']['settled'])->toBe(1)
            ->and($byId['panel-rook-9w']['vitals']['clashes'])->toBe(1)
            ->and($byId['panel-rook-9']['inUse'])->toBeTrue()
            ->and($byId['panel-slate-10']['verdict'])->toBe('unmeasured')
            ->and($byId['panel-attic-4']['newClashes'])->toBe(1)
            ->and(array_search('clash', $verdicts, true))->toBeGreaterThan(array_search('tight', $verdicts, true));
    });

    it('puts what settles something first among equals, says what it settles, and marks what is one\'s own', function (): void {
        $build = $this->refuge($this->user);
        $own = ['name' => 'A buck of mine', 'role' => 'regulator', 'facets' => []];
        $this->postJson('/api/parts', ['part' => $own])->assertCreated();
        $candidates = $this->getJson("/api/builds/{$build->id}/candidates?role=regulator")->assertOk()->json('candidates');
        $fitting = array_values(array_filter($candidates, static fn (array $one): bool => $one['verdict'] === 'fits'));
        expect($fitting[0]['part']['name'])->toBe('Sluice 12 V buck-boost, 1 A')
            ->and($fitting[0]['settles'])->toBe(['Rook 9 panel needs 9 to 13 V. Ridge LiFePO4 pack, 12 Ah gives 10 to 14.6 V.'])
            ->and($fitting[3]['settles'])->toBe([])
            ->and(array_column(array_filter($candidates, static fn (array $one): bool => $one['own']), 'part'))->sequence(static fn ($part) => $part->name->toBe('A buck of mine'));
    });

    it('judges each part once a version of the build; a further search only filters', function (): void {
        $build = $this->refuge($this->user);
        $says = fn (string $words = ''): array => array_column($this->getJson("/api/builds/{$build->id}/candidates?role=display&swap=panel&q={$words}")->assertOk()->json('candidates'), 'says');
        $first = $says();
        $key = JudgedParts::key($build->refresh(), Role::Display, 'panel');
        $kept = Cache::get($key);
        expect($kept)->toHaveCount(count($first));
        Cache::put($key, array_map(static fn (array $one): array => [...$one, 'says' => 'kept'], $kept));
        expect(array_unique($says('rook')))->toBe(['kept']);
        // An edit makes another version, and everything is judged anew.
        $this->patchJson("/api/builds/{$build->id}/lines/panel", ['version' => 1, 'note' => 'other'])->assertOk();
        expect($says())->toBe($first);
    });

    it('says the day with each part only when it is asked for it, of all of them or of one', function (): void {
        $build = $this->refuge($this->user);
        $ask = fn (string $more): array => $this->getJson("/api/builds/{$build->id}/candidates?role=display&swap=panel{$more}")->assertOk()->json('candidates');
        $quick = $ask('');
        $dated = $ask('&days=1');
        $days = array_column(array_column($dated, 'vitals'), 'finish', null);
        expect(array_unique(array_column(array_column($quick, 'vitals'), 'finish'), SORT_REGULAR))->toBe([null])
            ->and(array_column($dated, 'says', 'libraryId'))->toEqual(array_column($quick, 'says', 'libraryId'))
            ->and(array_filter($days, static fn (array $day): bool => $day['on'] !== null))->not->toBe([]);
        $one = $dated[3];
        expect($ask("&days=1&only={$one['libraryId']}"))->toEqual([$one])
            ->and($ask('&only=999999'))->toBe([]);
        // The day is that of the edit itself.
        $swap = ['version' => 1, 'part' => $one['libraryId']];
        $after = $this->postJson("/api/builds/{$build->id}/lines/panel/swap", $swap)->assertOk()->json('appraisal.vitals');
        expect($after['finish'])->toBe($one['vitals']['finish'])->and($after['clashes'])->toBe($one['vitals']['clashes']);
    });

    it('lets nobody weigh a part of a stranger, or one of another role', function (): void {
        $build = $this->refuge($this->user);
        $hidden = ['part' => ['name' => 'Hidden panel', 'role' => 'display', 'facets' => []]];
        $theirs = $this->actingAs($this->builder('other@example.test'))->postJson('/api/parts', $hidden)->assertCreated()->json('libraryId');
        $this->actingAs($this->user);
        $weighed = fn (int $part): array => $this->getJson("/api/builds/{$build->id}/candidates?role=display&swap=panel&only={$part}")
            ->assertOk()->json('candidates');
        expect($weighed($theirs))->toBe([])->and($weighed($this->part('reg-sluice-12')))->toBe([]);
    });

    it('judges a part anew once it is another', function (): void {
        $build = $this->refuge($this->user);
        $own = $this->postJson('/api/parts', ['part' => ['name' => 'Zephyr panel', 'role' => 'display', 'facets' => []]])->assertCreated()->json();
        $verdict = fn (): string => array_column($this->getJson("/api/builds/{$build->id}/candidates?role=display&swap=panel")->assertOk()->json('candidates'), 'verdict', 'libraryId')[$own['libraryId']];
        expect($verdict())->toBe('unmeasured');
        $this->putJson("/api/parts/{$own['libraryId']}", ['version' => $own['version'], 'part' => ['name' => 'Zephyr panel', 'role' => 'display', 'facets' => ['supply' => ['volts' => ['typed' => '1 to 2 V', 'source' => 'datasheet']]]]])->assertOk();
        expect($verdict())->toBe('clash');
    });
});

describe('strangers', function (): void {
    it('cannot tell a stranger\'s build from none', function (string $method, string $path): void {
        $build = $this->refuge($this->builder('other@example.test'));
        $given = ['version' => 1, 'part' => $this->part('reg-sluice-12'), 'role' => 'regulator', 'quantity' => 2, 'step' => 'x', 'done' => true, 'name' => 'Mine now', 'brief' => ['currency' => 'EUR', 'games' => []]];
        $theirs = $this->json($method, str_replace('{build}', $build->id, $path), $given)->assertNotFound();
        $nobodys = $this->json($method, str_replace('{build}', '01arz3ndektsv4rrffq69g5fav', $path), $given)->assertNotFound();
        expect($theirs->json())->toBe($nobodys->json())->and($build->refresh()->version)->toBe(1)->and($build->trashed())->toBeFalse();
    })->with([
        ['GET', '/api/builds/{build}'], ['DELETE', '/api/builds/{build}'], ['POST', '/api/builds/{build}/restore'], ['PUT', '/api/builds/{build}/brief'], ['POST', '/api/builds/{build}/record'], ['POST', '/api/builds/{build}/work'],
        ['GET', '/api/builds/{build}/file'], ['GET', '/api/builds/{build}/parts.csv'], ['GET', '/api/builds/{build}/candidates?role=board'], ['GET', '/api/builds/{build}/remedies?finding=x'],
        ['POST', '/api/builds/{build}/lines'], ['PATCH', '/api/builds/{build}/lines/panel'], ['DELETE', '/api/builds/{build}/lines/panel'], ['POST', '/api/builds/{build}/lines/panel/swap'],
        ['POST', '/api/builds/{build}/lines/panel/choose'], ['POST', '/api/builds/{build}/lines/panel/restore'],
    ]);

    it('turns the signed-out away with words that keep what was typed', function (): void {
        $build = $this->refuge($this->user);
        $this->app['auth']->forgetGuards();
        $this->assertShape($this->patchJson("/api/builds/{$build->id}/lines/panel", ['version' => 1, 'note' => 'typed'])->assertUnauthorized(), 'Problem')->assertJsonPath('code', 'signed-out');
    });
});

it('puts a build away and takes it out again', function (): void {
    $build = $this->refuge($this->user);
    $this->deleteJson("/api/builds/{$build->id}")->assertOk();
    $this->getJson("/api/builds/{$build->id}")->assertNotFound();
    $this->postJson("/api/builds/{$build->id}/restore")->assertOk()->assertExactJson(['id' => $build->id]);
    expect($this->getJson('/api/builds')->json('builds'))->toHaveCount(1);
});

it('says so when the database is away', function (): void {
    $build = $this->refuge($this->user);
    $path = "/api/builds/{$build->id}/lines/panel";
    // With a session of its own, as a browser has it: each try of the request reads it anew.
    $cookies = $this->signedIn($this->user, 'file');
    config(['database.connections.mariadb.port' => 1]);
    DB::purge();
    $answer = $this->browse($cookies, 'PATCH', $path, ['version' => 1, 'note' => 'typed'])->assertStatus(503)->assertHeader('Retry-After');
    $this->assertShape($answer, 'Problem')->assertJsonPath('code', 'database-away');
});
