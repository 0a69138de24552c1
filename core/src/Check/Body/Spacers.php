<?php

declare(strict_types=1);

namespace PocketPlot\Check\Body;

use PocketPlot\Build\Line;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Quantity\Figure;

final class Spacers extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'body.spacers',
            'Spring pins reach the board over them and are pressed as far as they want to be.',
            ['pogo.freeMm', 'pogo.pressMm', 'pogo.spacerMm'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('pogo');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $pogo = $line->part->pogo;
        if ($pogo === null) {
            return;
        }
        foreach (['freeMm', 'pressMm', 'spacerMm'] as $field) {
            if (! $pogo->{$field}->isKnown()) {
                yield $this->unmeasured($line, FigureRef::of('pogo', $field), [], [], '', 'nobody can say whether the pins touch');

                return;
            }
        }
        $pressed = $pogo->freeMm->usual() - $pogo->spacerMm->usual();
        $fits = $pressed >= $pogo->pressMm->least() - 1e-9 && $pressed <= $pogo->pressMm->most() + 1e-9;
        $from = $pogo->freeMm->usual() - $pogo->pressMm->most();
        $to = $pogo->freeMm->usual() - $pogo->pressMm->least();
        yield $this->answer($fits ? Verdict::Fits : Verdict::Clash, [$line], fn (): Words => new Words(
            match (true) {
                $fits => "The spring pins of {$line->name()} are pressed by ".self::n($pressed).' mm.',
                $pressed < 0.0 => sprintf(
                    'The spring pins of %s hang %s mm short of the board: its spacers are %s high.',
                    $line->name(),
                    self::n(-$pressed),
                    $pogo->spacerMm->says(),
                ),
                default => sprintf('The spring pins of %s are pressed by %s mm; they want %s.', $line->name(), self::n($pressed), $pogo->pressMm->says()),
            },
            [
                $this->row('Pins, not pressed', $pogo->freeMm),
                $this->row('Spacers', $pogo->spacerMm),
                $this->row('To be pressed by', $pogo->pressMm),
                $this->row('Spacers wanted', Figure::band($from, ($from + $to) / 2, $to, 'mm')),
            ],
            'length less spacers against the wanted press',
            [Remedy::byHand(sprintf('Take spacers of %s to %s mm.', self::n($from), self::n($to)))],
        ));
    }
}
