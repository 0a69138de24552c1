<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\MergeParts;
use App\Http\Requests\EditRequest;
use App\Http\Requests\MergeRequest;
use App\Library\PartView;
use App\Models\PartRecord;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use PocketPlot\File\PartMerge;
use PocketPlot\File\PartReader;

/** Two parts of one's own that are the same one, and the way back from any change. */
final class PartMergeController
{
    /** What the two say differently; nothing is changed. */
    public function show(User $user, PartRecord $part, int $other): JsonResponse
    {
        [$stays, $goes] = [$part, self::other($user, $part, $other)];

        return new JsonResponse([
            'names' => [$stays->name, $goes->name],
            'versions' => [$stays->version, $goes->version],
            'differences' => PartMerge::differences(PartReader::read($stays->spec), PartReader::read($goes->spec)),
        ]);
    }

    public function store(MergeRequest $request, User $user, PartRecord $part): JsonResponse
    {
        $merged = MergeParts::into(
            $part, $request->integer('version'),
            self::other($user, $part, $request->integer('other')), $request->integer('otherVersion'), $request->take(),
        );

        return new JsonResponse(PartView::of($user, $merged));
    }

    public function back(EditRequest $request, User $user, PartRecord $part, int $change): JsonResponse
    {
        return new JsonResponse(PartView::of($user, MergeParts::back($part, $request->version(), $change)));
    }

    /** Another part of the builder's own. */
    private static function other(User $user, PartRecord $part, int $id): PartRecord
    {
        return PartRecord::query()->where('user_id', $user->id)->whereKeyNot($part->id)->findOrFail($id);
    }
}
