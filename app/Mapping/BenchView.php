<?php

declare(strict_types=1);

namespace App\Mapping;

use App\Models\BuildRecord;
use App\Models\ReadingRecord;
use PocketPlot\Build\Build;
use PocketPlot\Report\BenchReport;

/** What the API answers of a build's bench (contract/openapi.json, "Bench"): the report, with the photographs and what was removed. */
final class BenchView
{
    /** @return array<string, mixed> */
    public static function of(Build $build, BuildRecord $record): array
    {
        $photos = $record->readings()->has('photo')->pluck('key')->flip();
        $gone = ReadingRecord::query()->where('build_id', $record->id)->whereNotNull('removed_at')->orderByDesc('removed_at')->limit(10)->get();
        $report = BenchReport::of($build);
        $readings = is_array($report['readings']) ? $report['readings'] : [];

        return [
            ...$report,
            'readings' => array_map(
                static fn (mixed $reading): array => is_array($reading) && is_string($reading['id'] ?? null)
                    ? [...$reading, 'hasPhoto' => $photos->has($reading['id'])]
                    : [],
                $readings,
            ),
            'removed' => $gone->map(static fn (ReadingRecord $row): string => $row->key)->all(),
        ];
    }
}
