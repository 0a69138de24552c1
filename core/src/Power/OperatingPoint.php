<?php

declare(strict_types=1);

namespace PocketPlot\Power;

/** One moment of a discharge: the balance in every state of play, weighed by its share. */
final readonly class OperatingPoint
{
    /** Packs without a resistance could not are in parallel: currents between them would have no bound. */
    private const LEAST_OHM = 1e-5;

    /** Mean amps out of the terminals. */
    public float $amps;

    /** Mean volts at the terminals. */
    public float $volts;

    /** Volts at the terminals in the heaviest state played. */
    public float $leastVolts;

    public float $openCircuitVolts;

    /** @var list<float> amps that leave the store of each pack; below nought where another fills it */
    public array $drains;

    /** Mean watts: stored ones used up, lost to the rate, lost inside the packs, in converters, in leads, and used by the parts. */
    public float $stored;

    public float $lostToRate;

    public float $lostInside;

    public float $lostInConverters;

    public float $lostInLeads;

    public float $used;

    /**
     * @param  list<float>  $charge  by pack
     *
     * @throws NoBalance
     */
    public function __construct(Circuit $circuit, array $charge)
    {
        [$rest, $ohm] = self::together($circuit, $charge);
        $drains = array_fill(0, count($charge), 0.0);
        $amps = $volts = $stored = $rate = $inside = $converters = $leads = $used = 0.0;
        $least = INF;
        foreach ($circuit->shares as $state => $share) {
            [$at, $taken] = $circuit->balance($rest, $ohm, $state);
            $amps += $share * $taken;
            $volts += $share * $at;
            $least = min($least, $at);
            $flow = $circuit->flow($at, $state);
            $converters += $share * $flow->lostInConverters;
            $leads += $share * $flow->lostInLeads;
            $used += $share * $flow->used;
            foreach (self::split($circuit, $charge, $at, $taken) as $index => $out) {
                $cells = $circuit->cells[$index];
                $own = $cells->openCircuitVolts($charge[$index]);
                $drain = $out > 0.0 ? $cells->drain($out) : $out;
                $drains[$index] += $share * $drain;
                $stored += $share * $own * $drain;
                $rate += $share * $own * ($drain - $out);
                $inside += $share * ($own - $at) * $out;
            }
        }
        $this->amps = $amps;
        $this->volts = $volts;
        $this->leastVolts = $least;
        $this->openCircuitVolts = $rest;
        $this->drains = array_values($drains);
        $this->stored = $stored;
        $this->lostToRate = $rate;
        $this->lostInside = $inside;
        $this->lostInConverters = $converters;
        $this->lostInLeads = $leads;
        $this->used = $used;
    }

    /**
     * Packs in parallel as one (Millman): open-circuit volts = Σ(volts ÷ ohm) ÷ Σ(1 ÷ ohm), resistance = 1 ÷ Σ(1 ÷ ohm).
     *
     * @param  list<float>  $charge
     * @return array{float, float} open-circuit volts, ohm
     */
    public static function together(Circuit $circuit, array $charge): array
    {
        if (count($charge) === 1) {
            return [$circuit->cells[0]->openCircuitVolts($charge[0]), $circuit->cells[0]->ohm];
        }
        $sum = $siemens = 0.0;
        foreach ($circuit->cells as $index => $cells) {
            $one = 1 / max(self::LEAST_OHM, $cells->ohm);
            $siemens += $one;
            $sum += $cells->openCircuitVolts($charge[$index]) * $one;
        }

        return [$sum / $siemens, 1 / $siemens];
    }

    /**
     * Amps out of each pack at these terminal volts, by Ohm's law; below nought where the others fill it.
     *
     * @param  list<float>  $charge  share left, by pack
     * @param  float  $volts  at the terminals
     * @param  float  $amps  out of all packs together
     * @return list<float> amps by pack
     */
    public static function split(Circuit $circuit, array $charge, float $volts, float $amps): array
    {
        return count($charge) === 1 ? [$amps] : array_map(
            static fn (PackModel $cells, float $left): float => ($cells->openCircuitVolts($left) - $volts) / max(self::LEAST_OHM, $cells->ohm),
            $circuit->cells, $charge,
        );
    }

    /** Amps that leave all stores together. */
    public function drain(): float
    {
        return array_sum($this->drains);
    }
}
