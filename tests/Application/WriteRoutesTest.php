<?php

declare(strict_types=1);

use App\Actions\DrawerPieces;
use App\Actions\Lines;
use App\Actions\PartFiles;
use App\Actions\StartBuild;
use App\Models\BuildRecord;
use App\Models\DrawerClaimRecord;
use App\Models\DrawerPieceRecord;
use App\Models\LineRecord;
use App\Models\OfferRecord;
use App\Models\OrderRecord;
use App\Models\PartChangeRecord;
use App\Models\PartFileRecord;
use App\Models\PartRecord;
use App\Models\VendorRecord;
use Illuminate\Routing\Route as LaravelRoute;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;

/*
 * Every route that writes, taken from the router: after a call that was refused, or that broke on its way, the
 * build, the list, the library and the files are what they were.
 */

/** @return list<array{string, string}> method and path of every route that writes to a build or a library */
function writingRoutes(): array
{
    $found = [];
    /** @var LaravelRoute $route */
    foreach (Route::getRoutes() as $route) {
        $path = '/'.$route->uri();
        foreach (array_intersect($route->methods(), ['POST', 'PUT', 'PATCH', 'DELETE']) as $method) {
            if (preg_match('#^/api/(builds|parts|imports|vendors|offers|drawer)(/|$)#', $path) === 1) {
                $found[] = [$method, $path];
            }
        }
    }

    return $found;
}

