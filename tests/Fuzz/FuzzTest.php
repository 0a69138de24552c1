<?php

declare(strict_types=1);

use App\Actions\StartBuild;
use App\Models\PartRecord;
use App\Models\ReadingRecord;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PocketPlot\Check\Measuring;
use PocketPlot\File\Json;
use Tests\Fuzz\Calls;
use Tests\Fuzz\Lot;

/*
 * Ten thousand kinds of input: whatever comes in, no answer is an error of ours, and whatever was taken can be read,
 * saved and taken in again. bin/fuzz runs it with any count and seed; bin/test with a small one.
 */

/** Inputs of one test; each test has an application of its own. */
const CHUNK = 50;

/** @return list<array{int}> the seeds of so many chunks, this process's share of them */
function chunks(float $share): array
{
    $number = static fn (string $name, int $else): int => is_numeric($value = getenv($name)) ? (int) $value : $else;
    $seed = $number('FUZZ_SEED', 1);
    $chunks = max(1, (int) ceil($number('FUZZ_COUNT', 200) * $share / CHUNK));
    $mine = array_filter(range(1, $chunks), static fn (int $chunk): bool => $chunk % $number('FUZZ_JOBS', 1) === $number('FUZZ_JOB', 0));

    return array_values(array_map(static fn (int $chunk): array => [$seed * 100_003 + $chunk], $mine));
}

beforeEach(function (): void {
    config(['pocketplot.bench_pause_ms' => 0]);
    $this->user = $this->builder('fuzz@example.test');
    $this->actingAs($this->user);
    $this->tally = [];
    $this->ask = function (string $method, string $path, string|array $body = []): TestResponse {
        $content = is_string($body) ? $body : json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
        $began = hrtime(true);
        $answer = $this->call($method, "/api{$path}", [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], (string) $content);
        if ($answer->baseResponse instanceof Symfony\Component\HttpFoundation\StreamedResponse) {
            $answer->streamedContent();
        }
        $milliseconds = (hrtime(true) - $began) / 1e6;
        $status = $answer->getStatusCode();
        $this->tally[] = json_encode(['route' => $method.' '.preg_replace('#/(\d+|[0-9a-z]{26})(?=/|$)#', '/{id}', strtok($path, '?') ?: $path), 'status' => $status, 'ms' => round($milliseconds, 1), 'bytes' => strlen((string) $content)]);
        if ($status >= 500) {
            $kept = storage_path('logs/fuzz-'.substr(md5((string) $content), 0, 10).'.json');
            file_put_contents($kept, (string) $content);
            $this->fail("{$method} {$path} answered {$status} ({$kept}): ".($answer->exception?->getMessage() ?? $answer->getContent()).' at '.($answer->exception?->getFile() ?? '').':'.($answer->exception?->getLine() ?? ''));
        }
        if ($status >= 400) {
            expect($answer->json('message'))->toBeString("{$method} {$path}");
        }

        return $answer;
    };
    /** A build that was taken can be looked at from every side, saved, and taken in again. */
    $this->readsBack = function (string $id): void {
        $path = "/builds/{$id}";
        foreach (['', '/power', '/power?way=1&celsius=-5', '/bench', '/parts.csv'] as $page) {
            expect(($this->ask)('GET', $path.$page)->getStatusCode())->toBe(200, $path.$page);
        }
        $file = (string) ($this->ask)('GET', "{$path}/file")->getContent();
        $again = ($this->ask)('POST', '/imports', ['text' => $file]);
        expect($again->getStatusCode())->toBe(201, (string) $again->getContent());
        expect((string) ($this->ask)('GET', '/builds/'.$again->json('id').'/file')->getContent())->toBe($file);
    };
});

afterEach(function (): void {
    $report = getenv('FUZZ_REPORT');
    if (is_string($report) && $report !== '') {
        file_put_contents($report, implode("\n", $this->tally)."\n", FILE_APPEND);
    }
});

/** @return list<string> the texts that are mutated: the demo builds and those of the core's tests */
function seedFiles(): array
{
    return array_map(static fn (string $path): string => (string) file_get_contents($path), [...glob(base_path('demo/{refuge,thimble,barge}.pocketplot.json'), GLOB_BRACE) ?: [], ...glob(base_path('core/tests/builds/*.pocketplot.json')) ?: []]);
}

