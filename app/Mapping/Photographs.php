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
        if (! is_array($document['readings'] ?? null)) {
            return $document;
        }
        $photos = [];
        foreach ($build->readings()->with('photo')->get() as $row) {
            if ($row->photo !== null) {
                $photos[$row->key] = ['photo' => 'data:image/jpeg;base64,'.base64_encode($row->photo->jpeg)];
            }
        }
        $document['readings'] = array_map(
            static fn (mixed $reading): mixed => is_array($reading) && is_string($reading['id'] ?? null)
                ? [...$reading, ...($photos[$reading['id']] ?? [])]
                : $reading,
            $document['readings'],
        );

        return $document;
    }
}
