<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\CandidatesRequest;
use App\Mapping\BuildMapper;
use App\Mapping\BuildView;
use App\Mapping\Today;
use App\Models\BuildRecord;
use App\Models\PartRecord;
use App\Models\User;
use App\Models\VendorRecord;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use PocketPlot\Appraisal;
use PocketPlot\Build\Vocabulary;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Remedy;
use PocketPlot\File\PartReader;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use PocketPlot\WhatIf\Candidates;
use PocketPlot\WhatIf\Effect;
use PocketPlot\WhatIf\RemedyFinder;

/** Parts, and what would become of a build with them. */
final class LibraryController
{
    private const MOST = 50;

    /** Parts of one role that are tried when a remedy is looked for. */
    private const MOST_TRIED = 120;

    public function search(Request $request, User $user): JsonResponse
    {
        $given = $request->validate([
            'q' => ['nullable', 'string', 'max:200'], 'role' => ['nullable', 'string', 'max:20'], 'facet' => ['nullable', 'string', 'regex:/^[a-zA-Z]{1,20}$/'],
            'own' => ['nullable', 'boolean'], 'from' => ['nullable', 'integer', 'min:0', 'max:100000'],
        ]);
        $query = PartRecord::matching(PartRecord::visibleTo($user), is_string($given['q'] ?? null) ? $given['q'] : '');
        $query->when($given['role'] ?? null, static fn ($query, $role) => $query->where('role', $role))
            ->when($given['facet'] ?? null, static fn ($query, $facet) => $query->whereRaw('json_contains_path(spec, \'one\', ?)', ["\$.facets.{$facet}"]))
            ->when($request->boolean('own'), static fn ($query) => $query->where('user_id', $user->id));
        $total = $query->count();
        $rows = $query->orderBy('name')->orderBy('id')->offset($request->integer('from'))->limit(self::MOST)->get();

        return new JsonResponse(['total' => $total, 'parts' => $rows->map(static fn (PartRecord $row): array => ['libraryId' => $row->id, 'own' => $row->user_id === $user->id, ...BuildView::part(PartReader::read($row->spec))])->all()]);
    }

    /** The words that briefs and parts share. */
    public function vocabulary(): JsonResponse
    {
        return new JsonResponse([
            'skills' => Vocabulary::SKILLS,
            'tools' => Vocabulary::TOOLS,
            'consumables' => Vocabulary::CONSUMABLES,
            'gamesClasses' => array_map(get_object_vars(...), Vocabulary::gamesClasses()),
        ]);
    }

    public function vendors(User $user): JsonResponse
    {
        $vendors = VendorRecord::query()->whereIn('user_id', [$user->id, User::shelf()->id])->orderBy('name')->get();

        return new JsonResponse(['vendors' => $vendors->map(static fn (VendorRecord $vendor): array => [
            'name' => $vendor->name, 'currency' => $vendor->currency, 'leadDays' => $vendor->lead_days, 'note' => $vendor->note,
        ])->all()]);
    }

    /** Each part of the role with its verdict against this build and its effect on the vitals. */
    public function candidates(CandidatesRequest $request, User $user, BuildRecord $build): JsonResponse
    {
        $role = $request->enum('role', Role::class) ?? Role::Board;
        $swap = $request->string('swap')->toString();
        $rows = $this->rows($user, $role->value, $request->string('q')->toString(), self::MOST);
        $core = BuildMapper::toCore($build->load(BuildMapper::RELATIONS));
        abort_if($swap !== '' && $core->line($swap) === null, 404);
        $parts = array_values($rows->map(static fn (PartRecord $row): Part => PartReader::read($row->spec))->all());
        $judged = Candidates::judge($core, $parts, $role, $swap === '' ? null : $swap, Today::day());
        // Mildest first; the rows' order, by name, among equals. Keys stay: they lead back to the rows.
        uasort($judged, static fn (array $a, array $b): int => $a['effect']->verdict->weight() <=> $b['effect']->verdict->weight());
        $answers = [];
        foreach ($judged as $index => $one) {
            $answers[] = [
                'libraryId' => $rows[$index]->id,
                'part' => BuildView::part($one['part']),
                'inUse' => $swap !== '' && $core->line($swap)?->part->id === $one['part']->id,
                ...$this->effect($one['effect']),
            ];
        }

        return new JsonResponse(['candidates' => $answers]);
    }

    /** One finding in full: its working and its ways out. */
    public function finding(Request $request, BuildRecord $build): JsonResponse
    {
        $given = $request->validate(['key' => ['required', 'string', 'max:300']]);
        $finding = Appraisal::of(BuildMapper::toCore($build->load(BuildMapper::RELATIONS)), Today::day())->finding(is_string($given['key']) ? $given['key'] : '');
        abort_if($finding === null, 404);

        return new JsonResponse($finding->inFull());
    }

    /** For one finding, the swaps and additions that really settle it. */
    public function remedies(Request $request, User $user, BuildRecord $build): JsonResponse
    {
        $given = $request->validate(['finding' => ['required', 'string', 'max:300']]);
        $before = Appraisal::of(BuildMapper::toCore($build->load(BuildMapper::RELATIONS)), Today::day());
        $finding = $before->finding(is_string($given['finding']) ? $given['finding'] : '');
        abort_if($finding === null, 404);
        $roles = array_unique(array_filter(array_map(static fn (Remedy $remedy): ?string => $remedy->role?->value, $finding->remedies())));
        $library = $ids = [];
        foreach ($roles as $role) {
            foreach ($this->rows($user, $role, '', self::MOST_TRIED) as $row) {
                $part = PartReader::read($row->spec);
                $library[] = $part;
                $ids[$part->id] = $row->id;
            }
        }
        $found = (new RemedyFinder($library, Today::day()))->find($before, $finding);

        return new JsonResponse(['remedies' => array_map(fn (array $one): array => [
            'libraryId' => $ids[$one['part']->id],
            'kind' => $one['remedy']->kind->value,
            'line' => $one['remedy']->lineId,
            'role' => $one['remedy']->role?->value,
            'part' => BuildView::part($one['part']),
            ...$this->effect($one['effect']),
        ], $found)]);
    }

    /** @return array<string, mixed> */
    private function effect(Effect $effect): array
    {
        $worst = $effect->concerning[0] ?? null;

        return [
            'verdict' => $effect->verdict->value,
            'says' => $worst instanceof Finding ? $worst->says() : '',
            'settled' => count($effect->settled),
            'newClashes' => count($effect->newClashes),
            'vitals' => $effect->vitals->toArray(),
        ];
    }

    /** @return Collection<int, PartRecord> */
    private function rows(User $user, ?string $role, string $words, int $most): Collection
    {
        $query = PartRecord::matching(PartRecord::visibleTo($user), $words);
        if ($role !== null) {
            $query->where('role', $role);
        }

        return $query->orderBy('name')->limit($most)->get();
    }
}
