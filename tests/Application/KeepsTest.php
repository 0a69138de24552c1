<?php

declare(strict_types=1);

use App\Actions\ReadBack;
use App\Actions\StartBuild;
use App\Models\BuildRecord;
use App\Models\LineRecord;
use App\Models\PartRecord;
use App\Models\ReadingRecord;
use Illuminate\Support\Facades\DB;
use PocketPlot\File\Format;
use PocketPlot\File\Json;

beforeEach(function (): void {
    $this->user = $this->builder();
    $this->actingAs($this->user);
});

/** @return array<string, mixed> a small build file with a pack and so much more */
function fileWith(array $more = [], array $lines = []): array
{
    return [
        'format' => 'pocketplot-build', 'version' => 1, 'name' => 'Kept', 'brief' => ['currency' => 'EUR'],
        'parts' => [['id' => 'pack', 'name' => 'Pack', 'role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'Li-ion', 'series' => 1]]], ['id' => 'screw', 'name' => 'Screw', 'role' => 'fastener']],
        'lines' => [['id' => 'pack', 'part' => 'pack'], ...$lines], ...$more,
    ];
}

describe('an odd edit', function (): void {
    beforeEach(function (): void {
        $this->build = $this->refuge($this->user);
        $this->path = "/api/builds/{$this->build->id}";
        $this->brief = fn (array $with) => $this->putJson("{$this->path}/brief", ['version' => 1, 'name' => 'Refuge', 'brief' => ['currency' => 'EUR', 'games' => [], ...$with]]);
        $this->stillReads = function (): void {
            $this->getJson($this->path)->assertOk();
            $this->getJson('/api/builds')->assertOk()->assertJsonPath('builds.0.unreadable', null);
            $file = (string) $this->get("{$this->path}/file")->assertOk()->getContent();
            $this->postJson('/api/imports/preview', ['text' => $file])->assertOk();
        };
    });

    it('is refused at its field, and nothing changes', function (array $brief, string $field): void {
        $before = $this->getJson($this->path)->json();
        expect(array_keys(($this->brief)($brief)->assertStatus(422)->json('fields')))->toContain($field)->and($this->getJson($this->path)->json())->toBe($before);
        ($this->stillReads)();
    })->with([
        'an amount as a number' => [['budget' => ['amount' => 12, 'currency' => 'EUR']], 'brief.budget.amount'],
        'no money at all' => [['readyMade' => ['amount' => 'much', 'currency' => 'EUR']], 'brief.readyMade.amount'],
        'half of some money' => [['readyMade' => ['amount' => '12']], 'brief.readyMade.currency'],
        'a list for a word' => [['purpose' => ['a']], 'brief.purpose'],
        'a group for a number' => [['runTimeHours' => ['a' => 1]], 'brief.runTimeHours'],
        'rights of another kind' => [['rights' => 'certainly'], 'brief.rights'],
        'a number beyond all numbers' => [['gamesGb' => '1e999'], 'brief.gamesGb'],
    ]);

    it('is stored in the format\'s own types where it can be meant', function (array $brief, array $stored): void {
        $after = ($this->brief)($brief)->assertOk()->json('brief');
        expect(array_intersect_key($after, $stored))->toEqual($stored);
        ($this->stillReads)();
    })->with([
        'rights as a one' => [['rights' => '1'], ['rights' => true]],
        'charging as a nought' => [['playWhileCharging' => 0], ['playWhileCharging' => false]],
        'margins, which are not the brief\'s' => [['margins' => 'x'], []],
        'touch and players as text' => [
            ['games' => [['class' => 'touch', 'players' => '2', 'dPads' => 0, 'buttons' => '4', 'sticks' => 0, 'knobs' => 0, 'touch' => 1, 'pictureWidthPx' => 0, 'pictureHeightPx' => 0]]],
            ['games' => [['class' => 'touch', 'players' => 2, 'dPads' => 0, 'buttons' => 4, 'sticks' => 0, 'knobs' => 0, 'touch' => true, 'pictureWidthPx' => 0, 'pictureHeightPx' => 0]]],
        ],
    ]);

    it('leaves keys that this version does not know where they are', function (): void {
        $games = ['class' => 'touch', 'players' => 1, 'dPads' => 0, 'buttons' => 0, 'sticks' => 0, 'knobs' => 0, 'touch' => true, 'pictureWidthPx' => 0, 'pictureHeightPx' => 0];
        $this->build->forceFill(['brief' => ['currency' => 'EUR', 'games' => [[...$games, 'x-wish' => 'slow']], 'budget' => ['amount' => '10', 'currency' => 'EUR', 'x-from' => 'aunt']]])->save();
        $after = ($this->brief)(['games' => [$games], 'budget' => ['amount' => '20', 'currency' => 'EUR']])->assertOk()->json('brief');
        expect($after['games'][0]['x-wish'])->toBe('slow')->and($after['budget'])->toBe(['amount' => '20', 'currency' => 'EUR', 'x-from' => 'aunt']);
        // Another class in its place is another wish.
        $other = $this->putJson("{$this->path}/brief", ['version' => 2, 'name' => 'Refuge', 'brief' => ['currency' => 'EUR', 'games' => [[...$games, 'class' => 'knob']]]])->assertOk()->json('brief');
        expect($other['games'][0])->not->toHaveKey('x-wish');
    });

    it('with a day that is none never reaches the list', function (string $day): void {
        $this->patchJson("{$this->path}/lines/panel", ['version' => 1, 'expectedOn' => $day])->assertStatus(422)->assertJsonPath('fields.expectedOn.0', 'Write the day as year-month-day, such as 2026-12-01.');
        ($this->stillReads)();
    })->with(['0000-01-01', '2026-02-30', '0000-00-00', '2026-1-1', '2026-12-01T00:00']);

    it('whose answer cannot be worked out is not kept', function (): void {
        // A row that the rules of the request let through and the core does not read.
        $before = $this->getJson($this->path)->json();
        DB::listen(function ($query): void {
            if (str_starts_with($query->sql, 'update `build_lines`') && DB::table('build_lines')->where('key', 'panel')->value('state') !== 'nonsense') {
                DB::table('build_lines')->where('key', 'panel')->update(['state' => 'nonsense']);
            }
        });
        $this->patchJson("{$this->path}/lines/panel", ['version' => 1, 'note' => 'typed'])->assertStatus(422);
        DB::getEventDispatcher()->forget(Illuminate\Database\Events\QueryExecuted::class);
        expect($this->getJson($this->path)->assertOk()->json())->toBe($before);
    });

    it('of a measured figure is held against the schema', function (): void {
        // Read by the core, refused by the format: figures end at a million.
        $this->putJson("{$this->path}/lines/panel/figures", ['version' => 1, 'figure' => 'supply.drawMa', 'typed' => '2000000 A'])->assertStatus(422);
        ($this->stillReads)();
    });
});

describe('a build that cannot be read', function (): void {
    beforeEach(function (): void {
        $this->good = $this->refuge($this->user);
        $this->bad = StartBuild::fromDemo($this->user, 'thimble', 'Broken');
        DB::table('builds')->where('id', $this->bad->id)->update(['brief' => '{"currency":"EUR","rights":"maybe"}', 'card_made' => 'by an older version']);
    });

    it('stands in the list, says so, and takes nothing down', function (): void {
        $cards = $this->getJson('/api/builds')->assertOk()->json('builds');
        $byName = array_column($cards, null, 'name');
        expect($byName['Broken']['unreadable'])->toBe('This build cannot be read: brief/rights: is neither true nor false. It is kept as it is; save it as a file.')
            ->and($byName['Broken']['verdict'])->toBeNull()->and($byName['Broken']['lines'])->toBe(10)->and($byName['Refuge']['unreadable'])->toBeNull();
    });

    it('says what is wrong when it is opened', function (): void {
        $this->assertShape($this->getJson("/api/builds/{$this->bad->id}")->assertStatus(422), 'Problem')
            ->assertJsonPath('code', 'unreadable')->assertJsonPath('problems', [['field' => 'brief/rights', 'wrong' => 'is neither true nor false', 'fix' => '']])->assertJsonPath('build', $this->bad->id);
        foreach (['power', 'bench', 'parts.csv', 'candidates?role=board'] as $page) {
            $this->getJson("/api/builds/{$this->bad->id}/{$page}")->assertStatus(422)->assertJsonPath('code', 'unreadable');
        }
    });

    it('can be saved as a file that needs one correction', function (): void {
        $text = (string) $this->get("/api/builds/{$this->bad->id}/file")->assertOk()->getContent();
        $this->postJson('/api/imports', ['text' => $text])->assertStatus(422)->assertJsonPath('problems.0.wrong', 'The data (string) must match the type: boolean');
        $again = $this->postJson('/api/imports', ['text' => str_replace('"maybe"', 'true', $text)])->assertCreated()->json('lines');
        expect($again)->toHaveCount(10);
    });

    it('is mended by an edit that mends it, and by no other', function (): void {
        $this->patchJson("/api/builds/{$this->bad->id}/lines/board", ['version' => 1, 'note' => 'typed'])->assertStatus(422);
        $this->putJson("/api/builds/{$this->bad->id}/brief", ['version' => 1, 'name' => 'Mended', 'brief' => ['currency' => 'EUR', 'games' => [], 'rights' => true]])->assertOk();
        $this->getJson("/api/builds/{$this->bad->id}")->assertOk()->assertJsonPath('name', 'Mended');
    });

    it('can be put away and taken out again', function (): void {
        $this->deleteJson("/api/builds/{$this->bad->id}")->assertOk();
        $this->postJson("/api/builds/{$this->bad->id}/restore")->assertOk();
        expect($this->getJson('/api/builds')->json('total'))->toBe(2);
    });
});

describe('a card in the list', function (): void {
    beforeEach(function (): void {
        $this->travelTo('2026-11-23 12:00:00');
        $this->build = $this->refuge($this->user);
        $this->card = fn (): array => array_column($this->getJson('/api/builds')->assertOk()->json('builds'), null, 'id')[$this->build->id];
        $this->queries = function (callable $work): array {
            $said = [];
            DB::listen(static function ($query) use (&$said): void {
                $said[] = $query->sql;
            });
            $work();

            return $said;
        };
    });

    it('says what the build says, after every edit', function (): void {
        $same = function (): void {
            $build = $this->getJson("/api/builds/{$this->build->id}")->json();
            $card = ($this->card)();
            expect($card['vitals'])->toEqual($build['appraisal']['vitals'])->and($card['verdict'])->toBe($build['appraisal']['verdict'])->and($card['name'])->toBe($build['name']);
        };
        $same();
        $this->patchJson("/api/builds/{$this->build->id}/lines/panel", ['version' => 1, 'price' => '99'])->assertOk();
        $same();
        $this->putJson("/api/builds/{$this->build->id}/brief", ['version' => 2, 'name' => 'Another name', 'brief' => ['currency' => 'EUR', 'games' => [], 'purpose' => 'another purpose']])->assertOk();
        $same();
        expect(($this->card)()['purpose'])->toBe('another purpose')->and(($this->card)()['vitals']['cost']['verdict'])->not->toBeNull();
    });

    it('is read, not worked out, while day and rules stand', function (): void {
        ($this->card)();
        $said = implode("\n", ($this->queries)($this->card));
        expect($said)->not->toContain('build_lines')->not->toContain('build_parts');
    });

    it('is made anew on another day and by other rules, without touching the build', function (): void {
        $before = ($this->card)();
        $this->travelTo('2026-11-30 12:00:00');
        $after = ($this->card)();
        expect($after['vitals']['finish'])->not->toBe($before['vitals']['finish'])->and($after['updatedAt'])->toBe($before['updatedAt'])->and($this->build->refresh()->version)->toBe(1);
        DB::table('builds')->where('id', $this->build->id)->update(['card' => json_encode(['verdict' => 'fits']), 'card_made' => '2026-11-30 of older rules']);
        expect(($this->card)())->toEqual($after);
    });
});

describe('the list of builds', function (): void {
    it('has pages, and none is lost between them', function (): void {
        foreach (range(1, 53) as $number) {
            StartBuild::blank($this->user, "Number {$number}")->forceFill(['updated_at' => now()->addSeconds($number)])->save();
        }
        $seen = [];
        for ($from = 0; $from < 53; $from += 24) {
            $page = $this->getJson("/api/builds?from={$from}")->assertOk()->assertJsonPath('total', 53)->json('builds');
            $seen = [...$seen, ...array_column($page, 'name')];
        }
        expect($seen)->toHaveCount(53)->and(array_unique($seen))->toHaveCount(53)->and($seen[0])->toBe('Number 53');
    });

    it('is searched by name and purpose, every word of them', function (string $words, array $names): void {
        foreach ([['Toolbox', 'for a hut without mains'], ['Pocket', 'for the train'], ['Desk 100%', 'mains only']] as [$name, $purpose]) {
            StartBuild::blank($this->user, $name)->forceFill(['brief' => ['currency' => 'EUR', 'purpose' => $purpose]])->save();
        }
        StartBuild::blank($this->builder('other@example.test'), 'Toolbox of a stranger');
        $found = array_column($this->getJson('/api/builds?q='.urlencode($words))->assertOk()->json('builds'), 'name');
        sort($found);
        expect($found)->toBe($names);
    })->with([['mains', ['Desk 100%', 'Toolbox']], ['hut mains', ['Toolbox']], ['POCKET', ['Pocket']], ['100%', ['Desk 100%']], ['%', ['Desk 100%']], ['nothing of the kind', []], ["' or 1=1 --", []]]);
});

describe('preview and import', function (): void {
    it('say the same of an odd file', function (array $document, ?string $problem): void {
        $text = Json::encode($document);
        $before = BuildRecord::query()->count();
        $preview = $this->postJson('/api/imports/preview', ['text' => $text]);
        expect(BuildRecord::query()->count())->toBe($before);
        $import = $this->postJson('/api/imports', ['text' => $text]);
        if ($problem === null) {
            $preview->assertOk();
            $import->assertCreated();
            $file = (string) $this->get('/api/builds/'.$import->json('id').'/file')->getContent();
            expect(Json::decode($file)['lines'])->toHaveCount(count($document['lines']));
            $this->postJson('/api/imports', ['text' => $file])->assertCreated();
        } else {
            $preview->assertStatus(422);
            $import->assertStatus(422);
            $said = array_map(static fn (array $one): string => "{$one['field']}: {$one['wrong']}; {$one['fix']}", $import->json('problems'));
            expect($import->json())->toBe($preview->json())->and(implode("\n", $said))->toContain($problem);
        }
    })->with([
        'ids equal but for case' => [fileWith([], [['id' => 'Pack', 'part' => 'pack', 'quantity' => 2], ['id' => 'PACK', 'part' => 'pack']]), null],
        'part ids equal but for case' => [fileWith(['parts' => [['id' => 'pack', 'name' => 'Small', 'role' => 'cells'], ['id' => 'PACK', 'name' => 'Large', 'role' => 'cells']]], [['id' => 'large', 'part' => 'PACK']]), null],
        'ticks equal but for accent, case and a space' => [fileWith(['ticks' => [['step' => 'é', 'on' => '2026-01-01'], ['step' => 'e', 'on' => '2026-01-02'], ['step' => 'E', 'on' => '2026-01-03'], ['step' => 'e ', 'on' => '2026-01-04'], ['step' => '', 'on' => '2026-01-05']]]), null],
        'reading ids equal but for case' => [fileWith(['readings' => [['id' => 'a', 'kind' => 'run', 'line' => 'pack', 'takenOn' => '2026-01-01', 'hours' => 2, 'stopped' => 'warning'], ['id' => 'A', 'kind' => 'run', 'line' => 'pack', 'takenOn' => '2026-01-01', 'hours' => 3, 'stopped' => 'warning']]]), null],
        'keys as deep as they may be' => [fileWith(['x' => array_reduce(range(1, 20), static fn (mixed $inner): array => ['in' => $inner], 1)]), null],
        'keys too deep' => [fileWith(['x' => array_reduce(range(1, 40), static fn (mixed $inner): array => ['in' => $inner], 1)]), 'more than 24 groups deep'],
        'a photograph that is none' => [fileWith(['readings' => [['id' => 'a', 'kind' => 'run', 'line' => 'pack', 'takenOn' => '2026-01-01', 'hours' => 2, 'stopped' => 'warning', 'photo' => 'data:image/jpeg;base64,'.base64_encode('no picture')]]]), 'photo: this file is no photograph'],
        'a photograph of another kind of text' => [fileWith(['readings' => [['id' => 'a', 'kind' => 'run', 'line' => 'pack', 'takenOn' => '2026-01-01', 'hours' => 2, 'stopped' => 'warning', 'photo' => 'http://elsewhere.example/x.jpg']]]), 'photo'],
        'the year nought' => [fileWith(['ticks' => [['step' => 'a', 'on' => '0000-01-01']]]), 'is not a day'],
    ]);

    it('refuse numbers beyond a double', function (): void {
        $text = str_replace('"Kept"', '"Kept","x-far":1e999', Json::encode(fileWith()));
        foreach (['imports/preview', 'imports'] as $path) {
            $this->postJson("/api/{$path}", ['text' => $text])->assertStatus(422)->assertJsonPath('problems.0', ['field' => 'x-far', 'wrong' => 'is a number too large to be kept', 'fix' => 'write a smaller one']);
        }
    });

    it('of a library say the same, too', function (array $part, ?string $problem): void {
        $text = Json::encode(['format' => 'pocketplot-library', 'version' => 1, 'parts' => [['id' => 'a', 'name' => 'One', 'role' => 'tool'], $part]]);
        $preview = $this->postJson('/api/parts/imports/preview', ['text' => $text]);
        expect(PartRecord::query()->where('user_id', $this->user->id)->count())->toBe(0);
        $import = $this->postJson('/api/parts/imports', ['text' => $text]);
        if ($problem === null) {
            $preview->assertOk();
            $import->assertCreated()->assertJsonPath('added', 2);
            $this->postJson('/api/parts/imports', ['text' => (string) $this->get('/api/parts/file')->getContent()])->assertCreated()->assertJsonPath('left', 2);
        } else {
            $preview->assertStatus(422);
            $said = array_map(static fn (array $one): string => "{$one['field']}: {$one['wrong']}; {$one['fix']}", $import->assertStatus(422)->json('problems'));
            expect($import->json())->toBe($preview->json())->and(implode("\n", $said))->toContain($problem);
        }
    })->with([
        'equal but for case' => [['id' => 'A', 'name' => 'Another', 'role' => 'tool'], null],
        'too deep' => [['id' => 'b', 'name' => 'Deep', 'role' => 'tool', 'x' => array_reduce(range(1, 40), static fn (mixed $inner): array => [$inner], 1.5)], 'more than 24 groups deep'],
        'twice' => [['id' => 'a', 'name' => 'Again', 'role' => 'tool'], 'used by two parts'],
    ]);
});

describe('a part of one\'s own', function (): void {
    it('is kept by its name alone, and opened and changed again', function (): void {
        $page = $this->assertShape($this->postJson('/api/parts', ['part' => ['name' => '  My old panel ', 'role' => 'display', 'facets' => new stdClass]])->assertCreated(), 'PartPage');
        expect($page->json('part.name'))->toBe('My old panel');
        $id = $page->json('libraryId');
        expect(json_encode(json_decode((string) $this->getJson("/api/parts/{$id}")->assertOk()->getContent())->spec->facets))->toBe('{}');
        $this->putJson("/api/parts/{$id}", ['version' => 1, 'part' => ['name' => 'My old panel', 'role' => 'display', 'facets' => ['size' => new stdClass], 'x-mine' => new stdClass]])->assertOk();
        $build = StartBuild::blank($this->user, 'With it');
        $this->postJson("/api/builds/{$build->id}/lines", ['version' => 1, 'part' => $id, 'role' => 'display'])->assertOk();
        $this->postJson('/api/imports', ['text' => (string) $this->get("/api/builds/{$build->id}/file")->getContent()])->assertCreated();
    });

    it('written over by an import becomes a newer version, so that an open editor notices', function (): void {
        $text = Json::encode(['format' => 'pocketplot-library', 'version' => 1, 'parts' => [['id' => 'mine', 'name' => 'Mine', 'role' => 'tool']]]);
        $this->postJson('/api/parts/imports', ['text' => $text])->assertCreated();
        $row = PartRecord::query()->where('user_id', $this->user->id)->sole();
        $this->postJson('/api/parts/imports', ['text' => str_replace('Mine', 'Changed', $text), 'overwrite' => true])->assertCreated()->assertJsonPath('changed', 1);
        expect($row->refresh()->version)->toBe(2)->and($row->name)->toBe('Changed');
        $this->putJson("/api/parts/{$row->id}", ['version' => 1, 'part' => ['name' => 'From an old page', 'role' => 'tool']])->assertStatus(409)->assertJsonPath('code', 'stale-part');
    });

    it('sent deeper than anything is kept is refused in words', function (): void {
        $deep = array_reduce(range(1, 60), static fn (mixed $inner): array => ['in' => $inner], 1);
        $this->assertShape($this->postJson('/api/parts', ['part' => ['name' => 'Deep', 'role' => 'tool', 'x' => $deep]])->assertStatus(422), 'Problem');
    });
});

describe('what is kept can be taken in again', function (): void {
    it('with forty logs of two thousand rows', function (): void {
        $rows = array_map(static fn (int $row): array => [$row * 10, 4.2 - $row / 1999, 0.5123], range(0, 1999));
        $document = fileWith(['readings' => array_map(static fn (int $number): array => ['id' => "run-{$number}", 'kind' => 'run', 'line' => 'pack', 'takenOn' => '2026-01-01', 'hours' => 5, 'stopped' => 'went dark', 'log' => $rows], range(1, 40))]);
        $id = $this->postJson('/api/imports', ['text' => Json::encode($document)])->assertCreated()->json('id');
        $file = (string) $this->get("/api/builds/{$id}/file")->assertOk()->getContent();
        $again = $this->postJson('/api/imports', ['text' => $file])->assertCreated()->json('id');
        expect((string) $this->get("/api/builds/{$again}/file")->getContent())->toBe($file)->and(ReadingRecord::query()->where('build_id', $again)->count())->toBe(40);
    });

    it('with photographs, all of them', function (): void {
        $build = StartBuild::fromDemo($this->user, 'thimble', null);
        $picture = imagecreatetruecolor(1024, 768);
        mt_srand(7);
        for ($spot = 0; $spot < 200_000; $spot++) {
            imagesetpixel($picture, mt_rand(0, 1023), mt_rand(0, 767), mt_rand(0, 0xFFFFFF));
        }
        ob_start();
        imagejpeg($picture, null, 90);
        $photo = 'data:image/jpeg;base64,'.base64_encode((string) ob_get_clean());
        foreach (range(1, 8) as $version) {
            $this->postJson("/api/builds/{$build->id}/readings", ['version' => $version, 'kind' => 'run', 'line' => 'cell', 'hours' => '5 h', 'stopped' => 'went dark', 'photo' => $photo])->assertOk();
        }
        $file = (string) $this->get("/api/builds/{$build->id}/file")->assertOk()->getContent();
        expect(substr_count($file, 'data:image/jpeg'))->toBe(8);
        $id = $this->postJson('/api/imports', ['text' => $file])->assertCreated()->json('id');
        expect(DB::table('reading_photos')->join('build_readings', 'build_readings.id', '=', 'reading_id')->where('build_id', $id)->count())->toBe(8);
    });

    it('or is not kept: a thousand and one lines', function (): void {
        $lines = array_map(static fn (int $number): array => ['id' => "screw-{$number}", 'part' => 'screw'], range(1, ReadBack::MOST_LINES - 1));
        $id = $this->postJson('/api/imports', ['text' => Json::encode(fileWith([], $lines))])->assertCreated()->json('id');
        $this->deleteJson("/api/builds/{$id}/lines/screw-1", ['version' => 1])->assertOk();
        $this->postJson("/api/builds/{$id}/lines", ['version' => 2, 'part' => $this->part('reg-sluice-12'), 'role' => 'regulator'])->assertOk();
        $this->postJson("/api/builds/{$id}/lines/screw-1/restore", ['version' => 3])->assertStatus(422)->assertJsonPath('fields.part.0', 'A build holds at most 1000 lines. Remove some, or begin another build.');
        $this->postJson("/api/builds/{$id}/lines", ['version' => 3, 'part' => $this->part('reg-sluice-12'), 'role' => 'regulator'])->assertStatus(422);
        $this->postJson('/api/imports/preview', ['text' => (string) $this->get("/api/builds/{$id}/file")->getContent()])->assertOk();
        expect(LineRecord::query()->where('build_id', $id)->whereNull('removed_at')->count())->toBe(1000);
    });

    it('or is not kept: more megabytes than a file may have', function (): void {
        $build = StartBuild::fromDemo($this->user, 'thimble', null);
        $line = $build->lines->firstWhere('key', 'cell');
        // Kept by an older version, which had no such limit.
        foreach (range(1, 2) as $number) {
            $row = ReadingRecord::query()->create(['build_id' => $build->id, 'line_id' => $line->id, 'key' => "old-{$number}", 'document' => ['id' => "old-{$number}", 'kind' => 'run', 'line' => 'cell', 'takenOn' => '2026-01-01', 'hours' => 2, 'stopped' => 'warning']]);
            DB::table('reading_photos')->insert(['reading_id' => $row->id, 'jpeg' => str_repeat('x', 5_990_000)]);
        }
        $this->patchJson("/api/builds/{$build->id}/lines/cell", ['version' => 1, 'note' => 'small'])->assertOk();
        $more = $this->postJson("/api/builds/{$build->id}/readings", ['version' => 2, 'kind' => 'run', 'line' => 'cell', 'hours' => '5 h', 'stopped' => 'went dark', 'log' => array_map(static fn (int $row): array => [$row * 10, 3.7123456789, 0.5123456789], range(0, 1999))]);
        expect($more->assertStatus(422)->json('fields.build.0'))->toContain('at most 16.0 MB are kept')->and($build->refresh()->version)->toBe(2);
    });

    it('or is not kept: steps without end', function (): void {
        $build = StartBuild::fromDemo($this->user, 'thimble', 'Ticked');
        DB::table('build_ticks')->insert(array_map(static fn (int $number): array => ['build_id' => $build->id, 'step' => "step {$number}", 'done_on' => '2026-01-01', 'extra' => '{}'], range(1, ReadBack::MOST_TICKS)));
        $this->postJson("/api/builds/{$build->id}/record", ['events' => [['id' => 'e', 'step' => 'keys/board', 'did' => 'done']]])->assertStatus(422)->assertJsonPath('fields.step.0', 'A build holds at most 5000 ticked steps. Remove some, or begin another build.');
    });

    it('is written compactly where laying it out would make it too long', function (): void {
        $nested = array_fill(0, 80_000, [[[[[[1]]]]]]);
        expect(strlen(Json::encode($nested, JSON_PRETTY_PRINT)))->toBeGreaterThan(Format::MOST_BYTES);
        expect(Json::inFile($nested, Format::MOST_BYTES))->toBe(Json::encode($nested)."\n");
    });
});

it('reads a log of twelve megabytes within a fifth of the memory of a request', function (): void {
    $text = "seconds,volts,amps\n";
    for ($row = 0; strlen($text) < 11_999_960; $row++) {
        $text .= "{$row},3.712,0.512\n";
    }
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $read = PocketPlot\Bench\LogReader::read($text);
    expect(memory_get_peak_usage() - $before)->toBeLessThan(50_000_000)->and($read->taken)->toBe($row)->and(count($read->log))->toBeLessThanOrEqual(600)
        ->and($read->sums?->hours)->toEqualWithDelta(($row - 1) / 3600, 1e-6)->and($read->sums?->milliampHours)->toEqualWithDelta(0.512 * ($row - 1) / 3.6, 0.01);
});
