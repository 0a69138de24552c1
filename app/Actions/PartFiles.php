<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\PartFileRecord;
use App\Models\PartRecord;
use App\Models\RowLock;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Photographs and files of a part of one's own. A photograph is made smaller; a file is kept as it is, and only ever handed out to be saved. */
final class PartFiles
{
    /** Long enough to read a pin map. */
    private const LONG_SIDE_PX = 1800;

    private const MOST_BYTES = 5_000_000;

    private const MOST_FILES = 12;

    /** All files of an account. */
    private const MOST_BYTES_IN_ALL = 60_000_000;

    private const PHOTOS = ['jpg', 'jpeg', 'png', 'webp', 'gif'];

    private const FILES = ['pdf', 'svg', 'dxf', 'stl', 'step', 'stp', '3mf', 'txt', 'md', 'csv'];

    /** @throws ValidationException when it is of no kind that is kept, too large, or one too many */
    public static function add(PartRecord $part, string $name, string $dataUrl): PartFileRecord
    {
        $name = self::cleaned($name);
        $ending = strtolower(pathinfo($name, PATHINFO_EXTENSION));
        $isPhoto = in_array($ending, self::PHOTOS, true);
        if (! $isPhoto && ! in_array($ending, self::FILES, true)) {
            throw ValidationException::withMessages(['name' => sprintf(
                'A file that ends in ".%s" is not kept. Choose a photograph (%s) or a drawing or text (%s).',
                $ending,
                implode(', ', self::PHOTOS),
                implode(', ', self::FILES),
            )]);
        }
        $content = $isPhoto ? Photo::jpeg($dataUrl, self::LONG_SIDE_PX) : self::bytes($dataUrl);

        return DB::transaction(static function () use ($part, $name, $isPhoto, $content): PartFileRecord {
            // Two uploads at once wait for each other, so that the limits hold.
            RowLock::on(User::query()->whereKey($part->user_id));
            self::refuseTooMuch($part, strlen($content));

            return $part->files()->create(['name' => $name, 'is_photo' => $isPhoto, 'bytes' => strlen($content), 'content' => $content]);
        });
    }

    public static function remove(PartRecord $part, int $file): void
    {
        DB::transaction(static fn () => $part->files()->whereKey($file)->firstOrFail(['id'])->delete());
    }

    /** Refused when there is no room for it any more. */
    public static function restore(PartRecord $part, int $file): void
    {
        DB::transaction(static function () use ($part, $file): void {
            RowLock::on(User::query()->whereKey($part->user_id));
            $row = PartFileRecord::onlyTrashed()->where('part_id', $part->id)->whereKey($file)->firstOrFail(['id', 'bytes']);
            self::refuseTooMuch($part, $row->bytes);
            $row->restore();
        });
    }

    /** @throws ValidationException */
    private static function refuseTooMuch(PartRecord $part, int $bytes): void
    {
        if ($part->files()->count() >= self::MOST_FILES) {
            throw ValidationException::withMessages(['name' => sprintf('A part keeps at most %d photographs and files. Remove one first.', self::MOST_FILES)]);
        }
        KeepPart::letGoOld($part->user_id);
        $kept = (int) PartFileRecord::withTrashed()
            ->whereIn('part_id', PartRecord::withTrashed()->where('user_id', $part->user_id)->select('id'))
            ->sum('bytes');
        if ($kept + $bytes > self::MOST_BYTES_IN_ALL) {
            throw ValidationException::withMessages(['data' => sprintf(
                'Your parts keep %.0f MB of photographs and files already, and %.0f MB is all there is room for. What was removed counts for a month.',
                $kept / 1e6,
                self::MOST_BYTES_IN_ALL / 1e6,
            )]);
        }
    }

    /** @throws ValidationException */
    private static function bytes(string $dataUrl): string
    {
        $bytes = preg_match('#^data:[\w.+-]*/?[\w.+-]*(?:;[\w=.+-]+)*;base64,#', $dataUrl, $head) === 1
            ? base64_decode(substr($dataUrl, strlen($head[0])), true)
            : false;
        if ($bytes === false || $bytes === '' || strlen($bytes) > self::MOST_BYTES) {
            throw ValidationException::withMessages(['data' => sprintf('Choose a file that is not empty and has at most %.0f MB.', self::MOST_BYTES / 1e6)]);
        }

        return $bytes;
    }

    /** Without folders, and without signs that a device could not keep in a name. */
    private static function cleaned(string $name): string
    {
        $name = trim((string) preg_replace('/[\x00-\x1f\x7f<>:"|?*]+/u', ' ', basename(str_replace('\\', '/', $name))));
        $ending = pathinfo($name, PATHINFO_EXTENSION);

        return mb_strlen($name) <= 120 ? $name : Str::limit(pathinfo($name, PATHINFO_FILENAME), 100, '').".{$ending}";
    }
}
