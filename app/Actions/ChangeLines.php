<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildRecord;

/** The same for several lines at once: sourcing, taken off the page, or put back. */
final class ChangeLines
{
    /**
     * @param  list<string>  $keys
     * @param  array<string, mixed>  $given  validated fields of ManyLinesRequest
     */
    public static function in(BuildRecord $build, array $keys, array $given): void
    {
        $change = array_intersect_key($given, array_flip(['state', 'origin', 'vendor']));
        foreach ($keys as $key) {
            match ($given['then'] ?? 'change') {
                'remove' => RemoveLine::from($build, $key),
                'restore' => RemoveLine::undo($build, $key),
                default => ChangeLine::in($build, $key, $change),
            };
        }
    }
}
