<?php

declare(strict_types=1);

namespace PocketPlot\Check\Body;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Body;
use PocketPlot\Part\Door;
use PocketPlot\Part\YesNo;

final class FieldShadow extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('body.field-shadow', 'No metal stands between a charging coil or an aerial and the world.', ['body.material', 'body.fieldWindow']);
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->inBody();
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $bodyLine = $facts->bodyLine();
        $body = $bodyLine?->part->body;
        if ($bodyLine === null || $body === null) {
            return;
        }
        $coil = $line->part->charger?->wireless === true || $line->part->coil?->side === 'receiver';
        if (! $coil && $line->part->radio === []) {
            return;
        }
        $radio = $line->part->radio !== [] && self::isSpokenTo($facts);
        if (! $coil && ! $radio) {
            return;
        }
        $what = $coil ? 'charging coil' : 'radio';
        $door = $this->doorOf($line, $body);
        if ($door?->material === 'metal') {
            yield $this->behind($line, $bodyLine, $door, $what, $coil);

            return;
        }
        $material = $door->material ?? $bodyLine->part->size->material;
        if ($material === '') {
            yield $this->unmeasured($bodyLine, 'body.material', [$line], [], "{$line->id}/field", "nobody can say whether the {$what} gets through");

            return;
        }
        $working = [$this->text("{$bodyLine->name()}, made of", $material), $this->text($line->name(), $what)];
        if ($material !== 'metal') {
            yield $this->answer(
                Verdict::Fits,
                [$line, $bodyLine],
                fn (): Words => new Words("The {$what} of {$line->name()} gets through {$material}.", $working, 'no metal in the way'),
            );

            return;
        }
        if ($body->fieldWindow === YesNo::Unknown) {
            yield $this->unmeasured($bodyLine, 'body.fieldWindow', [$line], $working, $line->id);

            return;
        }
        $window = $body->fieldWindow === YesNo::Yes;
        $working[] = $this->text('A part of it that is not metal', $body->fieldWindow->value);
        yield $this->answer($window ? Verdict::Fits : Verdict::Clash, [$line, $bodyLine],
            fn (): Words => new Words(
                $window
                    ? "The {$what} of {$line->name()} has to lie behind the part of {$bodyLine->name()} that is not metal."
                    : "{$bodyLine->name()} is metal all round; the {$what} of {$line->name()} does not get out".($coil ? ', and the metal gets hot' : '').'.',
                $working,
                'metal blocks fields',
                [
                    $this->swap($bodyLine, 'Take a body that is not metal'),
                    $this->swap($line, $coil ? 'Charge through a lead' : 'Take one with a lead'),
                    ...($window ? [] : [Remedy::byHand('Cut a window and close it with plastic or wood; mind the sharp edge.')]),
                ],
            ));
    }

    /** Whether something talks to the board by radio: else its radio does not matter. */
    private static function isSpokenTo(Facts $facts): bool
    {
        foreach ($facts->with('controls') as $line) {
            if (array_intersect($line->part->controls->speaks ?? [], ['bluetooth', 'pad radio']) !== []) {
                return true;
            }
        }

        return false;
    }

    private function doorOf(Line $line, Body $body): ?Door
    {
        foreach ($body->doors as $one) {
            if ($one->name === $line->place) {
                return $one;
            }
        }

        return null;
    }

    private function behind(Line $line, Line $bodyLine, Door $door, string $what, bool $coil): Finding
    {
        $says = "The {$what} of {$line->name()} lies behind the {$door->name}, which is metal: it does not get through".($coil ? ', and the metal gets hot.' : '.');

        return $this->answer(
            Verdict::Clash,
            [$line, $bodyLine],
            fn (): Words => new Words(
                $says,
                [$this->text($door->name, $door->material), $this->text($line->name(), $what)],
                'metal blocks fields',
                [
                    $this->swap($line, $coil ? 'Charge through a lead' : 'Take one with a lead'),
                    Remedy::byHand('Take a door that is not metal, or lay it behind another wall.'),
                ],
            ),
        );
    }
}
