<?php

declare(strict_types=1);

use App\Actions\ImportBuild;
use App\Actions\OpenAccount;
use App\Actions\StartBuild;
use App\Models\BuildRecord;
use App\Models\User;
use Illuminate\Database\Events\TransactionCommitted;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Symfony\Component\Process\Process;

it('makes many edits at one moment into one edit and refusals, and loses none of what won', function (): void {
    // Outside the test's transaction, in processes of their own, as several browsers are.
    $email = 'race'.bin2hex(random_bytes(4)).'@example.test';
    $script = $this->process(...);
    $made = $script('$u = '.User::class.'::query()->create(["name" => "Racer", "email" => "'.$email.'", "password" => "a long enough one"]); echo '.ImportBuild::class.'::as($u, '.StartBuild::class.'::demoFile("thimble"))->id;');
    $id = trim($made->mustRun()->getOutput());
    $racers = array_map(static function (int $number) use ($script, $id): Process {
        $process = $script('try { App\Actions\EditBuild::run('.BuildRecord::class."::query()->findOrFail('{$id}'), 1, fn (\$b) => App\\Actions\\ChangeLine::in(\$b, 'board', ['note' => 'racer {$number}'])); echo 'took {$number}'; } catch (App\\Actions\\StaleBuild) { echo 'stale'; }");
        $process->start();

        return $process;
    }, range(1, 5));
    $answers = array_map(static function (Process $process): string {
        $process->wait();

        return $process->getOutput();
    }, $racers);
    $took = array_values(array_filter($answers, static fn (string $answer): bool => str_starts_with($answer, 'took')));
    expect($took)->toHaveCount(1)->and(array_filter($answers, static fn (string $answer): bool => $answer === 'stale'))->toHaveCount(4);
    $after = trim($script('$b = '.BuildRecord::class."::query()->findOrFail('{$id}'); echo \$b->version, ' ', \$b->lines->firstWhere('key', 'board')->note; \$b->user_id && ".User::class.'::query()->whereKey($b->user_id)->delete();')->mustRun()->getOutput());
    expect($after)->toBe('2 racer '.substr($took[0], 5));
});

it('is done with clearing out before an account is written down, for the two lock each other out', function (): void {
    $seen = [];
    DB::listen(static function ($query) use (&$seen): void {
        $seen[] = strtok($query->sql, ' ');
    });
    Event::listen(TransactionCommitted::class, static function () use (&$seen): void {
        $seen[] = 'committed';
    });
    OpenAccount::askedFor('One', 'one@example.test', 'four calm grey herons');
    expect($seen)->toBe(['delete', 'committed', 'insert', 'committed']);
});
