<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildView;
use App\Models\BuildRecord;
use App\Models\Written;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use PocketPlot\Appraisal;

/** The frame of every edit: one transaction, one row lock, one version forward, one answer worked out before the commit. */
final class EditBuild
{
    /**
     * @param  callable(BuildRecord): void  $edit
     * @param  ?callable(Appraisal): void  $look  sees the appraisal of what it gave
     * @return JsonResponse the whole build as it is after the edit
     *
     * @throws StaleBuild when the page that was edited is not the latest
     */
    public static function run(BuildRecord $build, int $version, callable $edit, ?callable $look = null): JsonResponse
    {
        return self::whatever($build, static function (BuildRecord $locked) use ($version, $edit): void {
            if ($locked->version !== $version) {
                throw new StaleBuild(BuildView::of($locked));
            }
            $edit($locked);
        }, $look);
    }

    /**
     * The same for what holds on any version of the page: what was done at the bench was done.
     *
     * @param  callable(BuildRecord): void  $edit
     * @param  ?callable(Appraisal): void  $look
     */
    public static function whatever(BuildRecord $build, callable $edit, ?callable $look = null): JsonResponse
    {
        Written::take();

        return DB::transaction(static function () use ($build, $edit, $look): JsonResponse {
            $locked = BuildRecord::query()->whereKey($build->id)->tap(static fn ($query) => $query->lockForUpdate())->firstOrFail();
            $edit($locked);
            $locked->version++;

            return ReadBack::answer($locked, look: $look);
        });
    }
}
