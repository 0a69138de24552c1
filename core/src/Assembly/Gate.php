<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/** A test that must pass before what waits for it goes on. */
final readonly class Gate
{
    /** @param  non-empty-list<Measure>  $measures */
    public function __construct(public array $measures) {}

    public static function of(Measure ...$measures): self
    {
        return new self($measures === [] ? [Measure::yes('works', 'It works')] : array_values($measures));
    }

    /**
     * @param  array<string, float|bool>  $read  by the measure's key
     * @return list<string> what failed, in sentences; none when all that was read passes
     */
    public function faults(array $read): array
    {
        return array_values(array_filter(array_map(static fn (Measure $one): ?string => $one->fault($read[$one->key] ?? null), $this->measures)));
    }

    /**
     * @param  array<string, float|bool>  $read
     * @return list<Measure> what was not read yet
     */
    public function unread(array $read): array
    {
        return array_values(array_filter($this->measures, static fn (Measure $one): bool => ! isset($read[$one->key])));
    }
}
