import type { Facets } from '../api/client';

/** What a field holds while it is edited; figures are typed text beside their source and day. */
export type Raw = null | boolean | number | string | Raw[] | { [key: string]: Raw };
export type Group = { [key: string]: Raw };

export interface TypedFigure {
    typed: string;
    source: string;
    on: string;
}

const shownUnit = (kind: string) => (kind === 'share' ? '%' : kind === 'mm±' ? 'mm' : kind);

export const isGroup = (value: Raw | undefined): value is Group => typeof value === 'object' && value !== null && !Array.isArray(value);

/** A stored figure as text that reads back to the same figure. */
export function figureText(value: Raw | undefined, kind: string): TypedFigure {
    const times = kind === 'share' ? 100 : 1;
    const words = (numbers: number[]) =>
        `${numbers.map((one) => String(Number((one * times).toPrecision(12)))).join(numbers.length === 3 ? ' / ' : ' to ')} ${shownUnit(kind)}`.trim();
    if (typeof value === 'number') return { typed: words([value]), source: 'listing', on: '' };
    if (!isGroup(value) || value.source === 'unknown') return { typed: '', source: 'datasheet', on: '' };
    const source = typeof value.source === 'string' ? value.source : 'listing';
    const on = typeof value.on === 'string' ? value.on : '';
    const { value: one, least, usual, most } = value;
    if (typeof one === 'number') return { typed: words([one]), source, on };
    if (typeof least !== 'number' || typeof most !== 'number') return { typed: '', source, on };
    return { typed: words(typeof usual === 'number' && Math.abs(usual - (least + most) / 2) > 1e-9 ? [least, usual, most] : [least, most]), source, on };
}

/** Facets that the role asks for first, then those the part has besides. */
export function facetsShown(facets: Facets, role: string, spec: Group): string[] {
    const held = isGroup(spec.facets) ? Object.keys(spec.facets) : [];
    return [...new Set([...(facets.forRole[role] ?? []), ...held])];
}

/** A plain value as text; groups have none. */
export const plain = (value: Raw | undefined): string => (typeof value === 'string' || typeof value === 'number' ? String(value) : '');

export const emptyGroup = (): Group => ({});

/** Leaves out fields and facets that nobody filled, so that a part says only what is known. */
export function tidy(value: Raw, keep: readonly string[] = []): Raw {
    if (Array.isArray(value)) return value.map((one) => tidy(one));
    if (!isGroup(value)) return value;
    const left: Group = {};
    for (const [key, inner] of Object.entries(value)) {
        const tidied = tidy(inner);
        const isEmpty =
            tidied === null || tidied === '' || (Array.isArray(tidied) && tidied.length === 0) || (isGroup(tidied) && Object.keys(tidied).length === 0);
        if (!isEmpty || keep.includes(key)) left[key] = tidied;
    }
    return left;
}
