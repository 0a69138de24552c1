<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildRecord;
use App\Models\TickRecord;

final class TickStep
{
    public static function in(BuildRecord $build, string $step, bool $done): void
    {
        if ($done) {
            TickRecord::query()->firstOrCreate(['build_id' => $build->id, 'step' => $step], ['done_on' => now()->toDateString(), 'extra' => []]);
        } else {
            TickRecord::query()->where('build_id', $build->id)->where('step', $step)->delete();
        }
    }
}
