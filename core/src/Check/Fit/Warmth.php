<?php

declare(strict_types=1);

namespace PocketPlot\Check\Fit;

use PocketPlot\Check\Meta;
use PocketPlot\Fit\Fitted;
use PocketPlot\Fit\Lying;
use PocketPlot\Fit\Trouble;

final class Warmth extends FitRule
{
    public static function meta(): Meta
    {
        return new Meta('fit.warm', 'Cells lie away from what gets hot, and what gets hot has air or a wall on one side.', ['size', 'heat.watts']);
    }

    protected function kinds(): array
    {
        return ['heat', 'air'];
    }

    protected function sentence(Trouble $trouble): string
    {
        $name = $trouble->piece->name();

        return $trouble->kind === 'heat'
            ? "{$name} lies ".self::n($trouble->mm)." mm from {$trouble->other?->name()}, which gets hot."
            : "{$name} gets hot and is shut in on every side; the widest gap is ".self::n($trouble->mm).' mm.';
    }

    protected function fine(Fitted $fitted): ?string
    {
        $hot = array_filter($fitted->lying, static fn (Lying $one): bool => $one->piece->isHot);

        return $hot === [] ? null : 'What gets hot has air or a wall beside it, and no cell near it.';
    }
}
