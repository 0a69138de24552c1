<?php

declare(strict_types=1);

namespace PocketPlot\Check\Fit;

use PocketPlot\Check\Meta;
use PocketPlot\Fit\Fitted;
use PocketPlot\Fit\Trouble;

final class Reach extends FitRule
{
    public static function meta(): Meta
    {
        return new Meta('fit.leads', 'Leads of known length reach from part to part, around what lies between.', ['cable.lengthMm']);
    }

    protected function kinds(): array
    {
        return ['lead'];
    }

    protected function sentence(Trouble $trouble): string
    {
        $name = $trouble->piece->name();
        $other = $trouble->other?->name() ?? '';
        $length = self::n($trouble->wantedMm);

        return $trouble->mm >= 9999.0
            ? "There is no way for the lead from {$name} to {$other}: something lies across the whole room."
            : "From {$name} to {$other} it is ".self::n($trouble->mm)." mm; the lead is {$length} mm long.";
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
