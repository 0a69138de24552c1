<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/** How large plugs are around their contacts, and the openings that they go through. */
final class Plugs
{
    /**
     * Width and height of an ordinary moulded plug, in millimetres: the overmould that the USB and HDMI connector
     * standards allow at most, and barrels and jacks as they are commonly sold.
     */
    private const SHELLS = [
        'usb-c' => [12.4, 6.5], 'usb-a' => [16.0, 8.0], 'usb-b' => [12.0, 11.0], 'usb-micro' => [10.6, 8.5], 'usb-mini' => [11.0, 9.0],
        'hdmi-a' => [21.0, 12.0], 'hdmi-mini' => [15.0, 10.0], 'hdmi-micro' => [12.0, 9.0],
        'barrel-5.5' => [10.0, 10.0], 'barrel-4.0' => [8.0, 8.0], 'barrel-3.5' => [8.0, 8.0], 'jack-3.5' => [9.0, 9.0], 'jack-2.5' => [8.0, 8.0],
        'microsd' => [12.0, 2.0], 'sd' => [25.0, 3.0], 'network-8' => [14.0, 12.0],
    ];

    private const OTHER = [12.0, 8.0];

    /** @return array{float, float} width and height of a plug's shell */
    public static function shell(string $connector): array
    {
        return self::SHELLS[$connector] ?? self::OTHER;
    }

    public static function isRound(string $connector): bool
    {
        return str_starts_with($connector, 'barrel') || str_starts_with($connector, 'jack');
    }
}
