<?php

declare(strict_types=1);

namespace PocketPlot\Check\Fit;

use PocketPlot\Check\FitRule;
use PocketPlot\Check\Meta;
use PocketPlot\Fit\Fitted;
use PocketPlot\Fit\PlacedPiece;

final class AtFace extends FitRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'fit.face',
            'Picture and controls lie at the face; no control lies over a cell, and beneath each there is room for its travel.',
            ['size', 'controls.travelMm'],
        );
    }

    protected function kinds(): array
    {
        return ['face', 'over-cell', 'travel', 'travel-open'];
    }

    protected function fine(Fitted $fitted): ?string
    {
        $faces = array_filter($fitted->placed, static fn (PlacedPiece $one): bool => $one->piece->isFace);

        return $faces === [] ? null : 'What belongs into the face lies there, and no control lies over a cell.';
    }
}
