<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Build\Vocabulary;
use PocketPlot\Part\YesNo;
use PocketPlot\Quantity\BadFigure;
use PocketPlot\Quantity\Day;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Money;
use PocketPlot\Quantity\Number;
use PocketPlot\Quantity\Source;

/** Reads typed values out of decoded JSON and says where a wrong one stands. */
final readonly class Fields
{
    /** @param  array<array-key, mixed>  $data */
    public function __construct(public array $data, public string $path = '') {}

    public function has(string $key): bool
    {
        return isset($this->data[$key]);
    }

    /** @throws BadFile */
    public function string(string $key, ?string $default = null): string
    {
        $value = $this->data[$key] ?? $default;

        return is_string($value) ? $value : throw $this->bad($key, 'is missing or is not text');
    }

    /** @throws BadFile */
    public function int(string $key, ?int $default = null): int
    {
        $value = $this->data[$key] ?? $default;

        return is_int($value) ? $value : throw $this->bad($key, 'is missing or is not a whole number');
    }

    /**
     * A count.
     *
     * @param  ?int  $default  what it is when it is not said; null when it has to be
     *
     * @throws BadFile
     */
    public function atLeastOne(string $key, ?int $default = 1): int
    {
        $value = $this->int($key, $default);

        return $value >= 1 ? $value : throw $this->bad($key, "{$value} is too few", 'write one or more');
    }

    /** @throws BadFile */
    public function number(string $key): ?float
    {
        $value = $this->data[$key] ?? null;
        if ($value === null) {
            return null;
        }

        return is_int($value) || is_float($value) ? (float) $value : throw $this->bad($key, 'is not a number');
    }

    /** @throws BadFile */
    public function bool(string $key, bool $default = false): bool
    {
        $value = $this->data[$key] ?? $default;

        return is_bool($value) ? $value : throw $this->bad($key, 'is neither true nor false');
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @param  T|null  $default
     * @return T
     *
     * @throws BadFile
     */
    public function oneOf(string $key, string $enum, ?\BackedEnum $default = null): \BackedEnum
    {
        if ($default !== null && ! isset($this->data[$key])) {
            return $default;
        }

        return $enum::tryFrom($this->string($key)) ?? throw $this->bad($key, sprintf(
            '"%s" is none of: %s', $this->string($key), implode(
                ', ',
                array_map(static fn (\BackedEnum $case): string => (string) $case->value, $enum::cases()),
            ),
        ));
    }

    /** @throws BadFile */
    public function child(string $key): ?self
    {
        $value = $this->data[$key] ?? null;
        if ($value === null) {
            return null;
        }
        if ($value instanceof \stdClass) {
            return new self([], $this->pathTo($key));
        }

        return is_array($value) ? new self($value, $this->pathTo($key)) : throw $this->bad($key, 'is not a group of fields');
    }

    /**
     * @return list<self>
     *
     * @throws BadFile
     */
    public function children(string $key): array
    {
        $children = [];
        foreach ($this->child($key)->data ?? [] as $index => $value) {
            $children[] = is_array($value)
                ? new self($value, $this->pathTo($key)."/{$index}")
                : throw $this->bad("{$key}/{$index}", 'is not a group of fields');
        }

        return $children;
    }

    /**
     * @return list<string>
     *
     * @throws BadFile
     */
    public function strings(string $key): array
    {
        return array_values($this->stringMap($key));
    }

    /**
     * @return array<string, string>
     *
     * @throws BadFile
     */
    public function stringMap(string $key): array
    {
        $map = [];
        foreach ($this->child($key)->data ?? [] as $index => $value) {
            $map[(string) $index] = is_string($value) ? $value : throw $this->bad("{$key}/{$index}", 'is not text');
        }

        return $map;
    }

    /**
     * A figure is a plain number, or a group with `value`, or `least` and `most` (and `usual`), and a `source`.
     * A missing one is unknown. A `measured` figure inside outranks what stands around it.
     *
     * @throws BadFile
     */
    public function figure(string $key, string $unit): Figure
    {
        $raw = $this->data[$key] ?? null;
        if (is_array($raw) && isset($raw['measured'])) {
            $own = new self(['figure' => $raw['measured']], $this->pathTo($key));
            $stated = (new self([$key => array_diff_key($raw, ['measured' => true])], $this->path))->figure($key, $unit);
            $measured = $own->figure('figure', $unit);

            return $measured->isKnown() ? $measured->over($stated) : $stated;
        }
        if ($raw === null) {
            return Figure::unknown($unit);
        }
        if (is_int($raw) || is_float($raw)) {
            return Figure::exactly((float) $raw, $unit, Source::Listing);
        }
        $fields = $this->child($key) ?? new self([]);
        $source = $fields->oneOf('source', Source::class, Source::Listing);
        $value = $fields->number('value');
        $least = $fields->number('least') ?? $value;
        $most = $fields->number('most') ?? $value;
        if ($source === Source::Unknown || $least === null || $most === null) {
            return Figure::unknown($unit);
        }
        $usual = $fields->number('usual') ?? $value ?? ($least + $most) / 2;
        try {
            return Figure::band($least, $usual, $most, $unit, $source, $fields->has('on') ? $fields->string('on') : null);
        } catch (BadFigure $bad) {
            throw $this->bad($key, $bad->getMessage());
        }
    }

    /**
     * A figure that has to lie in a range to mean anything, stated or measured.
     *
     * @param  float  $least  in the unit, itself allowed
     * @param  float  $most  in the unit, itself allowed
     *
     * @throws BadFile
     */
    public function figureWithin(string $key, string $unit, float $least, float $most = INF): Figure
    {
        $figure = $this->figure($key, $unit);
        if ($figure->isKnown() && ($figure->least() < $least || $figure->most() > $most)) {
            throw $this->bad(
                $key,
                "{$figure->says()} ".($figure->least() < $least ? 'is less than '.Number::says($least) : 'is more than '.Number::says($most))." {$unit}",
                'correct it, or leave it open until it is known',
            );
        }

        return $figure;
    }

    public function yesNo(string $key): YesNo
    {
        return $this->oneOf($key, YesNo::class, YesNo::Unknown);
    }

    /** @throws BadFile when the connector is neither known nor marked as the builder's own */
    public function connector(string $key): string
    {
        $name = $this->string($key);
        if (! Vocabulary::isConnector($name)) {
            throw $this->bad(
                $key,
                "\"{$name}\" is no connector we know",
                'choose one of '.implode(', ', Vocabulary::CONNECTORS).", or write \"other:{$name}\"",
            );
        }

        return $name;
    }

    /** @throws BadFile */
    public function money(string $key): ?Money
    {
        $fields = $this->child($key);
        if ($fields === null) {
            return null;
        }
        try {
            return Money::of($fields->string('amount'), $fields->string('currency'));
        } catch (BadFigure $bad) {
            throw $this->bad($key, $bad->getMessage());
        }
    }

    /** @throws BadFile */
    public function day(string $key): ?Day
    {
        if (! $this->has($key)) {
            return null;
        }
        try {
            return Day::of($this->string($key));
        } catch (BadFigure $bad) {
            throw $this->bad($key, $bad->getMessage());
        }
    }

    /**
     * What is left when the known keys are taken away.
     *
     * @param  list<string>  $known
     * @return array<string, mixed>
     */
    public function rest(array $known): array
    {
        $rest = [];
        foreach (array_diff_key($this->data, array_flip($known)) as $key => $value) {
            $rest[(string) $key] = $value;
        }

        return $rest;
    }

    private function pathTo(string $key): string
    {
        return $this->path === '' ? $key : "{$this->path}/{$key}";
    }

    private function bad(string $key, string $wrong, string $fix = ''): BadFile
    {
        return BadFile::at($this->pathTo($key), $wrong, $fix);
    }
}
