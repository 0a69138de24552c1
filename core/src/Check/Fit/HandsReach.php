<?php

declare(strict_types=1);

namespace PocketPlot\Check\Fit;

use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Fit\Hand;
use PocketPlot\Fit\Hands;

final class HandsReach extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'fit.hands',
            'A thumb of middle length reaches every control of a console that is held, and its weight lies between the hands.',
            ['size'],
        );
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $fitted = $facts->fitted();
        if ($fitted === null || ! $fitted->isWhole()) {
            return;
        }
        $hands = Hands::of($fitted);
        if (! $hands->isHeld) {
            return;
        }
        foreach ($hands->reaches as $reach) {
            $piece = $reach['piece'];
            $out = array_keys(array_filter($reach['hands'], static fn (string $how): bool => $how === 'out'));
            $verdict = ($reach['hands'][Hand::Middle->value] ?? '') === 'well' ? Verdict::Fits : Verdict::Tight;
            yield $this->answer($verdict, [$piece->line], fn (): Words => new Words(
                $out === []
                    ? "{$piece->name()} is within reach of the {$reach['side']} {$reach['finger']}."
                    : "{$piece->name()} is ".self::n($reach['mm'])." mm from the {$reach['side']} edge: out of reach for ".implode(' and ', $out).' hands.',
                array_map(fn (Hand $hand) => $this->count(
                    ucfirst("{$reach['finger']} of a {$hand->value} hand"),
                    $reach['finger'] === 'thumb' ? $hand->thumbMm() : $hand->forefingerMm(),
                    'mm',
                    'usual of its kind',
                ), Hand::cases()),
                self::n($reach['mm']).' mm to reach',
                [Remedy::byHand('Move it nearer to the edge on the page "Fit".')],
            ), "{$piece->number}/{$reach['side']}");
        }
        if ($hands->centreMm !== null && $hands->unweighed === [] && $hands->reaches !== []) {
            $isOff = $hands->offShare > Hands::OFF_SHARE;
            $lines = array_map(static fn ($placed) => $placed->piece->line, $fitted->placed);
            $side = $hands->centreMm[0] < $fitted->insideMm[0] / 2 ? 'left' : 'right';
            yield $this->answer($isOff ? Verdict::Tight : Verdict::Fits, $lines, fn (): Words => new Words(
                $isOff ? "Its weight lies off the middle: the {$side} hand carries more." : 'Its weight lies between the hands.',
                [$this->count('Off the middle', round($hands->offShare * $fitted->insideMm[0], 1), 'mm')],
                self::n($hands->offShare * 100).' % of the length; up to '.self::n(Hands::OFF_SHARE * 100).' % is hardly felt',
                [Remedy::byHand('Move the pack towards the other side, or take it apart into both grips.')],
            ), 'weight', true);
        }
    }
}
