<?php

declare(strict_types=1);

namespace PocketPlot\Clipping\Weighing;

/** A number of a text, or several with crosses between them, with its unit. */
final readonly class Mention
{
    /** The unit of a price. */
    public const MONEY = 'money';

    /** What stands between the two ends of a range. */
    public const TO = ['-', 'to', '~', '…', '..', '...', '÷', 'up to', 'and', 'or', 'bis', 'through', '/', '→', '>'];

    /** What stands between a number and how far off it may be. */
    public const GIVE_OR_TAKE = ['±', '+ / -', '+ -'];

    /** @param  list<float>  $sides  of a box, in millimetres or as they stand; [] of a single number */
    public function __construct(
        /** The first of its tokens, and the last. */
        public int $from,
        public int $to,
        /** One of those of Amount, MONEY, or "" where none stands with it. */
        public string $unit,
        /** As it stands there. */
        public float $written,
        /** In our units. */
        public float $value,
        public array $sides,
        /** Bytes in the plain text. */
        public int $start,
        public int $end,
        /** What joins it to the next mention: "to", "-", "/"; "" where something else stands between. */
        public string $next,
        /** What joins it to the one before. */
        public string $before,
        /** The unit stands with the next mention only. */
        public bool $isUnitOfNext,
    ) {}

    public function isBox(): bool
    {
        return $this->sides !== [];
    }

    /** What sort of mention it is: its unit, or how many sides the box has. */
    public function sort(): string
    {
        return match (true) {
            $this->isBox() => 'box'.count($this->sides).$this->unit,
            $this->unit === '' => 'bare',
            default => $this->unit,
        };
    }
}
