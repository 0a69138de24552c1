<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Line;
use PocketPlot\Part\Topology;

/**
 * One output with what hangs on it. While it holds its volts, what hangs on it does not feel the input:
 * that balance is found once a state and kept.
 */
final class OutputStage
{
    /** @var array<int, array{float, float, float}> by state: amps out, watts out, watts in before the idle draw counts */
    private array $held = [];

    /** @var array<int, array{?EndCause}> */
    private array $heldGivesUp = [];

    /**
     * @param  list<array{float, float}>  $efficiencyAt  share of the rated current => efficiency, rising
     * @param  list<Branch>  $branches
     */
    public function __construct(
        public readonly string $railId,
        public readonly Line $line,
        public readonly string $name,
        public readonly float $volts,
        public readonly Topology $topology,
        public readonly float $dropoutV,
        public readonly float $efficiency,
        /** Times which the curve's values count, so that it goes through the assumed efficiency. */
        private readonly float $curveTimes,
        private readonly array $efficiencyAt,
        public readonly float $ratedA,
        public readonly float $idleA,
        public readonly float $switchOffA,
        public readonly array $branches,
    ) {}

    /**
     * Output volts at these input volts. A step-down or linear converter out of headroom follows its input;
     * a step-up lets through what is higher than it makes.
     *
     * @throws NoBalance
     */
    public function voltsOut(float $volts): float
    {
        $out = match ($this->topology) {
            Topology::Buck, Topology::Linear => min($this->volts, $volts - $this->dropoutV),
            Topology::Boost => max($this->volts, $volts),
            Topology::BuckBoost, Topology::Unknown => $this->volts,
        };
        if ($out <= 0.0) {
            throw new NoBalance($this->line);
        }

        return $out;
    }

    /** Whether it still makes its volts from these. */
    public function holds(float $volts): bool
    {
        return ($this->topology !== Topology::Buck && $this->topology !== Topology::Linear) || $volts - $this->dropoutV >= $this->volts - 1e-9;
    }

    /**
     * Amps that it takes at its input.
     *
     * Watts in = watts out ÷ efficiency, at least watts out plus its own idle draw; a linear converter takes
     * as many amps as it gives, plus its own.
     *
     * @throws NoBalance
     */
    public function inputAmps(float $volts, int $state): float
    {
        $out = $this->voltsOut($volts);
        [$amps, $watts, $in] = $this->load($out, $state);
        if ($this->topology === Topology::Linear) {
            return $amps + $this->idleA;
        }

        return max($in, $watts + $volts * $this->idleA) / $volts;
    }

    /**
     * @return array{float, float, float} amps out, watts out, watts in before the idle draw counts
     *
     * @throws NoBalance
     */
    public function load(float $out, int $state): array
    {
        $isHeld = $out === $this->volts;
        if ($isHeld && isset($this->held[$state])) {
            return $this->held[$state];
        }
        $amps = 0.0;
        foreach ($this->branches as $branch) {
            $amps += $branch->amps($out, $state);
        }
        $watts = $amps * $out;
        $load = [$amps, $watts, $watts / $this->efficiencyFor($amps)];
        if ($isHeld) {
            $this->held[$state] = $load;
        }

        return $load;
    }

    /** By its curve where the maker gives one; else the same at every load. */
    public function efficiencyFor(float $amps): float
    {
        if ($this->efficiencyAt === [] || $this->ratedA <= 0.0) {
            return $this->efficiency;
        }
        $share = $amps / $this->ratedA;
        [$fromLoad, $from] = $this->efficiencyAt[0];
        foreach ($this->efficiencyAt as [$load, $is]) {
            if ($share <= $load) {
                $is = $load === $fromLoad ? $is : $from + ($is - $from) * ($share - $fromLoad) / ($load - $fromLoad);

                return max(0.01, min(1.0, $is * $this->curveTimes));
            }
            [$fromLoad, $from] = [$load, $is];
        }

        return max(0.01, min(1.0, $from * $this->curveTimes));
    }

    public function tooHigh(float $volts, int $state): ?EndCause
    {
        foreach ($this->branches as $branch) {
            $one = $branch->tooHigh($this->voltsOut($volts), $state);
            if ($one !== null) {
                return $one;
            }
        }

        return null;
    }

    public function givesUp(float $volts, int $state): ?EndCause
    {
        $out = $this->voltsOut($volts);
        $holds = $out === $this->volts;
        if ($holds && isset($this->heldGivesUp[$state])) {
            return $this->heldGivesUp[$state][0];
        }
        $found = null;
        foreach ($this->branches as $branch) {
            $found = $branch->givesUp($out, $state);
            if ($found !== null) {
                break;
            }
        }
        if ($holds) {
            $this->heldGivesUp[$state] = [$found];
        } elseif ($found?->cause === EndCause::TOO_LOW && ! $this->holds($volts)) {
            $found = new EndCause(EndCause::HEADROOM, $found->line, $found->state, $found->is, $found->limit, $this->line);
        }

        return $found;
    }
}