/** What would be a good call of each route, by method and path with its parameters. */
const GOOD = [
    'POST /api/builds' => ['name' => 'New'],
    'POST /api/imports/preview' => ['text' => '{"format":"pocketplot-build","version":1,"name":"x","lines":[]}'],
    'POST /api/imports' => ['text' => '{"format":"pocketplot-build","version":1,"name":"x","lines":[]}'],
    'POST /api/parts' => ['part' => ['name' => 'New', 'role' => 'tool']],
    'POST /api/parts/imports/preview' => ['text' => '{"format":"pocketplot-library","version":1,"parts":[{"id":"n","name":"N","role":"tool"}]}'],
    'POST /api/parts/imports' => ['text' => '{"format":"pocketplot-library","version":1,"parts":[{"id":"n","name":"N","role":"tool"}]}'],
    'POST /api/parts/sheet' => ['rows' => [['name' => 'New', 'role' => 'tool']]],
    'POST /api/builds/{build}/lines/{line}/mine' => ['version' => 2, 'name' => 'Mine'],
    'POST /api/builds/{build}/lines/many' => ['version' => 2, 'lines' => ['board'], 'then' => 'remove'],
    'POST /api/builds/{build}/sheet' => ['version' => 2, 'rows' => [['name' => 'New', 'role' => 'tool']]],
    'PUT /api/parts/{part}' => ['version' => 1, 'part' => ['name' => 'Changed', 'role' => 'tool']],
    'DELETE /api/parts/{part}' => [],
    'POST /api/parts/{part}/copy' => [],
    'POST /api/parts/{part}/restore' => [],
    'POST /api/parts/{part}/merge' => ['version' => 1, 'other' => '{other}', 'otherVersion' => 1, 'take' => ['name' => 1]],
    'POST /api/parts/{part}/changes/{change}/back' => ['version' => 1],
    'POST /api/parts/{part}/files' => ['name' => 'pins.txt', 'data' => 'data:text/plain;base64,cGluIDE='],
    'DELETE /api/parts/{part}/files/{file}' => [],
    'POST /api/parts/{part}/files/{file}/restore' => [],
    'DELETE /api/builds/{build}' => [],
    'POST /api/builds/{build}/restore' => [],
    'PUT /api/builds/{build}/brief' => ['version' => 2, 'name' => 'Changed', 'brief' => ['currency' => 'EUR', 'games' => []]],
    'PUT /api/builds/{build}/at-hand' => ['version' => 2, 'skills' => ['soldering']],
    'PUT /api/builds/{build}/margins' => ['version' => 2, 'margins' => ['supply-volts' => 2]],
    'POST /api/builds/{build}/look' => ['version' => 2],
    'PUT /api/builds/{build}/joins' => ['version' => 2, 'kind' => 'power', 'from' => 'cell', 'to' => 'board'],
    'DELETE /api/builds/{build}/joins' => ['version' => 2, 'kind' => 'power', 'to' => 'board'],
    'PUT /api/builds/{build}/profiles' => ['version' => 2, 'profiles' => [['name' => 'slow', 'usual' => 1.0]]],
    'POST /api/builds/{build}/readings' => ['version' => 2, 'kind' => 'draw', 'line' => 'board', 'state' => 'usual', 'volts' => 5, 'milliamps' => 600],
    'DELETE /api/builds/{build}/readings/{reading}' => ['version' => 2],
    'POST /api/builds/{build}/readings/{reading}/restore' => ['version' => 2],
    'POST /api/builds/{build}/readings/{reading}/use' => ['version' => 2],
    'DELETE /api/builds/{build}/readings/{reading}/use' => ['version' => 2],
    'POST /api/builds/{build}/work' => ['version' => 2, 'did' => 'drop', 'step' => 'keep', 'why' => 'later'],
    'POST /api/builds/{build}/fit' => ['version' => 2, 'did' => 'put', 'line' => 'cell', 'xMm' => 1.5, 'yMm' => 2.0, 'zMm' => 4.0],
    'POST /api/builds/{build}/record' => ['events' => [['id' => 'e1', 'step' => 'meter/pack', 'did' => 'later', 'on' => '2026-11-23', 'note' => 'tomorrow']]],
    'POST /api/builds/{build}/remedy' => ['version' => 2, 'part' => '{library}', 'role' => 'regulator'],
    'POST /api/builds/{build}/own' => ['version' => 2, 'parts' => [['name' => 'My own board', 'role' => 'board']]],
    'POST /api/builds/{build}/wanted' => ['version' => 2, 'finding' => 'whole.missing-role/build/case'],
    'POST /api/builds/{build}/lines' => ['version' => 2, 'part' => '{library}', 'role' => 'tool'],
    'PATCH /api/builds/{build}/lines/{line}' => ['version' => 2, 'note' => 'changed'],
    'DELETE /api/builds/{build}/lines/{line}' => ['version' => 2],
    'PUT /api/builds/{build}/lines/{line}/figures' => ['version' => 2, 'figure' => 'size.heightMm', 'typed' => '17 mm'],
    'PUT /api/builds/{build}/lines/{line}/part' => ['version' => 2, 'part' => ['name' => 'Changed', 'role' => 'board', 'facets' => []]],
    'POST /api/builds/{build}/lines/{line}/swap' => ['version' => 2, 'part' => '{library}'],
    'POST /api/builds/{build}/lines/{line}/choose' => ['version' => 2],
    'POST /api/builds/{build}/lines/{line}/restore' => ['version' => 2],
    'POST /api/builds/{build}/orders' => ['version' => 2, 'vendor' => 'Kestrel & Wick', 'items' => [['line' => 'board', 'offer' => 'line board', 'pieces' => 1]], 'why' => 'a second one'],
    'POST /api/builds/{build}/orders/{order}/did' => ['version' => 2, 'did' => 'arrive', 'item' => 0, 'right' => 1],
    'POST /api/builds/{build}/find' => ['line' => 'board', 'text' => 'Some board 5 V 1 A', 'price' => '3 GBP'],
    'POST /api/builds/{build}/found' => ['version' => 2, 'line' => 'board', 'text' => 'Some board 5 V 1 A'],
    'POST /api/builds/{build}/rates' => ['version' => 2],
    'POST /api/builds/{build}/price-feed' => [],
    'POST /api/builds/{build}/offers-sheet' => ['text' => "Part\tVendor\tPrice\nQuill micro board\tMine\t3.20", 'take' => true],
    'POST /api/builds/{build}/claims' => ['version' => 2, 'line' => 'board', 'piece' => '{piece}', 'quantity' => 1],
    'DELETE /api/builds/{build}/claims/{line}' => ['version' => 2],
    'POST /api/drawer' => ['name' => 'Old board', 'quantity' => 1],
    'PUT /api/drawer/{piece}' => ['version' => 1, 'quantity' => 2],
    'DELETE /api/drawer/{piece}' => [],
    'POST /api/drawer/{piece}/restore' => [],
    'POST /api/drawer/{piece}/break-up' => ['parts' => [['name' => 'loudspeaker 4 ohm']]],
    'POST /api/vendors' => ['name' => 'The Ford', 'currency' => 'EUR', 'lead' => ['usual' => 4]],
    'PUT /api/vendors/{vendor}' => ['version' => 1, 'name' => 'The Ford', 'currency' => 'EUR', 'lead' => ['usual' => 4]],
    'DELETE /api/vendors/{vendor}' => [],
    'POST /api/offers' => ['partKey' => 'board-quill', 'vendor' => 'Mine', 'pieces' => 1, 'prices' => [['from' => 1, 'price' => '3.20']]],
    'PUT /api/offers/{offer}' => ['version' => 1, 'partKey' => 'board-quill', 'vendor' => 'Mine', 'pieces' => 1, 'prices' => [['from' => 1, 'price' => '3.20']]],
    'DELETE /api/offers/{offer}' => [],
];

