<?php

declare(strict_types=1);

namespace PocketPlot\Check\Body;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Fit\Columns;
use PocketPlot\Part\Body;
use PocketPlot\Part\FigureRef;
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
        if ($body->drawn && $facts->brief()->largestMm === null) {
            // Nothing limits a body that is drawn around its parts.
            return;
        }
        if (! $body->drawn && ! $body->cavity()->hasAllSides()) {
            yield $this->unmeasured($bodyLine, 'body.cavity', [], [], 'stack');

            return;
        }
        $cavity = $body->drawn ? null : $body->cavity();
        $depths = [];
        foreach ($body->zones as $zone) {
            $depths[$zone->name] = $zone->depthMm;
        }
        $columns = Columns::of($facts->inBody(), $cavity?->footprintMm2());
        $thickest = null;
        $open = false;
        foreach ($columns as $name => $lines) {
            [$finding, $spare] = $this->column((string) $name, $lines, $bodyLine, $body, $depths[$name] ?? null, $facts);
            $open = $open || $finding->verdict === Verdict::Unmeasured;
            if ($finding->verdict !== Verdict::Fits) {
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

    /**
     * @param  list<Line>  $lines
     * @return array{Finding, float} with the millimetres to spare
     */
    private function column(string $name, array $lines, Line $bodyLine, Body $body, ?Figure $zone, Facts $facts): array
    {
        $height = 0.0;
        $working = [];
        foreach ($lines as $line) {
            $sides = $line->part->size->sidesMm();
            if ($sides === []) {
                return [$this->unmeasured($line, 'size', [$bodyLine], $working, "stack/{$name}", "the column {$name} is open"), INF];
            }
            $height += $sides[2] * $line->quantity;
            $working[] = $this->count(
                $line->quantity > 1 ? "{$line->quantity} × {$line->name()}" : $line->name(),
                $sides[2] * $line->quantity,
                'mm',
                $line->part->size->heightMm->source->value,
            );
        }
        $gaps = max(0, count($lines) - 1) * $facts->margin('layer-mm');
        $working[] = $this->count('Between the layers', $gaps, 'mm');
        $height += $gaps;
        if ($zone !== null && ! $zone->isKnown()) {
            return [$this->unmeasured($bodyLine, FigureRef::of('body', 'zone', $name), $lines, $working, $name), INF];
        }
        if ($zone !== null) {
            $room = $zone->least();
            $label = "{$name}, depth";
        } elseif ($body->drawn) {
            if (! $body->wallMm->isKnown()) {
                return [$this->unmeasured($bodyLine, 'body.wall', $lines, $working, "stack/{$name}"), INF];
            }
            $room = min($facts->brief()->largestMm ?? [INF]) - 2 * $body->wallMm->most();
            $label = 'The brief\'s thickness less two walls';
        } else {
            $room = $body->cavity()->sidesMm()[2];
            $label = "{$bodyLine->name()}, depth inside";
        }
        $working[] = $this->count($label, $room, 'mm');
        $spare = $room - $height;

        $verdict = self::byMargin($spare, $facts->margin('cavity-mm'));

        return [$this->answer($verdict, [$bodyLine, ...$lines],
            fn (): Words => new Words(sprintf(
                'The column %s is %s mm high; there are %s mm.',
                $name,
                self::n($height),
                self::n($room),
            ), $working, self::n($spare).' mm to spare', $verdict === Verdict::Fits ? [] : [
                ...array_map(fn (Line $line): Remedy => $this->swap($line, "Take something flatter for {$line->name()}"), $lines),
                $this->swap($bodyLine, 'Take a deeper body'),
                Remedy::byHand('Lay two of them side by side instead, or pull off a socket that stands too high; test after every cut.'),
            ]), $name), $spare];
    }
}
