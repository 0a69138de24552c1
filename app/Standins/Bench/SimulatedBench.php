<?php

declare(strict_types=1);

namespace App\Standins\Bench;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\File\FigurePlace;
use PocketPlot\File\PartReader;
use PocketPlot\Part\DrawKind;
use PocketPlot\Part\Role;
use PocketPlot\Part\YesNo;
use PocketPlot\Power\Assumption;
use PocketPlot\Power\BadSupply;
use PocketPlot\Power\Circuit;
use PocketPlot\Power\Discharge;
use PocketPlot\Power\EndCause;
use PocketPlot\Power\Gaps;
use PocketPlot\Power\NoBalance;
use PocketPlot\Quantity\Constants;
use PocketPlot\Quantity\Source;

/**
 * Stands in for a bench supply and a meter. Behind it is a "true" device whose figures nobody is shown: each
 * part differs from its sheet by a little, always the same for the same part of the same build.
 */
final class SimulatedBench implements BenchInstrument
{
    /** Volts, milliamps and least volts of a part of which nothing is known. */
    private const UNKNOWN_PART = ['board' => [5.0, 800.0, 4.4], 'display' => [12.0, 420.0, 8.2]];

    /** How far the least volts at which a part really works lie below its sheet, at most. */
    private const WORKS_BELOW = 0.06;

    /** The meter's last digit trembles by this share. */
    private const TREMBLE = 0.003;

    public function name(): string
    {
        return 'Simulated bench';
    }

    public function isSimulated(): bool
    {
        return true;
    }

    public function sweep(Build $build, Line $line, float $fromV, float $stepV, bool $signal): iterable
    {
        $line = self::bySheet($line);
        [$atV, $milliamps, $least] = $this->truth($build, $line, 'usual');
        $needsSignal = $line->part->panel?->needsSignal === YesNo::Yes;
        $kind = $line->part->supply->drawKind ?? DrawKind::Power;
        $dark = 0;
        for ($step = 0; $fromV - $step * $stepV > 0.05 && $dark < 3; $step++) {
            $volts = round($fromV - $step * $stepV, 4);
            $lit = $volts >= $least && ($signal || ! $needsSignal);
            $dark = $volts >= $least ? 0 : $dark + 1;
            $amps = match ($kind) {
                DrawKind::Power => $milliamps * $atV / $volts,
                DrawKind::Current => $milliamps,
                DrawKind::Resistance => $milliamps * $volts / $atV,
            };
            yield ['volts' => $volts, 'lit' => $lit, 'milliamps' => round(($lit ? $amps : $milliamps * 0.04) * $this->tremble($line, $step), 1)];
        }
    }

    public function draw(Build $build, Line $line, string $state): array
    {
        [$volts, $milliamps] = $this->truth($build, self::bySheet($line), $state);

        return ['volts' => $volts, 'milliamps' => round($milliamps * $this->tremble($line, strlen($state)), 1)];
    }

    public function run(Build $build, Line $pack, int $way): iterable
    {
        foreach ($build->chosen() as $line) {
            $build = $build->withPart($line->part->id, self::bySheet($line)->part);
        }
        $pack = $build->line($pack->id) ?? $pack;
        $facts = new Facts($build);
        $own = [];
        foreach ($build->chosen() as $line) {
            foreach (['draw', 'efficiency', 'capacity', 'share', 'resistance'] as $figure) {
                $own["{$line->id} {$figure}"] = $this->hidden($build, $line, $figure);
            }
        }
        $ways = $build->profilesOrDefaults();
        try {
            $circuit = Circuit::of(
                $build,
                $facts->supplyTree(),
                $pack,
                $ways[$way] ?? $ways[0],
                new Assumption(0.0, $own),
                $facts->leadOhms(),
                $build->brief->roomC,
                new Gaps,
            );
            $run = $circuit === null ? null : Discharge::run($circuit);
        } catch (BadSupply|NoBalance) {
            $run = null;
        }
        foreach ($run->rows ?? [] as $index => $row) {
            yield ['seconds' => round($row['h'] * 3600, 1), 'volts' => round($row['volts'] * $this->tremble($pack, $index), 3), 'amps' => round(
                $row['amps'] * $this->tremble($pack, $index + 7),
                4,
            ),
                'stopped' => match ($run?->end?->cause) {
                    EndCause::TOO_LOW, EndCause::HEADROOM => 'picture went',
                    default => 'went dark',
                }];
        }
    }

    /** @return array{float, float, float} volts, milliamps in this state, least volts it really works at */
    private function truth(Build $build, Line $line, string $state): array
    {
        $supply = $line->part->supply;
        [$volts, $milliamps, $least] = self::UNKNOWN_PART[$line->role->value] ?? self::UNKNOWN_PART[Role::Display->value];
        $share = ['off' => 0.0, 'idle' => 0.6, 'usual' => 1.0, 'heavy' => 1.35, 'start-up' => 2.0][$state] ?? 1.0;
        $milliamps *= $share;
        $spread = Constants::DRAW_SPREAD[($supply->drawMa->source ?? Source::Unknown)->value];
        if ($supply !== null && $supply->drawMa->isKnown() && $supply->drawAtV->isKnown()) {
            $volts = $supply->drawAtV->usual();
            $milliamps = match ($state) {
                'off' => $supply->offMa->usual ?? 0.0,
                'idle' => $supply->drawMa->least(),
                'heavy' => $supply->drawMa->most(),
                'start-up' => $supply->startUpMa->most ?? $supply->peakMa->most ?? $supply->drawMa->most(),
                default => $supply->drawMa->usual(),
            };
        }
        if ($supply !== null && $supply->volts->isKnown()) {
            $least = $supply->volts->least();
        }

        return [
            $volts,
            $milliamps * (1 - $spread * $this->hidden($build, $line, 'draw')),
            $least * (1 - self::WORKS_BELOW * abs($this->hidden($build, $line, 'least'))),
        ];
    }

    /** The line as its part's sheet has it: what was measured here does not move the device that it was measured on. */
    private static function bySheet(Line $line): Line
    {
        return $line->holding(PartReader::read(FigurePlace::asStated($line->part->raw)));
    }

    /** -1 to 1: how far this figure of this part really lies from its sheet; little most often, as in Power\Sampling. */
    private function hidden(Build $build, Line $line, string $figure): float
    {
        $even = static fn (string $which): float => crc32("{$build->name} {$line->part->id} {$figure} {$which}") / 4294967295;

        return $even('up') - $even('down');
    }

    private function tremble(Line $line, int $step): float
    {
        return 1 + self::TREMBLE * (crc32("{$line->id} {$step}") / 4294967295 * 2 - 1);
    }
}
