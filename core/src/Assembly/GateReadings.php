<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

use PocketPlot\Build\Reading\MeteredState;
use PocketPlot\Build\Reading\Stopped;
use PocketPlot\Facts\Facts;

/** What a gate read, as readings of the bench. */
final class GateReadings
{
    /**
     * @param  array<string, float|bool>  $read  by the measure's key
     * @return list<array<string, mixed>> fields of readings as files keep them, without id and day; a current of which nobody knows the volts, and a warmth without the air, stay with the tick alone
     */
    public static function of(Step $step, array $read, Facts $facts): array
    {
        $readings = [];
        $air = $read['air'] ?? null;
        foreach ($step->gate->measures ?? [] as $measure) {
            $value = $read[$measure->key] ?? null;
            if (! is_float($value) || $measure->line === '' || $value < 0.0) {
                continue;
            }
            $fields = match ($measure->unit) {
                'V' => ['kind' => 'volts', 'volts' => $value, 'at' => $measure->at],
                'mA' => self::draw($measure, $value, $step, $read, $facts),
                'h' => $value > 0.0 ? ['kind' => 'run', 'hours' => $value, 'stopped' => Stopped::WentDark->value] : null,
                '°C' => is_float($air) ? ['kind' => 'temperature', 'celsius' => $value, 'airC' => $air] : null,
                default => null,
            };
            if ($fields !== null) {
                $readings[] = ['line' => $measure->line, 'conditions' => $step->title, 'note' => $measure->what, ...$fields];
            }
        }

        return $readings;
    }

    /**
     * @param  array<string, float|bool>  $read
     * @return array<string, mixed>|null
     */
    private static function draw(Measure $measure, float $milliamps, Step $step, array $read, Facts $facts): ?array
    {
        $volts = null;
        foreach ($step->gate->measures ?? [] as $other) {
            if ($other->unit === 'V' && $other->line === $measure->line && is_float($read[$other->key] ?? null)) {
                $volts = $read[$other->key];
            }
        }
        $line = $facts->line($measure->line);
        $rail = $line === null || $line->part->pack !== null ? null : $facts->railOf($line);
        $volts ??= $rail?->volts->usual ?? $line?->part->pack?->volts()->usual;

        return $volts === null ? null : [
            'kind' => 'draw', 'state' => ($measure->state ?? MeteredState::Heavy)->value, 'volts' => $volts, 'milliamps' => $milliamps,
        ];
    }
}
