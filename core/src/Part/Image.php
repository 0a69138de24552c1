<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** A system that comes with a part or is put on it, and for which boards it was made. */
final readonly class Image
{
    /** @param  list<string>  $madeFor  generations of boards as Software::$generation names them; none when it suits any */
    public function __construct(public array $madeFor) {}

    /** Null while nobody says what it was made for or what the board is. */
    public function suits(string $generation): ?bool
    {
        return $this->madeFor === [] || $generation === '' ? null : in_array($generation, $this->madeFor, true);
    }
}
