<?php

declare(strict_types=1);

namespace App\Library;

use App\Mapping\BuildView;
use App\Models\PartChangeRecord;
use App\Models\PartFileRecord;
use App\Models\PartRecord;
use App\Models\User;
use PocketPlot\File\PartReader;
use PocketPlot\File\PartSheet;

/** A part of the library as its page shows it (contract/openapi.json, "PartPage"). */
final class PartView
{
    /** @return array<string, mixed> */
    public static function of(User $user, PartRecord $row): array
    {
        $part = PartReader::read($row->spec);

        return [
            'libraryId' => $row->id,
            'own' => $row->user_id === $user->id,
            'version' => $row->version,
            'part' => BuildView::part($part),
            'spec' => (object) $row->spec,
            'sheet' => PartSheet::of($part),
            'usedIn' => PartQueries::buildsWith($user, [$row->key, ...$row->also_keys ?? []]),
            'since' => $row->created_at->toDateString(),
            'files' => self::files($row),
            'history' => self::history($row),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function files(PartRecord $row): array
    {
        return array_values($row->files()->orderBy('id')->get(PartFileRecord::LISTED)->map(static fn (PartFileRecord $file): array => [
            'id' => $file->id, 'name' => $file->name, 'isPhoto' => $file->is_photo, 'bytes' => $file->bytes,
        ])->all());
    }

    /** @return list<array<string, mixed>> newest first */
    private static function history(PartRecord $row): array
    {
        return array_values($row->history()->orderByDesc('id')->get()->map(static fn (PartChangeRecord $change): array => [
            'id' => $change->id,
            'on' => $change->created_at->toDateString(),
            'how' => $change->how,
            'note' => $change->note,
            'changes' => $change->changes,
        ])->all());
    }
}
