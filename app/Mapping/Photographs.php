<?php

declare(strict_types=1);

namespace App\Mapping;

use App\Models\BuildRecord;
use App\Models\ReadingRecord;

/** Puts photographs into a file for saving, as long as the file stays one that can be taken in again. */
final class Photographs
{
    /** Bytes of photographs, as they are written, that a file may hold beside everything else. */
    private const MOST_BYTES = 2_500_000;

    /**
     * @param  array<string, mixed>  $document
     * @return array<string, mixed> a reading whose photograph found no room says so in "photoLeftOut"
     */
    public static function into(array $document, BuildRecord $build): array
    {
        if (! is_array($document['readings'] ?? null)) {
            return $document;
        }
        $photos = [];
        $room = self::MOST_BYTES;
        foreach ($build->readings()->with('photo')->get() as $row) {
            $url = self::url($row);
            if ($url !== null) {
                $room -= strlen($url);
                $photos[$row->key] = $room >= 0 ? ['photo' => $url] : ['photoLeftOut' => true];
            }
        }
        $document['readings'] = array_map(static fn (mixed $reading): mixed => is_array($reading) && is_string($reading['id'] ?? null) ? [...$reading, ...($photos[$reading['id']] ?? [])] : $reading, $document['readings']);

        return $document;
    }

    private static function url(ReadingRecord $row): ?string
    {
        return $row->photo === null ? null : 'data:image/jpeg;base64,'.base64_encode($row->photo->jpeg);
    }
}
