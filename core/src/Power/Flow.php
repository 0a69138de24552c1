<?php

declare(strict_types=1);

namespace PocketPlot\Power;

/** Where the watts go at one moment, node by node. */
final class Flow
{
    /** Watts that the parts themselves get. */
    public float $used = 0.0;

    /** Watts lost in converters. */
    public float $lostInConverters = 0.0;

    /** Watts lost in leads. */
    public float $lostInLeads = 0.0;

    /** @var array<string, array{volts: float, amps: float, watts: float}> what each part gets at its terminals, by feed key */
    public array $feeds = [];

    /** @var array<string, array{volts: float, amps: float, watts: float, lost: float, holds: bool}> what each rail gives, by rail id */
    public array $rails = [];

    /** @var array<string, float> watts that a part itself uses, by feed key */
    public array $own = [];

    public function through(Branch $branch, float $railVolts, int $state): void
    {
        $amps = $branch->amps($railVolts, $state);
        $volts = $railVolts - $amps * $branch->ohm;
        $this->lostInLeads += $amps * $amps * $branch->ohm;
        $this->feeds[$branch->key] = ['volts' => $volts, 'amps' => $amps, 'watts' => $volts * $amps];
        $own = $branch->ownWatts($volts, $state);
        $this->own[$branch->key] = $own;
        $this->used += $own;
        foreach ($branch->gates as $gate) {
            $this->into($gate, $volts, $state);
        }
    }

    public function into(Gate $gate, float $volts, int $state): void
    {
        $out = $gate->voltsOut($volts);
        [$amps, $watts] = $gate->load($out, $state);
        $lost = $gate->inputAmps($volts, $state) * $volts - $watts;
        $this->lostInConverters += $lost;
        $this->rails[$gate->railId] = ['volts' => $out, 'amps' => $amps, 'watts' => $watts, 'lost' => $lost, 'holds' => $gate->holds($volts)];
        foreach ($gate->branches as $branch) {
            $this->through($branch, $out, $state);
        }
    }
}
