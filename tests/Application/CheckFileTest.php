<?php

declare(strict_types=1);

use App\Actions\StartBuild;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

/** Runs the command as a builder would, with no database to be reached. */
function check(array $arguments, ?string $input = null): Process
{
    $process = new Process([PHP_BINARY, base_path('artisan'), 'plot:check', ...$arguments], base_path(), ['DB_HOST' => '127.0.0.1', 'DB_PORT' => '1'], $input);
    $process->run();

    return $process;
}

it('ends with the status that was promised', function (string $demo, int $status): void {
    expect(check([base_path("demo/{$demo}.pocketplot.json")])->getExitCode())->toBe($status);
})->with([['refuge', 1], ['thimble', 0], ['barge', 2]]);

it('gives the exported demo builds the same status', function (string $demo, int $status): void {
    $user = $this->builder();
    $build = StartBuild::fromDemo($user, $demo, null);
    $file = (string) $this->actingAs($user)->get("/api/builds/{$build->id}/file")->getContent();
    expect(check(['-'], $file)->getExitCode())->toBe($status);
})->with([['refuge', 1], ['thimble', 0], ['barge', 2]]);

it('prints the appraisal as JSON, remedies tried', function (): void {
    $json = json_decode(check([base_path('demo/refuge.pocketplot.json'), '--json'])->getOutput(), true, 64, JSON_THROW_ON_ERROR);
    expect(array_keys($json))->toBe(['verdict', 'vitals', 'findings'])
        ->and(array_keys($json['findings'][0]))->toBe(['rule', 'verdict', 'parts', 'says', 'working', 'remedies', 'needs'])
        ->and(array_keys($json['findings'][0]['working'][0]))->toBe(['label', 'value', 'unit', 'source'])
        ->and($json['findings'][0]['rule'])->toBe('power.supply-window')
        ->and($json['findings'][0]['parts'])->toBe(['panel', 'pack'])
        ->and(array_column($json['findings'][0]['remedies'], 'part'))->toContain('reg-sluice-12');
});

it('ends with 3 and says why when the file cannot be read', function (array $arguments, ?string $input, string $words): void {
    $process = check($arguments, $input);
    expect($process->getExitCode())->toBe(3)->and($process->getErrorOutput())->toContain($words)->and($process->getOutput())->toBe('');
})->with([
    [['/nowhere/at/all.json'], null, 'There is no file'],
    [['-'], '', 'not readable as JSON'],
    [['-'], '{"format":"pocketplot-build","version":1,"name":"x","lines":7}', 'lines'],
    [['-', '--today=soon'], '{"format":"pocketplot-build","version":1,"name":"x","lines":[]}', '"soon" is not a day'],
]);

it('has no database open', function (): void {
    DB::disconnect();
    $this->artisan('plot:check', ['file' => base_path('demo/thimble.pocketplot.json')])->assertExitCode(0);
    expect(DB::connection()->getRawPdo())->not->toBeInstanceOf(PDO::class);
});

it('plans a basket from a file, without a database', function (): void {
    $run = static function (array $arguments, ?string $input = null): Process {
        $process = new Process([PHP_BINARY, base_path('artisan'), 'plot:basket', ...$arguments], base_path(), ['DB_HOST' => '127.0.0.1', 'DB_PORT' => '1'], $input);
        $process->run();

        return $process;
    };
    $said = $run([base_path('demo/refuge.market.json')]);
    expect($said->getExitCode())->toBe(0)->and($said->getOutput())->toContain('Together 151.95 EUR, and nothing is cheaper.')->toContain('Without only new: 124.47 EUR, 27.48 less');
    $json = json_decode($run([base_path('demo/refuge.market.json'), '--json'])->getOutput(), true, 64, JSON_THROW_ON_ERROR);
    expect($json['total'])->toBe('151.95')->and($json['exact'])->toBeTrue();
    // What the build itself still needs, of which this market sells next to nothing.
    $market = json_decode((string) file_get_contents(base_path('demo/refuge.market.json')), true);
    $market['build'] = json_decode((string) file_get_contents(base_path('demo/refuge.pocketplot.json')));
    unset($market['demands']);
    $part = $run(['-'], (string) json_encode($market));
    expect($part->getExitCode())->toBe(1)->and($part->getOutput())->toContain('Plover wired paddle')->toContain('Nobody sells under these conditions: 1 × Rook 9 panel');
    expect($run(['-'], '{"format":"pocketplot-market","version":2}')->getExitCode())->toBe(3)
        ->and($run(['/nowhere/at/all.json'])->getExitCode())->toBe(3);
});
