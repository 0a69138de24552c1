<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Constants;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Source;

/**
 * What is usual of a kind, for figures that hardly anybody writes down since everybody in the trade knows them.
 * Each is a cautious band with the source *typical*; a figure that is written down always outranks it.
 * Least, usual and most of each are our estimates over what makers' sheets of the kind print, unless another source is named;
 * the unit stands at the end of the name (SHARE and EFFICIENCY are shares of one).
 */
final class Typical
{
    /** Full, nominal and empty volts of one ordinary cell, as makers' sheets of each chemistry have them. */
    /** What a computer's USB sockets give when it is fed as it should be: 5 V within 3 %, well inside the 5 % that USB 2.0 allows. */
    public const USB_V = [4.85, 5.0, 5.15];

    public const CELL_V = [
        'Li-ion' => [4.2, 3.6, 3.0], 'LiPo' => [4.2, 3.7, 3.0], 'LiFePO4' => [3.65, 3.2, 2.5],
        'NiMH' => [1.45, 1.2, 1.0], 'alkaline' => [1.6, 1.25, 0.9],
    ];

    /** Share of the printed capacity that is taken out before the cut-off: ordinary cells at the rates of hand-held play. */
    public const USABLE_SHARE = [0.85, 0.9, 0.95];

    /** Of a sealed bank: what its maker keeps back is within the efficiency below. */
    public const BANK_USABLE_SHARE = [0.95, 1.0, 1.0];

    /** Cell to socket of a power bank, as tests of many banks have it. */
    public const BANK_EFFICIENCY = [0.8, 0.85, 0.9];

    /** Ordinary small boost and buck converters between a tenth and the whole of their current. */
    public const CONVERTER_EFFICIENCY = [0.85, 0.9, 0.93];

    /** A socket or pin that passes the board's own input on, through a switch or a fuse. */
    public const PASS_EFFICIENCY = [0.97, 0.98, 1.0];

    /** Even the smallest protection boards for lithium cells carry this much. */
    public const PROTECTOR_MA = 2000.0;

    /** Volts that ordinary buck converters need above their output. */
    public const DROPOUT_V = [0.3, 0.8, 1.5];

    /** Volts that ordinary linear regulators need above their output. */
    public const LINEAR_DROPOUT_V = [0.2, 0.5, 1.1];

    /** Amps to charge with, by amp-hour: a rate that makers of ordinary cells of the chemistry allow all. */
    private const CHARGE_RATE = ['Li-ion' => 0.7, 'LiPo' => 1.0, 'LiFePO4' => 1.0, 'NiMH' => 1.0];

    /** Milliamps of a wired pad or keyboard, and of a few buttons with a chip. */
    private const PAD_MA = [10.0, 30.0, 100.0];

    private const BUTTONS_MA = [1.0, 3.0, 10.0];

    /** Volts of a charger's inlet that takes five volts from any USB supply. */
    private const USB_INLET_V = [4.5, 5.0, 5.5];

    /** Power wires and length of a lead that came without figures. */
    public const LEAD_AWG = [22.0, 24.0, 28.0];

    public const LEAD_MM = [150.0, 300.0, 1000.0];

    /** What small amplifiers for loudspeakers bear at least. */
    public const AMP_LEAST_OHM = [4.0, 4.0, 4.0];

    /** Gigabytes of an ordinary image for a small board. */
    public const IMAGE_GB = [2.0, 6.0, 14.0];

    /** Seconds that ordinary systems take to shut down. */
    public const SHUTDOWN_S = [5.0, 15.0, 60.0];

    /** Volts of direct current that power switches of hand-held things are made for at least. */
    public const SWITCH_V = [24.0, 24.0, 24.0];

    /** Milliamps that a computer's pins or header give for sure. */
    public const PIN_MA = [300.0, 300.0, 300.0];

    /** Height that ordinary hobby printers reach. */
    public const BED_HIGH_MM = [180.0, 200.0, 250.0];

    /** How far what is sold for one voltage surely bears another one, as a share: the tolerance of ordinary supplies. */
    public const NOMINAL_SHARE = 0.05;

    public static function cellV(Figure $figure, string $chemistry, int $which): Figure
    {
        $value = self::CELL_V[$chemistry][$which] ?? null;

        return $value === null ? $figure : self::or($figure, [$value, $value, $value]);
    }

    public static function usableShare(Figure $figure, bool $sealed): Figure
    {
        return self::or($figure, $sealed ? self::BANK_USABLE_SHARE : self::USABLE_SHARE);
    }

    /** @param  Figure  $capacityMah  of the whole pack */
    public static function maxChargeMa(Figure $figure, string $chemistry, Figure $capacityMah): Figure
    {
        $rate = self::CHARGE_RATE[$chemistry] ?? null;
        if ($rate === null || ! $capacityMah->isKnown()) {
            return $figure;
        }
        $ma = $capacityMah->least() * $rate;

        return self::or($figure, [$ma, $ma, $ma]);
    }

    /**
     * The window of what is sold for one voltage ("5 V"): that voltage and a little to both sides.
     *
     * @return array{Figure, ?float} the window, and the voltage when it was a single one
     */
    public static function window(Figure $volts): array
    {
        if (! $volts->isKnown() || $volts->least !== $volts->most || $volts->source === Source::Measured || $volts->usual() <= 0.0) {
            return [$volts, null];
        }
        $nominal = $volts->usual();

        return [Figure::band($nominal * (1 - self::NOMINAL_SHARE), $nominal, $nominal * (1 + self::NOMINAL_SHARE), 'V', Source::Typical), $nominal];
    }

    /** Volts at which the draw was taken: those in the middle of the window, when nobody says so. */
    public static function drawAtV(Figure $figure, Figure $drawMa, Figure $volts): Figure
    {
        return $drawMa->isKnown() && $volts->isKnown() ? self::or($figure, [$volts->usual(), $volts->usual(), $volts->usual()]) : $figure;
    }

    public static function padMa(Figure $figure, bool $usb): Figure
    {
        return self::or($figure, $usb ? self::PAD_MA : self::BUTTONS_MA);
    }

    public static function usbInletV(Figure $figure): Figure
    {
        return self::or($figure, self::USB_INLET_V);
    }

    /** Milliamps that all USB sockets of a computer share: for sure no less than one of them bears, by its maker or by the standards. */
    public static function usbSocketMa(Figure $figure, Socket $socket): Figure
    {
        $ma = $socket->ratingMa->least ?? Constants::USB_PORT_MA[$socket->connector] ?? 500.0;

        return self::or($figure, [$ma, $ma, $ma]);
    }

    /** @param  array{float, float, float}  $band  least, usual and most */
    public static function or(Figure $figure, array $band): Figure
    {
        return $figure->isKnown() ? $figure : Figure::band($band[0], $band[1], $band[2], $figure->unit, Source::Typical);
    }
}
