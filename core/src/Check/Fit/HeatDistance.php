<?php

declare(strict_types=1);

namespace PocketPlot\Check\Fit;

use PocketPlot\Check\FitRule;
use PocketPlot\Check\Meta;
use PocketPlot\Fit\Fitted;
use PocketPlot\Fit\PlacedPiece;

final class HeatDistance extends FitRule
{
    public static function meta(): Meta
    {
        return new Meta('fit.warm', 'Cells lie away from what gets hot, and what gets hot has air or a wall on one side.', ['size', 'heat.watts']);
    }

    protected function kinds(): array
    {
        return ['heat', 'air'];
    }

    protected function fine(Fitted $fitted): ?string
    {
        $hot = array_filter($fitted->placed, static fn (PlacedPiece $one): bool => $one->piece->isHot);

        return $hot === [] ? null : 'What gets hot has air or a wall beside it, and no cell near it.';
    }
}
