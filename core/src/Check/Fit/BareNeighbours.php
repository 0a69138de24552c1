<?php

declare(strict_types=1);

namespace PocketPlot\Check\Fit;

use PocketPlot\Build\Line;
use PocketPlot\Check\Insulators;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Fit\Judge;
use PocketPlot\Part\Role;

final class BareNeighbours extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta('fit.bare', 'Where two bare boards, or a bare board and metal, face each other closely, something insulates.', ['size', 'surface.bare']);
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $insulators = Insulators::of($facts);
        foreach ($facts->fitted()->bareNeighbours ?? [] as $pair) {
            $lines = array_map(static fn ($piece): Line => $piece->line, array_filter([$pair->piece, $pair->other]));
            $names = "{$pair->piece->name()} and {$pair->other?->name()}";
            $mm = self::n($pair->mm);
            yield $this->answer($insulators->isThere() ? Verdict::Fits : Verdict::Tight, $lines, fn (): Words => new Words(
                $insulators->isThere()
                    ? "{$names} are bare and {$mm} mm apart; {$insulators->says()} goes between them."
                    : "{$names} are bare and {$mm} mm apart, and there is nothing to lay between them.",
                [$this->count('Between them', round($pair->mm, 2), 'mm'), $this->text('To lay between them', $insulators->says(), 'worked out')],
                'less than '.self::n(Judge::BARE_MM).' mm wants tape, card or foam',
                [Remedy::add(Role::Material, 'Add insulating tape or card'), Remedy::byHand('Lay them farther apart on the page "Fit".')],
            ), $pair->other?->key() ?? '');
        }
    }
}
