<?php

declare(strict_types=1);

use App\Actions\StartBuild;
use App\Models\Letter;
use App\Standins\Bench\BenchInstrument;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Facades\Log;
use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use Symfony\Component\Process\Process;
use Tests\TestCase;

describe('a stream', function (): void {
    beforeEach(function (): void {
        config(['pocketplot.bench_pause_ms' => 0]);
        $this->user = $this->builder();
        $this->actingAs($this->user);
        $this->path = '/api/builds/'.$this->refuge($this->user)->id.'/bench/simulated';
    });

    it('is not begun with steps too many', function (): void {
        $this->getJson("{$this->path}?kind=sweep&line=panel&from=60&step=0.01")->assertStatus(422)->assertJsonPath('fields.step.0', 'That would be more than 400 steps; take wider ones, or begin lower.');
        expect(count(explode("\n", trim($this->get("{$this->path}?kind=sweep&line=panel&from=20&step=0.05")->assertOk()->streamedContent()))))->toBeLessThan(403);
    });

    it('ends, however much an instrument has to tell', function (): void {
        $this->app->bind(BenchInstrument::class, static fn () => new class implements BenchInstrument
        {
            public function name(): string
            {
                return 'Endless';
            }

            public function isSimulated(): bool
            {
                return true;
            }

            public function sweep(Build $build, Line $line, float $fromV, float $stepV, bool $signal): iterable
            {
                while (true) {
                    yield ['volts' => 1.0, 'lit' => true, 'milliamps' => 1.0];
                }
            }

            public function draw(Build $build, Line $line, string $state): array
            {
                return ['volts' => 1.0, 'milliamps' => 1.0];
            }

            public function run(Build $build, Line $pack, int $way): iterable
            {
                return [];
            }
        });
        expect(count(explode("\n", trim($this->get("{$this->path}?kind=sweep&line=panel")->assertOk()->streamedContent()))))->toBe(2000);
    });

    it('is one at a time, and lets the next one in when it ends, also badly', function (): void {
        $held = Cache::lock("stream {$this->user->id}", 60);
        expect($held->get())->toBeTrue();
        $this->assertShape($this->getJson("{$this->path}?kind=draw&line=panel")->assertStatus(429), 'Problem')
            ->assertJsonPath('message', 'Another measurement or sampling of yours is still running. Wait until it has ended, then try again.');
        $held->release();
        $this->get("{$this->path}?kind=draw&line=panel")->assertOk()->streamedContent();
        $this->get("{$this->path}?kind=run&line=pack")->assertOk()->streamedContent();
        expect(Cache::lock("stream {$this->user->id}", 60)->get())->toBeTrue();
    });

    it('of somebody else is no hindrance', function (): void {
        $other = $this->builder('other@example.test');
        expect(Cache::lock("stream {$other->id}", 60)->get())->toBeTrue();
        $this->get("{$this->path}?kind=draw&line=panel")->assertOk();
    });
});

it('says in words that a request met its limit, and changes nothing', function (string $path): void {
    $socket = stream_socket_server('tcp://127.0.0.1:0');
    $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
    fclose($socket);
    $server = new Process([PHP_BINARY, '-d', 'display_errors=0', '-S', "127.0.0.1:{$port}", base_path('tests/Application/limits-router.php')], base_path(), [
        'APP_ENV' => 'testing', 'APP_DEBUG' => 'false', 'APP_URL' => 'http://127.0.0.1', 'LOG_CHANNEL' => 'null', 'SESSION_DRIVER' => 'array', 'CACHE_STORE' => 'array', 'APP_KEY' => config('app.key'),
        'POCKETPLOT_DEMO' => 'true', 'POCKETPLOT_REQUEST_MEGABYTES' => '64', 'POCKETPLOT_REQUEST_SECONDS' => '1',
    ]);
    $server->start();
    try {
        $answer = null;
        while ($answer === null) {
            try {
                $answer = Http::timeout(120)->get("http://127.0.0.1:{$port}/api/{$path}");
            } catch (ConnectionException) {
                expect($server->isRunning())->toBeTrue($server->getErrorOutput());
            }
        }
    } finally {
        $server->stop();
    }
    expect($answer->status())->toBe(503)->and($answer->json('code'))->toBe('too-much')->and($answer->json('message'))->toContain('Nothing was changed')
        ->and(Letter::query()->where('recipient', 'endless@example.test')->exists())->toBeFalse();
})->with(['memory', 'time']);

describe('the logs', function (): void {
    it('hold no values of a failed statement', function (): void {
        $lines = [];
        Log::listen(static function ($event) use (&$lines): void {
            $lines[] = json_encode([$event->message, $event->context]);
        });
        $this->actingAs($user = $this->builder());
        $build = StartBuild::blank($user, 'Trial');
        Illuminate\Support\Facades\DB::listen(static function ($query): void {
            if (str_starts_with($query->sql, 'update `builds`')) {
                Illuminate\Support\Facades\DB::select('select * from no_such_table where secret = ?', ['the very secret value']);
            }
        });
        $this->postJson("/api/builds/{$build->id}/look", ['version' => 1])->assertStatus(500)->assertJsonPath('code', 'broken');
        $said = implode("\n", $lines);
        expect($said)->toContain('a statement failed')->toContain('no_such_table')->toContain('secret = ?')->not->toContain('the very secret value');
    });

    it('note who came, who was refused and what was taken out, without addresses', function (): void {
        $lines = [];
        Log::listen(static function ($event) use (&$lines): void {
            $lines[] = $event->message;
            expect(json_encode($event->context))->not->toContain('@');
        });
        $user = $this->builder();
        $this->postJson('/api/sign-in', ['email' => $user->email, 'password' => 'not this one'])->assertStatus(422);
        $this->postJson('/api/sign-in', ['email' => $user->email, 'password' => TestCase::PASSWORD])->assertOk();
        $build = StartBuild::blank($user, 'Trial');
        $this->get("/api/builds/{$build->id}/file")->assertOk();
        $this->get('/api/parts/file')->assertOk();
        $this->getJson('/api/builds/'.StartBuild::blank($this->builder('other@example.test'), 'Theirs')->id)->assertNotFound();
        $this->postJson('/api/sign-out')->assertOk();
        expect($lines)->toBe(['a sign-in was refused', 'signed in', 'a build was saved as a file', 'own parts were saved as a file', 'somebody else\'s build was refused', 'signed out']);
    });

    it('are readable by their owner only', function (): void {
        $path = storage_path('logs/trial.log');
        File::delete($path);
        config(['logging.channels.trial' => [...config('logging.channels.single'), 'path' => $path]]);
        Log::channel('trial')->error('x');
        expect(fileperms($path) & 0777)->toBe(0600);
        File::delete($path);
    });
});
