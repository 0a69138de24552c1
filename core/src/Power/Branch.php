<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Line;
use PocketPlot\Part\DrawKind;

/** One fed input with the lead before it: its own draw by state, and the outputs that live on it. */
final class Branch
{
    /** @var array<int, float> amps of the last balance, by state: where the next one starts */
    private array $amps = [];

    /**
     * @param  array<int, float>  $draw  by PlayState: watts, amps or siemens, as the kind says; the peak is set once all parts are known
     * @param  list<OutputStage>  $stages
     */
    public function __construct(
        public readonly string $key,
        public readonly Line $line,
        public readonly string $railId,
        public readonly float $ohm,
        public readonly DrawKind $kind,
        public array $draw,
        public readonly ?float $leastV,
        public readonly ?float $mostV,
        public readonly ?float $warnV,
        public readonly array $stages,
    ) {}

    /**
     * Amps taken from a rail of these volts.
     *
     * @throws NoBalance
     */
    public function amps(float $volts, int $state): float
    {
        if ($this->ohm <= 0.0) {
            return $this->amps[$state] = $this->ampsAt($volts, $state);
        }

        return $this->amps[$state] = Balance::amps(
            $volts,
            $this->ohm,
            $this->amps[$state] ?? 0.0,
            fn (float $at): float => $this->ampsAt($at, $state),
        ) ?? throw new NoBalance($this->line);
    }

    /** Volts that arrive when the rail has these. */
    public function voltsAt(float $railVolts, int $state): float
    {
        return $this->ohm <= 0.0 ? $railVolts : $railVolts - $this->amps($railVolts, $state) * $this->ohm;
    }

    /** Watts that the part itself turns into play, of these volts at its terminals. */
    public function ownWatts(float $volts, int $state): float
    {
        return match ($this->kind) {
            DrawKind::Power => $this->draw[$state],
            DrawKind::Current => $this->draw[$state] * $volts,
            DrawKind::Resistance => $this->draw[$state] * $volts * $volts,
        };
    }

    /** Who gives up here or behind; null while all hold out. */
    public function givesUp(float $railVolts, int $state): ?EndCause
    {
        $volts = $this->voltsAt($railVolts, $state);
        if ($this->leastV !== null && $volts < $this->leastV - 1e-9) {
            return new EndCause(EndCause::TOO_LOW, $this->line, PlayState::from($state), $volts, $this->leastV);
        }
        foreach ($this->stages as $stage) {
            $one = $stage->givesUp($volts, $state);
            if ($one !== null) {
                return $one;
            }
        }

        return null;
    }

    /** Who gets more volts than it takes, here or behind; null while nobody does. */
    public function tooHigh(float $railVolts, int $state): ?EndCause
    {
        $volts = $this->voltsAt($railVolts, $state);
        if ($this->mostV !== null && $volts > $this->mostV + 1e-9) {
            return new EndCause(EndCause::TOO_HIGH, $this->line, PlayState::from($state), $volts, $this->mostV);
        }
        foreach ($this->stages as $stage) {
            $one = $stage->tooHigh($volts, $state);
            if ($one !== null) {
                return $one;
            }
        }

        return null;
    }

    /** @throws NoBalance */
    private function ampsAt(float $volts, int $state): float
    {
        $draw = $this->draw[$state];
        $amps = match ($this->kind) {
            DrawKind::Power => $draw / $volts,
            DrawKind::Current => $draw,
            DrawKind::Resistance => $draw * $volts,
        };
        foreach ($this->stages as $stage) {
            $amps += $stage->inputAmps($volts, $state);
        }

        return $amps;
    }
}
