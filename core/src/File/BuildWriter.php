<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Build\Build;
use PocketPlot\Build\Join;
use PocketPlot\Build\Line;
use PocketPlot\Build\Profile;
use PocketPlot\Build\Vendor;
use PocketPlot\Quantity\Rates;

/** Writes a build as a document of the open format, keys it does not know included. */
final class BuildWriter
{
    /**
     * @param  array<string, mixed>  $brief  the brief as it was written, unknown keys included
     * @return array<string, mixed>
     */
    public static function document(Build $build, array $brief): array
    {
        $parts = [];
        foreach ($build->lines as $line) {
            $parts[$line->part->id] = $line->part->raw;
        }
        $document = [
            'format' => Format::BUILD,
            'version' => Format::VERSION,
            'name' => $build->name,
            'brief' => $brief === [] ? new \stdClass : $brief,
            'rates' => self::rates($build->rates),
            'parts' => array_values($parts),
            'lines' => array_map(self::line(...), $build->lines),
            'joins' => array_map(self::join(...), $build->joins),
            'ticks' => array_map(WorkFile::tick(...), array_values($build->ticks)),
            ...($build->profiles === [] ? [] : ['profiles' => array_map(self::profile(...), $build->profiles)]),
            ...($build->vendors === [] ? [] : ['vendors' => array_values(array_map(static fn (Vendor $one): array => $one->raw, $build->vendors))]),
            ...($build->orders === [] ? [] : ['orders' => array_map(OrderFile::document(...), $build->orders)]),
            ...(WorkFile::document($build->work) === [] ? [] : ['work' => WorkFile::document($build->work)]),
            ...(FitFile::document($build->fit) === [] ? [] : ['fit' => FitFile::document($build->fit)]),
            ...($build->record === [] ? [] : ['record' => array_map(RecordFile::document(...), $build->record)]),
            ...($build->readings === [] ? [] : ['readings' => array_map(ReadingReader::document(...), $build->readings)]),
        ];

        return $document + $build->extra;
    }

    /** @param  array<string, mixed>  $document */
    public static function json(array $document): string
    {
        return Json::inFile($document, Format::MOST_BYTES);
    }

    /** @return array<string, mixed> the rates as a file and a row keep them */
    public static function rates(Rates $rates): array
    {
        return [
            'base' => $rates->base,
            ...($rates->asOf === null ? [] : ['asOf' => $rates->asOf]),
            ...($rates->source === '' ? [] : ['source' => $rates->source]),
            'worth' => $rates->worth === [] ? new \stdClass : $rates->worth,
        ] + $rates->extra;
    }

    /** @return array<string, mixed> */
    public static function profile(Profile $profile): array
    {
        $shares = array_filter(['off' => $profile->off, 'idle' => $profile->idle, 'usual' => $profile->usual, 'heavy' => $profile->heavy]);
        $settings = array_filter(
            ['brightness' => $profile->brightness, 'volume' => $profile->volume, 'fan' => $profile->fan, 'radio' => $profile->radio],
            static fn (mixed $value): bool => $value !== null,
        );

        return ['name' => $profile->name] + $shares + $settings + $profile->extra;
    }

    /** @return array<string, mixed> */
    public static function join(Join $join): array
    {
        return array_filter(
            [
                'kind' => $join->kind->value,
                'from' => $join->from,
                'to' => $join->to,
                'output' => $join->output,
                'input' => $join->input,
                'through' => $join->through,
                'gaugeAwg' => $join->gaugeAwg,
                'lengthMm' => $join->lengthMm,
            ],
            static fn (string|float|null $value): bool => $value !== '' && $value !== null,
        ) + $join->extra;
    }

    /** @return array<string, mixed> */
    private static function line(Line $line): array
    {
        return [
            'id' => $line->id,
            'part' => $line->part->id,
            'role' => $line->role->value,
            'slot' => $line->slot,
            'chosen' => $line->chosen,
            'quantity' => $line->quantity,
            'state' => $line->state->value,
            'origin' => $line->origin->value,
            ...($line->price === null ? [] : ['price' => $line->price->toArray()]),
            ...($line->vendor === '' ? [] : ['vendor' => $line->vendor]),
            ...($line->expectedOn === null ? [] : ['expectedOn' => (string) $line->expectedOn]),
            ...($line->note === '' ? [] : ['note' => $line->note]),
            ...($line->place === '' ? [] : ['place' => $line->place]),
            ...($line->owned === 0 ? [] : ['owned' => $line->owned]),
        ] + $line->extra;
    }
}
