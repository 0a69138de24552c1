<?php

declare(strict_types=1);

namespace Tests\Load;

use App\Actions\StartBuild;
use RuntimeException;
use SplObjectStorage;

/**
 * Keeps as many requests under way as there are callers, each of which asks one after the other.
 *
 * @phpstan-type Caller array{jar: string, next: callable(?array<string, mixed>): array{string, string, ?array<string, mixed>}}
 */
final class UnderLoad
{
    /** @var array<int, array<string, mixed>> by caller, its last answer: the next run goes on from there */
    private array $last = [];

    /** @param  list<Caller>  $callers  what each asks next, given its last answer */
    private function __construct(private readonly array $callers, private readonly string $base) {}

    /** Callers that ask the empty route. */
    public static function empty(string $base, string ...$jars): self
    {
        $next = static fn (): array => ['GET', '/nothing', null];

        return new self(array_map(static fn (string $jar): array => ['jar' => $jar, 'next' => $next], array_values($jars)), $base);
    }

    /**
     * Callers that read four times and edit once, each its own build.
     *
     * @param  list<array{jar: string, build: string}>  $accounts
     */
    public static function mixed(string $base, array $accounts): self
    {
        return new self(array_map(static function (array $account): array {
            $round = 0;
            $version = 1;

            return ['jar' => $account['jar'], 'next' => static function (?array $last) use ($account, &$round, &$version): array {
                $version = is_int($last['version'] ?? null) ? $last['version'] : $version;

                return match ($round++ % 5) {
                    0 => ['GET', "/builds/{$account['build']}", null],
                    1 => ['GET', '/parts?q=panel&role=display', null],
                    2 => ['PATCH', "/builds/{$account['build']}/lines/panel", ['version' => $version, 'note' => "round {$round}"]],
                    3 => ['GET', '/builds', null],
                    default => ['GET', "/builds/{$account['build']}/bench", null],
                };
            }];
        }, $accounts), $base);
    }

    /**
     * Callers that only edit.
     *
     * @param  list<array{jar: string, build: string}>  $accounts
     */
    public static function edits(string $base, array $accounts): self
    {
        return new self(array_map(static function (array $account): array {
            $version = 1;

            return ['jar' => $account['jar'], 'next' => static function (?array $last) use ($account, &$version): array {
                $version = is_int($last['version'] ?? null) ? $last['version'] : $version;

                return ['PATCH', "/builds/{$account['build']}/lines/panel", ['version' => $version, 'note' => "version {$version}"]];
            }];
        }, $accounts), $base);
    }

    /**
     * Accounts with two builds each, signed in. Needs the application booted on the same database.
     *
     * @return list<array{jar: string, build: string}>
     */
    public static function accounts(string $base, int $count, string $name): array
    {
        return array_map(static function (int $number) use ($base, $name): array {
            $email = "{$name}-{$number}@example.test";
            $account = Account::open($email);
            $own = StartBuild::fromDemo($account, 'refuge', null);
            StartBuild::fromDemo($account, 'thimble', null);
            $visitor = new Visitor($base);
            $visitor->signIn($email);

            return ['jar' => $visitor->jar(), 'build' => $own->id];
        }, range(1, $count));
    }

    /** @return array{list<float>, float} milliseconds of each request, requests a second */
    public function run(int $requests): array
    {
        $multi = curl_multi_init();
        $times = [];
        $sent = 0;
        $under = new SplObjectStorage;
        $send = function (int $caller, ?array $last) use (&$sent, $multi, $under): void {
            [$method, $path, $body] = $this->callers[$caller]['next']($last);
            $curl = curl_init();
            curl_setopt_array($curl, [
                CURLOPT_RETURNTRANSFER => true,
                CURLOPT_URL => $this->base.$path,
                CURLOPT_CUSTOMREQUEST => $method,
                CURLOPT_POSTFIELDS => $body === null ? '' : json_encode($body),
                CURLOPT_COOKIE => $this->callers[$caller]['jar'],
                CURLOPT_HTTPHEADER => [
                    'Accept: application/json',
                    'Content-Type: application/json',
                    'X-XSRF-TOKEN: '.urldecode((string) preg_replace('/.*XSRF-TOKEN=([^;]+).*/', '$1', $this->callers[$caller]['jar'])),
                ],
            ]);
            $under[$curl] = [$caller, hrtime(true)];
            curl_multi_add_handle($multi, $curl);
            $sent++;
        };
        $began = hrtime(true);
        foreach (array_keys($this->callers) as $caller) {
            $send($caller, $this->last[$caller] ?? null);
        }
        do {
            curl_multi_exec($multi, $running);
            while (($done = curl_multi_info_read($multi)) !== false) {
                $curl = $done['handle'];
                [$caller, $at] = $under[$curl];
                $times[] = (hrtime(true) - $at) / 1e6;
                $answer = json_decode((string) curl_multi_getcontent($curl), true);
                if (curl_getinfo($curl, CURLINFO_RESPONSE_CODE) >= 400 || ! is_array($answer)) {
                    throw new RuntimeException('under load: '.curl_getinfo($curl, CURLINFO_RESPONSE_CODE).' '.curl_multi_getcontent($curl));
                }
                $this->last[$caller] = $answer;
                curl_multi_remove_handle($multi, $curl);
                unset($under[$curl]);
                if ($sent < $requests) {
                    $send($caller, $answer);
                }
            }
            curl_multi_select($multi, 0.05);
        } while (count($under) > 0);

        return [$times, $requests / ((hrtime(true) - $began) / 1e9)];
    }
}