beforeEach(function (): void {
    $this->travelTo('2026-11-23 12:00:00');
    $this->user = $this->builder();
    $this->actingAs($this->user);
    $this->postJson('/api/parts', ['part' => ['name' => 'Mine', 'role' => 'tool']])->assertCreated();
    $this->own = PartRecord::query()->where('user_id', $this->user->id)->sole()->id;
    $own = PartRecord::query()->findOrFail($this->own);
    $this->other = $this->postJson('/api/parts', ['part' => ['name' => 'Mine as well', 'role' => 'tool']])->assertCreated()->json('libraryId');
    // Each has been changed once, a file added, and one taken away.
    $this->change = $own->history()->create(['how' => 'editor', 'note' => '', 'changes' => [], 'before' => [...$own->spec, 'name' => 'Mine once']])->id;
    $this->file = PartFiles::add($own, 'holes.txt', 'data:text/plain;base64,cGluIDE=')->id;
    $this->away = PartFiles::add($own, 'away.txt', 'data:text/plain;base64,cGluIDE=')->id;
    PartFiles::remove($own, $this->away);
    $this->build = StartBuild::fromDemo($this->user, 'thimble', null);
    // Something has to be wanting.
    LineRecord::query()->where('build_id', $this->build->id)->where('role', 'case')->update(['removed_at' => now()]);
    // And something has to stand for any of its kind.
    $board = Lines::partOf($this->build, 'board');
    $board->fill(['spec' => [...$board->spec, 'typical' => true]])->save();
    $this->reading = $this->postJson("/api/builds/{$this->build->id}/readings", ['version' => 1, 'kind' => 'draw', 'line' => 'board', 'state' => 'usual', 'volts' => 5, 'milliamps' => 600])->assertOk();
    $this->reading = $this->getJson("/api/builds/{$this->build->id}/bench")->json('readings.0.id');
    $this->piece = DrawerPieces::put($this->user, ['name' => 'A board', 'role' => 'board', 'quantity' => 2, 'part_key' => '', 'spec' => ['name' => 'A board', 'role' => 'board', 'facets' => []]])->id;
    $this->vendor = VendorRecord::query()->create(['user_id' => $this->user->id, 'name' => 'Mine', 'currency' => 'EUR', 'lead_days' => 3, 'note' => ''])->id;
    $this->offer = OfferRecord::query()->create(['user_id' => $this->user->id, 'part_key' => 'x', 'vendor' => 'Mine', 'pieces' => 1, 'prices' => [['from' => 1, 'price' => '1.00']], 'condition' => 'new', 'seen_on' => '2026-11-20'])->id;
    $item = ['line' => 'board', 'part' => Lines::partOf($this->build, 'board')->key, 'name' => 'Board', 'packets' => 1, 'pieces' => 1, 'goods' => '4.00'];
    OrderRecord::query()->create(['build_id' => $this->build->id, 'key' => 'o1', 'history' => [], 'document' => [
        'id' => 'o1', 'vendor' => 'Kestrel & Wick', 'state' => 'placed', 'placedOn' => '2026-11-20', 'currency' => 'EUR', 'items' => [$item],
    ]]);
    $this->state = fn (): array => [
        $this->getJson("/api/builds/{$this->build->id}/orders")->assertOk()->json(),
        $this->getJson('/api/drawer')->assertOk()->json(), $this->getJson('/api/vendors')->assertOk()->json(),
        OfferRecord::query()->orderBy('id')->get()->toArray(), DrawerPieceRecord::withTrashed()->count(), DrawerClaimRecord::query()->count(), OrderRecord::query()->count(),
        $this->getJson("/api/builds/{$this->build->id}")->assertOk()->json(),
        $this->getJson('/api/builds')->assertOk()->json(),
        (string) $this->get("/api/builds/{$this->build->id}/file")->assertOk()->getContent(),
        (string) $this->get('/api/parts/file')->assertOk()->getContent(),
        $this->getJson("/api/builds/{$this->build->id}/bench")->assertOk()->json(),
        $this->getJson("/api/parts/{$this->own}")->assertOk()->json(),
        BuildRecord::withTrashed()->count(), PartRecord::query()->count(), PartFileRecord::query()->count(), PartChangeRecord::query()->count(),
    ];
    $this->ask = function (string $method, string $path, array $given): TestResponse {
        $file = str_contains($path, 'restore') ? $this->away : $this->file;
        $path = str_replace(
            ['{build}', '{line}', '{reading}', '{part}', '{change}', '{file}', '{piece}', '{vendor}', '{offer}', '{order}'],
            [$this->build->id, 'board', $this->reading, (string) $this->own, (string) $this->change, (string) $file, (string) $this->piece, (string) $this->vendor, (string) $this->offer, 'o1'],
            $path,
        );
        $means = ['{library}' => fn (): int => $this->part('reg-sluice-12'), '{other}' => fn (): int => $this->other, '{piece}' => fn (): int => $this->piece];

        return $this->json($method, $path, array_map(static fn (mixed $value): mixed => is_string($value) && isset($means[$value]) ? $means[$value]() : $value, $given));
    };
});

