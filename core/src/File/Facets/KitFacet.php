<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;
use PocketPlot\Part\Role;

final class KitFacet extends Facet
{
    public function label(): string
    {
        return 'Kit';
    }

    public function fields(): array
    {
        return [
            'contains' => ['words', 'contains', []],
            'lacks' => [
                'many',
                'leaves out',
                ['role' => ['choice', 'role', array_map(static fn (Role $role): string => $role->value, Role::cases())], 'what' => ['text', 'what']],
            ],
        ];
    }
}
