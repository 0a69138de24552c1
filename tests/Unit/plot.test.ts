import { describe, expect, it } from 'vitest';
import { high, rangeOf, room, scalesFor, valueAt, wide, type Series } from '../../resources/js/ui/plot/scales';

const series = (name: string, side: Series['side'], points: [number, number][], line: Series['line'] = 'solid'): Series => ({
    name,
    unit: 'V',
    side,
    line,
    points,
});

describe('the value under the cursor', () => {
    const points: [number, number][] = [
        [0, 4],
        [1, 3],
        [3, 2],
    ];
    it.each([
        [0, 4],
        [0.5, 3.5],
        [1, 3],
        [2, 2.5],
        [3, 2],
    ])('is straight between two points: at %d it is %d', (x, value) => expect(valueAt(points, x)).toBeCloseTo(value, 6));
    it.each([-0.5, 3.5])('is none outside of them: %d', (x) => expect(valueAt(points, x)).toBeNull());
    it('is none where there are no points', () => expect(valueAt([], 1)).toBeNull());
});

describe('what a scale covers', () => {
    it('leaves a little room above and below', () =>
        expect(
            rangeOf(
                [
                    series('a', 'left', [
                        [0, 3],
                        [1, 4],
                    ]),
                ],
                false,
            ),
        ).toEqual([2.94, 4.06]));
    it('begins at nought where that is asked', () =>
        expect(
            rangeOf(
                [
                    series('a', 'left', [
                        [0, 3],
                        [1, 4],
                    ]),
                ],
                true,
            )[0],
        ).toBe(0));
    it('has room for a line that never moves', () => {
        const [least, most] = rangeOf(
            [
                series('a', 'left', [
                    [0, 5],
                    [1, 5],
                ]),
            ],
            false,
        );
        expect(most - least).toBeGreaterThan(0);
    });
});

describe('the scales', () => {
    const scales = scalesFor([
        series('volts', 'left', [
            [0, 3],
            [2, 4],
        ]),
        series('amps', 'right', [
            [0, 1],
            [2, 2],
        ]),
        series(
            'charge',
            'right',
            [
                [0, 100],
                [4, 0],
            ],
            'none',
        ),
    ]);
    it('span the drawing', () => {
        expect([scales.x(0), scales.x(4)]).toEqual([room.left, wide - room.right]);
        expect(scales.left(4)).toBeLessThan(scales.left(3));
        expect(scales.right(0)).toBe(high - room.bottom);
    });
    it('go by what is drawn', () => expect(scales.right.domain()[1]).toBeLessThan(3));
    it('are one where only one side is read', () =>
        expect(
            scalesFor([
                series('a', 'left', [
                    [0, 1],
                    [1, 2],
                ]),
            ]).right.domain()[1],
        ).toBeCloseTo(2.12, 2));
});
