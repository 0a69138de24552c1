<?php

declare(strict_types=1);

namespace PocketPlot\Build;

/** The words that briefs and parts share, and what each class of games usually asks of its controls. */
final class Vocabulary
{
    public const SKILLS = ['soldering', 'fine soldering', 'crimping', '3d printing', 'woodwork', 'writing images', 'cell wiring', 'mains wiring'];

    public const TOOLS = [
        'soldering iron',
        'multimeter',
        'bench supply',
        'printer',
        'saw',
        'drill',
        'callipers',
        'crimping tool',
        'hot air',
        'small screwdrivers',
        'spare screen',
        'card writer',
    ];

    public const CONSUMABLES = ['solder', 'insulating tape', 'heat-shrink', 'hook-up wire', 'glue', 'threaded inserts', 'thermal pad', 'flux'];

    public const CHEMISTRIES = ['Li-ion', 'LiPo', 'LiFePO4', 'NiMH', 'alkaline'];

    public const MATERIALS = ['', 'plastic', 'metal', 'wood', 'glass', 'card', 'rubber'];

    public const FACES = ['', 'left', 'right', 'top', 'bottom', 'front', 'back'];

    /** How the face runs under the buttons; "" when nobody says. */
    public const FACE_SHAPES = ['', 'flat', 'tapered', 'curved'];

    public const RADIOS = ['bluetooth', 'wifi', 'pad radio'];

    /** Ways by which controls reach the computer. */
    public const CONTROL_LINKS = ['usb', 'pins', 'membrane', 'bluetooth', 'pad radio', 'own'];

    public const SIGNALS = [
        'hdmi', 'dsi', 'spi-panel', 'composite', 'parallel-rgb', 'edp', 'usb', 'usb-device', 'power', 'i2s', 'analogue-audio', 'usb-audio', 'hdmi-audio',
        'speaker', 'headphones', 'controls', 'fan', 'storage', 'network', 'camera', 'serial',
    ];

    /** Connectors known by name; others are written "other:…" and fit only their like. */
    public const CONNECTORS = [
        'usb-c',
        'usb-a',
        'usb-b',
        'usb-micro',
        'usb-mini',
        'hdmi-a',
        'hdmi-mini',
        'hdmi-micro',
        'barrel-5.5',
        'barrel-4.0',
        'barrel-3.5',
        'jack-3.5',
        'jack-2.5',
        'din-4', 'din-8', 'rca', 'microsd', 'sd', 'm2-slot', 'network-8', 'power-lead', 'power-terminal', 'power-pins', 'pins', 'pads', 'wires', 'terminal',
        'jst-1.0', 'jst-1.25', 'jst-2.0', 'jst-2.5', 'xt30', 'cell-holder', 'edge-lamps', 'pogo',
    ];

    /** Whether a connector is known, a ribbon or row of pins ("ribbon-15", "header-40") or marked as the builder's own ("other:…"). */
    public static function isConnector(string $name): bool
    {
        return in_array($name, self::CONNECTORS, true) || preg_match('/^((ribbon|header)-\d{1,3}|other:.+)$/', $name) === 1;
    }

    /** @return list<GamesClass> */
    public static function gamesClasses(): array
    {
        return [
            new GamesClass('two-button eight-bit', 1, 1, 4, 0, 0, false, 256, 240),
            new GamesClass('six-button sixteen-bit', 1, 1, 8, 0, 0, false, 320, 224),
            new GamesClass('twin-stick', 1, 1, 12, 2, 0, false, 640, 480),
            new GamesClass('touch', 1, 0, 0, 0, 0, true, 800, 480),
            new GamesClass('knob', 1, 0, 1, 0, 1, false, 240, 240),
        ];
    }
}
