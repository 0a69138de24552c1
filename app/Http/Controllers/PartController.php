<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepPart;
use App\Http\Requests\ImportRequest;
use App\Http\Requests\PartRequest;
use App\Journal\Journal;
use App\Library\PartQueries;
use App\Library\PartView;
use App\Mapping\BuildView;
use App\Models\PartRecord;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Collection;
use PocketPlot\File\Format;
use PocketPlot\File\Json;
use PocketPlot\File\PartChanges;
use PocketPlot\File\PartComparison;
use PocketPlot\File\PartReader;
use PocketPlot\Part\Part;

/** The builder's own parts beside the shared shelf. */
final class PartController
{
    private const MOST_COMPARED = 4;

    /** Parts of a file whose changes are shown before it is taken in. */
    private const MOST_SHOWN = 200;

    public function show(User $user, PartRecord $part): JsonResponse
    {
        self::refuseForeign($user, $part);

        return new JsonResponse(PartView::of($user, $part));
    }

    public function store(PartRequest $request, User $user): JsonResponse
    {
        return new JsonResponse(PartView::of($user, KeepPart::asNew($user, $request->part())), 201);
    }

    public function update(PartRequest $request, User $user, PartRecord $part): JsonResponse
    {
        return new JsonResponse(PartView::of($user, KeepPart::over($part, $request->integer('version'), $request->part())));
    }

    public function copy(User $user, PartRecord $part): JsonResponse
    {
        self::refuseForeign($user, $part);

        return new JsonResponse(PartView::of($user, KeepPart::copy($user, $part)), 201);
    }

    /** Builds keep their own copies. It can be put back for a month. */
    public function destroy(PartRecord $part): JsonResponse
    {
        KeepPart::remove($part);

        return new JsonResponse(['libraryId' => $part->id]);
    }

    public function restore(User $user, PartRecord $part): JsonResponse
    {
        return new JsonResponse(PartView::of($user, $part->trashed() ? KeepPart::restore($part) : $part));
    }

    /** Up to four parts side by side, row by row. */
    public function compare(Request $request, User $user): JsonResponse
    {
        $given = $request->validate(['parts' => ['required', 'string', 'max:100', 'regex:/^\d+(,\d+)*\z/']]);
        $ids = array_slice(array_unique(array_map(intval(...), explode(',', is_string($given['parts']) ? $given['parts'] : ''))), 0, self::MOST_COMPARED);
        $rows = PartQueries::byId($user, $ids);
        abort_if($rows->isEmpty(), 404);
        $parts = $rows->map(static fn (PartRecord $row): Part => PartReader::read($row->spec))->all();

        return new JsonResponse([
            'parts' => $rows->map(
                static fn (PartRecord $row): array => [
                    'libraryId' => $row->id,
                    'own' => $row->user_id === $user->id,
                    ...BuildView::part(PartReader::read($row->spec)),
                ],
            )->all(),
            'facets' => PartComparison::of(array_values($parts)),
        ]);
    }

    public function preview(ImportRequest $request, User $user): JsonResponse
    {
        $parts = KeepPart::tried($user, $request->string('text')->toString());
        $there = PartQueries::ownByKey($user, array_keys($parts));

        return new JsonResponse([
            'count' => count($parts),
            'known' => $there->count(),
            'parts' => array_map(
                static fn (Part $part): array => [
                    'key' => $part->id,
                    'name' => $part->name,
                    'role' => $part->role->value,
                    'known' => $there->has($part->id),
                    'blank' => $part->isBlank(),
                    'changes' => $there->has($part->id) ? PartChanges::between(PartReader::read($there[$part->id]->spec), $part) : [],
                ],
                self::mostTelling($parts, $there),
            ),
        ]);
    }

    public function import(ImportRequest $request, User $user): JsonResponse
    {
        return new JsonResponse(KeepPart::all($user, $request->string('text')->toString(), $request->overwrite()), 201);
    }

    public function exportFile(User $user): Response
    {
        $specs = PartQueries::ownSpecs($user);

        Journal::note('own parts were saved as a file', ['parts' => count($specs)]);

        return new Response(Json::inFile(
            ['format' => Format::LIBRARY, 'version' => Format::VERSION, 'name' => 'My parts', 'parts' => $specs],
            Format::MOST_BYTES,
        ), 200, [
            'Content-Type' => 'application/json', 'Content-Disposition' => 'attachment; filename="my-parts.pocketplot.json"',
        ]);
    }

    /**
     * Those that are known already come first: they may be written over.
     *
     * @param  array<string, Part>  $parts
     * @param  Collection<string, PartRecord>  $there
     * @return list<Part>
     */
    private static function mostTelling(array $parts, Collection $there): array
    {
        $known = array_filter($parts, static fn (Part $part): bool => $there->has($part->id));

        return array_slice(array_values($known + $parts), 0, self::MOST_SHOWN);
    }

    private static function refuseForeign(User $user, PartRecord $part): void
    {
        abort_unless(in_array($part->user_id, [$user->id, User::shelf()->id, User::typical()->id], true), 404);
    }
}
