<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeWork;
use App\Actions\EditBuild;
use App\Actions\TakeRecord;
use App\Http\Requests\RecordRequest;
use App\Http\Requests\WorkRequest;
use App\Mapping\BuildMapper;
use App\Mapping\Today;
use App\Models\BuildRecord;
use App\Models\StepEventRecord;
use App\Sheets\EveningsCalendar;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use PocketPlot\Appraisal;
use PocketPlot\Assembly\PlanView;
use PocketPlot\Assembly\Substitution;
use PocketPlot\Assembly\WayBack;
use PocketPlot\Report\FaultReport;

/** The work at the bench: the plan, what was done, what failed, and the way back. */
final class WorkController
{
    /** Entries of the record that are shown at once. */
    private const MOST_SHOWN = 200;

    public function plan(BuildRecord $build): JsonResponse
    {
        $appraisal = self::appraise($build);

        return new JsonResponse([
            ...(new PlanView($appraisal->plan, $appraisal->facts))->whole(),
            'substitution' => Substitution::of($appraisal->plan, $appraisal->build),
        ]);
    }

    public function change(WorkRequest $request, BuildRecord $build): JsonResponse
    {
        /** @var array<string, mixed> $given */
        $given = $request->validated();
        $did = $request->string('did')->toString();

        return EditBuild::run($build, $request->version(), static fn (BuildRecord $build) => ChangeWork::in($build, $did, $given));
    }

    /** Takes entries in, whatever version the page was; answers the build and what became of each. */
    public function take(RecordRequest $request, BuildRecord $build): JsonResponse
    {
        $results = [];
        $answer = EditBuild::whatever($build, static function (BuildRecord $build) use ($request, &$results): void {
            $taking = new TakeRecord($build);
            $taking->take($request->events());
            $results = $taking->results;
        });

        // The build is encoded already.
        return JsonResponse::fromJsonString('{"build":'.$answer->getContent().',"results":'.json_encode($results, JSON_THROW_ON_ERROR).'}');
    }

    public function record(BuildRecord $build): JsonResponse
    {
        $rows = $build->events()->withExists('photo')->reorder()->orderByDesc('id')->limit(self::MOST_SHOWN)->get();

        return new JsonResponse([
            'entries' => $rows->map(static fn (StepEventRecord $row): array => [
                ...array_diff_key($row->document, ['with' => true, 'read' => true]),
                'title' => $row->document['title'] ?? $row->document['step'] ?? '',
                'with' => array_values(is_array($row->document['with'] ?? null) ? $row->document['with'] : []),
                'read' => (object) ($row->document['read'] ?? []),
                'photo' => $row->getAttribute('photo_exists') === true,
            ])->all(),
        ]);
    }

    public function photo(BuildRecord $build, string $entry): Response
    {
        $photo = $build->events()->where('key', $entry)->firstOrFail()->photo ?? abort(404);

        return new Response($photo->jpeg, 200, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=86400']);
    }

    public function faults(BuildRecord $build): JsonResponse
    {
        return new JsonResponse(['faults' => FaultReport::all(self::appraise($build))]);
    }

    /** What to take back to get at a part, or to do a step anew. */
    public function wayBack(Request $request, BuildRecord $build): JsonResponse
    {
        $given = $request->validate(['line' => ['required_without:step', 'string', 'max:80'], 'step' => ['required_without:line', 'string', 'max:160']]);
        $plan = self::appraise($build)->plan;
        $step = is_string($given['step'] ?? null) ? $plan->step($given['step']) ?? abort(404) : null;

        return new JsonResponse(WayBack::to($plan, is_string($given['line'] ?? null) ? [$given['line']] : [], $step === null ? [] : [$step->id])->toArray());
    }

    /** The evenings to come, for any calendar. */
    public function calendar(BuildRecord $build): Response
    {
        return new Response(EveningsCalendar::of(self::appraise($build)->plan, $build->name, $build->id), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="evenings-'.(Str::slug($build->name) ?: 'build').'.ics"',
        ]);
    }

    private static function appraise(BuildRecord $build): Appraisal
    {
        return Appraisal::of(BuildMapper::toCore($build->load(BuildMapper::RELATIONS)), Today::day());
    }
}
