<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** A lead with a plug at each end; it changes the plug, never the signal. */
final readonly class Cable
{
    /** @param  list<string>  $carries */
    public function __construct(public string $oneEnd, public string $otherEnd, public array $carries) {}

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
}
