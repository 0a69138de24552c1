<?php

declare(strict_types=1);

namespace PocketPlot\Check\Fit;

use PocketPlot\Check\FitRule;
use PocketPlot\Check\Meta;
use PocketPlot\Fit\Fitted;

final class Clear extends FitRule
{
    public static function meta(): Meta
    {
        return new Meta('fit.clear', 'Where the parts lie, none runs into another, a rib or a post, and none sticks out of the room inside.', ['size']);
    }

    protected function kinds(): array
    {
        return ['overlap', 'outside', 'rib', 'post', 'zone', 'close'];
    }

    protected function fine(Fitted $fitted): string
    {
        return 'Every part has its place, clear of all others.';
    }
}
