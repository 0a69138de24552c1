<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildRows;
use App\Models\BuildRecord;
use App\Models\LineRecord;
use App\Models\PhotoRecord;
use App\Models\ReadingRecord;
use App\Models\StepEventRecord;
use App\Models\StepPhotoRecord;
use App\Models\User;
use App\Models\Written;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use PocketPlot\Build\Build;
use PocketPlot\Build\Vendor;
use PocketPlot\File\BadFile;
use PocketPlot\File\BuildReader;
use PocketPlot\File\BuildWriter;
use PocketPlot\File\FitFile;
use PocketPlot\File\Format;
use PocketPlot\File\ReadingReader;
use PocketPlot\File\RecordFile;
use PocketPlot\File\WorkFile;

/** Reads a build file and stores it as a new build of the builder's. All or nothing. */
final class ImportBuild
{
    /**
     * @return array{array<string, mixed>, Build} the document and what it says
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
     * @return array{array<string, mixed>, Build} the document and what it says
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
                'work' => WorkFile::document($core->work) ?: null,
                'fit' => FitFile::document($core->fit) ?: null,
                'vendors' => $core->vendors === [] ? null : array_values(array_map(static fn (Vendor $one): array => $one->raw, $core->vendors)),
                'profiles' => $core->profiles === [] ? null : array_map(BuildWriter::profile(...), $core->profiles),
            ]);
            $lines = BuildRows::write($core, $build);
            self::writeBench($core, $build, $lines);
            // The file was held against its schema as a whole.
            Written::take();

            return LookAtBuild::now($build->refresh());
        });
    }

    /**
     * @param  array<string, LineRecord>  $lines  by line id
     *
     * @throws BadFile
     */
    private static function writeBench(Build $core, BuildRecord $build, array $lines): void
    {
        foreach ($core->readings as $reading) {
            $row = ReadingRecord::query()->create([
                'build_id' => $build->id, 'line_id' => $lines[$reading->line]->id, 'key' => $reading->id,
                'document' => array_diff_key(ReadingReader::document($reading), ['photo' => true]),
            ]);
            if ($reading->taken->photo !== '') {
                PhotoRecord::query()->create(['reading_id' => $row->id, 'jpeg' => self::jpeg("readings/{$reading->id}/photo", $reading->taken->photo)]);
            }
        }
        foreach ($core->record as $event) {
            $row = StepEventRecord::query()->create([
                'build_id' => $build->id, 'key' => $event->id, 'document' => array_diff_key(RecordFile::document($event), ['photo' => true]),
            ]);
            if ($event->photo !== '') {
                StepPhotoRecord::query()->create(['event_id' => $row->id, 'jpeg' => self::jpeg("record/{$event->id}/photo", $event->photo)]);
            }
        }
    }

    /** @throws BadFile when it is no photograph */
    private static function jpeg(string $path, string $dataUrl): string
    {
        try {
            return Photo::jpeg($dataUrl);
        } catch (ValidationException $none) {
            throw BadFile::at($path, lcfirst($none->getMessage()));
        }
    }
}
