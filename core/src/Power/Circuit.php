<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Build\Profile;
use PocketPlot\Part\Pack;
use PocketPlot\Quantity\Figure;

/**
 * Everything that one source feeds, with every figure taken at its place in its band: ready to find the
 * balance of volts and amps at any charge and in any state of play.
 */
final class Circuit
{
    /** @var array<int, float> amps of the last balance, by state */
    private array $last = [];

    /**
     * @param  list<PackModel>  $cells  packs in parallel; none where the source is no pack
     * @param  list<Branch>  $branches  what hangs on the raw volts
     * @param  list<OutputStage>  $stages  the source's own outputs: a bank's sockets
     * @param  array<int, float>  $shares  of the time, by PlayState; states without any are left out
     * @param  bool  $hasPeak  whether the short peak is known to be asked
     */
    private function __construct(
        public readonly Line $source,
        public readonly array $cells,
        public readonly array $branches,
        public readonly array $stages,
        public readonly array $shares,
        public readonly PlayState $heaviest,
        public readonly bool $hasPeak,
        public readonly Gaps $gaps,
    ) {}

    /**
     * @param  array<string, float>  $leadOhms  by Feed::key()
     * @return ?self null when figures are missing; `$gaps` then names them
     *
     * @throws BadSupply when a figure is impossible
     */
    public static function of(
        Build $build,
        SupplyTree $tree,
        Line $source,
        Profile $profile,
        Assumption $at,
        array $leadOhms,
        float $celsius,
        Gaps $gaps,
    ): ?self {
        $cells = [];
        foreach (self::sideBySide($build, $source) as $line) {
            $pack = $line->part->pack;
            if ($pack !== null) {
                [$cutOff, $trip] = self::protection($build, $line, $pack, $gaps);
                $cells[] = PackModel::of($line, $pack, $at, $celsius, $cutOff, $trip, $gaps);
            }
        }
        $shares = array_filter([$profile->off, $profile->idle, $profile->usual, $profile->heavy], static fn (float $share): bool => $share > 0.0);
        $heaviest = PlayState::from($shares === [] ? 0 : max(array_keys($shares)));
        $compiler = new CircuitParts($tree, $profile, $at, $leadOhms, $gaps, $heaviest);
        $branches = $stages = [];
        foreach ($tree->railsOf($source) as $rail) {
            $output = $tree->outputOf($rail);
            if ($rail->loads === [] || ($output !== null && $source->part->livesFromOwnCell())) {
                continue;
            }
            if ($output === null) {
                $branches = [...$branches, ...$compiler->branches($rail)];
            } else {
                // What a wall supply loses stays in its own box, outside.
                $stage = $compiler->stage($source, $output, $source->part->pack === null);
                $stages = $stage === null ? $stages : [...$stages, $stage];
            }
        }
        $known = array_values(array_filter($cells));
        if ($gaps->allMissing() !== [] || ($known === [] && $source->part->pack !== null)) {
            return null;
        }

        return new self($source, $known, $branches, $stages, $shares, $heaviest, $compiler->addPeak($branches, $stages), $gaps);
    }

    /** @return array<string, Branch> every fed input, by feed key, from the source outwards */
    public function takers(): array
    {
        $found = [];
        $collect = static function (array $branches) use (&$collect, &$found): void {
            /** @var list<Branch> $branches */
            foreach ($branches as $branch) {
                $found[$branch->key] = $branch;
                foreach ($branch->stages as $stage) {
                    $collect($stage->branches);
                }
            }
        };
        $collect($this->branches);
        foreach ($this->stages as $stage) {
            $collect($stage->branches);
        }

        return $found;
    }

    /** The same takers on other cells. */
    public function on(PackModel $cells): self
    {
        return new self($this->source, [$cells], $this->branches, $this->stages, $this->shares, $this->heaviest, $this->hasPeak, $this->gaps);
    }

