<?php

declare(strict_types=1);

namespace App\Mapping;

use App\Models\BuildRecord;

/** Puts photographs into a file for saving. Actions\ReadBack sees to it that there is room for all that are kept. */
final class Photographs
{
    /**
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    public static function into(array $document, BuildRecord $build): array
    {
        foreach (['readings' => $build->readings(), 'record' => $build->events()] as $what => $rows) {
            if (! is_array($document[$what] ?? null)) {
                continue;
            }
            $photos = [];
            foreach ($rows->with('photo')->get() as $row) {
                if ($row->photo !== null) {
                    $photos[$row->key] = ['photo' => 'data:image/jpeg;base64,'.base64_encode($row->photo->jpeg)];
                }
            }
            $document[$what] = array_map(
                static fn (mixed $one): mixed => is_array($one) && is_string($one['id'] ?? null) ? [...$one, ...($photos[$one['id']] ?? [])] : $one,
                $document[$what],
            );
        }

        return $document;
    }
}
