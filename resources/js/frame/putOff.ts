/** What was put off in an interview, and why, by "line figure"; kept on this device until it is answered. */
export type PutOff = Record<string, { why: string; on: string }>;

const place = (build: string) => `pocketplot.put-off.${build}`;

export const reasons = ['I have to measure it', 'I asked its maker', 'I do not have it yet', 'no reason'] as const;

/** What a figure of a line is kept under. */
export const keyOf = (one: { line: string; figure: string }) => `${one.line} ${one.figure}`;

export function readPutOff(build: string): PutOff {
    try {
        const kept: unknown = JSON.parse(localStorage.getItem(place(build)) ?? '{}');
        return typeof kept === 'object' && kept !== null ? (kept as PutOff) : {};
    } catch {
        return {};
    }
}

/** Keeps the reason; what is not open any more is forgotten. */
export function keepPutOff(build: string, kept: PutOff, open: string[]): PutOff {
    const left = Object.fromEntries(Object.entries(kept).filter(([key]) => open.includes(key)));
    try {
        localStorage.setItem(place(build), JSON.stringify(left));
    } catch {
        // Without room on the device it is forgotten with the panel.
    }
    return left;
}
