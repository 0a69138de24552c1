<?php

declare(strict_types=1);

namespace App\Mapping;

use App\Models\BuildRecord;
use App\Models\LineRecord;
use App\Models\OrderRecord;
use App\Models\StepEventRecord;
use App\Models\TickRecord;
use PocketPlot\Build\Build;
use PocketPlot\Build\Join;
use PocketPlot\Build\JoinKind;
use PocketPlot\Build\Line;
use PocketPlot\Build\Tick;
use PocketPlot\File\BuildReader;
use PocketPlot\File\Fields;
use PocketPlot\File\FitFile;
use PocketPlot\File\PartReader;
use PocketPlot\File\ReadingReader;
use PocketPlot\File\RecordFile;
use PocketPlot\File\WorkFile;
use PocketPlot\Part\Part;

/** The one place where rows become a core build. */
final class BuildMapper
{
    /** @var array<string, Part> parts by their text, which never change: an edit that looks at the build before and after reads each once */
    private static array $known = [];

    private const MOST_KNOWN = 400;

    /** @var list<string> */
    public const RELATIONS = ['lines', 'removedLines', 'parts', 'joins', 'ticks', 'orders'];

    /**
     * The build with what was measured on its bench, which edits do not need.
     *
     * @throws UnreadableBuild
     */
    public static function withReadings(BuildRecord $record): Build
    {
        $core = self::toCore($record->load([...self::RELATIONS, 'readings']));
        try {
            $readings = [];
            foreach ($record->readings as $row) {
                $reading = ReadingReader::read(new Fields($row->document, "readings/{$row->key}"));
                // What was measured of a line that is put aside waits with it.
                if ($core->line($reading->line) !== null) {
                    $readings[] = $reading;
                }
            }

            return $core->withReadings($readings);
        } catch (\DomainException|\TypeError|\ValueError|\JsonException $why) {
            throw UnreadableBuild::because($record, $why);
        }
    }

    /**
     * The build with all that was written down on its bench, for its file.
     *
     * @throws UnreadableBuild
     */
    public static function whole(BuildRecord $record): Build
    {
        try {
            return self::withReadings($record)->withRecord(RecordFile::all(new Fields([
                'record' => $record->events->map(static fn (StepEventRecord $row): array => $row->document)->all(),
            ])));
        } catch (\DomainException|\TypeError|\ValueError|\JsonException $why) {
            throw UnreadableBuild::because($record, $why);
        }
    }

    /** @throws UnreadableBuild when a row holds what the core cannot read */
    public static function toCore(BuildRecord $record): Build
    {
        try {
            return self::read($record);
        } catch (\DomainException|\TypeError|\ValueError|\JsonException $why) {
            throw UnreadableBuild::because($record, $why);
        }
    }

    private static function read(BuildRecord $record): Build
    {
        $brief = BuildReader::brief(new Fields($record->brief, 'brief'));
        $parts = self::parts($record);
        $lines = $names = [];
        foreach ($record->lines as $row) {
            $lines[] = self::line($row, $parts[$row->build_part_id]);
            $names[$row->id] = $row->key;
        }
        $joins = [];
        foreach ($record->joins as $join) {
            if (isset($names[$join->from_line_id], $names[$join->to_line_id])) {
                $joins[] = new Join(
                    JoinKind::from($join->kind), $names[$join->from_line_id], $names[$join->to_line_id], $join->output, $join->input,
                    $join->through_line_id === null ? '' : $names[$join->through_line_id] ?? '', $join->gauge_awg, $join->length_mm, $join->extra,
                );
            }
        }

        return new Build(
            $record->name,
            $brief,
            $lines,
            BuildReader::rates(new Fields($record->rates, 'rates'), $brief->currency),
            $joins,
            self::ticks($record),
            $record->extra,
            BuildReader::profiles(new Fields(['profiles' => $record->profiles ?? []])),
            [],
            VendorTerms::of($record),
            BuildReader::orders(new Fields(['orders' => $record->orders->map(static fn (OrderRecord $row): array => $row->document)->all()])),
            WorkFile::read(new Fields($record->work ?? [], 'work')),
            [],
            FitFile::read(new Fields($record->fit ?? [], 'fit')),
        );
    }

    /** @return array<string, Tick> by step id */
    private static function ticks(BuildRecord $record): array
    {
        return WorkFile::ticks(new Fields(['ticks' => $record->ticks->map(self::tick(...))->all()]));
    }

    /** @return array<string, mixed> a tick as a file has it */
    public static function tick(TickRecord $row): array
    {
        return ['step' => $row->step, 'on' => substr($row->done_on, 0, 10)]
            + array_filter(['with' => $row->done_with, 'read' => $row->was_read]) + $row->extra;
    }

    /** @return array<int, Part> by row id */
    private static function parts(BuildRecord $record): array
    {
        if (count(self::$known) > self::MOST_KNOWN) {
            self::$known = [];
        }
        $parts = [];
        foreach ($record->parts as $row) {
            $raw = $row->isDirty('spec') ? null : $row->getRawOriginal('spec');
            $parts[$row->id] = is_string($raw) && isset(self::$known[$raw]) ? self::$known[$raw] : PartReader::read($row->spec, "parts/{$row->key}");
            if (is_string($raw)) {
                self::$known[$raw] = $parts[$row->id];
            }
        }

        return $parts;
    }

    private static function line(LineRecord $row, Part $part): Line
    {
        return BuildReader::line(new Fields([...$row->extra, ...self::fieldsOf($row, $part->id)], "lines/{$row->key}"), $part);
    }

    /** @return array<string, mixed> a line as a build file has it, null where nothing is said */
    public static function fieldsOf(LineRecord $row, string $part): array
    {
        return [
            'id' => $row->key,
            'part' => $part,
            'role' => $row->role,
            'slot' => $row->slot,
            'chosen' => $row->chosen,
            'quantity' => $row->quantity,
            'state' => $row->state,
            'origin' => $row->origin,
            'price' => $row->price_amount === null ? null : ['amount' => rtrim(rtrim($row->price_amount, '0'), '.'), 'currency' => $row->price_currency],
            'vendor' => $row->vendor,
            'expectedOn' => $row->expected_on === null ? null : substr($row->expected_on, 0, 10),
            'note' => $row->note,
            'place' => $row->place,
            'owned' => $row->owned,
        ];
    }
}