it('knows a good call of every route that writes', function (): void {
    $routes = array_map(static fn (array $route): string => "{$route[0]} {$route[1]}", writingRoutes());
    expect(array_values(array_diff($routes, array_keys(GOOD))))->toBe([])->and(array_values(array_diff(array_keys(GOOD), $routes)))->toBe([]);
});

it('takes the good call', function (string $route): void {
    [$method, $path] = explode(' ', $route);
    $answer = ($this->ask)($method, $path, GOOD[$route]);
    expect($answer->getStatusCode())->toBeIn([200, 201]);
})->with(array_keys(GOOD));

it('leaves everything as it was when the call is refused', function (string $route): void {
    [$method, $path] = explode(' ', $route);
    $before = ($this->state)();
    $refused = 0;
    $good = GOOD[$route];
    $calls = [];
    foreach (array_keys($good) as $field) {
        foreach ([null, [], ['x' => ['y' => 'z']], "\0", str_repeat('x', 5000), -1, '', 1e300, true] as $odd) {
            $calls[] = [...$good, $field => $odd];
        }
        $calls[] = array_diff_key($good, [$field => true]);
    }
    if (isset($good['version'])) {
        $calls[] = [...$good, 'version' => 1];
        $calls[] = [...$good, 'version' => 3];
    }
    foreach ($calls as $given) {
        // Some of the odd calls are good ones: what they write is taken back, what a refused one wrote stays to be seen.
        DB::beginTransaction();
        $answer = ($this->ask)($method, $path, $given);
        if ($answer->getStatusCode() < 400) {
            DB::rollBack();

            continue;
        }
        DB::commit();
        $refused++;
        $this->assertShape($answer, 'Problem');
        expect($answer->getStatusCode())->toBeLessThan(500, json_encode($given, JSON_PARTIAL_OUTPUT_ON_ERROR) ?: '');
    }
    expect(($this->state)())->toBe($before)->and($refused > 0 || $good === [])->toBeTrue();
})->with(array_keys(GOOD));

it('leaves everything as it was when the call breaks after its last write', function (string $route): void {
    if (str_contains($route, 'preview')) {
        expect(GOOD[$route])->toHaveKey('text');

        return;
    }
    [$method, $path] = explode(' ', $route);
    $before = ($this->state)();
    // The first call counts the writes, the second breaks behind the last of them.
    $writes = 0;
    $breakAt = null;
    DB::listen(function ($query) use (&$writes, &$breakAt): void {
        if (preg_match('/^(insert|update|delete)/', $query->sql) === 1 && ++$writes === $breakAt) {
            throw new RuntimeException('the power went');
        }
    });
    DB::beginTransaction();
    ($this->ask)($method, $path, GOOD[$route]);
    DB::rollBack();
    $breakAt = $writes;
    $writes = 0;
    if ($breakAt === 0) {
        // Restoring what is there writes nothing, and neither does judging a find, or a feed that has nothing new.
        expect($route)->toMatch('#restore|/find$|/price-feed$#');

        return;
    }
    ($this->ask)($method, $path, GOOD[$route])->assertStatus(500)->assertJsonPath('code', 'broken');
    $breakAt = null;
    expect(($this->state)())->toBe($before);
})->with(array_keys(GOOD));

it('leaves everything as it was when the answer cannot be worked out', function (string $route): void {
    [$method, $path] = explode(' ', $route);
    $before = ($this->state)();
    $broken = false;
    DB::listen(function ($query) use (&$broken): void {
        // The rows are read back for the answer; here that fails.
        if ($broken && str_starts_with($query->sql, 'select * from `build_ticks`')) {
            throw new RuntimeException('the power went');
        }
    });
    $broken = true;
    $answer = ($this->ask)($method, $path, GOOD[$route]);
    $broken = false;
    expect($answer->getStatusCode())->toBe(500)->and(($this->state)())->toBe($before);
})->with(array_values(array_filter(array_keys(GOOD), static fn (string $route): bool => isset(GOOD[$route]['version']) && str_contains($route, '{build}'))));
