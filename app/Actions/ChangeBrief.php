<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildRecord;

/** Writes the brief. Keys that this version does not know stay; a known key given as null is taken out. */
final class ChangeBrief
{
    /** Keys of the groups within a brief. */
    private const KNOWN = [
        'class',
        'players',
        'dPads',
        'buttons',
        'sticks',
        'knobs',
        'triggers',
        'touch',
        'pictureWidthPx',
        'pictureHeightPx',
        'amount',
        'currency',
        'lengthMm',
        'widthMm',
        'heightMm',
    ];

    /** @param  array<string, ?float>  $margins */
    public static function margins(BuildRecord $build, array $margins): void
    {
        $before = is_array($build->brief['margins'] ?? null) ? $build->brief['margins'] : [];
        $own = array_filter([...$before, ...$margins], static fn (mixed $value): bool => $value !== null);
        $build->brief = $own === [] ? array_diff_key($build->brief, ['margins' => true]) : [...$build->brief, 'margins' => $own];
    }

    public static function hours(BuildRecord $build, float $hours): void
    {
        $build->brief = [...$build->brief, 'runTimeHours' => $hours];
    }

    /** @param  array<string, list<string>>  $atHand  by "skills", "tools", "consumables"; an empty list is "none" */
    public static function atHand(BuildRecord $build, array $atHand): void
    {
        $build->brief = [...$build->brief, ...$atHand];
    }

    /** @param  array<string, mixed>  $brief validated fields of ChangeBriefRequest */
    public static function of(BuildRecord $build, string $name, array $brief): void
    {
        $build->name = $name;
        if (is_array($brief['games'] ?? null)) {
            $before = is_array($build->brief['games'] ?? null) ? array_values($build->brief['games']) : [];
            $brief['games'] = array_map(
                static fn (mixed $games, int $index): mixed => self::withUnknown($games, $before[$index] ?? null),
                array_values($brief['games']),
                array_keys(array_values($brief['games'])),
            );
        }
        foreach (['budget', 'readyMade', 'largestMm'] as $group) {
            $brief[$group] = self::withUnknown($brief[$group] ?? null, $build->brief[$group] ?? null);
        }
        $build->brief = array_filter([...$build->brief, ...$brief], static fn (mixed $value): bool => $value !== null);
    }

    /** A group of fields as it is given, with the keys of the one it replaces that this version does not know. */
    private static function withUnknown(mixed $given, mixed $before): mixed
    {
        if (! is_array($given) || ! is_array($before) || ($given['class'] ?? null) !== ($before['class'] ?? null)) {
            return $given;
        }

        return $given + array_diff_key($before, array_flip(self::KNOWN));
    }
}
