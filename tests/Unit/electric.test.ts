import { describe, expect, it } from 'vitest';
import { amps, hours, percent, volts, watts } from '../../resources/js/ui/electric';

describe('figures with their unit', () => {
    it.each([
        [volts(0), '0 V'],
        [volts(3.7), '3.70 V'],
        [volts(12.34), '12.3 V'],
        [volts(230.4), '230 V'],
        [volts(null), '–'],
        [volts(undefined), '–'],
        [amps(1.5), '1.50 A'],
        [amps(0.0432), '43.2 mA'],
        [amps(-0.05), '-50.0 mA'],
        [amps(0), '0 A'],
        [watts(2.5), '2.50 W'],
        [watts(2.5, false), '2.50'],
        [watts(null, false), '–'],
        [percent(0.5), '50 %'],
        [percent(0.034), '3.4 %'],
    ])('%s', (is, text) => expect(is).toBe(text));
});

describe('hours, as one says them', () => {
    it.each([
        [null, 'unknown'],
        [0, '0 min'],
        [0.5, '30 min'],
        [0.999, '1 h'],
        [5.5, '5 h 30 min'],
        [2, '2 h'],
        [100.2, '100 h'],
    ])('%s', (value, text) => expect(hours(value)).toBe(text));
});
