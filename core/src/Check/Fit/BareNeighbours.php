<?php

declare(strict_types=1);

namespace PocketPlot\Check\Fit;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Insulators;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Fit\Judge;
use PocketPlot\Fit\Piece;
use PocketPlot\Fit\Trouble;
use PocketPlot\Part\Role;
use PocketPlot\Part\YesNo;

final class BareNeighbours extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta('fit.bare', 'Where two bare boards, or a bare board and metal, face each other closely, something insulates.', ['size', 'surface.bare']);
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $insulators = Insulators::of($facts);
        $asked = [];
        foreach ($facts->fitted()->bareNeighbours ?? [] as $pair) {
            $lines = array_map(static fn (Piece $piece): Line => $piece->line, array_filter([$pair->piece, $pair->other]));
            if (! $pair->isOpen()) {
                yield $this->close($pair, $lines, $insulators);
            } elseif (! $insulators->isThere()) {
                $asked += array_column(array_filter($lines, static fn (Line $line): bool => $line->bare() === YesNo::Unknown), null, 'id');
            }
        }
        foreach ($asked as $line) {
            yield $this->unmeasured($line, 'surface.bare', [], [], '', 'nobody can say whether it may touch what lies beside it');
        }
    }

    /** @param  list<Line>  $lines  the two of the pair */
    private function close(Trouble $pair, array $lines, Insulators $insulators): Finding
    {
        $isKept = $insulators->isThere();
        $names = implode(' and ', array_map(static fn (Line $line): string => $line->name(), $lines));
        $are = implode(' and ', array_unique(array_map(static fn (Line $line): string => $line->bare() === YesNo::Yes ? 'bare' : 'metal', $lines)));
        $mm = self::n($pair->mm);

        return $this->answer($isKept ? Verdict::Fits : Verdict::Tight, $lines, fn (): Words => new Words(
            "{$names} are {$are} and {$mm} mm apart".($isKept ? "; {$insulators->says()} goes between them." : ', and there is nothing to lay between them.'),
            [$this->count('Between them', round($pair->mm, 2), 'mm'), $this->text('To lay between them', $insulators->says(), 'worked out')],
            'less than '.self::n(Judge::BARE_MM).' mm wants tape, card or foam',
            [Remedy::add(Role::Material, 'Add insulating tape or card'), Remedy::byHand('Lay them farther apart on the page "Fit".')],
        ), $pair->other?->key() ?? '');
    }
}
