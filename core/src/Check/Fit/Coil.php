<?php

declare(strict_types=1);

namespace PocketPlot\Check\Fit;

use PocketPlot\Check\Meta;
use PocketPlot\Fit\Fitted;
use PocketPlot\Fit\Lying;
use PocketPlot\Fit\Trouble;

final class Coil extends FitRule
{
    public static function meta(): Meta
    {
        return new Meta('fit.coil', 'A charging coil lies at the back, and nothing between it and the back.', ['size']);
    }

    protected function kinds(): array
    {
        return ['coil', 'coil-far'];
    }

    protected function sentence(Trouble $trouble): string
    {
        $name = $trouble->piece->name();

        return $trouble->kind === 'coil'
            ? "{$trouble->other?->name()} lies between {$name} and the back: the field does not get through."
            : "{$name} lies ".self::n($trouble->mm).' mm from the back; senders reach about '.self::n($trouble->wantedMm).' mm past a wall.';
    }

    protected function fine(Fitted $fitted): ?string
    {
        return array_filter($fitted->lying, static fn (Lying $one): bool => $one->piece->isCoil) === [] ? null : 'The charging coil lies at the back.';
    }
}
