<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\EditBuild;
use App\Actions\NameProfiles;
use App\Http\Requests\PowerRequest;
use App\Http\Requests\ProfilesRequest;
use App\Http\Requests\SizingRequest;
use App\Mapping\BuildMapper;
use App\Models\BuildRecord;
use App\Models\PartRecord;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use PocketPlot\File\PartReader;
use PocketPlot\Part\Role;
use PocketPlot\Power\Sampling;
use PocketPlot\Report\PowerReport;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Supply tree, run time, charge and sizing of a build. */
final class PowerController
{
    private const MOST_PACKS = 250;

    /** Runs between two words about how far the sampling is. */
    private const TELL_EVERY = 25;

    public function show(PowerRequest $request, BuildRecord $build): JsonResponse
    {
        return new JsonResponse($this->report($request, $build)->toArray());
    }

    /** One line of JSON for every stretch of the sampling, and the answer in the last. */
    public function band(PowerRequest $request, BuildRecord $build): StreamedResponse
    {
        $report = $this->report($request, $build);

        return Stream::lines(static function (Stream $stream) use ($report): void {
            $scatter = $report->scatter(after: static function (int $done) use ($stream): void {
                if ($done % self::TELL_EVERY === 0) {
                    $stream->tell(['done' => $done, 'of' => Sampling::SAMPLES]);
                }
            });
            $stream->tell(['done' => Sampling::SAMPLES, 'of' => Sampling::SAMPLES, 'band' => $scatter?->toArray()]);
        });
    }

    public function sizing(SizingRequest $request, User $user, BuildRecord $build): JsonResponse
    {
        $rows = PartRecord::visibleTo($user)->where('role', Role::Cells->value)->orderBy('name')->limit(self::MOST_PACKS)->get();
        $library = $ids = [];
        foreach ($rows as $row) {
            $part = PartReader::read($row->spec);
            $library[] = $part;
            $ids[$part->id] = $row->id;
        }
        $sizing = $this->report($request, $build)->sizing($request->hours(), $library, $request->cm3())?->toArray();
        if ($sizing !== null) {
            $sizing['packs'] = array_map(
                static fn (array $pack): array => [...$pack, 'libraryId' => $ids[is_string($pack['part']) ? $pack['part'] : ''] ?? 0],
                $sizing['packs'],
            );
        }

        return new JsonResponse(['sizing' => $sizing]);
    }

    public function profiles(ProfilesRequest $request, BuildRecord $build): JsonResponse
    {
        return EditBuild::run($build, $request->version(), static fn (BuildRecord $build) => NameProfiles::in($build, $request->profiles()));
    }

    private function report(PowerRequest $request, BuildRecord $build): PowerReport
    {
        return new PowerReport(BuildMapper::toCore($build->load(BuildMapper::RELATIONS)), $request->integer('profile'), $request->celsius());
    }
}
