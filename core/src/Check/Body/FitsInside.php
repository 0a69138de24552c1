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
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Body;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Size;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Number;
use PocketPlot\Quantity\Source;

final class FitsInside extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'body.fits-inside',
            'Every part goes into the body, all of them together leave room for wires, and the body stays within the brief.',
            ['size', 'body.cavity', 'body.wall'],
        );
    }

    private float $cavityMm = 0.0;

    private float $packingEasy = 0.0;

    private float $packingMost = 0.0;

    protected function ofWhole(Facts $facts): iterable
    {
        $this->cavityMm = $facts->margin('cavity-mm');
        $this->packingEasy = $facts->margin('packing-easy');
        $this->packingMost = $facts->margin('packing-most');
        $bodyLine = $facts->bodyLine();
        $body = $bodyLine?->part->body;
        if ($bodyLine === null || $body === null) {
            return;
        }
        if (! $body->drawn) {
            yield from $this->intoCavity($bodyLine, $body, $facts);
        }
        yield from $this->withinBrief($bodyLine, $facts);
    }

    /** @return iterable<Finding> */
    private function intoCavity(Line $bodyLine, Body $body, Facts $facts): iterable
    {
        $cavity = $body->cavity();
        if (! $cavity->hasAllSides()) {
            $placed = yield from $this->intoZones($bodyLine, $body, $facts);
            if (! $placed) {
                yield $this->unmeasured($bodyLine, 'body.cavity');
            }

            return;
        }
        $filled = 0.0;
        $sized = [];
        $unsized = [];
        foreach ($facts->inBody() as $line) {
            $volume = $line->part->size->volumeCm3();
            if ($volume === null) {
                $unsized[] = $line;
                yield $this->unmeasured($line, 'size', [$bodyLine], [$this->sides($bodyLine->name().', room inside', $cavity)], '', 'its room is open');

                continue;
            }
            $filled += $volume * $line->quantity;
            $sized[] = $line;
            $zone = $this->zoneOf($line, $body);
            if ($zone !== null && ! $zone->hasAllSides()) {
                yield $this->unmeasured($bodyLine, FigureRef::of('body', 'zone', $line->place), [$line], [], "zone/{$line->id}");
                $zone = null;
            }
            $finding = $this->onePart(
                $line,
                $bodyLine,
                $zone ?? $cavity,
                $zone === null ? $bodyLine->name() : "the {$line->place} of {$bodyLine->name()}",
                $zone === null ? null : $facts->margin('zone-mm'),
            );
            if ($finding !== null) {
                yield $finding;
            }
        }
        if ($unsized === [] && $sized !== []) {
            yield $this->together($bodyLine, $cavity, $filled, $sized);
        }
    }

    /**
     * Where only some rooms of a body are known, what is placed in them can still be judged.
     *
     * @return \Generator<int, Finding, mixed, bool> whether everything that has a size lies in one of them
     */
    private function intoZones(Line $bodyLine, Body $body, Facts $facts): \Generator
    {
        $all = true;
        foreach ($facts->inBody() as $line) {
            $zone = $this->zoneOf($line, $body);
            if ($zone === null || ! $zone->hasAllSides() || ! $line->part->size->hasAllSides()) {
                $all = $all && ! $line->part->size->hasAllSides();

                continue;
            }
            yield $this->onePart($line, $bodyLine, $zone, "the {$line->place} of {$bodyLine->name()}", $facts->margin('zone-mm'))
                ?? $this->answer(Verdict::Fits, [$line, $bodyLine], fn (): Words => new Words(
                    "{$line->name()} goes into the {$line->place} of {$bodyLine->name()}.",
                    [$this->sides("{$line->name()}, outside", $line->part->size), $this->sides("{$line->place}, room inside", $zone)],
                    'each side within',
                ));
        }

        return $all;
    }

    /** A block goes into a cavity, turned as it may be, when its sides in falling order are each within the cavity's. */
    private function onePart(Line $line, Line $bodyLine, Size $cavity, string $where, ?float $wanted = null): ?Finding
    {
        $room = $cavity->sidesMm();
        $margin = INF;
        foreach ($line->part->size->sidesMm() as $index => $side) {
            $margin = min($margin, $room[$index] - $side);
        }
        $wanted ??= $this->cavityMm;
        if ($margin >= $wanted - 1e-9) {
            return null;
        }
        $working = [$this->sides("{$line->name()}, outside", $line->part->size), $this->sides("{$bodyLine->name()}, room inside", $cavity)];
        $remedies = [
            Remedy::swap($line->id, $line->role, "Take something smaller for {$line->name()}"),
            Remedy::swap($bodyLine->id, $bodyLine->role, 'Take a larger body'),
        ];
        if ($margin < 0.0) {
            return $this->answer(Verdict::Clash, [$line, $bodyLine],
                fn (): Words => new Words(
                    sprintf('%s is %s mm too long for %s, whichever way it is turned.', $line->name(), Number::says(-$margin), $where),
                    $working,
                    Number::says($margin).' mm to spare',
                    $remedies,
                ));
        }

        return $this->answer(Verdict::Tight, [$line, $bodyLine],
            fn (): Words => new Words(
                sprintf('%s goes into %s with only %s mm to spare.', $line->name(), $where, Number::says($margin)),
                $working,
                sprintf('%s mm to spare, %s mm wanted', Number::says($margin), Number::says($wanted)),
                $remedies,
            ));
    }

    /** The room of its own that the line's place names. */
    private function zoneOf(Line $line, Body $body): ?Size
    {
        foreach ($line->place === '' ? [] : $body->zones as $zone) {
            if ($zone->name === $line->place) {
                return new Size($zone->lengthMm, $zone->widthMm, $zone->depthMm, Figure::unknown('g'));
            }
        }

        return null;
    }

    /** @param  non-empty-list<Line>  $sized */
    private function together(Line $bodyLine, Size $cavity, float $filled, array $sized): Finding
    {
        $room = $cavity->volumeCm3() ?? 0.0;
        $share = $room > 0.0 ? $filled / $room : INF;
        $verdict = match (true) {
            $share > $this->packingMost => Verdict::Clash,
            $share > $this->packingEasy => Verdict::Tight,
            default => Verdict::Fits,
        };
        $volumes = array_map(static fn (Line $line): float => ($line->part->size->volumeCm3() ?? 0.0) * $line->quantity, $sized);
        arsort($volumes);
        $sized = array_map(static fn (int $index): Line => $sized[$index], array_slice(array_keys($volumes), 0, 6));
        $working = array_map(
            fn (Line $line): WorkingLine => $this->row($line->name(), Figure::exactly(($line->part->size->volumeCm3() ?? 0.0) * $line->quantity, 'cm³')),
            $sized,
        );
        $working[] = $this->row('All parts inside, as blocks', Figure::exactly($filled, 'cm³'));
        $working[] = $this->row("{$bodyLine->name()}, room inside", Figure::exactly($room, 'cm³', $cavity->lengthMm->source));

        return $this->answer(
            $verdict,
            [$bodyLine],
            fn (): Words => new Words(sprintf('The parts take %s %% of the room in %s%s', Number::says($share * 100), $bodyLine->name(),
                match ($verdict) {
                    Verdict::Clash => '; wires, switches and screws find no place.',
                    Verdict::Tight => '; wires and switches will be a squeeze.',
                    default => '.',
                }), $working, sprintf(
                    'up to %s %% is easy, up to %s %% can be done',
                    Number::says($this->packingEasy * 100),
                    Number::says($this->packingMost * 100),
                ), $verdict === Verdict::Fits ? [] : [
                    Remedy::swap($bodyLine->id, $bodyLine->role, 'Take a larger body'),
                    ...array_map(
                        static fn (Line $line): Remedy => Remedy::swap($line->id, $line->role, "Take something smaller for {$line->name()}"),
                        array_slice($sized, 0, 3),
                    ),
                ]), 'together');
    }

    /** @return iterable<Finding> */
    private function withinBrief(Line $bodyLine, Facts $facts): iterable
    {
        $largest = $facts->brief()->largestMm;
        if ($largest === null) {
            return;
        }
        $outside = $facts->bodySize();
        $sides = $outside->size->sidesMm();
        if ($sides === []) {
            yield $outside->unsized === null && $outside->estimated
                ? $this->unmeasured($bodyLine, 'body.wall', [], [], 'brief')
                : $this->unmeasured($outside->unsized ?? $bodyLine, 'size', [$bodyLine], [], 'brief');

            return;
        }
        rsort($largest);
        $margin = min($largest[0] - $sides[0], $largest[1] - $sides[1], $largest[2] - $sides[2]);
        $fits = $margin >= 0.0;
        yield $this->answer($fits ? Verdict::Fits : Verdict::Clash, [$bodyLine],
            fn (): Words => new Words($fits
                ? "{$bodyLine->name()} stays within the size in the brief."
                : sprintf('%s is %s mm larger than the brief allows.', $bodyLine->name(), Number::says(-$margin)), [
                    $this->sides($outside->estimated ? 'Drawn around the parts, about' : "{$bodyLine->name()}, outside", $outside->size),
                    new WorkingLine('Largest in the brief', implode(' × ', array_map(Number::says(...), $largest)), 'mm', Source::Brief->value),
                ], Number::says($margin).' mm to spare', $fits ? [] : [
                    Remedy::swap($bodyLine->id, $bodyLine->role, 'Take a smaller body'),
                    Remedy::brief('Allow a larger size in the brief'),
                ]), 'brief');
    }

    private function sides(string $label, Size $size): WorkingLine
    {
        return new WorkingLine($label, implode(' × ', array_map(Number::says(...), $size->sidesMm())), 'mm', $size->lengthMm->source->value);
    }
}
