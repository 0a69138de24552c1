<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/**
 * A place to plug in. `carries` is the signal (such as "hdmi", "spi-panel", "usb", "power");
 * `direction` is seen from the part: out gives the signal, in takes it.
 */
final readonly class Socket
{
    public function __construct(
        public string $name,
        public string $connector,
        public string $carries,
        public Direction $direction,
        public int $count,
        /** Must be reachable with the body closed. */
        public bool $outside,
        /** The part brings its own lead, with the plug that fits the other side's socket of this connector. */
        public bool $ownLead,
        /** Edge of the part it sits on ("left", "right", "top", "bottom", "front", "back"), "" when not said. */
        public string $face,
        /** From the middle of that edge. */
        public Figure $offsetMm,
        /** What the socket and its plug need from the part's edge outwards. */
        public Figure $depthMm,
        public Figure $ratingMa,
        /** At a power inlet: has the resistors that ask a supply for power. At a headphone socket: tells when a plug is in. */
        public YesNo $sense,
        /** Of a ribbon: how many contacts, how far apart, on which side. */
        public ?int $contacts,
        public Figure $pitchMm,
        public string $side,
        /** Of a pack's plug: somebody has made sure that plus meets plus. */
        public YesNo $polarity = YesNo::Unknown,
        /** Contacts of which nobody knows what they are for. */
        public int $unknownContacts = 0,
    ) {}

    public function gives(): bool
    {
        return $this->direction === Direction::Out || $this->direction === Direction::Both;
    }

    public function takes(): bool
    {
        return $this->direction === Direction::In || $this->direction === Direction::Both;
    }

    public function isRibbon(): bool
    {
        return str_starts_with($this->connector, 'ribbon');
    }
}
