<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** A door or cover of a body, of a material of its own. */
final readonly class Door
{
    public function __construct(public string $name, public string $material, public bool $insulated) {}
}
