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
