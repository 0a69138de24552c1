<?php

declare(strict_types=1);

namespace App\Library;

use App\Models\PartRecord;
use App\Models\User;
use PocketPlot\Build\Build;
use PocketPlot\File\PartReader;
use PocketPlot\Fit\Arrangement;
use PocketPlot\Part\Part;
use PocketPlot\Report\Thinner;

/** What the next thinner part in the place of one that decides would bring. */
final class ThinnerParts
{
    private const MOST_PARTS = 120;

    private const SECONDS = 1.5;

    /** @return list<array<string, mixed>> contract/openapi.json, "Thinner" */
    public static function for(User $user, Build $build, Arrangement $found): array
    {
        $thinner = new Thinner($build, $found);
        $end = microtime(true) + self::SECONDS;
        $answers = [];
        foreach ($thinner->deciding() as $line) {
            $rows = PartRecord::visibleTo($user)->where('role', $line->role->value)->orderBy('name')->limit(self::MOST_PARTS)->get();
            $parts = array_values($rows->map(static fn (PartRecord $row): Part => PartReader::read($row->spec))->all());
            $answer = $thinner->by($line, $parts, static fn (): bool => microtime(true) < $end);
            if ($answer !== null) {
                $answers[] = $answer;
            }
        }

        return $answers;
    }
}
