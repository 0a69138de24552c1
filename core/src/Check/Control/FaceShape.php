<?php

declare(strict_types=1);

namespace PocketPlot\Check\Control;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Body;

final class FaceShape extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('control.face', 'Buttons that follow a flat, tapered or curved face sit under one of that shape.', ['body.faceShape']);
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('controls');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $wants = $line->part->controls->faceShape ?? '';
        $bodyLine = $facts->bodyLine();
        $body = $bodyLine?->part->body;
        if ($wants === '' || $bodyLine === null || $body === null) {
            return;
        }
        $working = [$this->text("{$line->name()} follows a face that is", $wants)];
        if ($body->faceShape === '' && ! $body->drawn) {
            yield $this->unmeasured($bodyLine, 'body.faceShape', [$line], $working, $line->id, "{$line->name()} may stand proud on one side and stick");

            return;
        }
        yield $body->faceShape === ''
            ? $this->answer(Verdict::Fits, [$line, $bodyLine], fn (): Words => new Words(
                "{$bodyLine->name()} is drawn yet: give its face the shape that {$line->name()} follows, {$wants}.",
                $working,
                'as drawn',
            ))
            : $this->compare($line, $bodyLine, $body, $wants, $working);
    }

    /** @param  list<WorkingLine>  $working */
    private function compare(Line $line, Line $bodyLine, Body $body, string $wants, array $working): Finding
    {
        $isSame = $body->faceShape === $wants;

        return $this->answer($isSame ? Verdict::Fits : Verdict::Clash, [$line, $bodyLine], fn (): Words => new Words(
            $isSame
                ? "{$line->name()} follows the face of {$bodyLine->name()}: both are {$wants}."
                : "{$line->name()} follows a {$wants} face; that of {$bodyLine->name()} is {$body->faceShape}, so the buttons stand proud on one side and stick.",
            [...$working, $this->text("{$bodyLine->name()}, face", $body->faceShape)],
            $isSame ? 'same' : 'different',
            [$this->swap($line, 'Take the buttons made for this face'), $this->swap($bodyLine, 'Take a body with such a face')],
        ));
    }
}
