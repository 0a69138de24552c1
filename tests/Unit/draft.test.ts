import { describe, expect, it } from 'vitest';
import type { Facets } from '../../resources/js/api/client';
import { facetsShown, figureText, isGroup, plain, tidy } from '../../resources/js/part-editor/draft';

describe('a stored figure as text', () => {
    it.each([
        [5, 'V', { typed: '5 V', source: 'listing', on: '' }],
        [{ value: 0.85, source: 'datasheet' }, 'share', { typed: '85 %', source: 'datasheet', on: '' }],
        [{ least: 8, most: 14, source: 'measured', on: '2026-11-20' }, 'V', { typed: '8 to 14 V', source: 'measured', on: '2026-11-20' }],
        [{ least: 250, usual: 430, most: 560, source: 'guess' }, 'mA', { typed: '250 / 430 / 560 mA', source: 'guess', on: '' }],
        [{ least: 8, usual: 11, most: 14 }, 'V', { typed: '8 to 14 V', source: 'listing', on: '' }],
        [{ value: 3, source: 'datasheet' }, 'mm±', { typed: '3 mm', source: 'datasheet', on: '' }],
        [{ value: 0.1 + 0.2, source: 'listing' }, 'V', { typed: '0.3 V', source: 'listing', on: '' }],
    ])('%j in %s', (value, kind, text) => expect(figureText(value, kind)).toEqual(text));

    it.each([[undefined], [null], ['12 V'], [{ source: 'unknown' }], [[1, 2]]])('%j is empty', (value) => expect(figureText(value, 'V').typed).toBe(''));
    it('keeps the source of a group that says no figure', () => expect(figureText({ source: 'guess' }, 'V')).toEqual({ typed: '', source: 'guess', on: '' }));
});

describe('a part says only what is known', () => {
    it('without what nobody filled', () => {
        expect(tidy({ name: 'A', maker: '', facets: { size: { lengthMm: 10, widthMm: null }, panel: {}, outputs: [] } })).toEqual({
            name: 'A',
            facets: { size: { lengthMm: 10 } },
        });
    });
    it('but with nought and no, which are something', () => expect(tidy({ a: 0, b: false, c: '' })).toEqual({ a: 0, b: false }));
    it('and with what is to stay, empty or not', () => expect(tidy({ name: '', note: '' }, ['name'])).toEqual({ name: '' }));
    it('inside lists as well', () => expect(tidy([{ a: '', b: 1 }, { a: 'x' }])).toEqual([{ b: 1 }, { a: 'x' }]));
});

describe('facets', () => {
    const facets = { facets: [], forRole: { display: ['size', 'panel'] } } as unknown as Facets;
    it('come first that the role asks for, each once', () =>
        expect(facetsShown(facets, 'display', { facets: { heat: {}, panel: {} } })).toEqual(['size', 'panel', 'heat']));
    it('are those of the part alone for a role that asks for none', () => expect(facetsShown(facets, 'tool', { facets: { heat: {} } })).toEqual(['heat']));
    it('may be missing altogether', () => expect(facetsShown(facets, 'tool', {})).toEqual([]));
});

it('tells groups from lists and nothing', () => {
    expect([{}, [], null, 'x', 3, undefined].map((value) => isGroup(value))).toEqual([true, false, false, false, false, false]);
});

it('gives plain values as text', () => {
    expect([plain('a'), plain(3), plain(null), plain({}), plain(true)]).toEqual(['a', '3', '', '', '']);
});
