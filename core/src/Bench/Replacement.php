<?php

declare(strict_types=1);

namespace PocketPlot\Bench;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Build\Reading;
use PocketPlot\Build\Reading\Dimension;
use PocketPlot\Build\Reading\Draw;
use PocketPlot\Build\Reading\MeteredState;
use PocketPlot\Build\Reading\Run;
use PocketPlot\Build\Reading\Side;
use PocketPlot\Build\Reading\Sweep as SweepReading;
use PocketPlot\Build\Reading\Temperature;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\SupplyInput;
use PocketPlot\Power\SupplyTree;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Number;
use PocketPlot\Quantity\Source;

/** The figures of a part that a reading can take the place of, written as a builder would type them. */
final readonly class Replacement
{
    private function __construct(public FigureRef $figure, public string $typed, public string $stated, public string $says) {}

    /**
     * @param  array<string, float>  $leadOhms  by Feed::key()
     * @return list<self> none where the reading says nothing about a figure
     */
    public static function of(Build $build, Reading $reading, array $leadOhms): array
    {
        $line = $build->line($reading->line);
        if ($line === null || ! $reading->isOf($line)) {
            return [];
        }

        return match (true) {
            $reading instanceof SweepReading => self::ofSweep($line, $reading),
            $reading instanceof Draw => self::ofDraws($line, $reading, $build->readings),
            $reading instanceof Temperature => self::ofTemperature($line, $reading),
            $reading instanceof Dimension => [self::ofDimension($line, $reading)],
            $reading instanceof Run => self::ofRun($build, $line, $reading, $leadOhms),
            default => [],
        };
    }

    /** @return list<self> */
    private static function ofSweep(Line $line, SweepReading $reading): array
    {
        $sweep = Sweep::of($reading);
        $supply = $line->part->supply;
        if ($sweep->worksAtV === null || $supply === null || $sweep->isBeyond($supply)) {
            return [];
        }
        // That it was lit for a moment above its window is no word on what it bears: the upper end stays where the sheet has it.
        $highest = max([0.0, ...array_map(static fn (array $step): float => $step['lit'] ? $step['volts'] : 0.0, $reading->steps)]);
        $most = max($sweep->worksAtV, $supply->volts->most ?? $highest);
        $found = [
            new self(
                FigureRef::supply($supply, 'volts'),
                sprintf('%s to %s V', Number::exact($sweep->worksAtV), Number::exact($most)),
                self::stated($supply->volts),
                'Supply window, its lower end as measured',
            ),
        ];
        if ($sweep->keeps !== null && $sweep->keeps !== $supply->drawKind) {
            $found[] = new self(
                FigureRef::supply($supply, 'drawKind'),
                $sweep->keeps->value,
                $supply->drawKind->value,
                'What its draw keeps, by the currents of the sweep',
            );
        }

        return $found;
    }

    /**
     * All readings of the draw of this part together. States that were not metered move in the ratio of those that were.
     *
     * @param  list<Reading>  $all
     * @return list<self>
     */
    private static function ofDraws(Line $line, Draw $reading, array $all): array
    {
        $supply = $line->part->supply;
        if ($supply === null || $reading->volts <= 0.0) {
            return [];
        }
        if (! $reading->state->isOfPlay()) {
            [$field, $stated, $says] = $reading->state === MeteredState::Off
                ? ['offMa', $supply->offMa, 'Draw when switched off']
                : ['startUpMa', $supply->startUpMa, 'Draw at start-up'];

            return [new self(FigureRef::supply($supply, $field), Number::exact($reading->milliamps).' mA', self::stated($stated), $says)];
        }
        $at = $reading->volts;
        $metered = self::metered($reading, $all);
        $stated = self::statedAt($supply, $at);
        if ($stated === [] && count($metered) < 3) {
            // Nothing is known of the other states, and nothing is made up for them.
            return [];
        }
        $ratios = [];
        foreach ($metered as $state => $milliamps) {
            if (isset($stated[$state]) && $stated[$state] > 0.0) {
                $ratios[] = $milliamps / $stated[$state];
            }
        }
        $ratio = $ratios === [] ? 1.0 : array_sum($ratios) / count($ratios);
        $only = $metered[$reading->state->value] ?? $reading->milliamps;
        $three = [];
        foreach (['idle', 'usual', 'heavy'] as $state) {
            $three[$state] = $metered[$state] ?? (isset($stated[$state]) ? $stated[$state] * $ratio : $only);
        }
        // Metered ones stand; what was only moved along may not contradict them.
        $usual = $metered['usual'] ?? min(max($three['usual'], $metered['idle'] ?? 0.0), $metered['heavy'] ?? INF);
        $idle = min($three['idle'], $usual);
        $heavy = max($three['heavy'], $usual);
        $missing = array_diff(['idle', 'usual', 'heavy'], array_keys($metered));
        $found = [new self(
            FigureRef::supply($supply, 'drawMa'), sprintf(
                '%s / %s / %s mA',
                Number::exact($idle),
                Number::exact($usual),
                Number::exact($heavy),
            ), self::stated($supply->drawMa),
            $missing === [] ? 'Draw idle, usual and heavy, all metered' : 'Draw; '.implode(' and ', $missing).' moved in the same ratio until metered',
        )];
        if (! $supply->drawAtV->isKnown() || abs($supply->drawAtV->usual() - $at) > 1e-6) {
            $found[] = new self(
                FigureRef::supply($supply, 'drawAtV'),
                Number::exact($at).' V',
                self::stated($supply->drawAtV),
                'Volts at which the draw was metered',
            );
        }

        return $found;
    }

    /**
     * @param  list<Reading>  $all
     * @return array<string, float> milliamps by state at the volts of this reading, of all readings of the same part
     */
    private static function metered(Draw $reading, array $all): array
    {
        $metered = [];
        foreach ([...$all, $reading] as $other) {
            if ($other instanceof Draw && $other->line === $reading->line && $other->part === $reading->part && $other->state->isOfPlay()) {
                // The same watts at the volts of this reading.
                $metered[$other->state->value] = $other->milliamps * $other->volts / $reading->volts;
            }
        }

        return $metered;
    }

    /** @return array<string, float> milliamps by state at these volts, by the part's own figures */
    private static function statedAt(SupplyInput $supply, float $at): array
    {
        if (! $supply->drawMa->isKnown() || ! $supply->drawAtV->isKnown()) {
            return [];
        }
        $times = $supply->drawAtV->usual() / $at;

        return ['idle' => $supply->drawMa->least() * $times, 'usual' => $supply->drawMa->usual() * $times, 'heavy' => $supply->drawMa->most() * $times];
    }

    /** @return list<self> */
    private static function ofTemperature(Line $line, Temperature $reading): array
    {
        $watts = $reading->watts() ?? 0.0;
        if ($watts <= 0.0 || $reading->celsius <= $reading->airC) {
            return [];
        }
        $rise = ($reading->celsius - $reading->airC) / $watts;

        return [
            new self(
                FigureRef::of('heat', 'riseKPerW'),
                Number::exact($rise).' K/W',
                self::stated($line->part->heat->riseKPerW ?? Figure::unknown('K/W')),
                'Rise in still air: degrees above the air ÷ watts',
            ),
        ];
    }

    /**
     * A run logged to its end counts the charge that came out. What sag and cut-off leave inside is reckoned
     * apart, so the usable share moves in the ratio of measured to predicted charge.
     *
     * @param  array<string, float>  $leadOhms
     * @return list<self>
     */
    private static function ofRun(Build $build, Line $line, Run $reading, array $leadOhms): array
    {
        $share = $line->part->pack?->usableShare;
        $log = LogTally::sumsOf($reading->log);
        if ($share === null || ! $share->isKnown() || $log === null || ! $reading->stopped->isAnEnd()) {
            return [];
        }
        $predicted = (new RunTests($build, new SupplyTree($build), $leadOhms))->of($reading)->predictedAmpHours();
        $is = $predicted === null ? 0.0 : $share->usual() * $log->milliampHours / 1000 / $predicted;

        return $is > 1.3 || $is < 0.05
            ? []
            : [
                new self(
                    FigureRef::of('pack', 'usableShare'),
                    Number::exact(min(1.0, $is) * 100, 1).' %',
                    $share->source === Source::Measured ? ($share->stated ?? 'unknown') : $share->times(100.0)->saysBand().' %',
                    'Usable share, moved as the charge that came out is to the charge that was predicted',
                ),
            ];
    }

    private static function ofDimension(Line $line, Dimension $reading): self
    {
        $size = $line->part->size;
        $stated = match ($reading->side) {
            Side::Length => $size->lengthMm,
            Side::Width => $size->widthMm,
            Side::Height => $size->heightMm,
        };

        return new self(
            FigureRef::of('size', $reading->side->value),
            Number::exact($reading->millimetres).' mm',
            self::stated($stated),
            'The side as measured',
        );
    }

    /** What the sheet says, also once a measurement counts. */
    private static function stated(Figure $figure): string
    {
        return $figure->source === Source::Measured ? ($figure->stated ?? 'unknown') : $figure->says();
    }
}
