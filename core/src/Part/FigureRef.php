<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/**
 * Which figure of a part is meant: its facet, the field, and, where a part has several groups of that facet, the
 * name of the one. Written "facet.field" or "facet.field@name"; some figures that are found out in one go have a
 * facet only ("size"). This is the one place where that form is read and written.
 */
final readonly class FigureRef implements \Stringable
{
    private function __construct(public string $facet, public string $field, public string $name) {}

    /** @param  string  $name  of the one of several; "" for the only one, or the main one */
    public static function of(string $facet, string $field = '', string $name = ''): self
    {
        return new self($facet, $field, $name);
    }

    public static function parse(string $text): self
    {
        [$key, $name] = [...explode('@', $text, 2), ''];
        [$facet, $field] = [...explode('.', $key, 2), ''];

        return new self($facet, $field, $name);
    }

    public static function supply(SupplyInput $input, string $field): self
    {
        return new self('supply', $field, $input->name);
    }

    public static function output(Output $output, string $field): self
    {
        return new self('output', $field, $output->name);
    }

    public static function socket(Socket $socket, string $field): self
    {
        return new self('socket', $field, $socket->name);
    }

    /** Without the name: what is asked, and how it is found out, is the same for each of several. */
    public function key(): string
    {
        return $this->field === '' ? $this->facet : "{$this->facet}.{$this->field}";
    }

    public function is(string $key): bool
    {
        return $this->key() === $key;
    }

    public function __toString(): string
    {
        return $this->key().($this->name === '' ? '' : "@{$this->name}");
    }
}
