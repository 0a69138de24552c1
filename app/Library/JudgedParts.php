<?php

declare(strict_types=1);

namespace App\Library;

use App\Mapping\BuildCards;
use App\Mapping\BuildMapper;
use App\Mapping\BuildView;
use App\Mapping\Today;
use App\Models\BuildRecord;
use App\Models\PartRecord;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use PocketPlot\File\PartReader;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use PocketPlot\WhatIf\Candidates;

/** What would become of a build with each of some parts in one place: judged once a version of the build, then only looked up. */
final class JudgedParts
{
    private const KEPT_SECONDS = 1800;

    /** Sentences of what a part settles. */
    private const MOST_SAID = 2;

    /**
     * @param  Collection<int, PartRecord>  $rows
     * @param  string|null  $swap  the line to swap; null to add one
     * @param  bool  $withDays  whether the day on which the build would be finished is wanted, which takes a plan each
     * @return list<array<string, mixed>> in the order of the rows (contract/openapi.json, "Candidate")
     */
    public static function of(BuildRecord $build, Collection $rows, Role $role, ?string $swap, bool $withDays = false): array
    {
        $key = self::key($build, $role, $swap, $withDays);
        $known = Cache::get($key);
        $known = is_array($known) ? $known : [];
        $open = $rows->reject(static fn (PartRecord $row): bool => isset($known[self::keyOf($row)]))->values();
        if ($open->isNotEmpty()) {
            foreach (self::judged($build, $open, $role, $swap, $withDays) as $index => $answer) {
                $known[self::keyOf($open[$index])] = $answer;
            }
            Cache::put($key, $known, self::KEPT_SECONDS);
        }

        return array_values($rows->map(static fn (PartRecord $row): array => is_array($known[self::keyOf($row)]) ? $known[self::keyOf($row)] : [])->all());
    }

    /** Of another version, on another day or by other rules, everything is judged anew. */
    public static function key(BuildRecord $build, Role $role, ?string $swap, bool $withDays = false): string
    {
        return implode(' ', [$withDays ? 'judged with days' : 'judged', $build->id, $build->version, $role->value, $swap ?? '', BuildCards::made()]);
    }

    public static function keyOf(PartRecord $row): string
    {
        return "{$row->id} {$row->version}";
    }

    /**
     * @param  Collection<int, PartRecord>  $rows
     * @return list<array<string, mixed>>
     */
    private static function judged(BuildRecord $build, Collection $rows, Role $role, ?string $swap, bool $withDays): array
    {
        $core = BuildMapper::toCore($build->load(BuildMapper::RELATIONS));
        $inUse = $swap === null ? null : $core->line($swap)?->part->id;
        $parts = array_values($rows->map(static fn (PartRecord $row): Part => PartReader::read($row->spec))->all());
        $answers = [];
        foreach (Candidates::judge($core, $parts, $role, $swap, Today::day()) as $index => $one) {
            $answers[] = [
                'libraryId' => $rows[$index]->id,
                'part' => BuildView::part($one['part']),
                'own' => $rows[$index]->user_id === $build->user_id,
                'inUse' => $inUse === $one['part']->id,
                'settles' => $one['effect']->settles(self::MOST_SAID),
                ...$one['effect']->weighed($withDays),
            ];
        }

        return $answers;
    }
}
