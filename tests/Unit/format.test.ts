import { describe, expect, it } from 'vitest';
import { asNumber, capital, date, finish, mass, number, runTime, size } from '../../resources/js/ui/format';

describe('a number', () => {
    it.each([
        [0, '0'],
        [3.14159, '3.1'],
        [12345.67, '12,345.7'],
        [-0.04, '-0'],
    ])('%d reads %s', (value, text) => expect(number(value)).toBe(text));

    it.each([
        ['3.7 V', 3.7],
        ['2,5', 2.5],
        [' 12mA ', 12],
        ['85 %', 85],
        ['-4', -4],
    ])('typed as "%s" is %d', (typed, value) => expect(asNumber(typed)).toBe(value));

    it.each(['', 'V', 'about five', '1.2.3'])('"%s" is none', (typed) => expect(asNumber(typed)).toBeNaN());
});

describe('a day', () => {
    it('says its year only when it is not this one', () => {
        const year = new Date().getUTCFullYear();
        expect(date(`${year}-12-07`)).toBe('7 Dec');
        expect(date(`${year - 1}-12-07T10:00:00Z`)).toBe(`7 Dec ${year - 1}`);
        expect(date(null)).toBe('–');
    });
    it('that nobody knows is unknown', () => expect(finish({ on: null, undated: 2 })).toBe('unknown'));
});

describe('vitals', () => {
    const hours = { leastHours: 3.42, usualHours: 5.44, mostHours: 16.6, targetHours: null, fromPack: true, verdict: 'fits' as const };
    it('give the run time as a band', () => expect(runTime(hours)).toBe('5.4 h (3.4 to 17)'));
    it('say when there is no pack', () => expect(runTime({ ...hours, fromPack: false })).toBe('no pack'));
    it.each(['leastHours', 'usualHours', 'mostHours'] as const)('do not know a band without its %s', (end) =>
        expect(runTime({ ...hours, [end]: null })).toBe('unknown'),
    );
    it('mark a size that is only estimated', () => {
        expect(size({ sidesMm: [120.4, 60.6, 18], estimated: false, targetMm: null, verdict: 'fits' })).toBe('120×61×18');
        expect(size({ sidesMm: [120.4, 60.6, 18], estimated: true, targetMm: null, verdict: 'fits' })).toBe('≈120×61×18');
        expect(size({ sidesMm: [], estimated: true, targetMm: null, verdict: 'fits' })).toBe('unknown');
    });
    it('mark a weight to which something is not weighed yet', () => {
        expect(mass({ grams: 999.4, unweighed: 0, targetGrams: null, verdict: 'fits' })).toBe('999 g');
        expect(mass({ grams: 1240, unweighed: 1, targetGrams: null, verdict: 'fits' })).toBe('≥1.2 kg');
    });
});

it('begins words with a capital, and leaves nothing as it is', () => {
    expect(capital('power path')).toBe('Power path');
    expect(capital('')).toBe('');
});
