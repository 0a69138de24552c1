<?php

declare(strict_types=1);

namespace PocketPlot\Check\Fit;

use PocketPlot\Check\Meta;
use PocketPlot\Fit\Fitted;
use PocketPlot\Fit\Trouble;

final class Clear extends FitRule
{
    public static function meta(): Meta
    {
        return new Meta('fit.clear', 'Where the parts lie, none runs into another, a rib or a post, and none sticks out of the room inside.', ['size']);
    }

    protected function kinds(): array
    {
        return ['overlap', 'outside', 'rib', 'zone', 'close'];
    }

    protected function sentence(Trouble $trouble): string
    {
        $name = $trouble->piece->name();
        $mm = self::n($trouble->mm);
        $other = $trouble->other?->name() ?? '';

        return match ($trouble->kind) {
            'overlap' => "{$name} and {$other} run into each other by {$mm} mm.",
            'outside' => "{$name} sticks out {$mm} mm at the {$trouble->what}.",
            'rib' => "{$name} runs {$mm} mm into the {$trouble->what}.",
            'zone' => "{$name} sticks {$mm} mm out of the {$trouble->what}.",
            default => "{$name} and {$other} are {$mm} mm apart; ".self::n($trouble->wantedMm).' mm lets a hand and a wire in.',
        };
    }

    protected function fine(Fitted $fitted): string
    {
        return 'Every part has its place, clear of all others.';
    }
}
