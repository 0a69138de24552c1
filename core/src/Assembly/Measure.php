<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

use PocketPlot\Build\Reading\MeteredState;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Number;

/** One thing that a gate asks: a figure with what passes, or a plain yes. */
final readonly class Measure
{
    /**
     * @param  string  $key  stays the same while the gate does
     * @param  string  $what  what to look at or to meter
     * @param  string  $unit  "V", "mA", "°C", "h"; "" for a plain yes
     * @param  ?float  $least  what passes; null where nothing is too low
     * @param  ?float  $most  null where nothing is too high
     * @param  string  $line  what is metered; "" for none
     * @param  string  $at  which of its outputs; "" for its own
     * @param  bool  $inPencil  the bounds rest on a guessed or usual figure
     */
    public function __construct(
        public string $key,
        public string $what,
        public string $unit = '',
        public ?float $least = null,
        public ?float $most = null,
        public string $line = '',
        public string $at = '',
        public bool $inPencil = false,
        /** What the console does meanwhile, for a current. */
        public ?MeteredState $state = null,
    ) {}

    public static function yes(string $key, string $what): self
    {
        return new self($key, $what);
    }

    /** Volts that pass: the band of the figure, and at least a share around it where it is a single number. */
    public static function volts(string $key, string $what, Figure $volts, string $line, string $at = '', float $share = 0.0): self
    {
        if (! $volts->isKnown()) {
            return new self($key, $what, 'V', null, null, $line, $at);
        }

        return new self(
            $key, $what, 'V', min($volts->least(), $volts->usual() * (1 - $share)), max($volts->most(), $volts->usual() * (1 + $share)), $line, $at,
            $volts->source->isPencil(),
        );
    }

    /** Milliamps that pass: no more than the figure's most. */
    public static function milliamps(string $key, string $what, Figure $current, string $line, MeteredState $state, string $at = ''): self
    {
        return new self($key, $what, 'mA', null, $current->most, $line, $at, $current->source->isPencil(), $state);
    }

    public function isYes(): bool
    {
        return $this->unit === '';
    }

    /** Whether anything written down passes, since nobody knows what should. */
    public function isOpen(): bool
    {
        return ! $this->isYes() && $this->least === null && $this->most === null;
    }

    /** "4.75 to 5.25 V", "900 mA or less"; "" for a plain yes. */
    public function passes(): string
    {
        return match (true) {
            $this->isYes() => '',
            $this->least !== null && $this->most !== null => Number::says($this->least).' to '.Number::says($this->most)." {$this->unit}",
            $this->most !== null => Number::says($this->most)." {$this->unit} or less",
            $this->least !== null => Number::says($this->least)." {$this->unit} or more",
            default => 'no bound is known: write down what you read',
        };
    }

    /**
     * @param  float|bool|null  $read  null when nothing was read
     * @return ?string what is wrong with it; null when it passes or nothing was read
     */
    public function fault(float|bool|null $read): ?string
    {
        if ($this->isYes()) {
            return $read === false ? "{$this->what}: no." : null;
        }
        if (! is_float($read)) {
            return null;
        }
        $says = Number::says($read)." {$this->unit}";

        return match (true) {
            $this->least !== null && $read < $this->least - 1e-9 => "{$this->what}: {$says}, too little; {$this->passes()} passes.",
            $this->most !== null && $read > $this->most + 1e-9 => "{$this->what}: {$says}, too much; {$this->passes()} passes.",
            default => null,
        };
    }
}
