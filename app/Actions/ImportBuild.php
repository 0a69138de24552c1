<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildRows;
use App\Models\BuildRecord;
use App\Models\PhotoRecord;
use App\Models\ReadingRecord;
use App\Models\User;
use App\Models\Written;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use PocketPlot\Build\Vendor;
use PocketPlot\File\BadFile;
use PocketPlot\File\BuildReader;
use PocketPlot\File\BuildWriter;
use PocketPlot\File\Format;
use PocketPlot\File\ReadingReader;

/** Reads a build file and stores it as a new build of the builder's. All or nothing. */
final class ImportBuild
{
    /**
     * @return array{array<string, mixed>, \PocketPlot\Build\Build} the document and what it says
     *
     * @throws BadFile
     */
    public static function read(string $text): array
    {
        $document = (new Format(Format::BUILD, (string) file_get_contents(base_path('core/schema/build.schema.json'))))->decode($text);

        return [$document, BuildReader::read($document)];
    }

    /**
     * Goes the whole way of an import and takes all of it back: what is told before is what happens after.
     *
     * @return array{array<string, mixed>, \PocketPlot\Build\Build} the document and what it says
     *
     * @throws BadFile
     */
    public static function tried(User $user, string $text): array
    {
        DB::beginTransaction();
        try {
            ReadBack::answer(self::as($user, $text));

            return self::read($text);
        } finally {
            DB::rollBack();
        }
    }

    /** @throws BadFile */
    public static function as(User $user, string $text, ?string $name = null): BuildRecord
    {
        [$document, $core] = self::read($text);
        $brief = $document['brief'] ?? [];
        Written::take();

        return DB::transaction(static function () use ($user, $core, $brief, $name): BuildRecord {
            $build = BuildRecord::query()->create([
                'user_id' => $user->id,
                'name' => $name ?? $core->name,
                'brief' => $brief,
                'rates' => BuildWriter::rates($core->rates),
                'extra' => $core->extra,
                'vendors' => $core->vendors === [] ? null : array_values(array_map(static fn (Vendor $one): array => $one->raw, $core->vendors)),
                'profiles' => $core->profiles === [] ? null : array_map(BuildWriter::profile(...), $core->profiles),
            ]);
            $lines = BuildRows::write($core, $build);
            foreach ($core->readings as $reading) {
                $document = ReadingReader::document($reading);
                $row = ReadingRecord::query()->create(
                    [
                        'build_id' => $build->id,
                        'line_id' => $lines[$reading->line]->id,
                        'key' => $reading->id,
                        'document' => array_diff_key($document, ['photo' => true]),
                    ],
                );
                if ($reading->taken->photo !== '') {
                    PhotoRecord::query()->create(['reading_id' => $row->id, 'jpeg' => self::jpeg($reading->id, $reading->taken->photo)]);
                }
            }
            // The file was held against its schema as a whole.
            Written::take();

            return LookAtBuild::now($build->refresh());
        });
    }

    /** @throws BadFile when the photograph of a reading is none */
    private static function jpeg(string $reading, string $dataUrl): string
    {
        try {
            return Photo::jpeg($dataUrl);
        } catch (ValidationException $none) {
            throw BadFile::at("readings/{$reading}/photo", lcfirst($none->getMessage()));
        }
    }
}
