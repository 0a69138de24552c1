<?php

declare(strict_types=1);

namespace Tests\Load;

use CurlHandle;
use RuntimeException;

/** One browser with its cookies, talking to the API over HTTP. */
final class Visitor
{
    public const PASSWORD = 'four calm grey herons';

    private CurlHandle $curl;

    /** @param  string  $base  address of the API, such as http://127.0.0.1:8480/api */
    public function __construct(private readonly string $base)
    {
        $this->curl = curl_init();
        curl_setopt_array($this->curl, [
            CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_HTTP_VERSION => CURL_HTTP_VERSION_1_1,
            CURLOPT_TIMEOUT => 60, CURLOPT_HEADER => true,
        ]);
    }

    /** The cookies as one header. */
    public function jar(): string
    {
        return implode('; ', array_map(static function (string $cookie): string {
            $fields = explode("\t", $cookie);

            return "{$fields[5]}={$fields[6]}";
        }, $this->cookies()));
    }

    /** A page, as a browser opens it. */
    public function open(string $path): void
    {
        curl_setopt_array(
            $this->curl,
            [CURLOPT_URL => preg_replace('#/api$#', '', $this->base).$path, CURLOPT_CUSTOMREQUEST => 'GET', CURLOPT_POSTFIELDS => '', CURLOPT_HTTPHEADER => []],
        );
        curl_exec($this->curl);
    }

    /** @param  ?array<string, mixed>  $body */
    public function send(string $method, string $path, ?array $body = null): Answer
    {
        $key = '';
        foreach ($this->cookies() as $cookie) {
            $fields = explode("\t", $cookie);
            $key = $fields[5] === 'XSRF-TOKEN' ? urldecode($fields[6]) : $key;
        }
        curl_setopt_array($this->curl, [
            CURLOPT_URL => $this->base.$path, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_POSTFIELDS => $body === null ? '' : (string) json_encode($body),
            CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', "X-XSRF-TOKEN: {$key}"],
        ]);
        $whole = curl_exec($this->curl);
        if (! is_string($whole)) {
            return new Answer(0, [], null, curl_error($this->curl));
        }
        $size = curl_getinfo($this->curl, CURLINFO_HEADER_SIZE);
        $status = curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE);
        $body = json_decode(substr($whole, $size), true);

        return new Answer(
            is_array($body) || $status >= 300 ? $status : 0,
            is_array($body) ? $body : [],
            preg_match('/^Retry-After: *(\d+)/mi', substr($whole, 0, $size), $found) === 1 ? (int) $found[1] : null,
            is_array($body) ? '' : 'no JSON: '.substr($whole, $size, 200),
        );
    }

    /**
     * @param  ?array<string, mixed>  $body
     * @return array<string, mixed>
     */
    public function ask(string $method, string $path, ?array $body = null): array
    {
        $answer = $this->send($method, $path, $body);
        if (! $answer->isWell()) {
            throw new RuntimeException("{$method} {$path}: {$answer->status} ".json_encode($answer->body)." {$answer->why}");
        }

        return $answer->body;
    }

    public function signIn(string $email): void
    {
        $this->ask('GET', '/session');
        $this->ask('POST', '/sign-in', ['email' => $email, 'password' => self::PASSWORD]);
    }

    /** @return list<string> as curl lists them, fields between tabs */
    private function cookies(): array
    {
        return array_values(array_filter((array) curl_getinfo($this->curl, CURLINFO_COOKIELIST), is_string(...)));
    }
}