it('takes or refuses files of builds, alike before and after', function (int $seed): void {
    $lot = new Lot($seed);
    $files = seedFiles();
    for ($round = 0; $round < CHUNK; $round++) {
        DB::beginTransaction();
        $text = $lot->one($files);
        if ($lot->happens(0.85)) {
            $text = Json::encode($lot->mutate(json_decode($text, true), 1 + $lot->upTo(4)), JSON_PARTIAL_OUTPUT_ON_ERROR);
        }
        $text = $lot->happens(0.2) ? $lot->breakText($text) : $text;
        $body = json_encode(['text' => $text], JSON_INVALID_UTF8_SUBSTITUTE);
        $preview = ($this->ask)('POST', '/imports/preview', (string) $body);
        if ($preview->getStatusCode() !== 200 && $lot->happens(0.8)) {
            DB::rollBack();

            continue;
        }
        $import = ($this->ask)('POST', '/imports', (string) $body);
        expect($import->getStatusCode() === 201)->toBe($preview->getStatusCode() === 200, (string) $import->getContent());
        if ($import->getStatusCode() === 201) {
            ($this->readsBack)($import->json('id'));
        }
        DB::rollBack();
    }
})->with(static fn (): array => chunks(0.35));

it('takes or refuses files of parts, alike before and after', function (int $seed): void {
    $lot = new Lot($seed + 11);
    $shelf = json_decode((string) file_get_contents(base_path('demo/library.pocketplot.json')), true)['parts'];
    for ($round = 0; $round < CHUNK; $round++) {
        DB::beginTransaction();
        $parts = array_map(static fn (): array => $lot->one($shelf), range(0, $lot->upTo(3)));
        $text = Json::encode($lot->mutate(['format' => 'pocketplot-library', 'version' => 1, 'parts' => $parts], 1 + $lot->upTo(3)), JSON_PARTIAL_OUTPUT_ON_ERROR);
        $body = ['text' => $text, 'overwrite' => $lot->happens(0.5)];
        $preview = ($this->ask)('POST', '/parts/imports/preview', $body);
        $import = ($this->ask)('POST', '/parts/imports', $body);
        expect($import->getStatusCode() === 201)->toBe($preview->getStatusCode() === 200, (string) $import->getContent());
        if ($import->getStatusCode() === 201) {
            $file = (string) ($this->ask)('GET', '/parts/file')->getContent();
            expect(($this->ask)('POST', '/parts/imports', ['text' => $file])->getStatusCode())->toBe(201);
            foreach (PartRecord::query()->where('user_id', $this->user->id)->pluck('id') as $id) {
                expect(($this->ask)('GET', "/parts/{$id}")->getStatusCode())->toBe(200);
            }
        }
        DB::rollBack();
    }
})->with(static fn (): array => chunks(0.1));

