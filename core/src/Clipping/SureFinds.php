<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

use PocketPlot\Part\Role;

/** What a text says beyond doubt and a part has a place for: what may be taken without asking find by find. */
final class SureFinds
{
    /**
     * @param  array<string, mixed>  $part  a part as it is written in a file
     * @param  string  $on  the day on which the text was read, year-month-day
     * @return array<string, mixed> the part with all of them in it
     */
    public static function into(array $part, string $text, Role $role, string $on): array
    {
        $filling = new Filling(Reader::read($text, $role), $role, $on, $text);

        return $filling->put($part, array_map(static fn (Proposal $one): int => $one->id, self::among($filling)));
    }

    /** @return list<array{label: string, says: string}> nothing while nobody knows what the part is for */
    public static function says(string $text, ?Role $role): array
    {
        if ($role === null) {
            return [];
        }
        // The day is written into the part, not into what is proposed.
        $filling = new Filling(Reader::read($text, $role), $role, '', $text);

        return array_map(static fn (Proposal $one): array => ['label' => $one->label, 'says' => $one->says], self::among($filling));
    }

    /** @return list<Proposal> */
    private static function among(Filling $filling): array
    {
        return array_values(array_filter($filling->proposals([]), static fn (Proposal $one): bool => $one->isPlaced && ! $one->find->isUnsure));
    }
}
