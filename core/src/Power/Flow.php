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

    /** @var array<string, float> watts that leave the source for what a part itself uses, losses on the way included, by feed key */
    public array $fromSource = [];

    /** @param  float  $times  watts at the source for each watt on this rail */
    public function through(Branch $branch, float $railVolts, int $state, float $times = 1.0): void
    {
        $amps = $branch->amps($railVolts, $state);
        $volts = $railVolts - $amps * $branch->ohm;
        $this->lostInLeads += $amps * $amps * $branch->ohm;
        $this->feeds[$branch->key] = ['volts' => $volts, 'amps' => $amps, 'watts' => $volts * $amps];
        $own = $branch->ownWatts($volts, $state);
        $this->own[$branch->key] = $own;
        $this->used += $own;
        $times *= $railVolts / $volts;
        $this->fromSource[$branch->key] = $own * $times;
        foreach ($branch->stages as $stage) {
            $this->into($stage, $volts, $state, $times);
        }
    }

    /** @param  float  $times  watts at the source for each watt at the input */
    public function into(OutputStage $stage, float $volts, int $state, float $times = 1.0): void
    {
        $out = $stage->voltsOut($volts);
        [$amps, $watts] = $stage->load($out, $state);
        $in = $stage->inputAmps($volts, $state) * $volts;
        $lost = $in - $watts;
        $this->lostInConverters += $lost;
        $this->rails[$stage->railId] = ['volts' => $out, 'amps' => $amps, 'watts' => $watts, 'lost' => $lost, 'holds' => $stage->holds($volts)];
        foreach ($stage->branches as $branch) {
            $this->through($branch, $out, $state, $watts > 0.0 ? $times * $in / $watts : $times);
        }
    }
}
