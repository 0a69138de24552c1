<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AddLine;
use App\Actions\AddOwnParts;
use App\Actions\ApplyRemedy;
use App\Actions\ChangeLine;
use App\Actions\ChangeLines;
use App\Actions\ChangePart;
use App\Actions\ChooseLine;
use App\Actions\EditBuild;
use App\Actions\HaveOne;
use App\Actions\Lines;
use App\Actions\MeasureFigure;
use App\Actions\RemoveLine;
use App\Actions\SettleJoin;
use App\Actions\SwapLine;
use App\Actions\WantPart;
use App\Http\Requests\AddLineRequest;
use App\Http\Requests\ChangeLineRequest;
use App\Http\Requests\EditRequest;
use App\Http\Requests\HaveOneRequest;
use App\Http\Requests\JoinRequest;
use App\Http\Requests\ManyLinesRequest;
use App\Http\Requests\MeasureRequest;
use App\Http\Requests\OwnPartsRequest;
use App\Http\Requests\PartRequest;
use App\Http\Requests\RemedyRequest;
use App\Http\Requests\SwapLineRequest;
use App\Http\Requests\WantRequest;
use App\Models\BuildRecord;
use App\Models\PartRecord;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use PocketPlot\File\PartReader;
use PocketPlot\File\PartSheet;
use PocketPlot\Part\FigureRef;

/**
 * Edits of the bill of materials. Each answers the whole build with its new appraisal.
 *
 * @phpstan-import-type Given from ApplyRemedy
 * @phpstan-import-type Given from AddOwnParts as Own
 */
final class LineController
{
    public function add(AddLineRequest $request, User $user, BuildRecord $build): JsonResponse
    {
        $part = $this->libraryPart($user, $request->integer('part'));
        $beside = $request->string('beside')->toString();

        return $this->edit(
            $request,
            $build,
            static fn (BuildRecord $build) => AddLine::to($build, $part, $request->string('role')->toString(), $beside === '' ? null : $beside),
        );
    }

    /** Parts of one's own by name, or from pasted texts. */
    public function addOwn(OwnPartsRequest $request, User $user, BuildRecord $build): JsonResponse
    {
        /** @var list<Own> $parts */
        $parts = $request->validated('parts');

        return $this->edit($request, $build, static fn (BuildRecord $build) => AddOwnParts::to($build, $user, $parts));
    }

    public function change(ChangeLineRequest $request, BuildRecord $build, string $line): JsonResponse
    {
        /** @var array<string, mixed> $given */
        $given = $request->validated();

        return $this->edit($request, $build, static fn (BuildRecord $build) => ChangeLine::in($build, $line, $given));
    }

    public function swap(SwapLineRequest $request, User $user, BuildRecord $build, string $line): JsonResponse
    {
        $part = $this->libraryPart($user, $request->integer('part'));
        $quantity = $request->filled('quantity') ? $request->integer('quantity') : null;

        return $this->edit($request, $build, static fn (BuildRecord $build) => SwapLine::in($build, $line, $part, $quantity));
    }

    /** A fix that was offered, applied whole. */
    public function remedy(RemedyRequest $request, User $user, BuildRecord $build): JsonResponse
    {
        $part = $request->filled('part') ? $this->libraryPart($user, $request->integer('part')) : null;
        /** @var Given $given */
        $given = array_diff_key((array) $request->validated(), ['version' => true, 'part' => true, 'with' => true]);
        $with = array_map(fn (mixed $id): PartRecord => $this->libraryPart($user, is_numeric($id) ? (int) $id : 0), $request->array('with'));

        return $this->edit($request, $build, static fn (BuildRecord $build) => ApplyRemedy::to($build, $part, $given, array_values($with)));
    }

    /** What a finding asks for, put on the list until it is found. */
    public function want(WantRequest $request, BuildRecord $build): JsonResponse
    {
        return $this->edit($request, $build, static fn (BuildRecord $build) => WantPart::for($build, $request->string('finding')->toString()));
    }

    /** The same for several lines at once. */
    public function many(ManyLinesRequest $request, BuildRecord $build): JsonResponse
    {
        /** @var list<string> $keys */
        $keys = $request->validated('lines');
        /** @var array<string, mixed> $given */
        $given = $request->validated();

        return $this->edit($request, $build, static fn (BuildRecord $build) => ChangeLines::in($build, $keys, $given));
    }

    /** A typical part becomes one's own. */
    public function haveOne(HaveOneRequest $request, User $user, BuildRecord $build, string $line): JsonResponse
    {
        return $this->edit($request, $build, static fn (BuildRecord $build) => HaveOne::of($build, $user, $line, $request->string('name')->toString()));
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

    /** What was measured of a line's part takes the place of what was stated. */
    public function measure(MeasureRequest $request, BuildRecord $build, string $line): JsonResponse
    {
        return $this->edit(
            $request,
            $build,
            static fn (BuildRecord $build) => MeasureFigure::in(
                $build,
                $line,
                FigureRef::parse($request->string('figure')->toString()),
                $request->string('typed')->toString(),
            ),
        );
    }

    /** The build's own copy of a line's part, as its editor opens it. */
    public function part(BuildRecord $build, string $line): JsonResponse
    {
        $spec = Lines::partOf($build, $line)->spec;

        return new JsonResponse(['version' => $build->version, 'spec' => (object) $spec, 'sheet' => PartSheet::of(PartReader::read($spec))]);
    }

    public function changePart(PartRequest $request, BuildRecord $build, string $line): JsonResponse
    {
        return EditBuild::run($build, $request->integer('version'), static fn (BuildRecord $build) => ChangePart::in($build, $line, $request->part()));
    }

    public function settle(JoinRequest $request, BuildRecord $build): JsonResponse
    {
        /** @var array{kind: string, from: string, to: string} $given */
        $given = array_diff_key((array) $request->validated(), ['version' => true]);

        return $this->edit($request, $build, static fn (BuildRecord $build) => SettleJoin::in($build, $given));
    }

    public function unsettle(JoinRequest $request, BuildRecord $build): JsonResponse
    {
        $from = $request->string('from')->toString();

        return $this->edit(
            $request,
            $build,
            static fn (BuildRecord $build) => SettleJoin::out(
                $build,
                $request->string('kind')->toString(),
                $request->string('to')->toString(),
                $request->string('input')->toString(),
                $from === '' ? null : $from,
            ),
        );
    }

    /** @param  callable(BuildRecord): void  $edit */
    private function edit(EditRequest $request, BuildRecord $build, callable $edit): JsonResponse
    {
        return EditBuild::run($build, $request->version(), $edit);
    }

    private function libraryPart(User $user, int $id): PartRecord
    {
        return PartRecord::reachableBy($user)->find($id)
            ?? throw ValidationException::withMessages(['part' => 'This part is not in your library. Open the list again and choose another.']);
    }
}
