<?php

declare(strict_types=1);

namespace PocketPlot\File;

/** What is wrong with a piece of a file: where, what, and what would be right. */
final readonly class Problem implements \Stringable
{
    /**
     * @param  string  $field  the path, "parts/3/facets/pack/series"; "" when it is about the whole
     * @param  string  $wrong  continues the field's name: "is missing"; a sentence when there is none
     * @param  string  $fix  what to do; "" where that says itself
     */
    public function __construct(public string $field, public string $wrong, public string $fix = '') {}

    /** What is wrong and what to do, without the field. */
    public function says(): string
    {
        return $this->wrong.($this->fix === '' ? '' : "; {$this->fix}");
    }

    /** The same problem of a piece that stands at this path. */
    public function under(string $path): self
    {
        return new self($this->field === '' ? $path : "{$path}/{$this->field}", $this->wrong, $this->fix);
    }

    /** The same problem of a piece of its own, which stood at this path. */
    public function without(string $path): self
    {
        return str_starts_with($this->field, "{$path}/") ? new self(substr($this->field, strlen($path) + 1), $this->wrong, $this->fix) : $this;
    }

    /** @return array{field: string, wrong: string, fix: string} */
    public function toArray(): array
    {
        return ['field' => $this->field, 'wrong' => $this->wrong, 'fix' => $this->fix];
    }

    public function __toString(): string
    {
        return $this->field === '' ? $this->says() : "{$this->field}: {$this->says()}";
    }
}
