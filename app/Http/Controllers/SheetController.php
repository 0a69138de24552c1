<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\EditBuild;
use App\Actions\TakeSheet;
use App\Http\Requests\SheetRequest;
use App\Http\Requests\TakeSheetRequest;
use App\Library\PartQueries;
use App\Mapping\BuildMapper;
use App\Mapping\Today;
use App\Models\BuildRecord;
use App\Models\User;
use App\Sheets\LibraryTable;
use App\Sheets\PartsTable;
use App\Sheets\SheetFile;
use App\Sheets\SheetOut;
use App\Sheets\SheetPreview;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PocketPlot\Appraisal;

/**
 * Spreadsheets in and out.
 *
 * @phpstan-import-type Row from TakeSheet
 */
final class SheetController
{
    /** What would become of each row. Nothing is stored. */
    public function preview(SheetRequest $request, User $user): JsonResponse
    {
        $sheet = $request->string('sheet')->toString();

        return new JsonResponse(SheetPreview::of($user, SheetFile::read($request->bytes(), $sheet === '' ? null : $sheet), $request->columns()));
    }

    public function intoBuild(TakeSheetRequest $request, User $user, BuildRecord $build): JsonResponse
    {
        $rows = self::rows($request);

        return EditBuild::run($build, $request->integer('version'), static fn (BuildRecord $build) => TakeSheet::into($build, $user, $rows));
    }

    public function intoLibrary(TakeSheetRequest $request, User $user): JsonResponse
    {
        $rows = self::rows($request);
        $added = DB::transaction(static fn (): int => TakeSheet::intoLibrary($user, $rows));

        return new JsonResponse(['added' => $added, 'left' => count($rows) - $added], 201);
    }

    /** The parts list, with what is said of it on a second sheet; a CSV file has the first only. */
    public function ofBuild(BuildRecord $build, string $format): Response
    {
        $appraisal = Appraisal::of(BuildMapper::toCore($build->load(BuildMapper::RELATIONS)), Today::day());
        $slug = Str::slug($build->name) ?: 'build';

        return SheetOut::answer(['Parts' => PartsTable::lines($appraisal), 'Findings' => PartsTable::findings($appraisal)], $format, "{$slug}-parts");
    }

    /** One's own library, with every figure of its parts on a second sheet. */
    public function ofLibrary(User $user, string $format): Response
    {
        $parts = PartQueries::ownParts($user);

        return SheetOut::answer(['Parts' => LibraryTable::parts($parts), 'Figures' => LibraryTable::figures($parts)], $format, 'my-parts');
    }

    /** @return list<Row> */
    private static function rows(TakeSheetRequest $request): array
    {
        /** @var list<Row> $rows */
        $rows = $request->validated('rows');

        return $rows;
    }
}
