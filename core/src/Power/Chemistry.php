<?php

declare(strict_types=1);

namespace PocketPlot\Power;

/**
 * What the five chemistries do between full and empty, in the cold, in a hurry and with age.
 *
 * The tables are ours: read off makers' discharge sheets of several ordinary cells of each chemistry,
 * in tenths, averaged and rounded. Makes differ by about 0.03 V a cell and a tenth of the losses; the
 * figures of the part itself (full, nominal and empty volts, capacity, resistance) always outrank them.
 */
final readonly class Chemistry
{
    public const SOURCE = 'makers\' discharge sheets of ordinary cells, averaged by us';

    private const CHARGE = [0.0, 0.05, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 0.95, 1.0];

    /** Volts of one rested cell at 25 °C by the share of charge left. */
    private const REST_V = [
        'Li-ion' => [3.00, 3.30, 3.44, 3.55, 3.61, 3.66, 3.72, 3.81, 3.91, 4.00, 4.08, 4.13, 4.20],
        'LiPo' => [3.00, 3.52, 3.66, 3.74, 3.77, 3.79, 3.83, 3.88, 3.95, 4.03, 4.11, 4.15, 4.20],
        'LiFePO4' => [2.50, 3.00, 3.18, 3.24, 3.27, 3.29, 3.30, 3.31, 3.33, 3.335, 3.345, 3.37, 3.65],
        'NiMH' => [1.00, 1.14, 1.18, 1.22, 1.245, 1.255, 1.265, 1.275, 1.29, 1.31, 1.34, 1.37, 1.42],
        'alkaline' => [0.90, 1.03, 1.09, 1.16, 1.20, 1.235, 1.265, 1.30, 1.345, 1.395, 1.455, 1.50, 1.58],
    ];

    private const COLD_C = [-20.0, -10.0, 0.0, 10.0, 25.0, 40.0];

    /** Share of the capacity that a cell of this temperature gives. */
    private const COLD_SHARE = [
        'Li-ion' => [0.60, 0.75, 0.86, 0.94, 1.0, 1.0],
        'LiPo' => [0.55, 0.70, 0.84, 0.93, 1.0, 1.0],
        'LiFePO4' => [0.50, 0.65, 0.80, 0.91, 1.0, 1.0],
        'NiMH' => [0.50, 0.72, 0.85, 0.93, 1.0, 1.0],
        'alkaline' => [0.15, 0.35, 0.58, 0.78, 1.0, 1.0],
    ];

    /** Times the resistance at 25 °C. */
    private const COLD_OHM = [
        'Li-ion' => [4.0, 2.8, 2.0, 1.4, 1.0, 0.9],
        'LiPo' => [4.0, 2.8, 2.0, 1.4, 1.0, 0.9],
        'LiFePO4' => [5.0, 3.5, 2.3, 1.5, 1.0, 0.9],
        'NiMH' => [3.0, 2.2, 1.6, 1.25, 1.0, 0.95],
        'alkaline' => [6.0, 4.0, 2.6, 1.7, 1.0, 0.85],
    ];

    /**
     * Loss with the rate, after Peukert (1897): above the current that empties the cell in so many hours,
     * the charge taken counts (current ÷ that current)^(exponent − 1) times. What sag costs is not in it.
     *
     * @var array<string, array{float, float}> hours, exponent
     */
    private const RATE = [
        'Li-ion' => [5.0, 1.02], 'LiPo' => [5.0, 1.02], 'LiFePO4' => [5.0, 1.01],
        'NiMH' => [5.0, 1.05], 'alkaline' => [50.0, 1.15],
    ];

    /** Full charges after which four-fifths of the capacity are left; none for what is not charged again. */
    private const CYCLES = ['Li-ion' => 500.0, 'LiPo' => 400.0, 'LiFePO4' => 2000.0, 'NiMH' => 500.0];

    /** Share of the charge put in that can be taken out again. */
    private const TAKES_IN = ['Li-ion' => 0.99, 'LiPo' => 0.99, 'LiFePO4' => 0.98, 'NiMH' => 0.75];

    /**
     * Times the ten-second resistance that a charge of hours meets, since the cell fills slower within than at its
     * terminals. Chosen by us so that an ordinary lithium cell comes to its full volts at about 85 % when charged at
     * half its capacity an hour and at two thirds when charged at all of it, as makers' charge sheets have it.
     */
    private const SLOW_OHM = ['Li-ion' => 4.0, 'LiPo' => 4.0, 'LiFePO4' => 2.0];

    /** Watt-hours a litre of a ready pack, wraps and boards included; for a first idea where no pack is at hand. */
    private const WH_PER_LITRE = ['Li-ion' => 350.0, 'LiPo' => 330.0, 'LiFePO4' => 180.0, 'NiMH' => 180.0, 'alkaline' => 250.0];

    /** Internal resistance of an ordinary cell times its capacity: a cell of twice the size has half the resistance. Ohm amp-hours. */
    private const OHM_AH = ['Li-ion' => 0.12, 'LiPo' => 0.10, 'LiFePO4' => 0.11, 'NiMH' => 0.06, 'alkaline' => 0.40];

    /** Full, nominal and empty volts of an ordinary cell. */
    private const CELL_V = [
        'Li-ion' => [4.2, 3.6, 3.0], 'LiPo' => [4.2, 3.7, 3.0], 'LiFePO4' => [3.65, 3.2, 2.5],
        'NiMH' => [1.42, 1.2, 1.0], 'alkaline' => [1.58, 1.25, 0.9],
    ];

    private const POINTS = 100;

    /** @return non-empty-list<string> */
    public static function all(): array
    {
        return array_keys(self::REST_V);
    }

    /** @return array{float, float, float} full, nominal and empty volts of one ordinary cell */
    public static function cellVolts(string $chemistry): array
    {
        return self::CELL_V[$chemistry] ?? self::CELL_V['Li-ion'];
    }

    /**
     * Open-circuit volts of one cell of these three figures in even steps of charge, empty to full. The form is the
     * chemistry's; the ends are the cell's own, and the mean is its nominal volts, so that capacity times
     * nominal volts is exactly its energy.
     *
     * @return non-empty-list<float> 101 values
     */
    public static function openCircuitVolts(string $chemistry, float $full, float $nominal, float $empty): array
    {
        $table = self::REST_V[$chemistry] ?? self::REST_V['Li-ion'];
        $curve = new Curve(self::CHARGE, $table);
        $span = $table[count($table) - 1] - $table[0];
        $form = [];
        for ($point = 0; $point <= self::POINTS; $point++) {
            $form[] = ($curve->at($point / self::POINTS) - $table[0]) / $span;
        }
        $mean = $full > $empty ? min(0.97, max(0.03, ($nominal - $empty) / ($full - $empty))) : 0.5;
        $low = 0.02;
        $high = 20.0;
        for ($step = 0; $step < 30; $step++) {
            $power = sqrt($low * $high);
            if (self::mean($form, $power) > $mean) {
                $low = $power;
            } else {
                $high = $power;
            }
        }
        $power = sqrt($low * $high);

        return array_map(static fn (float $share): float => $empty + ($full - $empty) * $share ** $power, $form);
    }

    public static function coldShare(string $chemistry, float $celsius): float
    {
        return self::inTable(self::COLD_SHARE[$chemistry] ?? self::COLD_SHARE['Li-ion'], $celsius);
    }

    public static function coldResistance(string $chemistry, float $celsius): float
    {
        return self::inTable(self::COLD_OHM[$chemistry] ?? self::COLD_OHM['Li-ion'], $celsius);
    }

    /** Share of the capacity left after so many full charges; never less than half, where the cell is done for. */
    public static function ageShare(string $chemistry, float $cycles): float
    {
        return isset(self::CYCLES[$chemistry]) ? max(0.5, 1.0 - 0.2 * max(0.0, $cycles) / self::CYCLES[$chemistry]) : 1.0;
    }

    /** @return array{float, float} hours of the gentle discharge, Peukert's exponent */
    public static function rate(string $chemistry): array
    {
        return self::RATE[$chemistry] ?? self::RATE['Li-ion'];
    }

    public static function takesIn(string $chemistry): float
    {
        return self::TAKES_IN[$chemistry] ?? 0.0;
    }

    /** Times the ten-second resistance, for a charge of hours. */
    public static function slowOhm(string $chemistry): float
    {
        return self::SLOW_OHM[$chemistry] ?? 1.0;
    }

    public static function wattHoursPerLitre(string $chemistry): float
    {
        return self::WH_PER_LITRE[$chemistry] ?? self::WH_PER_LITRE['Li-ion'];
    }

    /** Ohm of one ordinary cell of so many amp-hours. */
    public static function cellOhm(string $chemistry, float $ampHours): float
    {
        return (self::OHM_AH[$chemistry] ?? self::OHM_AH['Li-ion']) / max(0.01, $ampHours);
    }

    /** @param  non-empty-list<float>  $form */
    private static function mean(array $form, float $power): float
    {
        $sum = ($form[0] ** $power + $form[self::POINTS] ** $power) / 2;
        for ($point = 1; $point < self::POINTS; $point++) {
            $sum += $form[$point] ** $power;
        }

        return $sum / self::POINTS;
    }

    /** @param  non-empty-list<float>  $table */
    private static function inTable(array $table, float $celsius): float
    {
        return (new Curve(self::COLD_C, $table))->at($celsius);
    }
}
