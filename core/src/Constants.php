<?php

declare(strict_types=1);

namespace PocketPlot;

/**
 * Every figure of judgement in one place, with where it comes from. "House margin" means that we
 * chose it: it is the distance at which a careful builder stops worrying, not a law of nature.
 */
final class Constants
{
    /** Volts to spare at each end of a supply window before it counts as clear. House margin: the ±2 % of a common regulator's output at 5 V. */
    public const SUPPLY_MARGIN_V = 0.1;

    /** Share of a rail's continuous rating above which it counts as tight. House margin: the usual four-fifths derating of power parts. */
    public const RAIL_TIGHT_SHARE = 0.8;

    /** Share of the cavity that blocks may fill before wires, switches and screws have no room. House margin. */
    public const PACKING_TIGHT_SHARE = 0.45;

    public const PACKING_MOST_SHARE = 0.65;

    /** Millimetres to spare on a side of the cavity before a part counts as clear. House margin: a printed wall's tolerance on both sides. */
    public const CAVITY_MARGIN_MM = 1.0;

    /** Millimetres an opening must be larger than the plug's shell, all told. House margin: twice a printer's usual 0.2 mm. */
    public const OPENING_MARGIN_MM = 0.4;

    /** Share of the budget, the brief's size or mass above which a build counts as tight. House margin. */
    public const TARGET_TIGHT_SHARE = 0.9;

    /** Share of a card that may be filled before it counts as tight. House margin: room for saved games and updates. */
    public const STORAGE_TIGHT_SHARE = 0.85;

    /** Free USB sockets wanted at first start. A keyboard is needed to set most boards up. */
    public const USB_SPARE = 1;

    /** Room a plug's shell needs, width × height in millimetres, from the drawings of the connector families. */
    public const PLUG_SHELL_MM = [
        'usb-c' => [12.4, 6.5],
        'usb-a' => [16.0, 8.0],
        'usb-micro' => [10.6, 7.0],
        'hdmi-a' => [21.0, 11.0],
        'barrel-5.5' => [10.0, 10.0],
        'jack-3.5' => [8.0, 8.0],
        'din-4' => [14.5, 14.5],
        'microsd' => [12.0, 2.2],
    ];

    /** Skills whose lack can hurt someone or start a fire: learning by doing is not the way. */
    public const HAZARDOUS_SKILLS = ['cell wiring', 'mains wiring'];
}
