<?php

declare(strict_types=1);

use CoreTests\Make;
use CoreTests\Power;
use PocketPlot\Build\Profile;
use PocketPlot\Facts\Facts;
use PocketPlot\Power\Assumption;
use PocketPlot\Power\Chemistry;
use PocketPlot\Power\Circuit;
use PocketPlot\Power\Discharge;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * A supply tree drawn by lot: any chemistry, one to four cells in series, raw loads and loads behind one or two
 * converters, with and without wires, protection, curves. The same seed gives the same tree.
 */
final class Lot
{
    private Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
    }

    public function between(float $least, float $most): float
    {
        return $least + ($most - $least) * $this->random->getInt(0, 1_000_000) / 1_000_000;
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    public function one(array $of): mixed
    {
        return $of[$this->random->getInt(0, count($of) - 1)];
    }

    /** @return array{array<string, mixed>, array<string, mixed>} lines and joins */
    public function tree(float $load = 1.0, float $capacity = 1.0): array
    {
        $chemistry = $this->one(Chemistry::all());
        $series = $this->one([1, 2, 3, 4]);
        [, $nominal, $empty] = Chemistry::cellVolts($chemistry);
        $volts = $nominal * $series;
        $mah = $this->between(800, 8000);
        $guard = $this->one([[], ['protection' => 'built-in', 'cutOffV' => $empty * $series * 1.05, 'latches' => 'no']]);
        $lines = ['pack' => Power::pack($chemistry, $series, $mah * $capacity, ['internalResistanceMohm' => $this->between(0, 40 * $series), 'usableShare' => $this->between(0.7, 1.0), ...$guard])];
        $joins = [];
        $feed = function (string $from, string $to) use (&$joins): void {
            $joins[] = ['kind' => 'power', 'from' => $from, 'to' => $to, ...$this->one([[], ['gaugeAwg' => $this->between(20, 28), 'lengthMm' => $this->between(30, 400)]])];
        };
        $ma = $mah / 12 / $this->between(1, 4);
        foreach (range(1, 3) as $number) {
            $lines["raw{$number}"] = Power::steady($ma * $load * $this->between(0.2, 1), $volts, $this->one(['power', 'current', 'resistance']), $empty * $series * $this->between(0.6, 1.12));
            $feed('pack', "raw{$number}");
        }
        $out = $volts * $this->between(0.4, 0.85);
        $lines['down'] = Power::converter($out, $this->between(0.7, 0.97), $this->one(['buck', 'buck-boost', 'linear']), $this->one([
            ['idleMa' => 5], ['continuousMa' => 4 * $ma, 'peakMa' => 5 * $ma, 'efficiencyAt' => [['load' => 0.05, 'share' => 0.6], ['load' => 0.5, 'share' => 0.92], ['load' => 1, 'share' => 0.85]]],
        ]));
        $feed('pack', 'down');
        $lines['behind'] = Power::steady($ma * $load, $out, $this->one(['power', 'current']), $out * $this->between(0.8, 0.99));
        $feed('down', 'behind');
        $lines['up'] = Power::converter($out * 1.8, $this->between(0.7, 0.95), 'boost');
        $feed('down', 'up');
        $lines['far'] = Power::steady($ma * $load * 0.3, $out * 1.8, 'power', $out * 1.2);
        $feed('up', 'far');

        return [$lines, ['joins' => $joins]];
    }
}

$hours = static function (int $seed, float $load = 1.0, float $capacity = 1.0, float $celsius = 25.0): Circuit {
    [$lines, $more] = (new Lot($seed))->tree($load, $capacity);

    return Power::of(new Facts(Make::build($lines, [], $more)), new Profile('steady'), Assumption::usual(), $celsius);
};

it('holds for any supply', function (int $seed) use ($hours): void {
    $circuit = $hours($seed);
    $run = Discharge::run($circuit);
    $used = $run->used;
    // Energy: what left the cells, by the table's own integral, is what was used and lost.
    $left = $circuit->cells[0]->wattHours($run->chargeLeft, 1.0);
    $gone = $used->usedWh + $used->converterWh + $used->leadWh + $used->insideWh + $used->rateWh;
    expect($gone)->toEqualWithDelta($left, max(1e-9, $left * 0.001))
        ->and(min($used->usedWh, $used->converterWh, $used->leadWh, $used->insideWh, $used->rateWh))->toBeGreaterThanOrEqual(-1e-9);
    // The short way says the same as the long one.
    $short = Discharge::hours($hours($seed));
    expect($short->hours)->toEqualWithDelta($run->hours, 0.005 * $run->hours + 1e-9)->and($short->chargeLeft)->toEqualWithDelta($run->chargeLeft, 0.001);
    // More load never lengthens, more capacity never shortens, colder never lengthens.
    $long = 1.0001 * $short->hours + 1e-9;
    expect(Discharge::hours($hours($seed, load: 1.3))->hours)->toBeLessThanOrEqual($long)
        ->and(Discharge::hours($hours($seed, capacity: 1.3))->hours * 1.0001)->toBeGreaterThanOrEqual($short->hours)
        ->and(Discharge::hours($hours($seed, celsius: 5.0))->hours)->toBeLessThanOrEqual($long);
})->with(range(1, 80));

it('draws supplies that really differ, and most of which run', function () use ($hours): void {
    $ends = $lasting = [];
    foreach (range(1, 80) as $seed) {
        $end = Discharge::hours($hours($seed));
        $ends[$end->end?->cause] = true;
        $lasting[] = $end->hours > 0.5;
    }
    expect(count($ends))->toBeGreaterThanOrEqual(4)->and(count(array_filter($lasting)))->toBeGreaterThan(50);
});
