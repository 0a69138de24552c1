<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** How a load's draw follows its volts. Where nobody says, constant power stands in: it asks most of a tired pack. */
enum DrawKind: string
{
    /** Has a converter of its own behind its input: fewer volts, more amps. */
    case Power = 'power';
    /** Takes the same amps whatever the volts: linear regulators, most chips. */
    case Current = 'current';
    /** Heaters, lamps, plain motors. */
    case Resistance = 'resistance';
}
