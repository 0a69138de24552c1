<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

use PocketPlot\Part\Role;

/** What a text says beyond doubt and a part has a place for: what may be taken without asking find by find. */
final class SureFinds
{
    /** @return list<Proposal> with the ids that Filling::put() takes */
    public static function of(string $text, Role $role): array
    {
        // The day is written into the part, not into what is proposed.
        $filling = new Filling(Reader::read($text, $role), $role, '', $text);

        return array_values(array_filter($filling->proposals([]), static fn (Proposal $one): bool => $one->isPlaced && ! $one->find->isUnsure));
    }

    /** @return list<array{label: string, says: string}> */
    public static function says(string $text, ?Role $role): array
    {
        return $role === null ? [] : array_map(static fn (Proposal $one): array => ['label' => $one->label, 'says' => $one->says], self::of($text, $role));
    }
}
