<?php

declare(strict_types=1);

namespace Tests\Load;

use RuntimeException;

/**
 * One builder of the trial: edits and reads without a pause, remembers what was acknowledged, and holds every answer
 * against that. What it sees goes into a log of its own, one JSON document a line:
 *
 *   noted, recorded    something acknowledged: the build, its version then, the token that has to be there
 *   claimed, let-go    the only piece of the drawer
 *   answer             a status, and how long it took
 *   wrong              what must never happen, in words
 */
final class Editor
{
    /** Tokens in a note; older ones make room. */
    private const TOKENS = 30;

    private const LINE = 'board';

    private Visitor $visitor;

    private int $count = 0;

    /** @var array<string, int> the highest version that was seen, by build */
    private array $seen = [];

    /** @var resource */
    private $log;

    public function __construct(
        private readonly string $base,
        private readonly Account $account,
        private readonly int $number,
        private readonly string $folder,
        private readonly bool $edits,
    ) {
        $log = fopen("{$folder}/editor-{$number}.jsonl", 'a');
        $this->log = $log === false ? throw new RuntimeException("no log in {$folder}") : $log;
        mt_srand(1000 + $number);
        $this->visitor = new Visitor($base);
    }

    /** Until a file "stop" lies in the folder. */
    public function run(): void
    {
        $this->signIn();
        while (! file_exists("{$this->folder}/stop")) {
            $build = $this->account->builds[mt_rand(0, 1)];
            $chance = mt_rand(1, 100);
            match (true) {
                ! $this->edits => $chance <= 70 ? $this->look($build) : $this->list(),
                $chance <= 55 => $this->note($build),
                $chance <= 75 => $this->record($build),
                $chance <= 90 => $this->claim($build),
                default => $this->list(),
            };
        }
    }

    private function signIn(): void
    {
        for ($try = 1; ; $try++) {
            try {
                $this->visitor->signIn($this->account->email);

                return;
            } catch (RuntimeException $error) {
                if ($try === 30) {
                    throw $error;
                }
                usleep(500_000);
            }
        }
    }

    /** Puts a token of its own behind those that stand in a note. */
    private function note(string $build): void
    {
        $page = $this->look($build);
        if ($page === null) {
            return;
        }
        $token = $this->token();
        $tokens = [...self::tokensOf($page), $token];
        $answer = $this->ask('PATCH', "/builds/{$build}/lines/".self::LINE, [
            'version' => $page['version'], 'note' => implode(' ', array_slice($tokens, -self::TOKENS)),
        ]);
        if ($answer->isWell()) {
            $this->acknowledged('noted', $build, $answer->body, $token);
            $this->holdsToken($this->look($build), $token, $answer->body['version']);
        } elseif ($answer->isOpen()) {
            $after = $this->lookUntilAnswered($build);
            if (in_array($token, self::tokensOf($after), true)) {
                $this->say(['what' => 'kept', 'build' => $build]);
            }
        }
    }

    /** An entry that is sent again until it is acknowledged; it counts once. */
    private function record(string $build): void
    {
        $token = $this->token();
        $try = 0;
        do {
            $answer = $this->ask('POST', "/builds/{$build}/record", ['events' => [['id' => $token, 'step' => 'trial', 'did' => 'noted', 'note' => $token]]]);
        } while ($answer->isOpen() && ++$try < 200);
        if ($answer->isWell()) {
            $this->acknowledged('recorded', $build, (array) ($answer->body['build'] ?? []), $token);
        }
    }

    /** The only piece, wanted for two builds by several windows; given back at once. */
    private function claim(string $build): void
    {
        $page = $this->look($build);
        if ($page === null) {
            return;
        }
        $answer = $this->ask('POST', "/builds/{$build}/claims", [
            'version' => $page['version'], 'line' => $this->account->line, 'piece' => $this->account->piece, 'quantity' => 1,
        ], [422]);
        if (! $answer->isWell() && ! $answer->isOpen()) {
            return;
        }
        if ($answer->isWell()) {
            $this->acknowledged('claimed', $build, $answer->body, '');
        }
        $drawer = $this->ask('GET', '/drawer');
        foreach ($drawer->isWell() ? (array) $drawer->body['pieces'] : [] as $piece) {
            if (is_array($piece) && $piece['left'] < 0) {
                $this->wrong("piece {$piece['id']} was given away twice");
            }
        }
        $page = $this->lookUntilAnswered($build);
        $answer = $this->ask('DELETE', "/builds/{$build}/claims/{$this->account->line}", ['version' => $page['version']]);
        if ($answer->isWell()) {
            $this->acknowledged('let-go', $build, $answer->body, '');
        }
    }

