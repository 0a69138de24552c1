import type { FitBox } from '../../api/client';

export type Axis = 0 | 1 | 2;

/** A drawing seen along one axis: which axis runs to the right on paper, which one down. */
export interface View {
    name: 'face' | 'side' | 'end';
    title: string;
    across: Axis;
    down: Axis;
}

export const views: readonly View[] = [
    { name: 'face', title: 'From the front', across: 0, down: 1 },
    { name: 'side', title: 'From the right', across: 2, down: 1 },
    { name: 'end', title: 'From below', across: 0, down: 2 },
];

export type Place = [number, number, number];

const round = (mm: number) => Math.round(mm * 10) / 10;

/** Boxes nearer to whoever looks are drawn last. */
export function nearestLast<T extends { box: FitBox | null }>(pieces: T[], view: View): T[] {
    const away = (3 - view.across - view.down) as Axis;
    const depth = (box: FitBox) => (view.name === 'face' ? -(box[away] ?? 0) : (box[away] ?? 0) + (box[away + 3] ?? 0));
    return [...pieces].sort((a, b) => (a.box === null || b.box === null ? 0 : depth(a.box) - depth(b.box)));
}

/**
 * Where a dragged box comes to rest along one axis: at a wall, at an edge of another box or beside it with the gap that is
 * wanted, when one of them is near; else at the nearest tenth of a millimetre.
 */
export function snapped(at: number, long: number, axis: Axis, others: FitBox[], wall: number | null, gap: number, reach: number): number {
    const stops = [0, ...(wall === null ? [] : [wall - long])];
    for (const box of others) {
        const near = box[axis] ?? 0;
        const far = near + (box[axis + 3] ?? 0);
        stops.push(near, far - long, far + gap, near - long - gap);
    }
    let best = round(at);
    let least = reach;
    for (const stop of stops) {
        const off = Math.abs(stop - at);
        if (off < least) {
            least = off;
            best = stop;
        }
    }
    return Math.round(best * 100) / 100;
}

/** What a key does to a place in a view; null for a key that does nothing. */
export function moved(place: Place, key: string, fine: boolean, view: View): Place | null {
    const step = fine ? 0.1 : 1;
    const next: Place = [...place];
    switch (key) {
        case 'ArrowLeft':
            next[view.across] = round(next[view.across] - step);
            return next;
        case 'ArrowRight':
            next[view.across] = round(next[view.across] + step);
            return next;
        case 'ArrowUp':
            next[view.down] = round(next[view.down] - step);
            return next;
        case 'ArrowDown':
            next[view.down] = round(next[view.down] + step);
            return next;
        default:
            return null;
    }
}

/** A box moved so that its corner lies elsewhere. */
export const shifted = (box: FitBox, from: Place, to: Place): FitBox => [
    (box[0] ?? 0) + to[0] - from[0],
    (box[1] ?? 0) + to[1] - from[1],
    (box[2] ?? 0) + to[2] - from[2],
    box[3] ?? 0,
    box[4] ?? 0,
    box[5] ?? 0,
];

export const placeOf = (box: FitBox): Place => [box[0] ?? 0, box[1] ?? 0, box[2] ?? 0];
