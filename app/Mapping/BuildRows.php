<?php

declare(strict_types=1);

namespace App\Mapping;

use App\Models\BuildPartRecord;
use App\Models\BuildRecord;
use App\Models\JoinRecord;
use App\Models\LineRecord;
use App\Models\OrderRecord;
use App\Models\TickRecord;
use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\File\OrderFile;

/** Where a core build becomes rows; BuildMapper goes the other way. */
final class BuildRows
{
    /**
     * Writes parts, lines, joins and ticks of a build that has none yet; inside of a transaction.
     *
     * @return array<string, LineRecord> by line id
     */
    public static function write(Build $core, BuildRecord $build): array
    {
        $parts = $lines = [];
        foreach ($core->lines as $position => $line) {
            $part = $parts[$line->part->id] ??= BuildPartRecord::query()->create(
                ['build_id' => $build->id, 'key' => $line->part->id, 'spec' => $line->part->raw],
            );
            $lines[$line->id] = LineRecord::query()->create(self::row($build, $part, $line, $position));
        }
        foreach ($core->joins as $join) {
            JoinRecord::query()->create([
                'build_id' => $build->id, 'kind' => $join->kind->value,
                'from_line_id' => $lines[$join->from]->id, 'to_line_id' => $lines[$join->to]->id, 'output' => $join->output, 'input' => $join->input,
                'through_line_id' => $join->through === '' ? null : ($lines[$join->through]->id ?? null),
                'gauge_awg' => $join->gaugeAwg,
                'length_mm' => $join->lengthMm,
                'extra' => $join->extra,
            ]);
        }
        foreach ($core->ticks as $tick) {
            TickRecord::query()->create([
                'build_id' => $build->id, 'step' => $tick->step, 'done_on' => (string) $tick->on,
                'done_with' => $tick->with === [] ? null : $tick->with, 'was_read' => $tick->read === [] ? null : $tick->read, 'extra' => $tick->extra,
            ]);
        }

        foreach ($core->orders as $order) {
            OrderRecord::query()->create(['build_id' => $build->id, 'key' => $order->id, 'document' => OrderFile::document($order), 'history' => []]);
        }

        return $lines;
    }

    /** @return array<string, mixed> */
    private static function row(BuildRecord $build, BuildPartRecord $part, Line $line, int $position): array
    {
        return [
            'build_id' => $build->id,
            'build_part_id' => $part->id,
            'key' => $line->id,
            'role' => $line->role->value,
            'slot' => $line->slot,
            'chosen' => $line->chosen,
            'quantity' => $line->quantity,
            'state' => $line->state->value,
            'origin' => $line->origin->value,
            'price_amount' => $line->price === null ? null : (string) $line->price->amount,
            'price_currency' => $line->price?->currency,
            'vendor' => $line->vendor,
            'expected_on' => $line->expectedOn === null ? null : (string) $line->expectedOn,
            'note' => $line->note,
            'place' => $line->place,
            'owned' => $line->owned,
            'extra' => $line->extra,
            'position' => $position,
        ];
    }
}
