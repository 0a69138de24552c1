<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildRecord;

/** Writes the brief. Keys that this version does not know stay; a known key given as null is taken out. */
final class ChangeBrief
{
    /** @param  array<string, mixed>  $brief validated fields of ChangeBriefRequest */
    public static function of(BuildRecord $build, string $name, array $brief): void
    {
        $build->name = $name;
        $build->brief = array_filter([...$build->brief, ...$brief], static fn (mixed $value): bool => $value !== null);
    }
}
