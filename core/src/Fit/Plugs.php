<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Quantity\Constants;

/** How large plugs are around their contacts, and the openings that they go through. */
final class Plugs
{
    /** Of a plug of which no drawing is known: about that of a small moulded one. */
    private const OTHER = [12.0, 8.0];

    /** @return array{float, float} width and height that a plug's shell needs, in millimetres */
    public static function shell(string $connector): array
    {
        return Constants::PLUG_SHELL_MM[$connector] ?? self::OTHER;
    }

    public static function isRound(string $connector): bool
    {
        return str_starts_with($connector, 'barrel') || str_starts_with($connector, 'jack');
    }
}
