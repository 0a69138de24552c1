<?php

declare(strict_types=1);

namespace PocketPlot\File;

/**
 * One side of what a part is, field by field: what each is called, its unit or kind. Its own name stands in FacetBook.
 *
 * A field is [kind, label] or [kind, label, more]. Kinds: a unit of Quantity\Typed for a figure; "int", "text",
 * "flag", "yes-no", "words" (a list), "choice" (more: the choices), "counts" and "texts" (maps), "lists" (map of
 * lists), "many" (more: the fields of each). The one field of a facet that is no group has no name.
 *
 * @phpstan-type Field array{0: string, 1: string, 2?: mixed}
 */
abstract class Facet
{
    abstract public function label(): string;

    /** @return array<string, Field> */
    abstract public function fields(): array;

    /** Whether it holds a list of groups instead of one group. */
    public function isMany(): bool
    {
        return false;
    }

    /** @return list<string> fields without which a group cannot be read */
    public function required(): array
    {
        return [];
    }

    /** Whether a group that lacks one of these is kept, and says nothing until it is found out. Else it is refused. */
    public function mayWait(): bool
    {
        return false;
    }
}
