<?php

declare(strict_types=1);

namespace PocketPlot\Quantity;

/** Figures of nature and of the trade, each with where it comes from. What we chose ourselves stands in Build\Margins. */
final class Constants
{
    /** Millimetres of an inch and of a foot, grams of an ounce and of a pound (international yard and pound agreement, 1959). */
    public const MM_PER_INCH = 25.4;

    public const MM_PER_FOOT = 304.8;

    public const GRAMS_PER_OUNCE = 28.349523125;

    public const GRAMS_PER_POUND = 453.59237;

    /** Ohm metres of annealed copper at 20 °C (IEC 60028). */
    public const COPPER_RESISTIVITY = 1.724e-8;

    /** Millimetres of a wire of gauge 0 and the step from gauge to gauge (ASTM B258: d = 0.127 mm × 92^((36 − gauge) / 39)). */
    public const AWG_BASE_MM = 0.127;

    public const AWG_STEP = 92.0;

    /**
     * Milliohm that one pole of a plug adds, new and worn, by connector: the drawings of the families name 10 to 40 mΩ a
     * contact when new and a quarter more at the end; a plug with four power contacts in parallel has a quarter of one's.
     * A lead has two plugs with two poles each; wires that are soldered or screwed have none.
     *
     * @var array<string, array{float, float}>
     */
    public const CONTACT_MOHM = [
        'usb-c' => [4.0, 12.5],
        'usb-a' => [10.0, 30.0],
        'usb-b' => [10.0, 30.0],
        'usb-micro' => [12.0, 40.0],
        'usb-mini' => [12.0, 40.0],
        'xt30' => [0.5, 2.0],
        'wires' => [0.0, 0.0],
        'pads' => [0.0, 0.0],
        'terminal' => [1.0, 5.0],
    ];

    /** The same for connectors that are not listed. */
    public const CONTACT_OTHER_MOHM = [10.0, 30.0];

    /** Milliamps a connector family is made for, from the standards and drawings of the families; a maker's figure outranks it. */
    public const CONNECTOR_MA = [
        'usb-c' => 3000.0, 'usb-a' => 1500.0, 'usb-b' => 1500.0, 'usb-micro' => 1800.0, 'usb-mini' => 1000.0,
        'barrel-5.5' => 5000.0,
        'barrel-4.0' => 3000.0,
        'barrel-3.5' => 2000.0,
        'jst-1.0' => 1000.0,
        'jst-1.25' => 1000.0,
        'jst-2.0' => 2000.0,
        'jst-2.5' => 3000.0,
        'xt30' => 15000.0,
    ];

    /** Milliamps that a computer's USB port gives for sure when its maker says no more, by the standards. */
    public const USB_PORT_MA = ['usb-a' => 500.0, 'usb-b' => 500.0, 'usb-micro' => 500.0, 'usb-mini' => 500.0, 'usb-c' => 900.0];

    /** Room a plug's shell needs, width × height in millimetres, from the drawings of the connector families. */
    public const PLUG_SHELL_MM = [
        'usb-c' => [12.4, 6.5],
        'usb-a' => [16.0, 8.0],
        'usb-micro' => [10.6, 7.0],
        'usb-mini' => [10.8, 8.2],
        'hdmi-a' => [21.0, 11.0],
        'hdmi-mini' => [14.0, 8.5],
        'hdmi-micro' => [11.5, 7.5],
        'barrel-5.5' => [10.0, 10.0],
        'barrel-4.0' => [8.0, 8.0],
        'barrel-3.5' => [7.0, 7.0],
        'jack-3.5' => [8.0, 8.0],
        'din-4' => [14.5, 14.5],
        'din-8' => [14.5, 14.5],
        'rca' => [10.5, 10.5],
        'network-8' => [14.0, 13.0],
        'microsd' => [12.0, 2.2],
        'sd' => [25.0, 3.2],
    ];

    /** Least volts of one cell that its makers call empty without harm, by chemistry; usual makers' sheets. */
    public const CELL_FLOOR_V = ['Li-ion' => 2.5, 'LiPo' => 3.0, 'LiFePO4' => 2.0, 'NiMH' => 0.9, 'alkaline' => 0.8];