it('takes or refuses edits through every route that writes', function (int $seed): void {
    $lot = new Lot($seed + 23);
    $calls = new Calls(json_decode((string) file_get_contents(base_path('contract/openapi.json')), true), $lot);
    $build = StartBuild::fromDemo($this->user, $lot->one(['refuge', 'thimble', 'barge']), null);
    $shelf = PartRecord::query()->where('user_id', User::shelf()->id)->pluck('id')->all();
    $own = ($this->ask)('POST', '/parts', ['part' => ['name' => 'Mine', 'role' => 'display', 'facets' => ['size' => ['lengthMm' => 10]]]])->json('libraryId');
    $figures = array_keys((new ReflectionClassConstant(Measuring::class, 'FIGURES'))->getValue());
    for ($round = 0; $round < CHUNK; $round++) {
        $lines = $build->lines()->pluck('key')->all() ?: ['none'];
        $pools = [
            'version' => [$build->refresh()->version], 'part' => [$lot->one($shelf), $own], 'line' => $lines, 'from' => $lines, 'to' => $lines, 'through' => $lines, 'beside' => $lines,
            'figure' => [...$figures, 'lengthMm', 'heightMm'], 'typed' => ['12 V', '8 to 14 V', '300 / 500 / 700 mA', '17 mm', '85 %', 'yes', 'no', '1/8 in'], 'text' => [Json::encode($lot->mutate(json_decode($lot->one(seedFiles()), true), 1)), "s,V,A\n0,4,1\n5,3.9,1\n"],
            'currency' => ['EUR', 'GBP'], 'takenOn' => ['2026-11-20'], 'expectedOn' => ['2026-12-01'],
        ];
        $route = $lot->one($calls->routes);
        $path = strtr($route['path'], [
            '{build}' => $build->id, '{line}' => rawurlencode($lot->one($lines)), '{part}' => (string) $own,
            '{reading}' => $lot->one([...ReadingRecord::query()->where('build_id', $build->id)->pluck('key')->all(), 'none']),
        ]);
        // Editors send a part; everywhere else "part" is a number.
        if (str_contains($route['path'], 'parts') || str_ends_with($route['path'], '/part')) {
            $pools['part'] = [['name' => 'Changed', 'role' => 'display', 'facets' => ['size' => ['lengthMm' => ['typed' => '1/8 in', 'source' => 'measured']], 'panel' => ['widthPx' => 320, 'heightPx' => 240]]]];
        }
        $body = $calls->fill($route['body'], $pools);
        $body = $lot->happens(0.6) && is_array($body) ? $lot->mutate($body, 1 + $lot->upTo(2)) : $body;
        $away = in_array($route['method'].$route['path'], ['DELETE/builds/{build}', 'DELETE/parts/{part}'], true);
        if ($away) {
            DB::beginTransaction();
        }
        ($this->ask)($route['method'], $path, is_array($body) ? $body : ['odd' => $body]);
        if ($away) {
            DB::rollBack();
        }
        if ($round % 10 === 9) {
            expect(($this->ask)('GET', "/builds/{$build->id}")->getStatusCode())->toBe(200);
            expect(array_filter(($this->ask)('GET', '/builds')->json('builds'), static fn (array $card): bool => $card['unreadable'] !== null))->toBe([]);
        }
    }
    ($this->readsBack)($build->id);
})->with(static fn (): array => chunks(0.5));

it('answers hostile counts', function (int $seed): void {
    $lot = new Lot($seed + 41);
    $shelf = json_decode((string) file_get_contents(base_path('demo/library.pocketplot.json')), true)['parts'];
    for ($round = 0; $round < CHUNK / 10; $round++) {
        DB::beginTransaction();
        $kind = $lot->one($shelf)['role'];
        $parts = array_values(array_filter($shelf, static fn (array $part): bool => $lot->happens(0.1) || $part['role'] === $kind));
        $count = $lot->one([50, 200, 400]);
        $lines = [];
        for ($line = 0; $line < $count; $line++) {
            $lines[] = ['id' => "l{$line}", 'part' => $parts[$line % count($parts)]['id'], 'quantity' => $lot->one([1, 999, 10_000])];
        }
        $joins = array_map(static fn (): array => ['kind' => $lot->one(['power', 'video', 'parallel']), 'from' => 'l'.$lot->upTo($count - 1), 'to' => 'l'.$lot->upTo($count - 1)], range(0, $lot->upTo(3)));
        $games = ['class' => 'all', 'players' => 8, 'dPads' => 1000, 'buttons' => 1000, 'sticks' => 1000, 'knobs' => 1000, 'touch' => true, 'pictureWidthPx' => 20_000, 'pictureHeightPx' => 20_000];
        $document = ['format' => 'pocketplot-build', 'version' => 1, 'name' => 'Many', 'brief' => ['runTimeHours' => 1000, 'games' => array_fill(0, 20, $games)], 'parts' => $parts, 'lines' => $lines, ...($lot->happens(0.5) ? ['joins' => $joins] : [])];
        $import = ($this->ask)('POST', '/imports', ['text' => Json::encode($document)]);
        if ($import->getStatusCode() === 201) {
            ($this->readsBack)($import->json('id'));
        }
        DB::rollBack();
    }
})->with(static fn (): array => chunks(0.05));
