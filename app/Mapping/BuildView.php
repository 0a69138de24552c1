<?php

declare(strict_types=1);

namespace App\Mapping;

use App\Models\BuildRecord;
use App\Models\LineRecord;
use PocketPlot\Appraisal;
use PocketPlot\Assembly\Arrivals;
use PocketPlot\Build\Brief;
use PocketPlot\Build\GamesClass;
use PocketPlot\Build\Line;
use PocketPlot\Build\Vendor;
use PocketPlot\Check\VerdictChanges;
use PocketPlot\Part\KeyFigures;
use PocketPlot\Part\Offer;
use PocketPlot\Part\Part;
use PocketPlot\Quantity\Day;
use PocketPlot\Sourcing\Costs;
use PocketPlot\WhatIf\Needs;

/** What the API answers of a build: its rows and its appraisal (contract/openapi.json, "Build"). */
final class BuildView
{
    /** @return array<string, mixed> */
    public static function of(BuildRecord $record, ?Appraisal $appraisal = null): array
    {
        $record->loadMissing(BuildMapper::RELATIONS);
        $today = Today::day();
        $appraisal ??= Appraisal::of(BuildMapper::toCore($record), $today);

        return [
            'id' => $record->id,
            'version' => $record->version,
            'name' => $record->name,
            'brief' => self::brief($record->brief, $appraisal->build->brief),
            'rates' => $appraisal->build->rates->toArray(),
            'lines' => array_map(static fn (Line $line): array => self::line($line, $today, $appraisal->build->vendors), $appraisal->build->lines),
            'removed' => $record->removedLines->map(static fn (LineRecord $row): array => [
                'id' => $row->key,
                'name' => self::nameOf($record, $row),
                'role' => $row->role,
            ])->values()->all(),
            'appraisal' => $appraisal->toArray(),
            'needs' => (object) self::needs($appraisal),
            'since' => $record->looked === null ? [] : VerdictChanges::compare(array_filter($record->looked, is_string(...)), $appraisal->findings),
        ];
    }

    /** @return array<string, string> what is wanted for a finding, in a sentence, by the finding's key */
    private static function needs(Appraisal $appraisal): array
    {
        $needs = new Needs($appraisal->facts);
        $says = [];
        foreach ($appraisal->findings as $finding) {
            foreach ($finding->verdict->isFault() ? $needs->of($finding) : [] as $need) {
                $says[$finding->key()] ??= $need->says();
            }
        }

        return $says;
    }

    /**
     * As it was written, each class of games with the counts that the page shows: what a file leaves out is none.
     *
     * @param  array<string, mixed>  $written
     */
    private static function brief(array $written, Brief $brief): object
    {
        if (is_array($written['games'] ?? null)) {
            $written['games'] = array_map(
                static fn (mixed $games, GamesClass $read): array => [...array_diff_key(get_object_vars($read), ['triggers' => true]), ...(array) $games],
                array_values($written['games']),
                $brief->games,
            );
        }

        return (object) $written;
    }

    /** @return array<string, mixed> */
    public static function part(Part $part): array
    {
        return [
            'id' => $part->id,
            'name' => $part->name,
            'role' => $part->role->value,
            'maker' => $part->maker,
            'summary' => $part->summary,
            'keyFigures' => KeyFigures::of($part),
            'typical' => $part->isTypical,
            'skills' => $part->work->skills,
            'cautions' => $part->cautions,
            'offers' => array_map(
                static fn (Offer $offer): array => ['vendor' => $offer->vendor, 'price' => $offer->price->toArray(), 'leadDays' => $offer->leadDays],
                $part->offers,
            ),
        ];
    }

    /**
     * @param  array<string, Vendor>  $vendors  by name
     * @return array<string, mixed>
     */
    private static function line(Line $line, Day $today, array $vendors): array
    {
        $arrives = $line->state->isAtHand() ? null : Arrivals::of($line, $today, $vendors);

        return [
            'id' => $line->id,
            'part' => self::part($line->part),
            'role' => $line->role->value,
            'slot' => $line->slot,
            'chosen' => $line->chosen,
            'quantity' => $line->quantity,
            'state' => $line->state->value,
            'origin' => $line->origin->value,
            'price' => $line->price?->toArray(),
            'listPrice' => Costs::unitPrice($line)?->toArray(),
            'vendor' => $line->vendor,
            'expectedOn' => $line->expectedOn === null ? null : (string) $line->expectedOn,
            'arrivesOn' => $arrives === null ? null : (string) $arrives,
            'note' => $line->note,
            'place' => $line->place,
            'owned' => $line->owned,
        ];
    }

    private static function nameOf(BuildRecord $record, LineRecord $row): string
    {
        $name = $record->parts->firstWhere('id', $row->build_part_id)?->spec['name'] ?? null;

        return is_string($name) ? $name : $row->key;
    }
}