    private function list(): void
    {
        $answer = $this->ask('GET', '/builds');
        if ($answer->isWell() && $answer->body['total'] !== 2) {
            $this->wrong("the list has {$answer->body['total']} builds instead of 2");
        }
    }

    /** @return ?array<string, mixed> the build; null when nobody answered */
    private function look(string $build): ?array
    {
        $known = max($this->acknowledgedBefore($build), $this->seen[$build] ?? 0);
        $answer = $this->ask('GET', "/builds/{$build}");
        if (! $answer->isWell()) {
            return null;
        }
        $version = $answer->body['version'];
        if (! is_int($version) || $version < $known) {
            $this->wrong("build {$build} was read in version ".json_encode($version)." after version {$known} was acknowledged");
        }
        $this->seen[$build] = max($known, (int) $version);

        return $answer->body;
    }

    /** @return array<string, mixed> */
    private function lookUntilAnswered(string $build): array
    {
        for ($try = 1; $try <= 200; $try++) {
            $page = $this->look($build);
            if ($page !== null) {
                return $page;
            }
        }
        throw new RuntimeException("build {$build} could not be read two hundred times in a row");
    }

    /**
     * @param  ?array<string, mixed>  $page
     */
    private function holdsToken(?array $page, string $token, mixed $version): void
    {
        // Others may have put so many behind it meanwhile that it made room.
        $isStillThere = $page === null || in_array($token, self::tokensOf($page), true) || (int) $page['version'] - (int) $version >= self::TOKENS;
        if (! $isStillThere) {
            $this->wrong("token {$token}, acknowledged in version ".json_encode($version).', is not in version '.json_encode($page['version']));
        }
    }

    /**
     * @param  array<string, mixed>  $page
     * @return list<string>
     */
    public static function tokensOf(array $page): array
    {
        foreach ((array) ($page['lines'] ?? []) as $line) {
            if (is_array($line) && ($line['id'] ?? null) === self::LINE) {
                return array_values(array_filter(explode(' ', (string) ($line['note'] ?? '')), static fn (string $word): bool => str_starts_with($word, 't-')));
            }
        }

        return [];
    }

    private function token(): string
    {
        return 't-'.basename($this->folder)."-{$this->number}-".++$this->count;
    }

    /**
     * @param  ?array<string, mixed>  $body
     * @param  list<int>  $alsoRight  statuses besides success, 409 and 503 with Retry-After
     */
    private function ask(string $method, string $path, ?array $body = null, array $alsoRight = []): Answer
    {
        $began = microtime(true);
        $answer = $this->visitor->send($method, $path, $body);
        $this->say(['what' => 'answer', 'status' => $answer->status, 'at' => round($began, 3), 'took' => round(microtime(true) - $began, 3)]);
        if ($answer->status === 503 && $answer->retryAfter === null) {
            $this->wrong("{$method} {$path}: 503 without Retry-After");
        } elseif (! $answer->isWell() && ! $answer->isOpen() && $answer->status !== 409 && ! in_array($answer->status, $alsoRight, true)) {
            $this->wrong("{$method} {$path}: {$answer->status} ".json_encode($answer->body).$answer->why);
        }
        if ($answer->isOpen()) {
            // As a page does: not at once, and not all at the same moment.
            usleep(mt_rand(200_000, 1_000_000));
        }

        return $answer;
    }

    /** @param  array<string, mixed>  $page */
    private function acknowledged(string $what, string $build, array $page, string $token): void
    {
        $version = (int) ($page['version'] ?? 0);
        $this->seen[$build] = max($this->seen[$build] ?? 0, $version);
        $file = fopen("{$this->folder}/acknowledged-{$build}", 'c+');
        if ($file === false) {
            throw new RuntimeException("nothing can be noted in {$this->folder}");
        }
        flock($file, LOCK_EX);
        $before = (int) stream_get_contents($file);
        if ($version > $before) {
            ftruncate($file, 0);
            rewind($file);
            fwrite($file, (string) $version);
        }
        fclose($file);
        $this->say(['what' => $what, 'build' => $build, 'version' => $version, 'token' => $token]);
    }

    /** What any window was told, before this moment. */
    private function acknowledgedBefore(string $build): int
    {
        $file = @fopen("{$this->folder}/acknowledged-{$build}", 'r');
        if ($file === false) {
            return 0;
        }
        flock($file, LOCK_SH);
        $version = (int) stream_get_contents($file);
        fclose($file);

        return $version;
    }

    private function wrong(string $says): void
    {
        $this->say(['what' => 'wrong', 'says' => $says, 'at' => round(microtime(true), 3)]);
    }

    /** @param  array<string, mixed>  $line */
    private function say(array $line): void
    {
        fwrite($this->log, json_encode($line, JSON_THROW_ON_ERROR)."\n");
    }
}
