<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildCards;
use App\Mapping\BuildMapper;
use App\Mapping\BuildView;
use App\Mapping\Today;
use App\Mapping\UnreadableBuild;
use App\Models\BuildPartRecord;
use App\Models\BuildRecord;
use App\Models\JoinRecord;
use App\Models\OrderRecord;
use App\Models\ReadingRecord;
use App\Models\StepEventRecord;
use App\Models\TickRecord;
use App\Models\Written;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use PocketPlot\Appraisal;
use PocketPlot\File\BadFile;
use PocketPlot\File\Format;
use PocketPlot\File\Json;

/**
 * The gate that every write of a build passes before its transaction ends: what is kept can be read back by the
 * core, appraised, answered, saved as a file and taken in again. What does not pass is never committed.
 */
final class ReadBack
{
    public const MOST_LINES = 1000;

    public const MOST_JOINS = 2000;

    public const MOST_TICKS = 5000;

    public const MOST_READINGS = 500;

    public const MOST_ORDERS = 500;

    public const MOST_EVENTS = 5000;

    /** Bytes of a file besides its parts, readings and photographs and lines: keys, brackets, the brief. */
    private const FRAME_BYTES = 1000;

    /**
     * @param  BuildRecord  $build  as it is to be; it is saved here, its card with it
     * @param  ?callable(Appraisal): void  $look  sees the appraisal that was made anyway
     * @return JsonResponse the whole build, encoded
     *
     * @throws ValidationException naming what cannot be kept
     */
    public static function answer(BuildRecord $build, int $status = 200, ?callable $look = null): JsonResponse
    {
        $build->unsetRelations()->load(BuildMapper::RELATIONS);
        self::refuseTooMuch($build);
        try {
            self::refuseBadPieces($build);
            $appraisal = Appraisal::of(BuildMapper::toCore($build), Today::day());
            $response = new JsonResponse(BuildView::of($build, $appraisal), $status);
            BuildCards::put($build, $appraisal);
            if ($look !== null) {
                $look($appraisal);
            }
        } catch (UnreadableBuild $unreadable) {
            throw Complaint::about(new BadFile($unreadable->problems));
        } catch (BadFile $bad) {
            throw Complaint::about($bad);
        } catch (\InvalidArgumentException) {
            throw ValidationException::withMessages(['build' => 'This would give figures that nobody can write down. Correct the figure you changed.']);
        }

        $build->save();

        return $response;
    }

    /** Pieces that were written in this transaction, against the schema that a saved file has to follow. */
    private static function refuseBadPieces(BuildRecord $build): void
    {
        $pieces = [
            $build->isDirty('brief') ? ['brief', $build->brief] : null,
            $build->isDirty('work') ? ['work', $build->work ?? []] : null,
            $build->isDirty('fit') ? ['fit', $build->fit ?? []] : null,
        ];
        foreach (Written::take() as $row) {
            $pieces[] = match (true) {
                $row instanceof BuildPartRecord => ['part', $row->spec],
                $row instanceof ReadingRecord => ['reading', $row->document],
                $row instanceof OrderRecord => ['order', $row->document],
                $row instanceof StepEventRecord => ['event', $row->document],
                default => null,
            };
        }
        foreach (array_filter($pieces) as [$name, $value]) {
            (new Format(
                Format::BUILD,
                (string) file_get_contents(base_path('core/schema/build.schema.json')),
            ))->refuseBadPiece($name, $value === [] ? new \stdClass : $value);
        }
    }

    /** @throws ValidationException when the build would grow beyond what its file may hold */
    private static function refuseTooMuch(BuildRecord $build): void
    {
        foreach ([
            'part' => [$build->lines->count(), self::MOST_LINES, 'lines'],
            'join' => [$build->joins->count(), self::MOST_JOINS, 'settled joins'],
            'step' => [$build->ticks->count(), self::MOST_TICKS, 'ticked steps'],
            'items' => [$build->orders->count(), self::MOST_ORDERS, 'orders'],
        ] as $field => [$there, $most, $what]) {
            if ($there > $most) {
                throw ValidationException::withMessages([$field => "A build holds at most {$most} {$what}. Remove some, or begin another build."]);
            }
        }
        [$kept, $bytes, $photos, $events] = self::onBench($build);
        if ($events > self::MOST_EVENTS) {
            throw ValidationException::withMessages(['events' => 'The record of a build holds at most '.self::MOST_EVENTS.' entries. Save the file, and begin another build.']);
        }
        if ($kept > self::MOST_READINGS) {
            throw ValidationException::withMessages(
                ['line' => 'A build holds at most '.self::MOST_READINGS.' readings. Put some aside, or begin another build.'],
            );
        }
        $parts = $build->parts->sum(static fn (BuildPartRecord $row): int => strlen((string) $row->getRawOriginal('spec')));
        // Notes are counted as they are written into the file, where some letters take six bytes.
        $lines = $build->lines->sum(
            static fn ($row): int => 400 + strlen(Json::encode([$row->note, $row->vendor, $row->place])) + strlen((string) $row->getRawOriginal('extra')),
        );
        $orders = $build->orders->sum(static fn (OrderRecord $row): int => 2 + strlen((string) $row->getRawOriginal('document')));
        $whole = [$build->brief, $build->rates, $build->extra, $build->profiles, $build->vendors, $build->work, $build->fit];
        $rest = (int) $orders + strlen(Json::encode($whole))
            + (int) $build->joins->sum(
                static fn (JoinRecord $row): int => 450 + strlen(Json::encode([$row->output, $row->input])) + strlen((string) $row->getRawOriginal('extra')),
            )
            + (int) $build->ticks->sum(
                static fn (TickRecord $row): int => 50 + strlen(Json::encode([$row->step, $row->done_with, $row->was_read]))
                    + strlen((string) $row->getRawOriginal('extra')),
            );
        $all = self::FRAME_BYTES + (int) $parts + (int) $lines + $rest + $bytes + intdiv($photos * 4, 3) + 60 * ($kept + $events);
        if ($all > Format::MOST_BYTES) {
            throw ValidationException::withMessages(['build' => sprintf(
                'This build would have %.1f MB; at most %.1f MB are kept, so that its file can always be taken in again. Put readings with long logs or photographs aside, or begin another build.',
                $all / 1e6,
                Format::MOST_BYTES / 1e6,
            )]);
        }
    }

    /** @return array{int, int, int, int} readings, bytes of readings and of the record, bytes of photographs, entries of the record */
    private static function onBench(BuildRecord $build): array
    {
        $sums = DB::selectOne(
            'select r.kept, r.bytes + e.bytes as bytes, r.photos + e.photos as photos, e.kept as events from
                (select count(*) as kept, coalesce(sum(length(r.document)), 0) as bytes, coalesce(sum(length(p.jpeg)), 0) as photos
                    from build_readings r left join reading_photos p on p.reading_id = r.id where r.build_id = ? and r.removed_at is null) r,
                (select count(*) as kept, coalesce(sum(length(e.document)), 0) as bytes, coalesce(sum(length(p.jpeg)), 0) as photos
                    from step_events e left join step_photos p on p.event_id = e.id where e.build_id = ?) e',
            [$build->id, $build->id],
        );
        $numbers = array_map(
            static fn (mixed $value): int => is_numeric($value) ? (int) $value : 0,
            is_object($sums) ? array_values(get_object_vars($sums)) : [],
        );

        return [$numbers[0] ?? 0, $numbers[1] ?? 0, $numbers[2] ?? 0, $numbers[3] ?? 0];
    }
}
