<?php

declare(strict_types=1);

namespace App\Mapping;

use App\Models\BuildRecord;
use App\Models\JoinRecord;
use App\Models\LineRecord;
use App\Models\OrderRecord;
use App\Models\ReadingRecord;
use App\Models\StepEventRecord;
use PocketPlot\File\Format;

/** A build's rows written down as they stand, without asking the core: for a build that it cannot read. */
final class RawDocument
{
    /** @return array<string, mixed> in the form of a build file, which may break its schema where the rows do */
    public static function of(BuildRecord $record): array
    {
        $record->load([...BuildMapper::RELATIONS, 'readings']);
        $keys = $record->lines->pluck('key', 'id');
        $parts = $record->parts->keyBy('id');

        return [
            'format' => Format::BUILD,
            'version' => Format::VERSION,
            'name' => $record->name,
            'brief' => (object) $record->brief,
            'rates' => (object) $record->rates,
            'parts' => $parts->whereIn('id', $record->lines->pluck('build_part_id'))->map(static fn ($row): array => $row->spec)->values()->all(),
            'lines' => $record->lines->map(
                static fn (LineRecord $row): array => self::filled(BuildMapper::fieldsOf($row, (string) $parts->get($row->build_part_id)?->key)) + $row->extra,
            )->all(),
            'joins' => $record->joins->filter(
                static fn (JoinRecord $join): bool => $keys->has($join->from_line_id) && $keys->has($join->to_line_id),
            )->map(static fn (JoinRecord $join): array => self::filled([
                'kind' => $join->kind,
                'from' => $keys->get($join->from_line_id),
                'to' => $keys->get($join->to_line_id),
                'output' => $join->output,
                'input' => $join->input,
                'through' => $join->through_line_id === null
                    ? null
                    : $keys->get($join->through_line_id), 'gaugeAwg' => $join->gauge_awg, 'lengthMm' => $join->length_mm,
            ]) + $join->extra)->values()->all(),
            'ticks' => $record->ticks->map(BuildMapper::tick(...))->all(),
            ...($record->work === null ? [] : ['work' => $record->work]),
            ...($record->fit === null ? [] : ['fit' => $record->fit]),
            ...($record->events->isEmpty() ? [] : ['record' => $record->events->map(static fn (StepEventRecord $row): array => $row->document)->all()]),
            ...($record->profiles === null ? [] : ['profiles' => $record->profiles]),
            ...($record->vendors === null ? [] : ['vendors' => $record->vendors]),
            ...($record->orders->isEmpty() ? [] : ['orders' => $record->orders->map(static fn (OrderRecord $row): array => $row->document)->all()]),
            ...($record->readings->isEmpty() ? [] : ['readings' => $record->readings->map(static fn (ReadingRecord $row): array => $row->document)->all()]),
        ] + $record->extra;
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    private static function filled(array $fields): array
    {
        return array_filter($fields, static fn (mixed $value): bool => $value !== null && $value !== '');
    }
}
