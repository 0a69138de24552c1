<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Line;
use PocketPlot\Quantity\Number;

/** Who gives up, why, in which state, at how many volts (or amps) against which limit. */
final readonly class EndCause
{
    public const EMPTY = 'empty';

    public const CUT_OFF = 'cut-off';

    public const TRIPS = 'trips';

    public const TOO_LOW = 'too-low';

    public const TOO_HIGH = 'too-high';

    public const HEADROOM = 'headroom';

    public const NO_BALANCE = 'no-balance';

    public function __construct(
        public string $cause,
        public Line $line,
        public PlayState $state,
        public float $is,
        public float $limit,
        public ?Line $through = null,
    ) {}

    public function says(): string
    {
        $in = match ($this->state) {
            PlayState::Peak => ' on a peak',
            PlayState::Heavy => ' in heavy play',
            default => '',
        };
        $name = $this->line->name();
        $is = self::n($this->is);
        $limit = self::n($this->limit);
        // Found at the very moment of the end, both read the same.
        $isAtLimit = $is === $limit;
        $tooLittle = static fn (string $who): string => $isAtLimit
            ? "less than the {$limit} V that {$who} needs arrive"
            : "{$is} V arrive, {$who} needs {$limit} V";

        return match ($this->cause) {
            self::EMPTY => "{$name} is empty.",
            self::CUT_OFF => "The protection of {$name} cuts off{$in}, at {$limit} V.",
            self::TRIPS => "The protection of {$name} trips{$in}: "
                .($isAtLimit ? "more than the {$limit} A that it carries are taken." : "{$is} A are taken, it carries {$limit} A."),
            self::TOO_HIGH => "A full pack gives {$name} {$is} V; it takes {$limit} V at most.",
            self::HEADROOM => ($this->through?->name() ?? $name)." runs out of headroom{$in}: {$tooLittle($name)}.",
            self::NO_BALANCE => "{$name} cannot push through what is asked{$in}; its volts collapse.",
            default => "{$name} gives up{$in}: {$tooLittle('it')}.",
        };
    }

    private static function n(float $value): string
    {
        return Number::says($value);
    }

    /** @return array{cause: string, line: string, state: string, is: float, limit: float, says: string} */
    public function toArray(): array
    {
        return [
            'cause' => $this->cause,
            'line' => $this->line->id,
            'state' => $this->state->says(),
            'is' => round($this->is, 3),
            'limit' => round($this->limit, 3),
            'says' => $this->says(),
        ];
    }
}
