<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildRecord;

/** Writes the brief. Keys that this version does not know stay; a known key given as null is taken out. */
final class ChangeBrief
{
    /** @param  array<string, ?float>  $margins */
    public static function margins(BuildRecord $build, array $margins): void
    {
        $before = is_array($build->brief['margins'] ?? null) ? $build->brief['margins'] : [];
        $build->brief = [...$build->brief, 'margins' => array_filter([...$before, ...$margins], static fn (mixed $value): bool => $value !== null)];
    }

    /** @param  array<string, mixed>  $brief validated fields of ChangeBriefRequest */
    public static function of(BuildRecord $build, string $name, array $brief): void
    {
        $build->name = $name;
        $build->brief = array_filter([...$build->brief, ...$brief], static fn (mixed $value): bool => $value !== null);
    }
}
