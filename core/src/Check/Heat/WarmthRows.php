<?php

declare(strict_types=1);

namespace PocketPlot\Check\Heat;

use PocketPlot\Check\WorkingLine;
use PocketPlot\Heat\Warmth;
use PocketPlot\Quantity\Number;

/** The working of the air inside, for every rule that rests on it. */
final class WarmthRows
{
    /** @return list<WorkingLine> */
    public static function of(Warmth $warmth): array
    {
        return $warmth->air === null ? [] : [
            new WorkingLine('Turned into heat inside, at the heaviest', round($warmth->watts, 2), 'W', 'worked out'),
            new WorkingLine(
                $warmth->outside->estimated ? 'Outside, about' : 'Outside',
                implode(' × ', array_map(Number::says(...), $warmth->outside->size->sidesMm())),
                'mm',
                'worked out',
            ),
            new WorkingLine('Vents', $warmth->ventsMm2, 'mm²', $warmth->ventsMm2 > 0.0 ? 'datasheet' : 'worked out'),
            new WorkingLine('Fan', $warmth->hasFan ? 'yes' : 'none', '', 'worked out'),
            new WorkingLine('Room', $warmth->roomC, '°C', 'brief'),
            new WorkingLine('Air inside', round($warmth->air->celsius, 1), '°C', 'worked out'),
        ];
    }
}