    /** How far a draw may be off, as a share, by where the figure came from: meters of a hobby bench read to a few hundredths, sheets give a typical one, listings round. Our estimate. */
    public const DRAW_SPREAD = [
        'measured' => 0.03,
        'datasheet' => 0.1,
        'listing' => 0.25,
        'file' => 0.1,
        'guess' => 0.4,
        'typical' => 0.25,
        'worked out' => 0.1,
        'brief' => 0.1,
        'unknown' => 0.4,
    ];

    /** Watts that still-air convection and radiation carry off a square metre of box for each kelvin: 5 to 10 in textbooks, the middle for a hand-held box. */
    public const BOX_W_PER_M2K = 8.0;

    /** Watts that each square millimetre of vent carries off for each kelvin without a fan (chimney draught of a few centimetres), and with one. */
    public const VENT_W_PER_MM2K = 0.00012;

    public const FAN_W_PER_K = 0.9;

    /** Degrees inside above which cells age fast and makers forbid use; usual makers' sheets: 60 °C discharging. */
    public const CELL_LIMIT_C = 60.0;

    /** Degrees at which a surface held in the hand becomes uncomfortable (touch limits for held plastic handles lie near 48 °C). */
    public const HAND_LIMIT_C = 48.0;

    /** Watts a bare linear regulator of the usual small package gives off without a heatsink: 65 K/W and 65 K of rise. */
    public const LINEAR_SMALL_W = 1.0;

    /** Share of the volts that a bridge amplifier's stages keep for themselves: a fifth. */
    public const AMP_USABLE_SHARE = 0.8;

    /** Watts below which a small loudspeaker is lost in a room. */
    public const AUDIBLE_W = 0.25;

    /**
     * Stress that a printed bracket bears for good: layers hold 15 MPa and more across each other by makers' sheets of
     * ordinary filament; a fifth of it, since a fall from the hand weighs everything several times. Our estimate.
     */
    public const BRACKET_MPA = 3.0;

    /** A bracket as builders draw them, and how far it stands out. */
    public const BRACKET_WIDE_MM = 20.0;

    public const BRACKET_OUT_MM = 15.0;

    public const GRAVITY_N_PER_G = 0.00981;

    /** A short draws several times what a cell's maker allows; up to this many times the largest discharge a fuse near the pack is sure to open. Our estimate, on the safe side of makers' short-circuit figures. */
    public const FUSE_MOST_TIMES = 3.0;

    /** Millimetres of wall by process: least that holds, and what is wanted. Usual figures of print shops and joiners. */
    public const WALL_LEAST_MM = [
        'printed filament' => [1.2, 2.0],
        'printed resin' => [1.5, 2.0],
        'printed powder' => [1.0, 1.5],
        'cut sheet' => [2.0, 3.0],
        'wood' => [4.0, 6.0],
        'moulded' => [1.0, 1.5],
        'folded metal' => [0.5, 0.8],
        'milled' => [1.0, 1.5],
    ];

    /** Screw threads: nominal millimetres. A screw wants at least 1.5 times that in a printed post, once in an insert or nut (engineers' rule of thumb). */
    public const THREAD_MM = ['M1.6' => 1.6, 'M2' => 2.0, 'M2.5' => 2.5, 'M3' => 3.0, 'M4' => 4.0];

    public const ENGAGEMENT_TIMES = ['post' => 1.5, 'insert' => 1.0, 'nut' => 1.0];

    /** What a tool of a hobby bench usually costs, in euros; our estimate, for a first idea. */
    public const TOOL_EUR = [
        'soldering iron' => '35.00',
        'multimeter' => '20.00',
        'bench supply' => '60.00',
        'printer' => '220.00',
        'saw' => '15.00',
        'drill' => '45.00',
        'callipers' => '15.00',
        'crimping tool' => '22.00', 'hot air' => '55.00', 'small screwdrivers' => '10.00', 'spare screen' => '40.00', 'card writer' => '8.00',
    ];

    /** Grams of printing filament in a cubic centimetre: makers' sheets of the common ones name 1.24 to 1.27. */
    public const FILAMENT_G_PER_CM3 = 1.25;

    /** Grams that a hobby printer lays down in an hour, walls and holding-up included; our estimate from ordinary settings. */
    public const PRINT_G_PER_HOUR = 12.0;

    /** Skills whose lack can hurt someone or start a fire: learning by doing is not the way. */
    public const HAZARDOUS_SKILLS = ['cell wiring', 'mains wiring'];
}
