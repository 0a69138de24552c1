<?php

declare(strict_types=1);

namespace PocketPlot\Bench;

use PocketPlot\Build\Build;
use PocketPlot\Build\Reading\Draw;
use PocketPlot\Power\SupplyTree;

/**
 * The few figures that run tests can correct, each as a factor on what was predicted, and what is still
 * too little to say. Times alone only give capacity and draw together; a log of volts and amps parts them;
 * a converter's efficiency wants a meter on both of its sides in the same state.
 */
final readonly class Calibration
{
    /** Tests that are needed before their scatter says anything. */
    private const ENOUGH = 2;

    /**
     * @param  list<array{what: string, factor: float, from: float, to: float, tests: int}>  $factors
     * @param  list<string>  $lacking
     */
    private function __construct(public array $factors, public array $lacking) {}

    /** @param  list<Compared>  $tests */
    public static function of(Build $build, SupplyTree $tree, array $tests): self
    {
        $factors = $lacking = [];
        $times = $capacity = $draw = [];
        foreach ($tests as $test) {
            $ratio = $test->ratio();
            if ($ratio !== null) {
                $times[] = $ratio;
            }
            if ($test->log === null || $test->run === null) {
                continue;
            }
            $predicted = $test->predictedAmpHours();
            if ($test->reading->stopped->isAnEnd() && $predicted !== null) {
                $capacity[] = $test->log->milliampHours / 1000 / $predicted;
            }
            $used = $test->run->used;
            $predictedW = $test->run->hours > 0.0 ? ($used->storedWh - $used->rateWh - $used->insideWh) / $test->run->hours : 0.0;
            if ($predictedW > 0.0) {
                $draw[] = $test->log->meanW / $predictedW;
            }
        }
        foreach ([
            'capacity that really comes out' => [$capacity, 'a log of volts and amps until it ends'],
            'mean draw at the pack' => [$draw, 'a log of volts and amps'],
            'run time, capacity and draw together' => [$times, 'a run test until it ends'],
        ] as $what => [$found, $wants]) {
            if (count($found) >= self::ENOUGH) {
                $factors[] = self::factor($what, $found);
            } else {
                $lacking[] = sprintf('%s: %d of %d tests; wanted is %s.', ucfirst($what), count($found), self::ENOUGH, $wants);
            }
        }
        [$efficiencies, $wanting] = self::efficiencies($build, $tree);

        return new self([...$factors, ...$efficiencies], [...$lacking, ...$wanting]);
    }

    /**
     * Watts out ÷ watts in of each converter whose input and whose every load were metered in one state.
     *
     * @return array{list<array{what: string, factor: float, from: float, to: float, tests: int}>, list<string>}
     */
    private static function efficiencies(Build $build, SupplyTree $tree): array
    {
        $watts = [];
        foreach ($build->readings as $reading) {
            if ($reading instanceof Draw) {
                $watts[$reading->line][$reading->state->value] = $reading->watts();
            }
        }
        $found = $lacking = [];
        foreach ($build->chosen() as $line) {
            if (! $line->part->isConverter()) {
                continue;
            }
            $loads = [];
            foreach ($tree->railsOf($line) as $rail) {
                $loads = [...$loads, ...$rail->loads];
            }
            $shares = [];
            foreach ($watts[$line->id] ?? [] as $state => $in) {
                $out = 0.0;
                foreach ($loads as $load) {
                    $out += $watts[$load->id][$state] ?? NAN;
                }
                if ($in > 0.0 && ! is_nan($out) && $loads !== [] && $out < $in) {
                    $shares[] = $out / $in;
                }
            }
            if ($shares !== []) {
                $found[] = self::factor("efficiency of {$line->name()}, watts out ÷ watts in", $shares);
            } elseif ($loads !== []) {
                $lacking[] = "Efficiency of {$line->name()}: meter its input and everything behind it in the same state.";
            }
        }

        return [$found, $lacking];
    }

    /**
     * @param  non-empty-list<float>  $values
     * @return array{what: string, factor: float, from: float, to: float, tests: int}
     */
    private static function factor(string $what, array $values): array
    {
        return [
            'what' => ucfirst($what),
            'factor' => round(array_sum($values) / count($values), 3),
            'from' => round(min($values), 3),
            'to' => round(max($values), 3),
            'tests' => count($values),
        ];
    }
}
