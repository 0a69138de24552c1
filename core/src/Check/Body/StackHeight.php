<?php

declare(strict_types=1);

namespace PocketPlot\Check\Body;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Phrase;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Fit\Columns;
use PocketPlot\Fit\Fitted;
use PocketPlot\Fit\PlacedPiece;
use PocketPlot\Fit\ThicknessMap;
use PocketPlot\Part\Body;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Zone;
use PocketPlot\Quantity\Figure;

final class StackHeight extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'body.stack-height',
            'Every column through the body, from the face to the back, is no thicker than the room; the thickest decides.',
            ['size', 'body.cavity', 'body.wall'],
        );
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $bodyLine = $facts->bodyLine();
        $body = $bodyLine?->part->body;
        if ($bodyLine === null || $body === null || $facts->inBody() === []) {
            return;
        }
        $ownMm = $bodyLine->part->size->heightMm;
        if ($body->drawn && $ownMm->isKnown() && $body->wallMm->isKnown() && $ownMm->most() <= 2 * $body->wallMm->most()) {
            // A single wall, no box.
            return;
        }
        if ($body->drawn && $facts->brief()->largestMm === null && ! $bodyLine->part->size->heightMm->isKnown()) {
            // Nothing limits a body that is drawn around its parts.
            return;
        }
        $fitted = $facts->fitted();
        if ($fitted !== null && $fitted->isWhole()) {
            yield $this->arranged($fitted, $bodyLine, $body, $facts);

            return;
        }
        $cavity = $body->drawn ? null : $body->cavity();
        $zones = [];
        foreach ($body->zones as $zone) {
            $zones[$zone->name] = $zone;
        }
        $columns = Columns::of($facts->inBody(), $cavity?->footprintMm2());
        $isOpen = $cavity !== null && ! $cavity->hasAllSides();
        if ($isOpen && array_diff_key($columns, $zones) !== []) {
            yield $this->unmeasured($bodyLine, 'body.cavity', [], [], 'stack');
            $columns = array_intersect_key($columns, $zones);
        }
        $cellsFloor = Columns::cellsFloor($columns, self::floor($bodyLine, $body));
        $thickest = null;
        $open = false;
        foreach ($columns as $name => $lines) {
            $floor = $name === Columns::CELLS ? $cellsFloor : null;
            [$finding, $spare] = $this->column((string) $name, $lines, $bodyLine, $body, $zones[$name] ?? null, $facts, $floor);
            $open = $open || $finding->verdict === Verdict::Unmeasured;
            if ($finding->verdict !== Verdict::Fits || $this->isNamed((string) $name, $lines)) {
                yield $finding;
            } elseif ($thickest === null || $spare < $thickest[1]) {
                $thickest = [$finding, $spare];
            }
        }
        // The thickest column decides; nobody knows which one that is while one is open.
        if ($thickest !== null && ! $open) {
            yield $thickest[0];
        }
    }

    /** Where the parts have their places, the deepest column is known. */
    private function arranged(Fitted $fitted, Line $bodyLine, Body $body, Facts $facts): Finding
    {
        $map = ThicknessMap::of($fitted);
        $lines = array_map(static fn (PlacedPiece $one): Line => $one->piece->line, $map->deciding);
        $working = array_map(fn (PlacedPiece $one): WorkingLine => $this->count(
            "{$one->piece->name()}, ".self::n($one->box->z).' to '.self::n($one->box->back()), $one->box->h,
            'mm', $one->piece->line->part->size->heightMm->source->value,
        ), $map->deciding);
        $found = $this->room('', null, $lines, $bodyLine, $body, $working, $facts);
        if ($found instanceof Finding) {
            return $found;
        }
        [$room, $label] = $found;
        $spare = $room - $map->deepMm;

        return $this->answer(self::byMargin($spare, $body->drawn ? 0.0 : $facts->margin('cavity-mm')), [$bodyLine, ...$lines], fn (): Words => new Words(
            sprintf('The deepest column, %s, is %s mm high; there are %s mm.', $map->saysDeciding(), self::n($map->deepMm), self::n($room)),
            [...$working, $this->count($label, $room, 'mm')],
            self::n($spare).' mm to spare',
            array_map(fn (Line $line): Remedy => $this->swap($line, "Take something flatter for {$line->name()}"), $lines),
        ), 'arranged');
    }

    /**
     * The builder put it there, and wants to know of it whatever the others do.
     *
     * @param  list<Line>  $lines
     */
    private function isNamed(string $name, array $lines): bool
    {
        foreach ($lines as $line) {
            if (in_array($name, Columns::places($line), true)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<Line>  $lines
     * @param  array{float, float}|null  $floor  on which they may lie side by side, where they have no place of their own
     * @return array{Finding, float} with the millimetres to spare
     */
    private function column(string $name, array $lines, Line $bodyLine, Body $body, ?Zone $place, Facts $facts, ?array $floor): array
    {
        $zone = $place?->depthMm;
        $floor = $place !== null && $place->lengthMm->isKnown() && $place->widthMm->isKnown() ? [$place->lengthMm->least(), $place->widthMm->least()] : $floor;
        $height = 0.0;
        $working = [];
        $layers = Columns::layers($lines, $floor);
        foreach ($layers as $layer) {
            $thick = 0.0;
            foreach ($layer as $line) {
                $one = $line->part->size->thickMm();
                if ($one === null) {
                    return [$this->unmeasured($line, 'size', [$bodyLine], $working, "stack/{$name}", 'the column '.Phrase::column($name).' is open'), INF];
                }
                $piled = Columns::piled($line, $floor);
                $thick = max($thick, $one * $piled);
                $working[] = $this->count(
                    ($piled > 1 ? "{$piled} × {$line->name()}" : $line->name()).(count($layer) > 1 ? ', side by side' : ''),
                    $one * $piled,
                    'mm',
                    $line->part->size->heightMm->source->value,
                );
            }
            $height += $thick;
        }
        $gaps = max(0, count($layers) - 1) * $facts->margin('layer-mm');
        $working[] = $this->count('Between the layers', $gaps, 'mm');
        $height += $gaps;
        $found = $this->room($name, $zone, $lines, $bodyLine, $body, $working, $facts);
        if ($found instanceof Finding) {
            return [$found, INF];
        }
        [$room, $label] = $found;
        $working[] = $this->count($label, $room, 'mm');
        $spare = $room - $height;

        $verdict = self::byMargin($spare, $facts->margin('cavity-mm'));

        return [$this->answer($verdict, [$bodyLine, ...$lines],
            fn (): Words => new Words(sprintf(
                'The column %s is %s mm high; there are %s mm.',
                Phrase::column($name),
                self::n($height),
                self::n($room),
            ), $working, self::n($spare).' mm to spare', $verdict === Verdict::Fits ? [] : [
                ...array_map(fn (Line $line): Remedy => $this->swap($line, "Take something flatter for {$line->name()}"), $lines),
                $this->swap($bodyLine, 'Take a deeper body'),
                Remedy::byHand('Lay two of them side by side instead, or pull off a socket that stands too high; test after every cut.'),
            ]), $name), $spare];
    }

    /** @return array{float, float}|null length and width inside the body; null where nobody knows them, or it grows around its parts */
    private static function floor(Line $bodyLine, Body $body): ?array
    {
        $sides = $body->drawn ? $bodyLine->part->size->sidesMm() : $body->cavity()->sidesMm();
        if ($sides === [] || ($body->drawn && ! $body->wallMm->isKnown())) {
            return null;
        }
        $walls = $body->drawn ? 2 * $body->wallMm->most() : 0.0;

        return [$sides[0] - $walls, $sides[1] - $walls];
    }

    /**
     * @param  list<Line>  $lines
     * @param  list<WorkingLine>  $working
     * @return Finding|array{float, string} millimetres, and what they are; or what has to be found out first
     */
    private function room(string $name, ?Figure $zone, array $lines, Line $bodyLine, Body $body, array $working, Facts $facts): Finding|array
    {
        if ($zone !== null && ! $zone->isKnown()) {
            return $this->unmeasured($bodyLine, FigureRef::of('body', 'zone', $name), $lines, $working, $name);
        }
        if ($zone !== null) {
            $room = $zone->least();
            $label = "{$name}, depth";
        } elseif ($body->drawn) {
            if (! $body->wallMm->isKnown()) {
                return $this->unmeasured($bodyLine, 'body.wall', $lines, $working, "stack/{$name}");
            }
            $own = $bodyLine->part->size->heightMm;
            $room = ($own->isKnown() ? $own->least() : min($facts->brief()->largestMm ?? [INF])) - 2 * $body->wallMm->most();
            $label = $own->isKnown() ? "{$bodyLine->name()}, thickness less two walls" : 'The brief\'s thickness less two walls';
        } else {
            $room = $body->cavity()->sidesMm()[2] ?? $body->cavityHeightMm->least();
            $label = "{$bodyLine->name()}, depth inside";
        }

        return [$room, $label];
    }
}
