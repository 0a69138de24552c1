<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildMapper;
use App\Mapping\Today;
use App\Models\BuildRecord;
use PocketPlot\Appraisal;
use PocketPlot\Check\VerdictChanges;

/** Remembers the verdicts as they are now, so that later the page can say what became better and worse. */
final class LookAtBuild
{
    public static function now(BuildRecord $build): BuildRecord
    {
        $build->looked = VerdictChanges::keep(Appraisal::of(BuildMapper::toCore($build->load(BuildMapper::RELATIONS)), Today::day())->findings);
        $build->save();

        return $build;
    }
}
