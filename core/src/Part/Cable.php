<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** A lead with a plug at each end; it changes the plug, never the signal. */
final readonly class Cable
{
    /** @param  list<string>  $carries */
    public function __construct(
        public string $oneEnd,
        public string $otherEnd,
        public array $carries,
        /** American wire gauge of its power wires. */
        public Figure $gaugeAwg,
        public Figure $lengthMm,
        /** Room it needs beyond a plug to turn away. */
        public Figure $bendMm,
        /** Of a ribbon lead. */
        public ?int $contacts,
        public Figure $pitchMm,
        /** Of a ribbon lead: contacts of both ends on the "same" side or on "opposite" ones, "" when not said. */
        public string $sides,
    ) {}

    /** The plug at the far end when one end goes into this connector; null when it does not fit. */
    public function leadsFrom(string $connector, string $signal): ?string
    {
        if (! in_array($signal, $this->carries, true)) {
            return null;
        }

        return match ($connector) {
            $this->oneEnd => $this->otherEnd,
            $this->otherEnd => $this->oneEnd,
            default => null,
        };
    }

    public function joins(string $one, string $other, string $signal): bool
    {
        return $this->leadsFrom($one, $signal) === $other;
    }
}
