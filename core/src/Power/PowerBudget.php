<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Line;

/** Who takes how much in each state of play, at the part and at the source, losses on the way included. */
final readonly class PowerBudget
{
    /**
     * @param  list<array{key: string, line: Line, name: string, watts: array{off: float, idle: float, usual: float, heavy: float, start: ?float}, fromSource: float, share: float}>  $rows  most first
     * @param  array{off: float, idle: float, usual: float, heavy: float}  $total  watts at the source by state
     * @param  float  $mean  watts at the source by the shares of the way of playing
     */
    private function __construct(public array $rows, public array $total, public float $mean, public float $lost) {}

    /**
     * With the packs half charged, where their volts are about their mean.
     *
     * @throws NoBalance
     */
    public static function of(Circuit $circuit, SupplyTree $tree): self
    {
        $flows = $total = [];
        foreach ([PlayState::Off, PlayState::Idle, PlayState::Usual, PlayState::Heavy] as $state) {
            [$rest, $ohm] = $circuit->cells === [] ? [1.0, 0.0] : OperatingPoint::together($circuit, array_fill(0, count($circuit->cells), 0.5));
            [$volts, $amps] = $circuit->balance($rest, $ohm, $state->value);
            $flows[$state->value] = $circuit->flow($volts, $state->value);
            $total[$state->says()] = $volts * $amps;
        }
        $mean = $used = 0.0;
        $names = ['off', 'idle', 'usual', 'heavy'];
        foreach ($circuit->shares as $state => $share) {
            $mean += $share * ($total[$names[$state]] ?? 0.0);
            $used += $share * ($flows[$state]->used ?? 0.0);
        }
        $rows = [];
        foreach ($circuit->takers() as $key => $branch) {
            $from = 0.0;
            foreach ($circuit->shares as $state => $share) {
                $from += $share * ($flows[$state]->fromSource[$key] ?? 0.0);
            }
            $own = static fn (PlayState $state): float => $flows[$state->value]->own[$key] ?? 0.0;
            $watts = [
                'off' => $own(PlayState::Off),
                'idle' => $own(PlayState::Idle),
                'usual' => $own(PlayState::Usual),
                'heavy' => $own(PlayState::Heavy),
                'start' => self::startWatts($tree->feeds[$key] ?? null),
            ];
            if ($watts['heavy'] > 0.0 || $watts['start'] > 0.0) {
                $rows[] = [
                    'key' => $key,
                    'line' => $branch->line,
                    'name' => $branch->line->name(),
                    'watts' => $watts,
                    'fromSource' => $from,
                    'share' => $mean > 0.0 ? $from / $mean : 0.0,
                ];
            }
        }
        usort($rows, static fn (array $a, array $b): int => $b['fromSource'] <=> $a['fromSource']);

        return new self(
            $rows,
            ['off' => $total['off'], 'idle' => $total['idle'], 'usual' => $total['usual'], 'heavy' => $total['heavy']],
            $mean,
            max(0.0, $mean - $used),
        );
    }

    /** Watts at start-up; the peak where that is not given apart. */
    private static function startWatts(?Feed $feed): ?float
    {
        $input = $feed?->input;
        if ($feed === null || $input === null || ! $input->drawAtV->isKnown()) {
            return null;
        }
        $milliamps = $input->startUpMa->isKnown() ? $input->startUpMa : $input->peakMa;

        return $milliamps->isKnown() ? $milliamps->most() / 1000 * $input->drawAtV->usual() * $feed->line->quantity : null;
    }
}
