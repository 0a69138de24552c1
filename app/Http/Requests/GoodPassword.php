<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Closure;
use Illuminate\Contracts\Validation\DataAwareRule;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * A password that is not among those that are tried first: 12 to 200 letters, any of them; none of the commonest
 * (resources/passwords/common.txt), also not with figures and marks around it; no single letter again and again,
 * no row of keys, and not the name or the address.
 */
final class GoodPassword implements DataAwareRule, ValidationRule
{
    private const LEAST = 12;

    private const MOST = 200;

    /** Fewer different letters than these are one and the same key, pressed again. */
    private const LEAST_DIFFERENT = 5;

    private const ROWS = [
        'abcdefghijklmnopqrstuvwxyz',
        'qwertyuiop',
        'asdfghjkl',
        'zxcvbnm',
        'qwertzuiop',
        'azertyuiop',
        '1234567890',
        '1q2w3e4r5t6y7u8i9o0p',
        'qazwsxedcrfvtgbyhnujmikolp',
        '1qaz2wsx3edc4rfv5tgb6yhn7ujm8ik9ol0p',
    ];

    /** @var array<string, true>|null */
    private static ?array $common = null;

    /** @var array<string, mixed> */
    private array $data = [];

    /** @param  list<string>  $known  more words that are too close to its owner */
    public function __construct(private readonly array $known = []) {}

    /** @param  array<string, mixed>  $data */
    public function setData(array $data): static
    {
        $this->data = $data;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_string($value) || mb_strlen($value) < self::LEAST || mb_strlen($value) > self::MOST) {
            $fail('Write a password of '.self::LEAST.' characters or more.');

            return;
        }
        $reason = $this->weakness(mb_strtolower($value));
        if ($reason !== null) {
            $fail("This password is tried first by who guesses: {$reason}. Three or four words that have nothing to do with each other do better.");
        }
    }

    private function weakness(string $small): ?string
    {
        $bare = self::bare($small);

        return match (true) {
            count(array_unique(mb_str_split($small))) < self::LEAST_DIFFERENT => 'it repeats few letters',
            self::isRow($small) || self::isRow($bare) => 'it is a row of keys',
            isset(self::common()[$small]) || isset(self::common()[$bare]) || self::isTwice($bare) => 'it is among the commonest',
            $this->isOwners($small) => 'it is your name or address',
            default => null,
        };
    }

    /** Without figures and marks around it, and with letters for the figures that stand for them. */
    private static function bare(string $small): string
    {
        $letters = strtr($small, ['0' => 'o', '1' => 'i', '3' => 'e', '4' => 'a', '5' => 's', '7' => 't', '@' => 'a', '$' => 's', '!' => 'i']);
        $trimmed = trim((string) preg_replace('/^[\d\W_]+|[\d\W_]+$/u', '', $small));
        $plain = strtr($trimmed, ['0' => 'o', '1' => 'i', '3' => 'e', '4' => 'a', '5' => 's', '7' => 't', '@' => 'a', '$' => 's', '!' => 'i']);

        return $plain === '' ? $letters : $plain;
    }

    private static function isRow(string $text): bool
    {
        foreach (self::ROWS as $row) {
            foreach ([$row.$row, strrev($row.$row)] as $run) {
                if (mb_strlen($text) >= 6 && str_contains($run, $text)) {
                    return true;
                }
            }
        }

        return false;
    }

    private static function isTwice(string $bare): bool
    {
        $length = strlen($bare);
        foreach ([2, 3, 4] as $times) {
            if ($length > 0
                && $length % $times === 0
                && str_repeat(substr($bare, 0, intdiv($length, $times)), $times) === $bare
                && (isset(self::common()[substr($bare, 0, intdiv($length, $times))]) || intdiv($length, $times) < 5)) {
                return true;
            }
        }

        return false;
    }

    private function isOwners(string $small): bool
    {
        foreach ([...$this->known, $this->data['name'] ?? null, $this->data['email'] ?? null] as $own) {
            $own = is_string($own) ? mb_strtolower(trim($own)) : '';
            foreach ([$own, strstr($own, '@', true) ?: ''] as $word) {
                if (mb_strlen($word) >= 4 && str_contains($small, $word) && mb_strlen($small) - mb_strlen($word) < 6) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array<string, true> */
    private static function common(): array
    {
        return self::$common ??= array_fill_keys(
            array_filter(
                array_map(trim(...), explode("\n", (string) file_get_contents(resource_path('passwords/common.txt')))),
                static fn (string $line): bool => $line !== '' && $line[0] !== '#',
            ),
            true,
        );
    }
}
