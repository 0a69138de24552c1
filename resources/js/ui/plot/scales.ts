import { bisector, extent } from 'd3-array';
import { scaleLinear, type ScaleLinear } from 'd3-scale';

export type Point = readonly [number, number];

export interface Series {
    name: string;
    unit: string;
    /** In rising order of x. */
    points: readonly Point[];
    /** Which of the two scales it is read on. */
    side: 'left' | 'right';
    /** Lines are told apart without colour; "none" is not drawn, but read by the cursor and in the table. */
    line: 'solid' | 'dashed' | 'dotted' | 'none';
    /** Drawn in the accent: the one that matters most. */
    strong?: boolean;
    digits?: number;
}

export type Scale = ScaleLinear<number, number>;

export interface Scales {
    x: Scale;
    left: Scale;
    right: Scale;
}

export const wide = 920;
export const high = 330;
export const room = { left: 54, right: 54, top: 26, bottom: 40 };

const byX = bisector((point: Point) => point[0]);

/** The value at x, straight between two points; null outside of them. */
export function valueAt(points: readonly Point[], x: number): number | null {
    const to = points[byX.left(points, x - 1e-9)];
    const from = points[byX.left(points, x - 1e-9) - 1];
    if (to === undefined) return null;
    if (from === undefined) return Math.abs(to[0] - x) <= 1e-9 ? to[1] : null;
    return scaleLinear([from[0], to[0]], [from[1], to[1]])(x);
}

/** What the lines of one side cover, with a little room; from nought where that is asked. */
export function rangeOf(series: readonly Series[], fromZero: boolean): [number, number] {
    const [least = 0, most = 0] = extent(series.flatMap((one) => one.points.map((point) => point[1])));
    const low = fromZero ? Math.min(0, least) : least;
    const spare = (most - low || Math.abs(most) || 1) * 0.06;
    return [low < 0 || !fromZero ? low - spare : 0, most + spare];
}

/** Both scales stand on their own; one that nothing is read on is that of the other side. */
export function scalesFor(series: readonly Series[]): Scales {
    const of = (side: 'left' | 'right') => series.filter((one) => one.side === side && one.line !== 'none');
    const [left, right] = [of('left'), of('right')];
    const mostX = Math.max(1e-6, ...series.flatMap((one) => one.points.map((point) => point[0])));
    const vertical = (own: readonly Series[], fromZero: boolean) => scaleLinear(rangeOf(own, fromZero), [high - room.bottom, room.top]);
    return {
        x: scaleLinear([0, mostX], [room.left, wide - room.right]),
        left: vertical(left.length > 0 ? left : right, false),
        right: vertical(right.length > 0 ? right : left, true),
    };
}
