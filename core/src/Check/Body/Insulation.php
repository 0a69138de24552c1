<?php

declare(strict_types=1);

namespace PocketPlot\Check\Body;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Insulators;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;
use PocketPlot\Part\YesNo;

final class Insulation extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta('body.insulation', 'No bare board can touch a metal body or a metal neighbour.', ['surface.bare', 'body.material']);
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $bodyLine = $facts->bodyLine();
        if ($bodyLine === null) {
            return;
        }
        $material = $bodyLine->part->size->material;
        $boards = array_values(array_filter($facts->inBody(), static fn (Line $line): bool => $line->bare() === YesNo::Yes));
        $open = array_values(array_filter($facts->inBody(), static fn (Line $line): bool => $line->bare() === YesNo::Unknown));
        if ($boards === [] && $open === []) {
            return;
        }
        if ($material === '' && ! $bodyLine->part->body?->drawn) {
            yield $this->unmeasured($bodyLine, 'body.material', [...$boards, ...$open], [], '', 'nobody can say whether bare boards may touch it');

            return;
        }
        $metal = [
            ...($bodyLine->part->size->isMetal() ? [$bodyLine] : []),
            ...array_values(
                array_filter(
                    $facts->inBody(),
                    static fn (Line $line): bool => $line->part->size->isMetal() && $line->bare() !== YesNo::Yes && $line->part->cooling === null,
                ),
            ),
        ];
        if ($metal === []) {
            if ($boards !== []) {
                yield $this->answer(
                    Verdict::Fits,
                    [$bodyLine, ...$boards],
                    fn (): Words => new Words(
                        'Nothing of metal lies beside the bare boards.',
                        [$this->text("{$bodyLine->name()}, made of", $material === '' ? 'drawn around the parts' : $material)],
                        'no metal near them',
                    ),
                );
            }

            return;
        }
        foreach ($open as $line) {
            yield $this->unmeasured($line, 'surface.bare', $metal);
        }
        foreach ($boards as $line) {
            yield $this->between($line, $metal[0], $facts);
        }
    }

    /** What keeps a bare board off the metal. */
    private function between(Line $line, Line $metal, Facts $facts): Finding
    {
        $insulators = Insulators::of($facts);
        $kept = $insulators->isThere();

        return $this->answer($kept ? Verdict::Fits : Verdict::Clash, [$line, $metal, ...$insulators->lines],
            fn (): Words => new Words($kept
                ? "{$line->name()} is kept off {$metal->name()} by {$insulators->says()}."
                : "{$line->name()} is bare and {$metal->name()} is metal: the first touch is a short.", [
                    $this->text($line->name(), 'bare contacts'),
                    $this->text($metal->name(), 'metal'),
                    $this->text('Between them', $insulators->says(), 'worked out'),
                ], $kept ? 'something insulates' : 'nothing insulates', [
                    Remedy::add(Role::Material, 'Add insulating tape or card'), $this->swap($metal, 'Take a body that is not metal'), Remedy::byHand(
                        'Tape, card or plastic posts under the board and over each screw head; test with a meter before the pack goes in.',
                    ),
                ]));
    }
}
