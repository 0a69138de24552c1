<?php

declare(strict_types=1);

use App\Actions\KeepPart;
use App\Actions\StartBuild;
use App\Models\PartFileRecord;
use App\Models\PartRecord;
use App\Models\User;
use PocketPlot\File\Json;

/*
 * What is kept with a part of one's own: photographs and files, its history, the way back, and two that become one.
 */

beforeEach(function (): void {
    $this->travelTo('2026-11-23 12:00:00');
    $this->user = $this->builder();
    $this->actingAs($this->user);
    $this->one = ['name' => 'Heron board', 'role' => 'board', 'facets' => ['supply' => ['volts' => ['typed' => '5 V', 'source' => 'listing']]]];
    $this->two = ['name' => 'Heron S1', 'role' => 'board', 'facets' => ['supply' => ['volts' => ['typed' => '5.1 V', 'source' => 'measured']], 'size' => ['massG' => ['typed' => '46 g', 'source' => 'listing']]]];
    $this->keep = fn (array $part, ?User $user = null): int => KeepPart::asNew($user ?? $this->user, $part)->id;
});

function picture(int $across, int $down): string
{
    $image = imagecreatetruecolor($across, $down);
    ob_start();
    imagepng($image);

    return 'data:image/png;base64,'.base64_encode((string) ob_get_clean());
}

const TEXT = 'data:text/plain;base64,cGluIDE6IDMuMyBW';

