<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/** An STL file that cannot be read; the message says what to do about it. */
final class BadStl extends \RuntimeException
{
    public static function empty(): self
    {
        return new self('The file holds no triangles: it is no STL file. Export the part as STL, binary or text.');
    }

    public static function cutOff(int $read, ?int $of): self
    {
        return new self('The file is cut off after '.$read.($of === null ? '' : " of {$of}").' triangles. Download or export it once more.');
    }

    public static function tooMany(int $most): self
    {
        return new self(sprintf('The file has more than %s triangles. Export it coarser, or type its outer size.', number_format($most, 0, '.', ' ')));
    }

    public static function noNumber(int $triangle): self
    {
        return new self("Triangle {$triangle} has a corner that is no number. Export the part once more.");
    }
}
