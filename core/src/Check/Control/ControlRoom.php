<?php

declare(strict_types=1);

namespace PocketPlot\Check\Control;

use PocketPlot\Build\Line;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Sits;
use PocketPlot\Quantity\Figure;

final class ControlRoom extends WholeRule
{
    /** Share of the face that may be taken before thumbs and frames get in each other's way: the usual frame of a centimetre around a hand-held face. */
    private const FACE_TIGHT = 0.85;

    public static function meta(): Meta
    {
        return new Meta('control.room', 'Panel and controls find room on the face, and none of them reaches into the cells behind.', ['size', 'body.cavity']);
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $bodyLine = $facts->bodyLine();
        $body = $bodyLine?->part->body;
        $onFace = self::onFace($facts);
        // Where each has its place, "fit.face" says more than any share of the face.
        $isArranged = $facts->fitted()?->isWhole() === true;
        $hasControls = array_filter($onFace, static fn (Line $line): bool => $line->part->controls !== null) !== [];
        if ($isArranged || $bodyLine === null || $body === null || $body->drawn || $onFace === [] || ! $hasControls) {
            return;
        }
        $room = $body->cavity()->sidesMm();
        if ($room === []) {
            yield $this->unmeasured($bodyLine, 'body.cavity', $onFace, [], 'face');

            return;
        }
        foreach ($onFace as $line) {
            if (! $line->part->size->hasAllSides()) {
                yield $this->unmeasured($line, 'size', [$bodyLine], [], 'face');

                return;
            }
        }
        $cells = array_values(array_filter($facts->with('pack'), static fn (Line $line): bool => $line->part->sits->takesRoom()));
        $taken = 0.0;
        $working = [];
        foreach ($onFace as $line) {
            $area = ($line->part->size->footprintMm2() ?? 0.0) * $line->quantity;
            $taken += $area;
            $working[] = $this->row($line->name(), Figure::exactly($area / 100, 'cm²'));
        }
        $tallest = max(array_map(static fn (Line $line): float => $line->part->controls === null ? 0.0 : $line->part->size->sidesMm()[2], $onFace));
        foreach ($cells as $cell) {
            if (! $cell->part->size->hasAllSides()) {
                yield $this->unmeasured($cell, 'size', [$bodyLine], $working, 'face');

                return;
            }
            // Cells take the full depth unless cell and control together are flatter than the room.
            if ($cell->part->size->sidesMm()[2] + $tallest > $room[2]) {
                $area = ($cell->part->size->footprintMm2() ?? 0.0) * $cell->quantity;
                $taken += $area;
                $working[] = $this->row("{$cell->name()}, no control over it", Figure::exactly($area / 100, 'cm²'));
            }
        }
        $share = $taken / ($room[0] * $room[1]);
        $working[] = $this->row("{$bodyLine->name()}, face", Figure::exactly($room[0] * $room[1] / 100, 'cm²'));

        yield $this->answer(self::byShare($share, self::FACE_TIGHT), [$bodyLine, ...$onFace], fn (): Words => new Words(sprintf(
            'Panel and controls take %s %% of the face of %s%s',
            self::n($share * 100),
            $bodyLine->name(),
            $share > 1.0 ? '; something has to go.' : '.',
        ), $working, 'area of the face; up to 85 % is easy', [
            $this->swap($bodyLine, 'Take a larger body'),
            ...array_map(fn (Line $line): Remedy => $this->swap($line, "Take something smaller for {$line->name()}"), [...$onFace, ...$cells]),
        ]), 'face');
    }

    /** @return list<Line> panels and controls that sit on the face */
    private static function onFace(Facts $facts): array
    {
        $isOnFace = static fn (Line $line): bool => $line->part->sits === Sits::Face && ($line->part->panel !== null || $line->part->controls !== null);

        return array_values(array_filter($facts->inBody(), $isOnFace));
    }
}
