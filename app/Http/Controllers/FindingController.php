<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\CandidatesRequest;
use App\Library\PartQueries;
use App\Mapping\BuildMapper;
use App\Mapping\BuildView;
use App\Mapping\Today;
use App\Models\BuildRecord;
use App\Models\PartRecord;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use PocketPlot\Appraisal;
use PocketPlot\Check\Remedy;
use PocketPlot\File\PartReader;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use PocketPlot\WhatIf\Candidates;
use PocketPlot\WhatIf\RemedyFinder;

/** What the findings of a build say, and what would become of it with other parts. */
final class FindingController
{
    /** Parts of one role that are tried when a remedy is looked for. */
    private const MOST_TRIED = 120;

    /** One finding in full: its working and its fixes. */
    public function show(Request $request, BuildRecord $build): JsonResponse
    {
        $given = $request->validate(['key' => ['required', 'string', 'max:300']]);
        $finding = Appraisal::of(
            BuildMapper::toCore($build->load(BuildMapper::RELATIONS)),
            Today::day(),
        )->finding(is_string($given['key']) ? $given['key'] : '');
        abort_if($finding === null, 404);

        return new JsonResponse($finding->inFull());
    }

    /** The sentences of all that fits. */
    public function fits(BuildRecord $build): JsonResponse
    {
        return new JsonResponse(['fits' => (object) Appraisal::of(BuildMapper::toCore($build->load(BuildMapper::RELATIONS)), Today::day())->fits()]);
    }

    /** Each part of the role with its verdict against this build and its effect on the vitals. */
    public function candidates(CandidatesRequest $request, User $user, BuildRecord $build): JsonResponse
    {
        $role = $request->enum('role', Role::class) ?? Role::Board;
        $swap = $request->string('swap')->toString();
        $core = BuildMapper::toCore($build->load(BuildMapper::RELATIONS));
        abort_if($swap !== '' && $core->line($swap) === null, 404);
        $rows = PartQueries::ofRole($user, $role->value, $request->string('q')->toString());
        $judged = Candidates::judge($core, self::parts($rows), $role, $swap === '' ? null : $swap, Today::day());
        // Mildest first; the rows' order, by name, among equals. Keys stay: they lead back to the rows.
        uasort($judged, static fn (array $a, array $b): int => $a['effect']->verdict->weight() <=> $b['effect']->verdict->weight());
        $answers = [];
        foreach ($judged as $index => $one) {
            $answers[] = [
                'libraryId' => $rows[$index]->id,
                'part' => BuildView::part($one['part']),
                'inUse' => $swap !== '' && $core->line($swap)?->part->id === $one['part']->id,
                ...$one['effect']->toArray(),
            ];
        }

        return new JsonResponse(['candidates' => $answers]);
    }

    /** For one finding, the swaps and additions that really settle it. */
    public function remedies(Request $request, User $user, BuildRecord $build): JsonResponse
    {
        $given = $request->validate(['finding' => ['required', 'string', 'max:300']]);
        $before = Appraisal::toCompare(BuildMapper::toCore($build->load(BuildMapper::RELATIONS)), Today::day());
        $finding = $before->finding(is_string($given['finding']) ? $given['finding'] : '');
        abort_if($finding === null, 404);
        $roles = array_unique(array_filter(array_map(static fn (Remedy $remedy): ?string => $remedy->role?->value, $finding->remedies())));
        $library = $ids = [];
        foreach ($roles as $role) {
            $rows = PartQueries::ofRole($user, $role, '', self::MOST_TRIED);
            foreach (self::parts($rows) as $index => $part) {
                $library[] = $part;
                $ids[$part->id] = $rows[$index]->id;
            }
        }
        $found = (new RemedyFinder($library, Today::day()))->find($before, $finding);

        return new JsonResponse(['remedies' => array_map(static fn (array $one): array => [
            'libraryId' => $ids[$one['part']->id],
            'kind' => $one['remedy']->kind->value,
            'line' => $one['remedy']->lineId,
            'role' => $one['remedy']->role?->value,
            'part' => BuildView::part($one['part']),
            ...$one['effect']->toArray(),
        ], $found)]);
    }

    /**
     * @param  Collection<int, PartRecord>  $rows
     * @return list<Part>
     */
    private static function parts(Collection $rows): array
    {
        return array_values($rows->map(static fn (PartRecord $row): Part => PartReader::read($row->spec))->all());
    }
}
