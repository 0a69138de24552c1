<?php

declare(strict_types=1);

namespace PocketPlot\Check\Fit;

use PocketPlot\Check\FitRule;
use PocketPlot\Check\Meta;
use PocketPlot\Fit\Fitted;
use PocketPlot\Fit\PlacedPiece;

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

    protected function fine(Fitted $fitted): ?string
    {
        return array_filter($fitted->placed, static fn (PlacedPiece $one): bool => $one->piece->isCoil) === [] ? null : 'The charging coil lies at the back.';
    }
}
