<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeBrief;
use App\Actions\DrawerPieces;
use App\Actions\EditBuild;
use App\Actions\ImportBuild;
use App\Actions\LookAtBuild;
use App\Actions\ReadBack;
use App\Actions\StartBuild;
use App\Http\Requests\AtHandRequest;
use App\Http\Requests\ChangeBriefRequest;
use App\Http\Requests\EditRequest;
use App\Http\Requests\ImportRequest;
use App\Http\Requests\MarginsRequest;
use App\Http\Requests\StartBuildRequest;
use App\Journal\Journal;
use App\Mapping\BuildCards;
use App\Mapping\BuildMapper;
use App\Mapping\BuildView;
use App\Mapping\Photographs;
use App\Mapping\RawDocument;
use App\Mapping\Today;
use App\Mapping\UnreadableBuild;
use App\Mapping\VendorTerms;
use App\Models\BuildRecord;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PocketPlot\Appraisal;
use PocketPlot\File\BuildWriter;

final class BuildController
{
    private const MOST_CARDS = 24;

    /** The builder's builds, the last touched first, a page at a time; words search name and purpose. */
    public function index(Request $request, User $user): JsonResponse
    {
        $given = $request->validate(['q' => ['nullable', 'string', 'max:200'], 'from' => ['nullable', 'integer', 'min:0', 'max:1000000']]);
        $query = BuildRecord::matching($user->builds(), is_string($given['q'] ?? null) ? $given['q'] : '');
        $total = $query->count();
        /** @var Collection<int, BuildRecord> $builds */
        $builds = $query->latest('updated_at')->latest('id')->offset($request->integer('from'))->limit(self::MOST_CARDS)->get();

        return new JsonResponse(['total' => $total, 'builds' => BuildCards::of($builds)]);
    }

    public function store(StartBuildRequest $request, User $user): JsonResponse
    {
        $demo = $request->string('demo')->toString();
        $name = $request->string('name')->toString();

        return DB::transaction(
            static fn (): JsonResponse => ReadBack::answer(
                $demo === '' ? StartBuild::blank($user, $name) : StartBuild::fromDemo($user, $demo, $name === '' ? null : $name),
                201,
            ),
        );
    }

    /** What an import would take; it goes the whole way of an import, and nothing is stored. */
    public function preview(ImportRequest $request, User $user): JsonResponse
    {
        [$document, $build] = ImportBuild::tried($user, $request->string('text')->toString());
        $appraisal = Appraisal::of($build, Today::day());

        return new JsonResponse([
            'name' => $build->name,
            'verdict' => $appraisal->verdict->value,
            'vitals' => $appraisal->vitals->toArray(),
            'lines' => array_map(static fn ($line): array => ['id' => $line->id, 'name' => $line->name(), 'role' => $line->role->value], $build->lines),
            'kept' => array_map(strval(...), array_keys($build->extra)),
            'unused' => array_values(array_map(
                static fn (array $part): string => is_string($part['name'] ?? null) ? $part['name'] : '',
                array_filter(
                    is_array($document['parts'] ?? null) ? $document['parts'] : [],
                    static fn (mixed $part): bool => is_array($part)
                        && ! in_array($part['id'] ?? null, array_map(static fn ($line): string => $line->part->id, $build->lines), true),
                ),
            )),
        ]);
    }

    public function import(ImportRequest $request, User $user): JsonResponse
    {
        $name = $request->string('name')->toString();

        return DB::transaction(
            static fn (): JsonResponse => ReadBack::answer(ImportBuild::as($user, $request->string('text')->toString(), $name === '' ? null : $name), 201),
        );
    }

    public function show(BuildRecord $build): JsonResponse
    {
        return new JsonResponse(BuildView::of($build));
    }

    /** The builder has seen how things stand; from now on changes are told against this. */
    public function look(EditRequest $request, BuildRecord $build): JsonResponse
    {
        return EditBuild::run($build, $request->version(), static function (BuildRecord $build): void {
            LookAtBuild::now($build);
        });
    }

    /** The margins of this build; one given as null goes back to its default. */
    public function margins(MarginsRequest $request, BuildRecord $build): JsonResponse
    {
        return EditBuild::run($build, $request->version(), static fn (BuildRecord $build) => ChangeBrief::margins($build, $request->margins()));
    }

    public function atHand(AtHandRequest $request, BuildRecord $build): JsonResponse
    {
        return EditBuild::run($build, $request->version(), static fn (BuildRecord $build) => ChangeBrief::atHand($build, $request->atHand()));
    }

    public function discard(Request $request, BuildRecord $build): JsonResponse
    {
        $request->validate(['leave' => ['nullable', 'boolean']]);
        $leaves = $request->boolean('leave');
        // What it has claimed goes back into the drawer, and all that it has at hand where the builder wants that.
        DB::transaction(static function () use ($build, $leaves): void {
            BuildRecord::query()->whereKey($build->id)->tap(static fn ($query) => $query->lockForUpdate())->firstOrFail();
            $leaves ? DrawerPieces::leave($build) : DrawerPieces::letGoAll($build);
            $build->delete();
        });

        return new JsonResponse(['id' => $build->id]);
    }

    public function restore(BuildRecord $build): JsonResponse
    {
        DB::transaction(static fn () => $build->restore());

        return new JsonResponse(['id' => $build->id]);
    }

    public function brief(ChangeBriefRequest $request, BuildRecord $build): JsonResponse
    {
        return EditBuild::run(
            $build,
            $request->version(),
            static fn (BuildRecord $build) => ChangeBrief::of($build, $request->string('name')->toString(), $request->brief()),
        );
    }

    /** The build as a file; one that cannot be read is written down as its rows stand. */
    public function exportFile(BuildRecord $build): Response
    {
        try {
            $document = BuildWriter::document(VendorTerms::toSave($build, BuildMapper::whole($build)), $build->brief);
        } catch (UnreadableBuild) {
            $document = RawDocument::of($build);
        }
        Journal::note('a build was saved as a file', ['build' => $build->id]);

        return $this->download(BuildWriter::json(Photographs::into($document, $build)), 'application/json', "{$this->fileName($build)}.pocketplot.json");
    }

    private function fileName(BuildRecord $build): string
    {
        $slug = Str::slug($build->name);

        return $slug === '' ? 'build' : $slug;
    }

    private function download(string $content, string $type, string $name): Response
    {
        return new Response($content, 200, ['Content-Type' => $type, 'Content-Disposition' => "attachment; filename=\"{$name}\""]);
    }
}