describe('photographs and files', function (): void {
    it('makes a photograph smaller, and shows it', function (): void {
        $id = ($this->keep)($this->one);
        $page = $this->assertShape($this->postJson("/api/parts/{$id}/files", ['name' => 'C:\\pictures\\back.PNG', 'data' => picture(2400, 1200)])->assertCreated(), 'PartPage');
        expect($page->json('files.0.name'))->toBe('back.PNG')->and($page->json('files.0.isPhoto'))->toBeTrue();
        $answer = $this->get("/api/parts/{$id}/files/{$page->json('files.0.id')}")->assertOk()->assertHeader('Content-Type', 'image/jpeg');
        expect(array_slice((array) getimagesizefromstring((string) $answer->getContent()), 0, 2))->toBe([1800, 900]);
    });
    it('hands a file out to be saved, byte by byte, and never to be opened here', function (string $name, string $bytes): void {
        $id = ($this->keep)($this->one);
        $file = $this->postJson("/api/parts/{$id}/files", ['name' => $name, 'data' => 'data:application/octet-stream;base64,'.base64_encode($bytes)])->assertCreated()->json('files.0');
        expect($file['isPhoto'])->toBeFalse()->and($file['bytes'])->toBe(strlen($bytes));
        $answer = $this->get("/api/parts/{$id}/files/{$file['id']}")->assertOk()
            ->assertHeader('Content-Type', 'application/octet-stream')
            ->assertHeader('X-Content-Type-Options', 'nosniff')
            ->assertHeader('Content-Security-Policy', "default-src 'none'; sandbox");
        expect($answer->getContent())->toBe($bytes)->and((string) $answer->headers->get('Content-Disposition'))->toStartWith('attachment;');
    })->with([
        'a drawing with a script in it' => ['holes.svg', '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>'],
        'bytes of all kinds' => ['pins.pdf', implode('', array_map(chr(...), range(0, 255)))],
        'a name of many signs' => ['Stückliste "final" 100%.csv', "a;b\n"],
    ]);
    it('refuses in words what it does not keep', function (array $given, string $field, string $says): void {
        $id = ($this->keep)($this->one);
        $answer = $this->postJson("/api/parts/{$id}/files", $given)->assertStatus(422);
        expect($answer->json("fields.{$field}.0"))->toContain($says)->and(PartFileRecord::query()->count())->toBe(0);
    })->with([
        'a program' => [['name' => 'run.exe', 'data' => TEXT], 'name', 'A file that ends in ".exe" is not kept'],
        'a page' => [['name' => 'page.html', 'data' => TEXT], 'name', '".html" is not kept'],
        'a name without an ending' => [['name' => 'pins', 'data' => TEXT], 'name', 'tells by its ending'],
        'a text that poses as a photograph' => [['name' => 'pins.jpg', 'data' => TEXT], 'photo', 'Choose a photograph'],
        'a photograph that is none' => [['name' => 'pins.jpg', 'data' => 'data:image/jpeg;base64,cGluIDE='], 'photo', 'no photograph that can be read'],
        'nothing' => [['name' => 'pins.txt', 'data' => 'data:text/plain;base64,'], 'data', 'not empty'],
        'no data address' => [['name' => 'pins.txt', 'data' => 'https://shop.example/pins.txt'], 'data', 'at most 5 MB'],
    ]);
    it('refuses forty megabytes, and the thirteenth file', function (): void {
        $id = ($this->keep)($this->one);
        $this->postJson("/api/parts/{$id}/files", ['name' => 'big.jpg', 'data' => 'data:image/jpeg;base64,'.str_repeat('A', 9_000_000)])
            ->assertStatus(422)->assertJsonPath('fields.data.0', 'Choose a photograph of at most 6 MB, or a file of at most 5 MB.');
        for ($number = 1; $number <= 12; $number++) {
            $this->postJson("/api/parts/{$id}/files", ['name' => "{$number}.txt", 'data' => TEXT])->assertCreated();
        }
        $this->postJson("/api/parts/{$id}/files", ['name' => '13.txt', 'data' => TEXT])->assertStatus(422)
            ->assertJsonPath('fields.name.0', 'A part keeps at most 12 photographs and files. Remove one first.');
    });
    it('takes a file away and puts it back', function (): void {
        $id = ($this->keep)($this->one);
        $file = $this->postJson("/api/parts/{$id}/files", ['name' => 'pins.txt', 'data' => TEXT])->json('files.0.id');
        expect($this->deleteJson("/api/parts/{$id}/files/{$file}")->assertOk()->json('files'))->toBe([]);
        $this->get("/api/parts/{$id}/files/{$file}")->assertNotFound();
        expect($this->postJson("/api/parts/{$id}/files/{$file}/restore")->assertOk()->json('files.0.name'))->toBe('pins.txt');
    });
    it('lets a file go a month after it was taken away, so that it counts no more', function (): void {
        $id = ($this->keep)($this->one);
        $file = $this->postJson("/api/parts/{$id}/files", ['name' => 'pins.txt', 'data' => TEXT])->json('files.0.id');
        $this->deleteJson("/api/parts/{$id}/files/{$file}")->assertOk();
        $this->travel(31)->days();
        $this->postJson("/api/parts/{$id}/files", ['name' => 'holes.txt', 'data' => TEXT])->assertCreated();
        expect(PartFileRecord::withTrashed()->count())->toBe(1);
        $this->postJson("/api/parts/{$id}/files/{$file}/restore")->assertNotFound();
    });
    it('shows nobody else\'s', function (): void {
        $id = ($this->keep)($this->one);
        $file = $this->postJson("/api/parts/{$id}/files", ['name' => 'pins.txt', 'data' => TEXT])->json('files.0.id');
        $mine = ($this->keep)($this->two);
        $this->get("/api/parts/{$mine}/files/{$file}")->assertNotFound();
        $this->actingAs($this->builder('other@example.test'));
        $this->get("/api/parts/{$id}/files/{$file}")->assertNotFound();
        $this->postJson("/api/parts/{$id}/files", ['name' => 'pins.txt', 'data' => TEXT])->assertNotFound();
        $this->deleteJson("/api/parts/{$id}/files/{$file}")->assertNotFound();
        $this->postJson("/api/parts/{$this->part('panel-rook-9')}/files", ['name' => 'pins.txt', 'data' => TEXT])->assertNotFound();
    });
});

describe('taking out', function (): void {
    it('keeps files and history for a month, so that it can be put back whole', function (): void {
        $id = ($this->keep)($this->one);
        $this->postJson("/api/parts/{$id}/files", ['name' => 'pins.txt', 'data' => TEXT]);
        $this->putJson("/api/parts/{$id}", ['version' => 1, 'part' => [...$this->one, 'name' => 'Heron board, new']]);
        $this->deleteJson("/api/parts/{$id}")->assertOk();
        $this->getJson("/api/parts/{$id}")->assertNotFound();
        expect($this->getJson('/api/parts?own=1')->json('total'))->toBe(0)->and($this->get('/api/parts/file')->getContent())->not->toContain('Heron');
        $back = $this->postJson("/api/parts/{$id}/restore")->assertOk();
        expect($back->json('part.name'))->toBe('Heron board, new')->and($back->json('files.0.name'))->toBe('pins.txt')->and($back->json('history.0.how'))->toBe('editor');
    });
    it('puts back under another key where its own is taken', function (): void {
        $id = ($this->keep)($this->one);
        $this->deleteJson("/api/parts/{$id}");
        $twin = ($this->keep)($this->one);
        $keys = [PartRecord::query()->findOrFail($twin)->key, $this->postJson("/api/parts/{$id}/restore")->assertOk()->json('part.id')];
        expect($keys)->toBe(['heron-board', 'heron-board-2']);
    });
    it('lets go after a month', function (): void {
        $id = ($this->keep)($this->one);
        $this->deleteJson("/api/parts/{$id}");
        $this->travel(31)->days();
        $this->deleteJson('/api/parts/'.($this->keep)($this->two));
        $this->postJson("/api/parts/{$id}/restore")->assertNotFound();
    });
});

