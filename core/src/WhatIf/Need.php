<?php

declare(strict_types=1);

namespace PocketPlot\WhatIf;

use PocketPlot\Build\Line;
use PocketPlot\Part\Role;

/** What an absent part must be, worked out from the build: figures with their reasons, and the same as facets of a part. */
final readonly class Need
{
    /**
     * @param  string  $name  what it is, such as "boost converter"
     * @param  list<array{what: string, says: string, why: string}>  $wants
     * @param  array<string, mixed>  $facets  as the format writes them: a part that is just good enough
     * @param  array<string, mixed>  $partKeys  further keys of the part, such as where it sits
     * @param  ?string  $insteadOf  the line whose place it takes; null when there is none yet
     */
    public function __construct(
        public Role $role,
        public string $name,
        public array $wants,
        public array $facets,
        public array $partKeys = [],
        public ?string $insteadOf = null,
    ) {}

    /** One sentence: "boost converter: takes 3 to 4.2 V, gives 5 V, 2600 mA or more". */
    public function says(): string
    {
        $said = array_map(static fn (array $want): string => trim("{$want['what']} {$want['says']}"), $this->wants);

        return $this->name.($said === [] ? '' : ': '.implode(', ', $said));
    }

    /** @return array<string, mixed> a part as the format writes it, which stands on the list until one is found */
    public function asPart(string $id): array
    {
        return [
            'id' => $id,
            'name' => "Wanted: {$this->name}",
            'role' => $this->role->value,
            'summary' => ucfirst($this->says()).'.',
            'wanted' => true,
            ...$this->partKeys,
            'facets' => $this->facets,
        ];
    }

    public function insteadOf(?Line $line): self
    {
        return new self($this->role, $this->name, $this->wants, $this->facets, $this->partKeys, $line?->id);
    }

    /** @return array{role: string, name: string, says: string, wants: list<array{what: string, says: string, why: string}>, line: ?string} */
    public function toArray(): array
    {
        return ['role' => $this->role->value, 'name' => $this->name, 'says' => $this->says(), 'wants' => $this->wants, 'line' => $this->insteadOf];
    }
}
