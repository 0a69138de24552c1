<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** Where a part ends up: in the body, in one of its faces, outside it on a lead, or nowhere (a tool). */
enum Sits: string
{
    case Inside = 'inside';
    case Face = 'face';
    case Outside = 'outside';
    case Nowhere = 'nowhere';

    public function takesRoom(): bool
    {
        return $this === self::Inside || $this === self::Face;
    }
}