describe('history', function (): void {
    it('says what was changed, when and by what, newest first', function (): void {
        $id = ($this->keep)($this->one);
        $this->putJson("/api/parts/{$id}", ['version' => 1, 'part' => [...$this->one, 'facets' => $this->two['facets']]])->assertOk();
        $this->travel(2)->days();
        $file = Json::encode(['format' => 'pocketplot-library', 'version' => 2, 'parts' => [['id' => 'heron-board', 'name' => 'Heron board', 'role' => 'board', 'facets' => ['size' => ['massG' => 50]]]]]);
        $this->postJson('/api/parts/imports', ['text' => $file, 'overwrite' => true])->assertCreated();
        $page = $this->assertShape($this->getJson("/api/parts/{$id}")->assertOk(), 'PartPage');
        expect($page->json('since'))->toBe('2026-11-23')
            ->and(array_map(static fn (array $one): array => [$one['on'], $one['how'], count($one['changes'])], $page->json('history')))->toBe([['2026-11-25', 'file', 2], ['2026-11-23', 'editor', 2]])
            ->and(collect($page->json('history.1.changes'))->firstWhere('source', 'measured'))->toBe(['label' => 'Supply, supply window', 'before' => '5 V', 'after' => '5.1 V', 'source' => 'measured']);
    });
    it('notes nothing where nothing changed', function (): void {
        $id = ($this->keep)($this->one);
        $this->putJson("/api/parts/{$id}", ['version' => 1, 'part' => $this->one])->assertOk()->assertJsonPath('history', []);
    });
    it('goes back to what a part was, unless it was changed meanwhile', function (): void {
        $id = ($this->keep)($this->one);
        $change = $this->putJson("/api/parts/{$id}", ['version' => 1, 'part' => [...$this->one, 'name' => 'Other']])->json('history.0.id');
        $this->postJson("/api/parts/{$id}/changes/{$change}/back", ['version' => 1])->assertStatus(409)->assertJsonPath('code', 'stale-part');
        $back = $this->postJson("/api/parts/{$id}/changes/{$change}/back", ['version' => 2])->assertOk();
        expect($back->json('part.name'))->toBe('Heron board')->and($back->json('history.0.how'))->toBe('back')->and($back->json('history'))->toHaveCount(2);
        $other = ($this->keep)($this->two);
        $this->postJson("/api/parts/{$other}/changes/{$change}/back", ['version' => 1])->assertNotFound();
    });
});

