<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildMapper;
use App\Models\BuildPartRecord;
use App\Models\BuildRecord;
use App\Models\PhotoRecord;
use App\Models\ReadingRecord;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use PocketPlot\Bench\Replacement;
use PocketPlot\Facts\Facts;
use PocketPlot\File\BadFile;
use PocketPlot\File\Fields;
use PocketPlot\File\FigurePlace;
use PocketPlot\File\PartReader;
use PocketPlot\File\ReadingReader;

/** Writes down what was measured on the bench, with the name of the part that was measured. */
final class WriteReading
{
    /**
     * @param  array<string, mixed>  $given  as the file format writes a reading, without its id
     *
     * @throws ValidationException naming the field and the fix
     */
    public static function in(BuildRecord $build, array $given, ?string $photo): void
    {
        $lineKey = is_string($given['line'] ?? null) ? $given['line'] : '';
        $line = Lines::find($build, $lineKey);
        $part = PartReader::read(BuildPartRecord::query()->findOrFail($line->build_part_id)->spec);
        if ($part->pack === null && in_array($given['kind'] ?? '', ['run', 'charge'], true)) {
            throw ValidationException::withMessages(['line' => "{$part->name} is no pack; choose the pack that was emptied or filled."]);
        }
        $energy = $part->pack?->wattHours();
        $key = 'reading-'.Str::lower((string) Str::ulid());
        $document = [
            'takenOn' => now()->toDateString(), ...array_filter($given, static fn (mixed $value): bool => $value !== null && $value !== ''),
            'id' => $key, 'line' => $lineKey, 'part' => $part->name,
            ...($energy !== null && $energy->isKnown() && $energy->usual() > 0.0 ? ['wattHours' => round($energy->usual() * $line->quantity, 4)] : []),
        ];
        try {
            $document = ReadingReader::document(ReadingReader::read(new Fields($document, 'reading')));
        } catch (BadFile $bad) {
            throw Complaint::about($bad, 'reading');
        }
        $reading = ReadingRecord::query()->create(['build_id' => $build->id, 'line_id' => $line->id, 'key' => $key, 'document' => $document]);
        if ($photo !== null && $photo !== '') {
            PhotoRecord::query()->create(['reading_id' => $reading->id, 'jpeg' => Photo::jpeg($photo)]);
        }
    }

    /** Puts a reading aside. Where it counted, what was stated counts again: no figure stays whose reading is gone. */
    public static function out(BuildRecord $build, string $key): void
    {
        foreach (self::replacements($build, $key) as [$line, $one]) {
            if (FigurePlace::of($one->figure)?->holds(self::part($build, $line)->spec, $one->typed) === true) {
                self::takeBack($build, $line, $one);
            }
        }
        self::find($build, $key)->update(['removed_at' => now()]);
    }

    public static function back(BuildRecord $build, string $key): void
    {
        ReadingRecord::query()->where('build_id', $build->id)->where('key', $key)->firstOrFail()->update(['removed_at' => null]);
    }

    public static function find(BuildRecord $build, string $key): ReadingRecord
    {
        return ReadingRecord::query()->where('build_id', $build->id)->where('key', $key)->whereNull('removed_at')->firstOrFail();
    }

    /** Lets a reading take the place of the spec figures it speaks of. */
    public static function use(BuildRecord $build, string $key): void
    {
        foreach (self::replacements($build, $key) as [$line, $one]) {
            MeasureFigure::in($build, $line, $one->figure, $one->typed);
        }
    }

    /** What was stated counts again. */
    public static function useNoMore(BuildRecord $build, string $key): void
    {
        foreach (self::replacements($build, $key) as [$line, $one]) {
            self::takeBack($build, $line, $one);
        }
    }

    private static function takeBack(BuildRecord $build, string $line, Replacement $one): void
    {
        $part = self::part($build, $line);
        $part->spec = FigurePlace::of($one->figure)?->takeBack($part->spec) ?? $part->spec;
        $part->save();
    }

    private static function part(BuildRecord $build, string $line): BuildPartRecord
    {
        return BuildPartRecord::query()->findOrFail(Lines::find($build, $line)->build_part_id);
    }

    /** @return list<array{string, Replacement}> the line and what is replaced in its part */
    private static function replacements(BuildRecord $build, string $key): array
    {
        $core = BuildMapper::withReadings($build);
        $reading = $core->reading($key) ?? abort(404);

        return array_map(static fn (Replacement $one): array => [$reading->line, $one], Replacement::of($core, $reading, (new Facts($core))->leadOhms()));
    }
}
