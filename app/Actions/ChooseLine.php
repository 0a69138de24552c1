<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildRecord;

/** Of the candidates for one place, takes this one. */
final class ChooseLine
{
    public static function in(BuildRecord $build, string $key): void
    {
        Lines::chooseOnly($build, Lines::find($build, $key));
    }
}
