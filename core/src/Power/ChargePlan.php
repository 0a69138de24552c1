<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Part\YesNo;

/** How a pack of this build is charged: how long, how warm, and what is left over while it is played. */
final readonly class ChargePlan
{
    /** Amps of the weak supplies that are tried: what sockets and old plugs give. */
    public const WEAK_A = [0.5, 1.0, 2.0, 3.0];

    /**
     * @param  list<Missing>  $missing
     * @param  list<array{amps: float, hoursToFull: ?float, netMa: float}>  $weak  the same charge on weaker and stronger supplies
     */
    private function __construct(
        public Line $pack,
        public ChargePath $path,
        public ?Charging $atRest,
        public ?Charging $inPlay,
        /** Milliamps into the half-full pack during everyday play; below nought when it empties all the same. */
        public ?float $netMa,
        public ?float $playW,
        /** Degrees of the charger at its warmest; null while watts or its rise are not known. */
        public ?float $hottestC,
        public array $missing,
        public array $weak,
    ) {}

    /**
     * @param  ?Circuit  $play  what plays meanwhile; null when figures of it are missing or nobody asks
     * @param  ?float  $celsius  the air; the brief's when null
     * @return ?self null when the pack is not charged again or nothing in the parts list charges it
     */
    public static function of(Build $build, Line $line, ?Circuit $play, ?float $celsius = null): ?self
    {
        $celsius ??= $build->brief->roomC;
        $pack = $line->part->pack;
        $path = $pack === null || ! $pack->isRechargeable() ? null : ChargePath::of($build, $pack);
        if ($pack === null || $path === null) {
            return null;
        }
        $gaps = new Gaps;
        $cells = PackModel::of($line, $pack, Assumption::usual(), $celsius, null, null, $gaps);
        $charger = $path->charger;
        if (! $charger->chargeMa->isKnown() || $charger->chargeMa->usual() <= 0.0) {
            $gaps->missing($path->line, 'charger.chargeMa');
        }
        if ($cells === null || $gaps->allMissing() !== []) {
            return new self($line, $path, null, null, null, null, null, $gaps->allMissing(), []);
        }
        if ($charger->topology === '') {
            $gaps->assumed($path->line, 'charger.way');
        } elseif ($charger->topology === 'switching' && ! $charger->efficiency->isKnown()) {
            $gaps->assumed($path->line, 'charger.efficiency');
        }
        $amps = $charger->chargeMa->usual() / 1000;
        $output = $path->output;
        $inputV = $output !== null && $output->volts->isKnown() ? $output->volts->usual()
            : ($charger->inputVolts->isKnown() ? $charger->inputVolts->usual() : null);
        $inputA = $output !== null && $output->continuousMa->isKnown() ? $output->continuousMa->usual() / 1000 : null;
        $pastPack = $charger->powerPath === YesNo::Yes;
        $playW = null;
        if ($play !== null && $play->cells !== []) {
            try {
                $look = new OperatingPoint($play, array_fill(0, count($play->cells), 0.5));
                $playW = $look->volts * $look->amps;
            } catch (NoBalance) {
                $playW = null;
            }
        }
        $atRest = new Charging($cells, $charger, $amps, $inputV, $inputA);
        $inPlay = $playW === null ? null : new Charging($cells, $charger, $amps, $inputV, $inputA, $playW, $pastPack);
        $half = $cells->openCircuitVolts(0.5);
        $weak = [];
        foreach ($inputV === null ? [] : self::WEAK_A as $supplyA) {
            $weak[] = [
                'amps' => $supplyA,
                'hoursToFull' => (new Charging($cells, $charger, $amps, $inputV, $supplyA))->hoursToFull,
                'netMa' => (new Charging($cells, $charger, $amps, $inputV, $supplyA, $playW ?? 0.0, $pastPack))->ampsAt($half) * 1000,
            ];
        }
        $heat = $path->line->part->heat;
        $rise = $heat !== null && $heat->riseKPerW->isKnown() ? $heat->riseKPerW->most() : null;

        return new self(
            $line, $path, $atRest, $inPlay, $inPlay === null ? null : $inPlay->ampsAt($half) * 1000, $playW,
            $rise === null || $atRest->mostHeatW === null ? null : $celsius + $rise * $atRest->mostHeatW,
            $gaps->allAssumed(), $weak,
        );
    }
}
