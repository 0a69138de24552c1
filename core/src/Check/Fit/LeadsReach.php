<?php

declare(strict_types=1);

namespace PocketPlot\Check\Fit;

use PocketPlot\Check\FitRule;
use PocketPlot\Check\Meta;
use PocketPlot\Fit\Fitted;

final class LeadsReach extends FitRule
{
    public static function meta(): Meta
    {
        return new Meta('fit.leads', 'Leads of known length reach from part to part, around what lies between.', ['cable.lengthMm']);
    }

    protected function kinds(): array
    {
        return ['lead', 'no-way'];
    }

    protected function fine(Fitted $fitted): ?string
    {
        foreach ($fitted->inventory->build->joins as $join) {
            if ($join->lengthMm !== null || $join->through !== '') {
                return 'Every lead whose length is known reaches.';
            }
        }

        return null;
    }
}
