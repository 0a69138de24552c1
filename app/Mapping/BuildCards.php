<?php

declare(strict_types=1);

namespace App\Mapping;

use App\Models\BuildRecord;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use PocketPlot\Appraisal;

/**
 * What stands on the cards of the list of builds. Each edit writes its build's card (Actions\ReadBack); a card that
 * was made on another day, or by other rules, is made anew when somebody looks.
 */
final class BuildCards
{
    /** Seconds for which an update of the application may go unnoticed by the cards. */
    private const NOTICED_WITHIN = 60;

    /**
     * @param  Collection<int, BuildRecord>  $builds
     * @return list<array<string, mixed>> in their order (contract/openapi.json, "BuildCard")
     */
    public static function of(Collection $builds): array
    {
        $stale = $builds->filter(static fn (BuildRecord $record): bool => $record->card === null || $record->card_made !== self::made());
        $stale->load(BuildMapper::RELATIONS);
        $cards = [];
        foreach ($builds as $record) {
            $cards[] = [
                'id' => $record->id, 'name' => $record->name, 'updatedAt' => $record->updated_at?->toIso8601String(),
                ...($stale->contains($record) ? self::anew($record) : $record->card ?? []),
            ];
        }

        return $cards;
    }

    /** Puts the card into the record, which is saved by whoever writes it. */
    public static function put(BuildRecord $record, Appraisal $appraisal): void
    {
        $record->card = self::says($appraisal);
        $record->card_made = self::made();
    }

    /**
     * Of a build that was not edited since the day or the rules changed. One that cannot be read, or not be
     * appraised, stands there all the same and takes no other down with it.
     *
     * @return array<string, mixed>
     */
    private static function anew(BuildRecord $record): array
    {
        try {
            $card = self::says(Appraisal::of(BuildMapper::toCore($record), Today::day()));
        } catch (\PDOException $away) {
            throw $away;
        } catch (\Throwable $why) {
            report($why);

            return [
                'purpose' => '', 'verdict' => null, 'lines' => $record->lines()->count(), 'vitals' => null,
                'unreadable' => 'This build cannot be read: '
                    .($why instanceof UnreadableBuild ? $why->problems[0] : 'something in it was not expected')
                    .'. It is kept as it is; save it as a file.',
            ];
        }
        // Nobody edited it: neither its version nor its day moves. An edit that came in between has written a newer card.
        DB::table('builds')->where('id', $record->id)->where('version', $record->version)->update(
            ['card' => json_encode($card, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION), 'card_made' => self::made()],
        );

        return $card;
    }

    /** @return array<string, mixed> what the card says, without what stands in the row anyway */
    public static function says(Appraisal $appraisal): array
    {
        return [
            'purpose' => $appraisal->build->brief->purpose,
            'verdict' => $appraisal->verdict->value,
            'lines' => count($appraisal->build->chosen()),
            'vitals' => $appraisal->vitals->toArray(),
            'unreadable' => null,
        ];
    }

    /**
     * The day and the rules by which a card made now is made: the same on every server that runs the same version, and
     * another while an update goes through them.
     *
     * @return string the day as year-month-day, a space, and the fingerprint of the core's files
     */
    public static function made(): string
    {
        $rules = Cache::remember('fingerprint of the core '.gethostname().' '.base_path(), self::NOTICED_WITHIN, static function (): string {
            $files = [];
            /** @var \SplFileInfo $file */
            foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(base_path('core/src'), \FilesystemIterator::SKIP_DOTS)) as $file) {
                $files[] = substr($file->getPathname(), strlen(base_path())).' '.md5_file($file->getPathname());
            }
            sort($files);

            return md5(implode("\n", $files));
        });

        return Today::day().' '.(is_string($rules) ? $rules : '');
    }
}
