<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Lines;
use App\Http\Requests\CandidatesRequest;
use App\Library\JudgedParts;
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
use PocketPlot\Build\Build;
use PocketPlot\Build\Join;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\File\PartReader;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use PocketPlot\WhatIf\Fix;
use PocketPlot\WhatIf\Need;
use PocketPlot\WhatIf\Needs;
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
        $appraisal = self::appraise($build);
        $finding = $appraisal->finding(is_string($given['key']) ? $given['key'] : '');
        abort_if($finding === null, 404);

        return new JsonResponse([
            ...$finding->inFull(),
            'needs' => array_map(static fn (Need $need): array => $need->toArray(), (new Needs($appraisal->facts))->of($finding)),
        ]);
    }

    /** The sentences of all that fits. */
    public function fits(BuildRecord $build): JsonResponse
    {
        return new JsonResponse(['fits' => (object) self::appraise($build)->fits()]);
    }

    /** Part against part. */
    public function grid(BuildRecord $build): JsonResponse
    {
        return new JsonResponse(['grid' => self::appraise($build)->grid()]);
    }

    /** Each part of the role with its verdict against this build and its effect on the vitals. */
    public function candidates(CandidatesRequest $request, User $user, BuildRecord $build): JsonResponse
    {
        $role = $request->enum('role', Role::class) ?? Role::Board;
        $swap = $request->filled('swap') ? $request->string('swap')->toString() : null;
        if ($swap !== null) {
            Lines::find($build, $swap);
        }
        $parts = $request->filled('only')
            ? PartQueries::reachable($user, $request->integer('only'), $role->value)
            : PartQueries::ofRole($user, $role->value, $request->string('q')->toString(), PartQueries::MOST, $request->boolean('typical'));
        $answers = JudgedParts::of($build, $parts, $role, $swap, $request->boolean('days'));
        // Mildest first, among equals what settles most; then by name.
        usort($answers, static fn (array $a, array $b): int => self::weight($a) <=> self::weight($b) ?: $b['settled'] <=> $a['settled']);

        return new JsonResponse(['candidates' => $answers]);
    }

    /** For one finding, the swaps and additions that really settle it. */
    public function remedies(Request $request, User $user, BuildRecord $build): JsonResponse
    {
        $given = $request->validate(['finding' => ['required', 'string', 'max:300']]);
        $before = Appraisal::toCompare(BuildMapper::toCore($build->load(BuildMapper::RELATIONS)), Today::day());
        $finding = $before->finding(is_string($given['finding']) ? $given['finding'] : '');
        abort_if($finding === null, 404);
        // Solder and tape go with whatever asks for them.
        $asked = array_map(static fn (Remedy $remedy): ?string => $remedy->role?->value, $finding->remedies());
        $roles = array_unique([...array_filter($asked), Role::Material->value]);
        $library = $ids = [];
        foreach ($roles as $role) {
            $rows = PartQueries::ofRole($user, $role, '', self::MOST_TRIED);
            foreach (self::parts($rows) as $index => $part) {
                $library[] = $part;
                $ids[$part->id] = $rows[$index]->id;
            }
        }
        $found = (new RemedyFinder($library, Today::day()))->search($before, $finding);

        $said = static fn (Fix $fix): array => self::fix($fix, $before->build, $ids);

        return new JsonResponse(['remedies' => array_map($said, $found->clean), 'trades' => array_map($said, $found->trades)]);
    }

    /**
     * @param  array<string, int>  $ids  of the library's rows, by the part's own id
     * @return array<string, mixed>
     */
    private static function fix(Fix $fix, Build $build, array $ids): array
    {
        $edits = $fix->edits;

        return [
            'kind' => $edits->kind(),
            'does' => $edits->says($build),
            'libraryId' => $edits->part === null ? null : $ids[$edits->part->id],
            'line' => $edits->lineId,
            'role' => $edits->role?->value,
            'with' => array_map(static fn (Part $part): int => $ids[$part->id], $edits->with),
            'part' => $edits->part === null ? null : BuildView::part($edits->part),
            'settles' => self::join($edits->settles),
            'frees' => self::join($edits->frees),
            'brightness' => $edits->brightness,
            'hours' => $edits->hours,
            'leaves' => $fix->leaves(),
            ...$fix->effect->toArray(),
        ];
    }

    /** @return array{from: string, output: string, to: string, input: string, through: string, gaugeAwg: ?float, lengthMm: ?float}|null */
    private static function join(?Join $join): ?array
    {
        return $join === null ? null : [
            'from' => $join->from, 'output' => $join->output, 'to' => $join->to, 'input' => $join->input,
            'through' => $join->through, 'gaugeAwg' => $join->gaugeAwg, 'lengthMm' => $join->lengthMm,
        ];
    }

    private static function appraise(BuildRecord $build): Appraisal
    {
        return Appraisal::of(BuildMapper::toCore($build->load(BuildMapper::RELATIONS)), Today::day());
    }

    /** @param  array<string, mixed>  $answer */
    private static function weight(array $answer): int
    {
        return is_string($answer['verdict'] ?? null) ? Verdict::from($answer['verdict'])->weight() : 0;
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