describe('two that are the same', function (): void {
    it('become one, with what is surer of each, and can be taken apart again', function (): void {
        [$one, $two] = [($this->keep)($this->one), ($this->keep)($this->two)];
        $this->postJson("/api/parts/{$two}/files", ['name' => 'pins.txt', 'data' => TEXT]);
        $build = StartBuild::fromDemo($this->user, 'thimble', null);
        $this->postJson("/api/builds/{$build->id}/lines", ['version' => 1, 'part' => $two, 'role' => 'board'])->assertOk();

        $shown = $this->assertShape($this->getJson("/api/parts/{$one}/merge/{$two}")->assertOk(), 'PartsMerge');
        expect(array_map(static fn (array $row): array => [$row['key'], $row['take']], $shown->json('differences')))->toBe([['name', 0], ['size/massG', 1], ['supply/volts', 1]]);
        $page = $this->assertShape($this->postJson("/api/parts/{$one}/merge", ['version' => 1, 'other' => $two, 'otherVersion' => 1, 'take' => ['name' => 1]])->assertOk(), 'PartPage');
        expect($page->json('part.name'))->toBe('Heron S1')->and($page->json('spec.facets.supply.volts.source'))->toBe('measured')
            ->and($page->json('files.0.name'))->toBe('pins.txt')
            ->and($page->json('usedIn.0.id'))->toBe($build->id)
            ->and($page->json('history.0.how'))->toBe('merge')->and($page->json('history.0.note'))->toBe('Heron S1');
        $this->getJson("/api/parts/{$two}")->assertNotFound();

        $apart = $this->postJson("/api/parts/{$one}/changes/{$page->json('history.0.id')}/back", ['version' => 2])->assertOk();
        expect($apart->json('part.name'))->toBe('Heron board')->and($apart->json('files'))->toBe([])->and($apart->json('usedIn'))->toBe([]);
        $again = $this->getJson("/api/parts/{$two}")->assertOk();
        expect($again->json('part.name'))->toBe('Heron S1')->and($again->json('files.0.name'))->toBe('pins.txt')->and($again->json('usedIn.0.id'))->toBe($build->id);
    });
    it('all come out again when a part goes back to what it was before any of them', function (): void {
        $ids = [($this->keep)($this->one), ($this->keep)($this->two), ($this->keep)([...$this->two, 'name' => 'Heron S1 again'])];
        $first = $this->postJson("/api/parts/{$ids[0]}/merge", ['version' => 1, 'other' => $ids[1], 'otherVersion' => 1])->assertOk()->json('history.0.id');
        $this->postJson("/api/parts/{$ids[0]}/merge", ['version' => 2, 'other' => $ids[2], 'otherVersion' => 1])->assertOk();
        expect($this->getJson('/api/parts?own=1')->json('total'))->toBe(1);
        $this->postJson("/api/parts/{$ids[0]}/changes/{$first}/back", ['version' => 3])->assertOk()->assertJsonPath('part.name', 'Heron board');
        expect($this->getJson('/api/parts?own=1')->json('total'))->toBe(3);
    });
    it('are refused when one of them was changed, is not one\'s own, or is the same one', function (): void {
        [$one, $two] = [($this->keep)($this->one), ($this->keep)($this->two)];
        $foreign = ($this->keep)($this->two, $this->builder('other@example.test'));
        $ask = fn (array $given): int => $this->postJson("/api/parts/{$one}/merge", [...['version' => 1, 'other' => $two, 'otherVersion' => 1], ...$given])->getStatusCode();
        expect([$ask(['version' => 2]), $ask(['otherVersion' => 3]), $ask(['other' => $foreign]), $ask(['other' => $one]), $ask(['other' => $this->part('panel-rook-9')]), $ask(['take' => ['name' => 5]])])
            ->toBe([409, 409, 404, 404, 404, 422])
            ->and(PartRecord::query()->whereKey([$one, $two])->pluck('version')->all())->toBe([1, 1]);
        $this->getJson("/api/parts/{$one}/merge/{$foreign}")->assertNotFound();
    });
    it('say by field what would contradict itself, and stay two', function (): void {
        $charger = static fn (int $cells): array => ['name' => 'Charger', 'role' => 'charger', 'facets' => ['charger' => ['chemistries' => ['LiPo'], 'seriesLeast' => $cells, 'seriesMost' => $cells]]];
        [$one, $two] = [($this->keep)($charger(3)), ($this->keep)($charger(1))];
        $this->postJson("/api/parts/{$one}/merge", ['version' => 1, 'other' => $two, 'otherVersion' => 1, 'take' => ['charger/seriesMost' => 1]])
            ->assertStatus(422)->assertJsonPath('code', 'bad-file')->assertJsonPath('problems.0.field', 'facets/charger/seriesLeast');
        $this->getJson("/api/parts/{$two}")->assertOk();
    });
});

it('shows of a file what it would change in each part, and writes over those that are ticked', function (): void {
    ($this->keep)($this->one);
    ($this->keep)($this->two);
    $part = static fn (string $id, string $name, int $grams): array => ['id' => $id, 'name' => $name, 'role' => 'board', 'facets' => ['size' => ['massG' => $grams]]];
    $file = Json::encode(['format' => 'pocketplot-library', 'version' => 2, 'parts' => [$part('fresh', 'Fresh', 9), $part('heron-board', 'Heron board', 40), $part('heron-s1', 'Heron S1', 41)]]);
    $seen = $this->assertShape($this->postJson('/api/parts/imports/preview', ['text' => $file])->assertOk(), 'PartsPreview');
    expect(array_map(static fn (array $one): array => [$one['key'], $one['known'], array_column($one['changes'], 'after')], $seen->json('parts')))->toBe([
        ['heron-board', true, [null, '40 g']], ['heron-s1', true, ['41 g', null]], ['fresh', false, []],
    ]);
    $this->postJson('/api/parts/imports', ['text' => $file, 'overwrite' => ['heron-s1']])->assertCreated()->assertJson(['added' => 1, 'changed' => 1, 'left' => 1]);
    expect(PartRecord::query()->where('key', 'heron-board')->sole()->spec['facets'])->toHaveKey('supply')
        ->and(PartRecord::query()->where('key', 'heron-s1')->sole()->spec['facets'])->not->toHaveKey('supply');
});
