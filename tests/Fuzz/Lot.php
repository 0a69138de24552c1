<?php

declare(strict_types=1);

namespace Tests\Fuzz;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Draws odd things by lot; the same seed draws the same. */
final class Lot
{
    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    public function upTo(int $most): int
    {
        return $this->random->getInt(0, $most);
    }

    public function happens(float $share): bool
    {
        return $this->random->getInt(0, 999_999) < $share * 1e6;
    }

    /**
     * @template T
     *
     * @param  array<array-key, T>  $of  not empty
     * @return T
     */
    public function one(array $of): mixed
    {
        return array_values($of)[$this->random->getInt(0, count($of) - 1)];
    }

    /** Something that stands where something else was expected. */
    public function odd(): mixed
    {
        return $this->one([
            static fn (): mixed => null, static fn (): mixed => true, static fn (): mixed => false, static fn (): mixed => 0, static fn (): mixed => -1, static fn (): mixed => 1, static fn (): mixed => 65536,
            static fn (): mixed => PHP_INT_MAX, static fn (): mixed => PHP_INT_MIN, static fn (): mixed => 0.1, static fn (): mixed => -0.0, static fn (): mixed => 1e308, static fn (): mixed => 5e-324, static fn (): mixed => 1e6,
            static fn (): mixed => '', static fn (): mixed => ' ', static fn (): mixed => '0', static fn (): mixed => '1', static fn (): mixed => 'x', static fn (): mixed => 'true', static fn (): mixed => 'null', static fn (): mixed => "\u{202E}abc", static fn (): mixed => "a\u{0000}b",
            static fn (): mixed => '😀é', static fn (): mixed => "e\u{301}", static fn (): mixed => '1e999', static fn (): mixed => 'NaN', static fn (): mixed => 'INF', static fn (): mixed => '0000-01-01', static fn (): mixed => '9999-12-31', static fn (): mixed => '2026-02-30',
            static fn (): mixed => '12 V', static fn (): mixed => '3 / 2 / 1 A', static fn (): mixed => '-5', static fn (): mixed => '1/0 in', static fn (): mixed => '1,5,5', static fn (): mixed => "' or 1=1 --", static fn (): mixed => '<script>alert(1)</script>', static fn (): mixed => '=1+1', static fn (): mixed => '../../etc/passwd',
            static fn (): mixed => str_repeat('ß', 300), static fn (): mixed => str_repeat('x', 70_000), static fn (): mixed => "line\nline", static fn (): mixed => 'constructor', static fn (): mixed => '__proto__',
            static fn (): mixed => [], static fn (): mixed => new \stdClass, static fn (): mixed => [null], static fn (): mixed => [[]], static fn (): mixed => ['a' => 'b'], static fn (): mixed => range(1, 500), static fn (): mixed => ['least' => 5, 'most' => 1], static fn (): mixed => ['value' => 1, 'source' => 'rumour'],
            static fn (): mixed => ['amount' => '1', 'currency' => 'EUR'], static fn (): mixed => ['amount' => 1, 'currency' => 'eur'], static fn (): mixed => array_reduce(range(1, 40), static fn (mixed $inner): array => ['in' => $inner], 'deep'),
        ])();
    }

    /** Changes something somewhere in a document: a value, a key, a row taken out, doubled or moved. */
    public function mutate(mixed $document, int $times): mixed
    {
        for ($time = 0; $time < $times; $time++) {
            $document = $this->mutateOnce($document, 0);
        }

        return $document;
    }

    private function mutateOnce(mixed $value, int $depth): mixed
    {
        if (! is_array($value) || $value === [] || ($depth > 0 && $this->happens(0.12))) {
            return $this->near($value);
        }
        $key = $this->one(array_keys($value));
        $how = $this->upTo(19);
        if ($how === 0) {
            unset($value[$key]);

            return array_is_list($value) || ! is_int($key) ? $value : array_values($value);
        }
        if ($how === 1 && is_int($key)) {
            return [...$value, $value[$key]];
        }
        if ($how === 2 && ! is_int($key)) {
            $value[(string) $this->one([strtoupper((string) $key), "{$key} ", 'x-new', '', "é{$key}"])] = $value[$key];

            return $value;
        }
        if ($how === 3) {
            $other = $this->one(array_keys($value));
            [$value[$key], $value[$other]] = [$value[$other], $value[$key]];

            return $value;
        }
        $value[$key] = $this->mutateOnce($value[$key], $depth + 1);

        return $value;
    }

    /** Another of the same kind most times, which goes further in; something odd otherwise. */
    private function near(mixed $value): mixed
    {
        if ($this->happens(0.45)) {
            return $this->odd();
        }

        return match (true) {
            is_int($value) => $this->one([$value + 1, -$value, $value * 1000, 0, $value / 3, 10_000]),
            is_float($value) => $this->one([$value * 10, -$value, $value / 1e6, 0.0, 1e5, $value + 1e-9]),
            is_string($value) => $this->one([strtoupper($value), "{$value} ", substr($value, 0, -1), "{$value}{$value}", strrev($value)]),
            is_bool($value) => ! $value,
            default => $this->odd(),
        };
    }

    /** Breaks a text itself: a letter gone, a letter wrong, a piece twice, cut off, a number beyond all numbers. */
    public function breakText(string $text): string
    {
        $at = $this->upTo(max(0, strlen($text) - 1));

        return match ($this->upTo(5)) {
            0 => substr($text, 0, $at),
            1 => substr_replace($text, $this->one(['"', '{', '}', ',', ':', "\0", "\xFF", '\\', '-', '9']), $at, 1),
            2 => substr($text, 0, $at).substr($text, $at + 1 + $this->upTo(20)),
            3 => substr($text, 0, $at).substr($text, max(0, $at - 40)),
            4 => (string) preg_replace('/:\s*\d+/', ': '.$this->one(['1e999', '-1e999', '123456789012345678901234567890', '0.0000000000000000000001', '1E+5']), $text, 1 + $this->upTo(3)),
            default => "\xEF\xBB\xBF".$text,
        };
    }
}
