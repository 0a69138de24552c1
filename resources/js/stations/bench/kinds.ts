import type { Reading } from '../../api/client';

export type Kind = Reading['kind'];

/** What can be measured, in which words. */
const kindWords: Record<Kind, readonly [string, string]> = {
    sweep: ['Voltage sweep', 'Turn the supply down until it dies.'],
    draw: ['Draw', 'Amps in one state of play.'],
    run: ['Run test', 'From full until it gives up.'],
    charge: ['Charge test', 'From empty to full.'],
    temperature: ['Temperature', 'After half an hour at work.'],
    dimension: ['Dimension', 'One side, by callipers.'],
    volts: ['Volts', 'At one place, by the meter.'],
};

export const kinds = Object.entries(kindWords).map(([kind, [name, says]]) => [kind as Kind, name, says] as const);

/** Three lines to follow. */
export const steps: Record<Kind, string[]> = {
    sweep: [
        'Set the supply to volts that are known to be good, current limited to a little more than the part draws.',
        'Give the panel a picture signal if it can have one: some stay dark without.',
        'Go down a step, wait two seconds, press Lit or Dark. Stop well before anything gets hot.',
    ],
    draw: [
        'Put the meter in the supply lead, on its 10 A range first.',
        'Let the console settle in the state for a minute.',
        'Read volts at the part and amps in its lead at the same moment.',
    ],
    run: [
        'Charge full, note the time, play one way without a break.',
        'Keep light, volume and air as they are; a meter in the pack’s lead that logs tells far more.',
        'Note when and how it ended.',
    ],
    charge: ['Start from an empty pack, console off.', 'Note the time, and the share it started from if it was not empty.', 'Note when the lamp says full.'],
    temperature: [
        'Run it at a known load for half an hour, closed as it will be.',
        'Read with a probe or a thermometer, at the hottest spot.',
        'Read the air of the room as well.',
    ],
    dimension: ['Power off.', 'Measure at the tallest spot, sockets and screws included.', 'Measure twice; write the larger.'],
    volts: ['Meter on volts, black to minus first.', 'At the far end of the lead, with the load at work.', 'Write where it was read under Conditions.'],
};

/** What can hurt someone at this measurement; none where nothing can. */
export const cautions: Partial<Record<Kind, string>> = {
    sweep: 'Both leads off while you change the wiring. Never sweep a part from mains, and nothing above the volts on its sheet.',
    draw: 'A meter set to amps is a short across whatever it touches: only ever in the lead, never across the pack.',
    run: 'Stay with it, and stop when anything smells, swells or gets too hot to hold. Let the protection end it; do not empty bare lithium cells by hand.',
    charge: 'Charge on something that does not burn, with someone near; never a swollen, damaged or frozen cell.',
    temperature: 'Do not touch it to find out. Stop when a cell is warmer than its maker allows.',
};

/** Field, label, example. */
export const inputs: Record<Kind, readonly (readonly [string, string, string])[]> = {
    sweep: [],
    draw: [
        ['volts', 'Volts at the part', '5.02 V'],
        ['milliamps', 'Amps in its lead', '430 mA'],
    ],
    run: [
        ['hours', 'It ran for', '6 h 20 min'],
        ['brightness', 'Brightness, %', 'if it was set'],
        ['airC', 'Air, °C', '21'],
    ],
    charge: [
        ['hours', 'It took', '3 h 10 min'],
        ['fromShare', 'From, %', '0'],
        ['toShare', 'To, %', '100'],
    ],
    temperature: [
        ['celsius', 'The part, °C', '58'],
        ['airC', 'The air, °C', '22'],
        ['volts', 'Volts meanwhile', '5 V'],
        ['milliamps', 'Amps meanwhile', '1.2 A'],
    ],
    dimension: [['value', 'It measures', '17.2 mm']],
    volts: [['volts', 'Volts', '5.02 V']],
};

const common = ['takenOn', 'instrument', 'conditions', 'note'];
/** Fields that go with a reading of the kind. */
export const wanted: Record<Kind, string[]> = {
    sweep: [...common, 'signal'],
    draw: [...common, 'state', 'volts', 'milliamps'],
    run: [...common, 'hours', 'brightness', 'airC', 'profile', 'stopped'],
    charge: [...common, 'hours', 'fromShare', 'toShare'],
    temperature: [...common, 'celsius', 'airC', 'volts', 'milliamps'],
    dimension: [...common, 'figure', 'value'],
    volts: [...common, 'volts'],
};
