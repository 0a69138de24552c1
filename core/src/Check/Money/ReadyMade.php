<?php

declare(strict_types=1);

namespace PocketPlot\Check\Money;

use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;

final class ReadyMade extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta('money.ready-made', 'What the build costs is laid beside what a ready-made one costs.', ['price', 'rate']);
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $brief = $facts->brief();
        if ($brief->readyMade === null || $facts->lines() === []) {
            return;
        }
        $costs = $facts->costs();
        $ready = $facts->rates()->convert($brief->readyMade, $brief->currency);
        $open = [...$costs->unpriced, ...$costs->withoutRate];
        $working = [
            new WorkingLine('This build', $costs->planned->rounded(), $brief->currency, 'listing'),
            new WorkingLine('A ready-made one', $brief->readyMade->rounded(), $brief->readyMade->currency, 'brief'),
        ];
        if ($ready === null || ($open !== [] && ! $costs->planned->isMoreThan($ready))) {
            $line = $open[0] ?? $facts->lines()[0];
            yield $this->unmeasured($line, $costs->unpriced === [] ? 'rate' : 'price', [], $working, 'ready-made', 'the comparison is open');

            return;
        }
        $dearer = $costs->planned->isMoreThan($ready);
        yield $this->answer($dearer ? Verdict::Tight : Verdict::Fits, [], fn (): Words => new Words($dearer
            ? "This build costs {$costs->planned->says()}; a ready-made one costs {$ready->says()}. You build it for other reasons than money."
            : "This build costs {$costs->planned->says()}, no more than the {$ready->says()} of a ready-made one.", $working, 'build against ready-made', [
                Remedy::byHand('Look through the drawer first, then second-hand: boards, panels and packs of older things often do.'),
            ]), 'total', true);
    }
}
