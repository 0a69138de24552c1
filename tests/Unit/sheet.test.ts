import { describe, expect, it } from 'vitest';
import type { SheetRow } from '../../resources/js/api/client';
import { areCells, asSent, decided } from '../../resources/js/part-editor/sheet';

const row: SheetRow = {
    row: 3,
    name: 'Brook 5V',
    role: null,
    quantity: 2,
    price: null,
    vendor: '',
    maker: '',
    link: '',
    state: null,
    origin: null,
    note: '',
    text: 'Brook 5V',
    match: { libraryId: 7, name: 'Brook 5 V', isOwn: false },
    finds: [],
    problems: [],
    leftOut: '',
};

describe('rows of a spreadsheet', () => {
    it('tells cells from a text', () => {
        expect(areCells('a\tb\nc\td')).toBe(true);
        expect(areCells('a\tb')).toBe(false);
        expect(areCells('a panel\nfor 12 V\tand\n5 V')).toBe(false);
    });
    it('takes what was matched, unless the builder says that it is another part', () => {
        expect(asSent(row, decided(row, undefined)).part).toBe(7);
        expect(asSent(row, decided(row, { isKnown: false, role: 'regulator' }))).toMatchObject({ part: null, role: 'regulator', quantity: 2 });
    });
    it('leaves out what says why', () => {
        expect(decided({ ...row, leftOut: 'a sum, not a part' }, undefined).take).toBe(false);
    });
});
