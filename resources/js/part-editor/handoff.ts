import type { GivenSheet } from './sheet';

/** What was pasted or chosen on the first page, to be looked through where the list is; taken once. */
let waiting: { pasted: string | null; sheet: GivenSheet | null } | null = null;

export const handOver = (given: { pasted?: string; sheet?: GivenSheet }) => {
    waiting = { pasted: given.pasted ?? null, sheet: given.sheet ?? null };
};

export function takeOver(): { pasted: string | null; sheet: GivenSheet | null } {
    const given = waiting ?? { pasted: null, sheet: null };
    waiting = null;
    return given;
}
