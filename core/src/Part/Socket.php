<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/**
 * A place to plug in. `carries` is the signal (such as "hdmi", "spi", "usb", "power");
 * `direction` is seen from the part: "out" gives the signal, "in" takes it.
 */
final readonly class Socket
{
    public function __construct(
        public string $name,
        public string $connector,
        public string $carries,
        public string $direction,
        public int $count,
        /** Must be reachable with the body closed. */
        public bool $outside,
        /** The part brings its own lead, with the plug that fits the other side's socket of this connector. */
        public bool $ownLead,
    ) {}

    public function gives(): bool
    {
        return $this->direction === 'out' || $this->direction === 'both';
    }

    public function takes(): bool
    {
        return $this->direction === 'in' || $this->direction === 'both';
    }
}
