<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AddLine;
use App\Actions\ChangeLine;
use App\Actions\ChooseLine;
use App\Actions\EditBuild;
use App\Actions\RemoveLine;
use App\Actions\SwapLine;
use App\Http\Requests\AddLineRequest;
use App\Http\Requests\ChangeLineRequest;
use App\Http\Requests\EditRequest;
use App\Http\Requests\SwapLineRequest;
use App\Models\BuildRecord;
use App\Models\PartRecord;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;

/** Edits of the bill of materials. Each answers the whole build with its new appraisal. */
final class LineController
{
    public function add(AddLineRequest $request, User $user, BuildRecord $build): JsonResponse
    {
        $part = $this->part($user, $request->integer('part'));
        $beside = $request->string('beside')->toString();

        return $this->edit($request, $build, static fn (BuildRecord $build) => AddLine::to($build, $part, $request->string('role')->toString(), $beside === '' ? null : $beside));
    }

    public function change(ChangeLineRequest $request, BuildRecord $build, string $line): JsonResponse
    {
        /** @var array<string, mixed> $given */
        $given = $request->validated();

        return $this->edit($request, $build, static fn (BuildRecord $build) => ChangeLine::in($build, $line, $given));
    }

    public function swap(SwapLineRequest $request, User $user, BuildRecord $build, string $line): JsonResponse
    {
        $part = $this->part($user, $request->integer('part'));

        return $this->edit($request, $build, static fn (BuildRecord $build) => SwapLine::in($build, $line, $part));
    }

    public function choose(EditRequest $request, BuildRecord $build, string $line): JsonResponse
    {
        return $this->edit($request, $build, static fn (BuildRecord $build) => ChooseLine::in($build, $line));
    }

    public function remove(EditRequest $request, BuildRecord $build, string $line): JsonResponse
    {
        return $this->edit($request, $build, static fn (BuildRecord $build) => RemoveLine::from($build, $line));
    }

    public function restore(EditRequest $request, BuildRecord $build, string $line): JsonResponse
    {
        return $this->edit($request, $build, static fn (BuildRecord $build) => RemoveLine::undo($build, $line));
    }

    /** @param  callable(BuildRecord): void  $edit */
    private function edit(EditRequest $request, BuildRecord $build, callable $edit): JsonResponse
    {
        return new JsonResponse(EditBuild::run($build, $request->version(), $edit));
    }

    private function part(User $user, int $id): PartRecord
    {
        return PartRecord::visibleTo($user)->find($id)
            ?? throw ValidationException::withMessages(['part' => 'This part is not in your library. Open the list again and choose another.']);
    }
}