    /**
     * Balance at this charge: terminal volts and amps.
     *
     * Volts = open-circuit volts − amps × resistance, amps = what all takers draw at those volts.
     *
     * @return array{float, float}
     *
     * @throws NoBalance
     */
    public function balance(float $openCircuitVolts, float $ohm, int $state): array
    {
        if ($ohm <= 0.0) {
            return [$openCircuitVolts, $this->amps($openCircuitVolts, $state)];
        }
        $amps = Balance::amps(
            $openCircuitVolts,
            $ohm,
            $this->last[$state] ?? 0.0,
            fn (float $at): float => $this->amps($at, $state),
        ) ?? throw new NoBalance($this->source);
        $this->last[$state] = $amps;

        return [$openCircuitVolts - $amps * $ohm, $amps];
    }

    /** @throws NoBalance */
    public function amps(float $volts, int $state): float
    {
        $amps = 0.0;
        foreach ($this->branches as $branch) {
            $amps += $branch->amps($volts, $state);
        }
        foreach ($this->stages as $stage) {
            $amps += $stage->inputAmps($volts, $state);
        }

        return $amps;
    }

    /**
     * Who gives up at these terminal volts; null while all hold out.
     *
     * @param  list<float>  $amps  out of each pack
     */
    public function givesUp(float $volts, array $amps, int $state): ?EndCause
    {
        foreach ($this->cells as $index => $cells) {
            if ($cells->cutOffV !== null && $volts <= $cells->cutOffV) {
                return new EndCause(EndCause::CUT_OFF, $cells->line, PlayState::from($state), $volts, $cells->cutOffV);
            }
            // A moment's peak beyond it is power.source-current's finding; it says so once.
            if ($cells->tripA !== null && $amps[$index] > $cells->tripA && $state !== PlayState::Peak->value) {
                return new EndCause(EndCause::TRIPS, $cells->line, PlayState::from($state), $amps[$index], $cells->tripA);
            }
        }
        foreach ($this->branches as $branch) {
            $one = $branch->givesUp($volts, $state);
            if ($one !== null) {
                return $one;
            }
        }
        foreach ($this->stages as $stage) {
            $one = $stage->givesUp($volts, $state);
            if ($one !== null) {
                return $one;
            }
        }

        return null;
    }

    /** Who gets more volts from a full pack than it takes; null while nobody does. The run goes on all the same: that clash is said elsewhere. */
    public function tooHigh(): ?EndCause
    {
        $state = array_key_first($this->shares) ?? PlayState::Idle->value;
        foreach ($this->cells === [] ? [] : [...$this->branches, ...$this->stages] as $taker) {
            try {
                $one = $taker->tooHigh($this->cells[0]->openCircuitVolts(1.0), $state);
            } catch (NoBalance) {
                return null;
            }
            if ($one !== null) {
                return $one;
            }
        }

        return null;
    }

    /** The state that has to be survived: the peak where it is known, else the heaviest that is played. */
    public function hardest(): int
    {
        return $this->hasPeak ? PlayState::Peak->value : $this->heaviest->value;
    }

    /** @return non-empty-list<int> all states that have to be survived, the hardest first */
    public function toSurvive(): array
    {
        $hardest = $this->hardest();

        return [$hardest, ...array_values(array_diff(array_keys($this->shares), [$hardest]))];
    }

    /** Where the watts go, at these volts at the terminals. */
    public function flow(float $volts, int $state): Flow
    {
        $flow = new Flow;
        foreach ($this->branches as $branch) {
            $flow->through($branch, $volts, $state);
        }
        foreach ($this->stages as $stage) {
            $flow->into($stage, $volts, $state);
        }

        return $flow;
    }

    /** @return list<Line> the packs that are in parallel with the source, itself first */
    private static function sideBySide(Build $build, Line $source): array
    {
        return $build->inParallelWith($source);
    }

    /** @return array{?Figure, ?Figure} volts at which it cuts off, milliamps at which it trips */
    private static function protection(Build $build, Line $line, Pack $pack, Gaps $gaps): array
    {
        $cutOff = CutOff::of($build, $line, $pack);
        if ($cutOff->by !== null && ! $cutOff->volts->isKnown() && ! $pack->sealed && ! $line->part->livesFromOwnCell()) {
            $gaps->assumed($cutOff->by, $cutOff->ref('cutOffV'));
        }
        $most = $build->protectorOf($pack)->part->protector->mostMa ?? null;

        return [$cutOff->by !== null && $cutOff->volts->isKnown() ? $cutOff->volts : null, $most?->isKnown() === true ? $most : null];
    }
}
