import type { StepEvent } from '../../api/client';

/** What was written down at the bench and has not reached the application yet, kept on this device. */
export interface Waiting {
    event: StepEvent;
    /** Why it was refused; null while it has not been tried, or the network was gone. */
    refused: string | null;
}

const keptUnder = (build: string) => `pocketplot.bench.${build}`;

export function waiting(build: string): Waiting[] {
    try {
        const kept: unknown = JSON.parse(localStorage.getItem(keptUnder(build)) ?? '[]');
        return Array.isArray(kept) ? (kept as Waiting[]) : [];
    } catch {
        return [];
    }
}

function keep(build: string, all: Waiting[]): void {
    if (all.length === 0) localStorage.removeItem(keptUnder(build));
    else localStorage.setItem(keptUnder(build), JSON.stringify(all));
}

/** Puts an entry behind those that wait. Where the device has no room for its photograph, the rest of it is kept. Says whether all of it was. */
export function putIn(build: string, event: StepEvent): boolean {
    const all = waiting(build);
    try {
        keep(build, [...all, { event, refused: null }]);
        return true;
    } catch {
        const bare = { ...event };
        delete bare.photo;
        keep(build, [...all, { event: bare, refused: null }]);
        return event.photo === undefined;
    }
}

export function takeOut(build: string, ids: string[]): void {
    keep(
        build,
        waiting(build).filter((one) => !ids.includes(one.event.id)),
    );
}

export function refuse(build: string, id: string, why: string): void {
    keep(
        build,
        waiting(build).map((one) => (one.event.id === id ? { ...one, refused: why } : one)),
    );
}

/** A key that no other entry has, on this device or another. */
export const newKey = (): string => [...crypto.getRandomValues(new Uint8Array(16))].map((byte) => byte.toString(16).padStart(2, '0')).join('');
