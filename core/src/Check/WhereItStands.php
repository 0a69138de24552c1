<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Part\FigureRef;

/** Where a figure usually stands written: in which words on a listing or a datasheet, and where on the part. */
final class WhereItStands
{
    /** @var array<string, string> FigureRef::key() => where; those that nobody prints are not here */
    private const AT = [
        'supply.volts' => 'On a listing: “Input”, “DC IN”, “Power supply”. On the part: beside its power socket, or on the label.',
        'supply.drawMa' => 'On a listing: “Current”, “Consumption”, “typ.”; watts divided by volts are amps. The amps of a supply that one should buy are more than it draws.',
        'supply.drawAtV' => 'In a datasheet: in the column “Conditions”, as “VIN = 5 V”.',
        'supply.peakMa' => 'In a datasheet: “max.”, “peak”, “inrush”.',
        'supply.warnVolts' => 'In the manual of the board, under low voltage or its warning sign.',
        'supply.offMa' => 'On a listing: “Standby”. In a datasheet: “shutdown”, “suspend”.',
        'supply.ratedV' => 'On the label: the one voltage it is sold for.',
        'panel.pixels' => 'On a listing: “Resolution”, two numbers with a ×. Not the resolution it takes at its socket, which may be higher.',
        'panel.touch' => 'On a listing: “capacitive”, “resistive”, or not a word, which mostly is no.',
        'panel.modes' => 'In its manual: a table “Supported modes” or “Timing”.',
        'sockets' => 'On a listing: “Interface”, “Ports”. On the part: printed beside each socket.',
        'sockets.audio' => 'On a listing: “Audio”. On the part: a small headset or a note beside the socket.',
        'socket.ratingMa' => 'In the manual: “USB ports, up to … A together”.',
        'socket.pitchMm' => 'On a listing of the lead: “0.5 mm pitch”, “PH 2.0”, “1.25 mm”.',
        'pack.chemistry' => 'On the wrap or the label; a name like “INR” or “ICR” before a number is Li-ion.',
        'pack.series' => 'On the label: “2S1P”, or by its volts.',
        'pack.capacityMah' => 'On the label, in mAh or Ah; in Wh, divide by the nominal volts. A bank prints that of its cells, not of its socket.',
        'pack.volts' => 'On the label the nominal one; full and empty in the datasheet: “charge voltage”, “discharge cut-off”.',
        'pack.maxDischargeMa' => 'In a datasheet: “max. continuous discharge”, often as a multiple: 2C of 3000 mAh are 6 A.',
        'pack.maxChargeMa' => 'In a datasheet: “standard charge” and “max. charge”, often as 0.5C or 1C.',
        'pack.protection' => 'On a listing: “PCM”, “PCB”, “BMS”, “protected”. On the pack: a small board under the tape at the leads.',
        'pack.cutOffV' => 'In the datasheet of its protection: “over-discharge detection”.',
        'pack.totalW' => 'On a bank: “Total output” or “Max.”, in W.',
        'protector.cutOffV' => 'In its datasheet: “over-discharge detection voltage”.',
        'protector.mostMa' => 'On a listing: “continuous”; not the over-current at which it trips.',
        'output.volts' => 'On the label: “OUTPUT”. On a board: beside the pads marked OUT or VO.',
        'output.continuousMa' => 'On the label: “OUTPUT 5 V ⎓ 3 A”. On a listing: “max.” is often for a moment only.',
        'output.peakMa' => 'On a listing: “max.” or “peak”.',
        'output.efficiency' => 'On a listing: “efficiency up to …”, at its best load. In a datasheet: a curve over the current.',
        'output.idleMa' => 'In a datasheet: “quiescent current”, “no-load current”.',
        'output.switchOffMa' => 'In the manual of a bank: “auto-off below … mA”.',
        'output.topology' => 'In its name: step-down or buck, step-up or boost, LDO.',
        'charger.chargeMa' => 'On a listing: “charge current”; on the board, by a resistor that its page explains.',
        'charger.inputVolts' => 'On a listing: “Input”. On the board: beside IN or the USB socket.',
        'charger.chemistries' => 'On a listing: “for Li-ion”, “4.2 V” a cell is Li-ion or LiPo, “3.6 V” LiFePO4.',
        'charger.powerPath' => 'On a listing: “load sharing”, “power path”, “pass-through”. Not a word mostly is no.',
        'charger' => 'On its label: “OUTPUT”; for a charge board, in its name: “1S”, “4.2 V”, “1 A”.',
        'cable' => 'On a listing, in the name; printed on the plug or on the sleeve.',
        'cable.carries' => 'On a listing: “charge only”, “data”, “power”.',
        'cable.gaugeAwg' => 'Printed along the sleeve: “22 AWG”.',
        'switch' => 'Moulded into its side or its back.',
        'switch.ratingMa' => 'Moulded into its side: “6 A 250 V~” is for mains; for direct current it is less, and stands in the datasheet.',
        'fuse.ratingMa' => 'Printed or stamped on its cap, or by the colour of its blade.',
        'size' => 'On a listing: “Dimensions”. In the maker\'s drawing, without the sockets that stick out.',
        'body.cavity' => 'Nowhere; on a listing stands the outside.',
        'storage.capacityGb' => 'Printed on it, large.',
        'amp.watts' => 'On a listing: “2 × 3 W”, for the volts and ohms that stand beside it.',
        'amp.leastOhm' => 'On a listing: “4 to 8 Ω”; the smaller one counts.',
        'speaker.ohm' => 'Stamped on its magnet or its back.',
        'speaker.watts' => 'Stamped on its back, beside the ohms.',
        'heat.limitC' => 'In a datasheet: “throttle”, “junction temperature”; not the air that it may be used in.',
        'pins.logicV' => 'In a datasheet: “I/O voltage”, “GPIO high level”.',
        'controls' => 'On a listing, in the name or the first line.',
        'controls.padMode' => 'On a listing: “HID”, “gamepad”, “keyboard encoder”.',
        'price' => 'On a listing, for a packet or another colour as often as for the piece you want.',
    ];

    /** Empty where it is not printed anywhere. */
    public static function of(FigureRef $figure): string
    {
        return self::AT[$figure->key()] ?? '';
    }

    /** @return list<string> */
    public static function keys(): array
    {
        return array_keys(self::AT);
    }
}
