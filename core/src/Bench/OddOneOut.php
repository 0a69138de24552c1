<?php

declare(strict_types=1);

namespace PocketPlot\Bench;

use PocketPlot\Power\Chemistry;
use PocketPlot\Quantity\Number;

/**
 * Run tests that cannot all be true together: which one stands apart, what would make them agree, and the
 * one measurement that would tell the explanations from each other.
 */
final readonly class OddOneOut
{
    /** Tests agree when their ratios lie within this factor: a tenth each way. */
    private const AGREE = 1.22;

    /** How far each figure usually is from its spec, as a share: what an explanation is measured by. Our estimates. */
    private const USUALLY_OFF = ['capacity' => 0.10, 'draw' => 0.15, 'charge' => 0.05, 'cut-off' => 0.08, 'cold' => 0.08, 'others' => 0.10];

    /**
     * @param  list<Compared>  $odd  one where the others agree; both where there are only two
     * @param  list<array{says: string, needs: string, off: float, times: float}>  $explanations  the likeliest first
     */
    private function __construct(public array $odd, public string $says, public array $explanations, public string $measure) {}

    /**
     * @param  list<Compared>  $tests
     * @return ?self null while they can all be true
     */
    public static function among(array $tests): ?self
    {
        $known = array_values(array_filter($tests, static fn (Compared $test): bool => $test->ratio() !== null));
        if (count($known) < 2) {
            return null;
        }
        $ratios = array_map(static fn (Compared $test): float => (float) $test->ratio(), $known);
        if (min($ratios) <= 0.0 || max($ratios) / min($ratios) <= self::AGREE) {
            return null;
        }
        $best = 0;
        $spread = INF;
        foreach ($known as $index => $_) {
            $rest = $ratios;
            unset($rest[$index]);
            $one = max($rest) / min($rest);
            // With two tests either may be wrong; the one farther from its prediction is looked at first.
            $one += count($known) === 2 ? 1 / (1 + abs(log($ratios[$index]))) : 0.0;
            if ($one < $spread) {
                [$best, $spread] = [$index, $one];
            }
        }
        $others = $ratios;
        unset($others[$best]);
        $odd = $known[$best];
        $share = $ratios[$best] / (array_sum($others) / count($others));
        $both = count($known) === 2;

        return new self($both ? $known : [$odd], self::sentence($known, $odd, $both), self::explain($odd, $share), self::measurement($odd, $share));
    }

    /** @param  list<Compared>  $known */
    private static function sentence(array $known, Compared $odd, bool $both): string
    {
        $name = static fn (Compared $test): string => sprintf(
            '%s of %s',
            ($test->reading->part === '' ? 'the pack' : $test->reading->part),
            $test->reading->takenOn,
        );
        $says = sprintf('%s ran %s h, %s h were predicted', $name($odd), self::n($odd->measuredHours), self::n((float) $odd->predictedHours));
        $other = array_values(array_filter($known, static fn (Compared $test): bool => $test !== $odd))[0];
        $beside = sprintf('%s ran %s h, %s h were predicted', $name($other), self::n($other->measuredHours), self::n((float) $other->predictedHours));

        return $both
            ? "These two tests cannot both be true: {$says}; {$beside}."
            : sprintf('One test does not go with the %d others: %s; while %s.', count($known) - 1, $says, $beside);
    }

    /**
     * @param  float  $share  of what the other tests lead to expect
     * @return list<array{says: string, needs: string, off: float, times: float}>
     */
    private static function explain(Compared $odd, float $share): array
    {
        $pack = $odd->reading->part === '' ? 'The pack' : $odd->reading->part;
        $percent = static fn (float $value): string => self::n($value * 100).' %';
        $far = static fn (string $what, float $factor): float => abs(log($factor)) / self::USUALLY_OFF[$what];
        $all = [[
            'says' => sprintf('%s holds %s of what is printed on it', $pack, $percent($share)),
            'needs' => $odd->wattHours === null
                ? $percent($share).' of its capacity'
                : sprintf('%s Wh instead of %s Wh', self::n($odd->wattHours * $share), self::n($odd->wattHours)),
            'off' => $far('capacity', $share), 'times' => $share,
        ], [
            'says' => sprintf(
                'The console took %s of its usual watts in that test: other games, other brightness, something left on or off',
                $percent(1 / $share),
            ),
            'needs' => $percent(1 / $share).' of the draw', 'off' => $far('draw', $share), 'times' => 1 / $share,
        ], [
            'says' => sprintf('The other tests are off instead: their packs hold %s of what is printed', $percent(1 / $share)),
            'needs' => $percent(1 / $share).' of their capacity', 'off' => $far('others', $share) + 1.0, 'times' => 1 / $share,
        ]];
        if ($share > 1.0) {
            $all[] = [
                'says' => sprintf('It was paused or asleep for %s of the time, or the watch ran on after the end', $percent(1 - 1 / $share)),
                'needs' => sprintf('%s of the time without play', $percent(1 - 1 / $share)), 'off' => $far('draw', $share), 'times' => $share,
            ];
        }
        if ($share < 1.0) {
            $all[] = [
                'says' => sprintf('It did not start full: the charge stood at %s', $percent($share)),
                'needs' => sprintf('a start at %s of the charge', $percent($share)), 'off' => $far('charge', $share), 'times' => $share,
            ];
            $all[] = [
                'says' => sprintf(
                    'Something cut it off early, with %s of the charge still inside: a protection that trips on a peak, a weak plug, a thin lead',
                    $percent(1 - $share),
                ),
                'needs' => sprintf('%s of the charge left at the end', $percent(1 - $share)), 'off' => $far('cut-off', $share), 'times' => $share,
            ];
            $cold = self::coldFor($odd, $share);
            if ($cold !== null) {
                $all[] = [
                    'says' => sprintf('The cells were as cold as %s °C', self::n($cold)),
                    'needs' => sprintf('%s °C at the cells', self::n($cold)),
                    'off' => $far('cold', $share),
                    'times' => $share,
                ];
            }
        }
        usort($all, static fn (array $a, array $b): int => $a['off'] <=> $b['off']);

        return array_map(static fn (array $one): array => [...$one, 'off' => round($one['off'], 2), 'times' => round($one['times'], 3)], $all);
    }

    /** Degrees at which the cells would give only this share; null when no cold explains it. */
    private static function coldFor(Compared $odd, float $share): ?float
    {
        $chemistry = $odd->run?->circuit->cells[0]->chemistry ?? 'Li-ion';
        for ($celsius = 25.0; $celsius >= -20.0; $celsius -= 1.0) {
            if (Chemistry::coldShare($chemistry, $celsius) <= $share) {
                return $celsius;
            }
        }

        return null;
    }

    private static function measurement(Compared $odd, float $share): string
    {
        $pack = $odd->reading->part === '' ? 'the pack' : $odd->reading->part;
        $run = $odd->run;
        $amps = $run === null || $run->rows === [] ? null : $run->rows[intdiv(count($run->rows), 2)]['amps'];
        $capacity = $run === null || $run->hours <= 0.0 ? null : $run->circuit->cells[0]->coulombs / 3.6 * (1 - $run->chargeLeft);
        if ($amps === null || $capacity === null) {
            return "Run {$pack} once more from full with a meter that logs volts and amps in its lead.";
        }

        return sprintf(
            'Run %s once more from full with a meter that logs volts and amps in its lead. About %s mA and %s mAh in all: the pack is short. About %s mA and %s mAh: the console took more or less than thought. About %s mA, and volts still high at the end: something cut it off.',
            $pack, self::n($amps * 1000), self::n($capacity * $share), self::n($amps / $share * 1000), self::n($capacity), self::n($amps * 1000),
        );
    }

    private static function n(float $value): string
    {
        return Number::says($value);
    }
}
