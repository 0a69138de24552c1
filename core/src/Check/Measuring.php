<?php

declare(strict_types=1);

namespace PocketPlot\Check;

/** Every figure a rule may miss: what it is called, and how to find it out without harm. */
final class Measuring
{
    /** @var array<string, array{string, string}> key => name, how */
    private const FIGURES = [
        'supply.volts' => ['supply window', 'Ask the maker or look for the regulator on the board. Else start at the voltage the listing names, with a current-limited bench supply, and step down 0.2 V at a time until it dies; write that down. Never step above the printed voltage.'],
        'supply.drawMa' => ['current draw', 'Put a meter in the supply lead, or read the bench supply: once idle, once in ordinary use, once at the worst load.'],
        'supply.drawAtV' => ['voltage at which the draw was taken', 'Meter the volts at the part while you meter its current; or read the line of the datasheet again.'],
        'supply.peakMa' => ['peak current', 'Put a meter with a peak hold in the supply lead and switch the part on, then work it hard for a minute. Without one, set the bench supply\'s current limit and raise it until the part starts every time.'],
        'output.efficiency' => ['efficiency', 'Meter volts and amps before and after it at a usual load; watts out divided by watts in. Its maker\'s sheet often draws it as a curve.'],
        'output.volts' => ['output voltage', 'Meter the output with nothing connected, then with a load; write down both.'],
        'output.continuousMa' => ['continuous output current', 'Look for the rating on the listing or the converter chip. Else load it in steps with a power resistor and stop when the voltage falls 5 % or it is too warm to touch.'],
        'output.peakMa' => ['short peak current', 'Read the maker\'s sheet. Else switch the heaviest load on behind it and watch the voltage with a meter that keeps the lowest value.'],
        'pack.volts' => ['cell voltages', 'Read the chemistry and the cell count off the label, then meter the pack full and where its protection cuts off. Do not short the probes.'],
        'pack.capacityMah' => ['capacity', 'Charge full, then discharge at a steady known current down to the maker\'s empty voltage and multiply hours by milliamps.'],
        'pack.usableShare' => ['usable share of the capacity', 'Run it once from full to the cut-off at the usual load and divide what came out by what is printed. The maker\'s sheet draws it for rate and cold.'],
        'pack.cellNominalV' => ['nominal cell voltage', 'Read the chemistry off the label; the maker\'s sheet names the nominal voltage of one cell.'],
        'pack.maxDischargeMa' => ['largest discharge current', 'Read the maker\'s sheet for the cell and the rating of its protection board; the smaller one counts.'],
        'pack.maxChargeMa' => ['largest charge current', 'Read the maker\'s sheet for the cell; do not find it out by trying.'],
        'pack.protection' => ['protection', 'Look for a small board under the wrap at the pack\'s end, or ask the maker. Do not cut the wrap of a cell and do not test by shorting.'],
        'charger.inputVolts' => ['charger\'s input window', 'Read the listing or the charger chip\'s sheet.'],
        'charger.chargeMa' => ['charge current', 'Meter the current into a half-empty pack; or read the setting resistor against the chip\'s sheet.'],
        'size' => ['size', 'Measure length, width and the tallest spot with callipers, plugs and heatsinks included.'],
        'body.cavity' => ['room inside', 'Measure the inside with callipers or a block that just goes in: length, width and depth.'],
        'body.wall' => ['thickness of the wall', 'Decide it with the process: measure a printed or cut sample with callipers.'],
        'body.openings' => ['opening', 'Measure the hole\'s width and height with callipers.'],
        'sockets' => ['picture sockets', 'Look at the board edges and the listing: what picture sockets are there, of what size?'],
        'storage.capacityGb' => ['capacity of the card', 'Put it into a computer and read its size; cards of doubtful origin are best filled once and read back.'],
        'software.imageGb' => ['size of the image', 'Look at the download page or at the unpacked file.'],
        'variant' => ['variant', 'Ask the seller which variant it is, or compare a photograph with the maker\'s drawing.'],
        'skills' => ['your skills', 'Tick in the brief what you can do, so that parts that want more are marked.'],
        'price' => ['price', 'Ask for an offer, or look at what the same thing went for lately.'],
        'rate' => ['exchange rate', 'Write the price in a currency that the Buy page lists a rate for, or convert it yourself and write it in the brief\'s own.'],
        'controls' => ['controls', 'Count them: crosses, buttons, sticks, knobs.'],
        'panel.touch' => ['touch', 'Ask the maker whether the panel feels fingers.'],
    ];

    public static function name(string $figure): string
    {
        return self::FIGURES[$figure][0];
    }

    public static function how(string $figure): string
    {
        return self::FIGURES[$figure][1];
    }
}
