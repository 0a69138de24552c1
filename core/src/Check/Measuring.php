<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Part\FigureRef;

/** Every figure a rule may miss: what it is called, and how to find it out without harm. */
final class Measuring
{
    /** @var array<string, array{string, string}> FigureRef::key() => name, how */
    private const FIGURES = [
        'supply.volts' => [
            'supply window',
            'Ask the maker or look for the regulator on the board. Else start at the voltage the listing names, with a current-limited bench supply, and step down 0.2 V at a time until it dies; write that down. Never step above the printed voltage.',
        ],
        'supply.drawMa' => [
            'current draw',
            'Put a meter in the supply lead, or read the bench supply: once idle, once in ordinary use, once at the worst load.',
        ],
        'supply.drawAtV' => [
            'voltage at which the draw was taken',
            'Meter the volts at the part while you meter its current; or read the line of the datasheet again.',
        ],
        'supply.peakMa' => [
            'peak current',
            'Put a meter with a peak hold in the supply lead and switch the part on, then work it hard for a minute. Without one, set the bench supply\'s current limit and raise it until the part starts every time.',
        ],
        'panel.pixels' => [
            'pixels of the panel',
            'Look for a second sticker under the tape; count the contacts of its socket with a magnifier, and measure from the first to the last. Ask the seller of a controller with a photograph before ordering one.',
        ],
        'socket.polarity' => [
            'polarity of the plug',
            'Set a meter to volts, touch its red probe to one contact of the plug and its black to the other: the sign tells which is plus. Compare with the + printed beside the socket before anything is plugged in. Never let the probes touch each other.',
        ],
        'socket.unknownContacts' => [
            'further contacts of the plug',
            'Meter each unknown contact against minus on the old pack: a steady resistance is often a temperature sensor, volts an identity line. Fit the same resistor and try a start from a current-limited bench supply.',
        ],
        'amp.hum' => [
            'hum',
            'Join board and amplifier on the bench from the supply they will have, play something quiet, and listen. A 1:1 audio transformer between them, or a supply of its own, mends most of it.',
        ],
        'pack.chemistry' => [
            'chemistry',
            'Read the label: Li-ion, LiPo, LiFePO4, NiMH or alkaline. 3.7 V a cell is Li-ion or LiPo, 3.2 V LiFePO4, 1.2 V NiMH. When nothing says it, do not charge it.',
        ],
        'pack.series' => [
            'cells in series',
            'Read the label: "2S" is two in series. Else divide the printed volts by those of one cell: 7.4 V is two of 3.7 V, 12.8 V four of 3.2 V. One cell alone is 1.',
        ],
        'charger.chemistries' => [
            'chemistries of the charger',
            'Read its page or the print on its chip: a charger is made for one kind of cell. When nothing says which, do not charge with it.',
        ],
        'cable.oneEnd' => ['plug at one end', 'Look at it and hold it against the sockets you have; a photograph beside a ruler tells mini from micro.'],
        'cable.otherEnd' => ['plug at the other end', 'Look at it and hold it against the sockets you have; a photograph beside a ruler tells mini from micro.'],
        'cable.carries' => [
            'signals of the lead',
            'Read its page; a charging lead may have no data wires. Join a computer and a stick with it: what is seen goes over it.',
        ],
        'charger.seriesLeast' => ['fewest cells in series', 'Read its page: "1S" is one cell, "2S to 4S" begins at two. Its full voltage divided by that of one cell tells, too.'],
        'charger.seriesMost' => ['most cells in series', 'Read its page: "1S" is one cell, "2S to 4S" ends at four. Its full voltage divided by that of one cell tells, too.'],
        'body.faceShape' => [
            'shape of the face',
            'Lay a ruler across the holes of the buttons: where it touches all the way the face is flat, where it rocks the face is curved, and where the wall thins to one side it is tapered.',
        ],
        'software.card' => [
            'starting card or drive',
            'Look at the board: a slot for a card, a connector for a drive, or neither. Its maker\'s page says what it starts from.',
        ],
        'software.generation' => ['generation of the board', 'Read it off the board or its maker\'s page, and the name of the image off its own page.'],
        'stand.lidMassG' => ['weight of the lid', 'Weigh it on a kitchen scale with all that will be in it.'],
        'stand.lidCentreMm' => ['weight centre of the lid', 'Balance it on a ruler\'s edge and measure from there to the hinge.'],
        'stand.stopsDeg' => ['angle at which the lid stops', 'Lean it back as far as it goes and hold a protractor to it.'],
        'stand.baseMassG' => ['weight of the base', 'Weigh it on a kitchen scale with all that will be in it.'],
        'stand.baseCentreMm' => ['weight centre of the base', 'Balance it on a ruler\'s edge and measure from there to the hinge.'],
        'stand.feetMm' => ['place of the rear feet', 'Measure from the hinge forward to where the rear feet touch the table.'],
        'pogo.freeMm' => ['length of the spring pins', 'Measure one with callipers from the board to its tip, not pressed.'],
        'pogo.pressMm' => ['press of the spring pins', 'Their maker\'s sheet says how far they want to be pressed; often a quarter of their length.'],
        'pogo.spacerMm' => ['height of the spacers', 'Measure one with callipers.'],
        'output.efficiency' => [
            'efficiency',
            'Meter volts and amps before and after it at a usual load; watts out divided by watts in. Its maker\'s sheet often draws it as a curve.',
        ],
        'output.volts' => ['output voltage', 'Meter the output with nothing connected, then with a load; write down both.'],
        'output.continuousMa' => [
            'continuous output current',
            'Look for the rating on the listing or the converter chip. Else load it in steps with a power resistor and stop when the voltage falls 5 % or it is too warm to touch.',
        ],
        'output.peakMa' => [
            'short peak current',
            'Read the maker\'s sheet. Else switch the heaviest load on behind it and watch the voltage with a meter that keeps the lowest value.',
        ],
        'pack.volts' => [
            'cell voltages',
            'Read the chemistry and the cell count off the label, then meter the pack full and where its protection cuts off. Do not short the probes.',
        ],
        'pack.capacityMah' => [
            'capacity',
            'Charge full, then discharge at a steady known current down to the maker\'s empty voltage and multiply hours by milliamps.',
        ],
        'pack.usableShare' => [
            'usable share of the capacity',
            'Run a full pack at a gentle load until it is empty, stay with it, and divide what came out by what is printed. What a cut-off leaves inside, sag, rate and cold are reckoned apart.',
        ],
        'pack.cellNominalV' => ['nominal cell voltage', 'Read the chemistry off the label; the maker\'s sheet names the nominal voltage of one cell.'],
        'pack.internalResistanceMohm' => [
            'internal resistance',
            'Meter the pack\'s open-circuit voltage, then under a known load after ten seconds: volts lost ÷ amps × 1000.',
        ],
        'supply.offMa' => ['draw when switched off', 'Put a meter in the supply lead with everything switched off; change to the finest range last.'],
        'output.idleMa' => ['own idle draw', 'Meter the amps at its input with nothing at its output.'],
        'charger.way' => ['kind of charging chip', 'Look for a coil beside the chip: with one it switches, without one it is linear and burns the difference.'],
        'charger.efficiency' => [
            'efficiency of the charger',
            'Meter volts and amps before and after it while the pack is half full; watts out divided by watts in.',
        ],
        'pack.recoveryV' => ['recovery voltage of the protection', 'Read the protection chip\'s sheet ("release voltage").'],
        'pack.latches' => [
            'behaviour after the protection has tripped',
            'Read the protection chip\'s sheet: does it come back by itself, or only when a charger is plugged in? Do not short it to see.',
        ],
        'protector.mostMa' => ['current that the protection carries', 'Read the sheet of the protection board, or the marking of its two transistors and their chip. Do not find it out by trying.'],
        'protector.recoveryV' => ['recovery voltage of the protection', 'Read the sheet of the protection board or its chip ("release voltage").'],
        'protector.latches' => [
            'behaviour after it has tripped',
            'Read its sheet: does it come back by itself, or only when a charger is plugged in? Do not short it to see.',
        ],
        'pack.maxDischargeMa' => [
            'largest discharge current',
            'Read the maker\'s sheet for the cell and the rating of its protection board; the smaller one counts.',
        ],
        'pack.maxChargeMa' => ['largest charge current', 'Read the maker\'s sheet for the cell; do not find it out by trying.'],
        'pack.protection' => [
            'protection',
            'Look for a small board under the wrap at the pack\'s end, or ask the maker. Do not cut the wrap of a cell and do not test by shorting.',
        ],
        'charger.inputVolts' => ['charger\'s input window', 'Read the listing or the charger chip\'s sheet.'],
        'charger.chargeMa' => ['charge current', 'Meter the current into a half-empty pack; or read the setting resistor against the chip\'s sheet.'],
        'size' => ['size', 'Measure length, width and the tallest spot with callipers, plugs and heatsinks included.'],
        'body.cavity' => ['room inside', 'Measure the inside with callipers or a block that just goes in: length, width and depth.'],
        'body.wall' => ['thickness of the wall', 'Decide it with the process: measure a printed or cut sample with callipers.'],
        'body.openings' => ['opening', 'Measure the hole\'s width and height with callipers, and how far its middle lies from the middle of that side.'],
        'sockets' => ['picture sockets', 'Look at the board edges and the listing: what picture sockets are there, of what size?'],
        'storage.capacityGb' => [
            'capacity of the card',
            'Put it into a computer and read its size; cards of doubtful origin are best filled once and read back.',
        ],
        'software.imageGb' => ['size of the image', 'Look at the download page or at the unpacked file.'],
        'variant' => ['variant', 'Ask the seller which variant it is, or compare a photograph with the maker\'s drawing.'],
        'skills' => ['your skills', 'Tick in the brief what you can do, so that parts that want more are marked.'],
        'price' => ['price', 'Ask for an offer, or look at what the same thing went for lately.'],
        'rate' => [
            'exchange rate',
            'Write the price in a currency that the Buy page lists a rate for, or convert it yourself and write it in the brief\'s own.',
        ],
        'controls' => ['controls', 'Count them: d-pads, buttons, sticks, knobs.'],
        'panel.touch' => ['touch', 'Ask the maker whether it is a touch panel.'],
        'supply.ratedV' => ['rated voltage', 'Read its label: the single voltage printed there.'],
        'supply.warnVolts' => [
            'low-voltage warning',
            'Look it up in the board\'s manual; or step a current-limited bench supply down 0.05 V at a time and note where the warning shows.',
        ],
        'output.topology' => ['kind of converter', 'Look for "boost", "buck" or "linear" on the listing, or look up the number on its chip.'],
        'output.dropoutV' => [
            'dropout',
            'The chip\'s sheet draws it. Else load it as it will be, lower its input 0.1 V at a time and note where the output begins to fall.',
        ],
        'output.switchOffMa' => [
            'switch-off current',
            'Hang a resistor on the bank\'s socket and meter the current; try larger ones until it switches itself off after a minute or two. The label or manual often says.',
        ],
        'pack.cutOffV' => [
            'cut-off voltage',
            'Read the protection board\'s sheet. Else run the pack down at a gentle load with a meter on it, stay with it, and note the volts at which it cuts off.',
        ],
        'pack.totalW' => ['watts of all sockets together', 'Read the small print on the bank\'s back: "total output".'],
        'protector.cutOffV' => [
            'cut-off voltage',
            'Read the sheet of the board or its chip. Else feed it from a bench supply instead of the cell, go down slowly from a full cell\'s volts and note where it stops. Do not short it to see.',
        ],
        'charger.powerPath' => [
            'power path',
            'Ask the maker whether the load may run while it charges; its sheet names a "power path" or "load sharing". If nothing says so, switch off while it charges.',
        ],
        'socket.sense' => [
            'sense contacts',
            'At a power inlet: try a cable with two alike ends on a current-limited supply; if it charges, the resistors are there. At a headphone socket: plug in and listen whether the loudspeaker falls silent.',
        ],
        'socket.ratingMa' => ['rating of the socket', 'Read the board\'s manual: it names what each socket gives. Do not find it out by overloading.'],
        'socket.pitchMm' => ['pitch of the ribbon', 'Measure across ten contacts with callipers and divide by nine.'],
        'socket.side' => ['side of the contacts', 'Look into the socket with a lamp: the contacts are at the top or at the bottom.'],
        'socket.depthMm' => ['depth with the plug', 'Plug it in and measure with callipers from the part\'s edge to the end of the plug.'],
        'socket.face' => ['edge of the socket', 'Lay the part before you as it lies in its drawing, its face up, and see at which edge the socket sits: left, right, top or bottom.'],
        'socket.offsetMm' => ['place of the socket', 'Measure with callipers from the middle of the edge to the middle of the socket.'],
        'cable.gaugeAwg' => ['gauge of the wires', 'Read it off the jacket ("24AWG"), or measure the bare strand with callipers.'],
        'cable.lengthMm' => ['length of the lead', 'Measure it from plug to plug.'],
        'cable.bendMm' => ['room to bend', 'Plug it in, bend it as far as it goes willingly and measure from the plug\'s end.'],
        'cable.sides' => ['sides of the ribbon', 'Lay it flat: are the bare contacts of both ends up, or one up and one down?'],
        'switch.ratingMa' => ['rating of the switch', 'Read its side or its maker\'s sheet; amps at the volts you switch.'],
        'switch.ratingV' => ['volts of the switch', 'Read its side or its maker\'s sheet; mind that direct current counts less than mains.'],
        'switch.travelMm' => ['travel of the switch', 'Measure with callipers how far its knob goes from click to click.'],
        'fuse.ratingMa' => ['rating of the fuse', 'Read its cap or body; a glass fuse has it engraved.'],
        'heat.watts' => ['heat', 'Meter volts and amps at its supply at the worst load: what goes in comes out as heat.'],
        'heat.limitC' => ['temperature limit', 'Read the maker\'s sheet; most boards also print it when they slow down.'],
        'heat.riseKPerW' => [
            'rise in still air',
            'Run it at a known load for half an hour, read its temperature and the room\'s, divide the difference by the watts. Do not touch it to find out.',
        ],
        'heat.riseFanKPerW' => ['rise with cooling', 'The same with its heatsink or fan on: half an hour at a known load, difference divided by watts.'],
        'cooling.ventMm2' => ['opening area for the fan', 'As a first guess the area of the fan\'s own mouth, twice: once in, once out.'],
        'body.ventMm2' => ['air openings', 'Count the holes and multiply by the area of one.'],
        'body.process' => ['process', 'Decide it: printed, cut, milled, of wood. The wall follows from it.'],
        'body.material' => ['material of the body', 'Look at it; a magnet and a meter tell metal from plastic with a metal look.'],
        'body.fieldWindow' => ['gap in the metal', 'Is any part of it plastic, wood or glass? Then fields get through there.'],
        'body.bed' => ['printer\'s bed', 'Measure the bed, length and width, and how high the head can go.'],
        'body.zone' => ['depth of that room', 'Measure with callipers\' tail or a block that just goes in.'],
        'body.post' => ['post and its room', 'Measure the depth of the hole, what is clamped, and the recess for the head, with callipers.'],
        'body.slider' => ['travel of the cap', 'Measure with callipers how far it goes from end to end.'],
        'fastener.lengthMm' => ['length of the screw', 'Measure from under the head to the tip.'],
        'fastener.head' => ['head of the screw', 'Measure across the head and its height with callipers.'],
        'amp.leastOhm' => ['least load', 'Read the chip\'s sheet; never find it out by shorting.'],
        'amp.watts' => ['output power', 'Read the chip\'s sheet at your volts and ohms; listings promise more.'],
        'amp.atOhm' => ['rated load', 'Read the line of the sheet again: "3 W into 4 Ω".'],
        'speaker.ohm' => ['impedance', 'Meter it: the ohms shown are about five sixths of what is printed.'],
        'speaker.watts' => ['power rating', 'Read its back or the listing.'],
        'video.modes' => ['picture formats', 'Look into the board\'s manual, or let a common screen list what it is offered.'],
        'video.firstStart' => ['picture at the first start', 'Ask others who own the board which of its outputs shows a picture before anything is set.'],
        'video.ownModes' => ['own picture formats', 'Ask whether a line in its set-up can set any format.'],
        'video.rotates' => ['turning of the picture', 'Ask whether its set-up can turn the picture a quarter.'],
        'panel.modes' => ['accepted picture formats', 'Feed it common formats one after the other from a computer and note which ones show.'],
        'panel.needsSignal' => ['behaviour without a picture', 'Give it its volts with nothing else connected, current limited: does the light come on?'],
        'controls.speaks' => ['way of reaching the computer', 'Look what it ends in: a plug, bare contacts, a membrane, an aerial?'],
        'controls.padMode' => ['device kind', 'Plug it into a computer and look under what name and kind it appears.'],
        'controls.analogueTriggers' => ['triggers', 'Press one slowly and watch a test page: does the value creep or jump?'],
        'controls.travelMm' => ['travel of the buttons', 'Measure a button up and pressed with callipers\' tail.'],
        'pins.does' => ['pin map', 'Find the maker\'s drawing. Else probe each contact with the power off, one wire at a time, and write the map down.'],
        'pins.logicV' => ['logic level', 'Meter a pin that is set high; or read the manual: 3.3 V or 5 V.'],
        'pinNeeds.logicV' => ['logic level', 'Read its sheet, or meter its signal line against minus while it works.'],
        'sockets.audio' => ['sound inputs', 'Look at its edge and the listing: what sound does it take?'],
        'software.image' => ['ready system', 'Look whether its maker or its friends offer a system that is ready to write.'],
        'software.needsShutdown' => ['need of a shutdown', 'Read the manual: may the power just go, or does it want to be shut down?'],
        'software.shutdownSeconds' => ['time of a shutdown', 'Take a watch: from the command until its lamp goes out.'],
        'gauge.warningSeconds' => ['low-battery warning', 'Run the pack down at the usual load and take the time from the warning to the end.'],
        'drivers' => ['driver', 'Ask in the board\'s own circles whether this part is known, and since which version.'],
        'surface.bare' => ['surface', 'Look at it: are there bare contacts, solder points or a metal back?'],
        'tools' => ['your tools', 'Tick in the brief what is on your bench, so that what is missing is priced.'],
        'consumables' => ['your consumables', 'Tick in the brief what is in your drawer.'],
        'charger' => ['job', 'Read its label: which cells, how many in series and at what current; or the volts and amps that a wall supply gives.'],
        'cable' => ['two ends', 'Look at both plugs, and at what it is sold for: power, data, a picture.'],
        'switch' => ['kind and rating', 'Read what is moulded or printed on it: amps, volts, and whether it is a switch or a fuse.'],
        'facets' => ['facts', 'Open the part and write down what you know: size, supply, sockets. Mark what you guess as a guess.'],
    ];

    /** Keys that one look at the brief answers for every line. */
    public const OF_BRIEF = ['skills', 'tools', 'consumables', 'rate'];

    public static function name(FigureRef $figure): string
    {
        $name = self::FIGURES[$figure->key()][0];

        return $figure->name === '' ? $name : "{$name} ({$figure->name})";
    }

    public static function how(FigureRef $figure): string
    {
        return self::FIGURES[$figure->key()][1];
    }

    public static function isKnown(FigureRef $figure): bool
    {
        return isset(self::FIGURES[$figure->key()]);
    }

    /** @return list<string> */
    public static function keys(): array
    {
        return array_keys(self::FIGURES);
    }
}
