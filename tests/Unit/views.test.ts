import { describe, expect, it } from 'vitest';
import type { FitBox } from '../../resources/js/api/client';
import { moved, nearestLast, shifted, snapped, views } from '../../resources/js/stations/fit/views';

const [face, side, end] = views;
if (face === undefined || side === undefined || end === undefined) throw new Error('a view is missing');

const other: FitBox = [40, 0, 0, 20, 10, 5];

describe('a dragged part', () => {
    it.each([
        ['rests at the near wall', 0.8, 0],
        ['rests at the far wall', 89.3, 90],
        ['rests beside another, a gap away', 28.9, 29.5],
        ['rests behind another, a gap away', 61, 60.5],
        ['lines up with another', 41, 40],
        ['stays where nothing is near, to a tenth', 15.234, 15.2],
    ])('%s', (_, at, rests) => {
        expect(snapped(at, 10, 0, [other], 100, 0.5, 1.5)).toBe(rests);
    });

    it('has no far wall where the body is still to be drawn', () => {
        expect(snapped(89.3, 10, 0, [], null, 0.5, 1.5)).toBe(89.3);
    });
});

describe('keys', () => {
    it('move by a millimetre or a tenth, along the axes of the view', () => {
        expect(moved([1, 2, 3], 'ArrowRight', false, face)).toEqual([2, 2, 3]);
        expect(moved([1, 2, 3], 'ArrowUp', true, face)).toEqual([1, 1.9, 3]);
        expect(moved([1, 2, 3], 'ArrowRight', false, side)).toEqual([1, 2, 4]);
        expect(moved([1, 2, 3], 'ArrowDown', false, end)).toEqual([1, 2, 4]);
        expect(moved([1, 2, 3], 'x', false, face)).toBeNull();
    });
});

describe('what is drawn', () => {
    const piece = (name: string, box: FitBox) => ({ name, box });
    it('has what is nearest on top: the face in front, the right side, the lower edge', () => {
        const near = piece('near', [50, 30, 0, 10, 10, 5]);
        const far = piece('far', [0, 0, 10, 10, 10, 5]);
        const names = (pieces: { name: string }[]) => pieces.map((one) => one.name);
        expect(names(nearestLast([near, far], face))).toEqual(['far', 'near']);
        expect(names(nearestLast([near, far], side))).toEqual(['far', 'near']);
        expect(names(nearestLast([near, far], end))).toEqual(['far', 'near']);
    });

    it('moves as a whole', () => {
        expect(shifted([10, 10, 0, 4, 4, 4], [8, 8, 0], [9, 8, 2])).toEqual([11, 10, 2, 4, 4, 4]);
    });
});
