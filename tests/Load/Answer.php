<?php

declare(strict_types=1);

namespace Tests\Load;

/** What came back of one request. */
final readonly class Answer
{
    /**
     * @param  int  $status  0 when no whole answer came: the connection was cut or nobody listened
     * @param  array<string, mixed>  $body
     * @param  ?int  $retryAfter  seconds
     */
    public function __construct(public int $status, public array $body, public ?int $retryAfter, public string $why = '') {}

    public function isWell(): bool
    {
        return $this->status >= 200 && $this->status < 300;
    }

    /** Whether it leaves open what became of a write. */
    public function isOpen(): bool
    {
        return $this->status === 0 || $this->status === 503;
    }
}
