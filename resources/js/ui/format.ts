import type { Vitals } from '../api/client';

const plain = new Intl.NumberFormat('en-GB', { maximumFractionDigits: 1 });
const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });
const dayWithYear = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' });

export const number = (value: number): string => plain.format(value);

const hours = (value: number): string => (value >= 10 ? String(Math.round(value)) : number(value));

export function date(text: string | null): string {
    if (text === null) return '–';
    const when = new Date(`${text.slice(0, 10)}T00:00:00Z`);
    return (when.getUTCFullYear() === new Date().getUTCFullYear() ? day : dayWithYear).format(when);
}

export const runTime = ({ leastHours, usualHours, mostHours, fromPack }: Vitals['runTime']): string =>
    !fromPack
        ? 'no pack'
        : leastHours === null || mostHours === null || usualHours === null
          ? 'unknown'
          : `${hours(usualHours)} h (${hours(leastHours)} to ${hours(mostHours)})`;

export const size = ({ sidesMm, estimated }: Vitals['size']): string =>
    sidesMm.length === 0 ? 'unknown' : `${estimated ? '≈' : ''}${sidesMm.map((side) => Math.round(side)).join('×')}`;

export const mass = ({ grams, unweighed }: Vitals['mass']): string =>
    `${unweighed > 0 ? '≥' : ''}${grams >= 1000 ? `${number(grams / 1000)} kg` : `${Math.round(grams)} g`}`;

export const finish = ({ on }: Vitals['finish']): string => (on === null ? 'unknown' : date(on));

export function capital(words: string): string {
    return words.charAt(0).toUpperCase() + words.slice(1);
}

/** A number as it is typed, with a comma or a point, its unit behind or not; NaN when it is none. */
export const asNumber = (typed: string): number =>
    /\d/.test(typed)
        ? Number(
              typed
                  .trim()
                  .replace(/\s*[a-zµ%]+$/i, '')
                  .replace(',', '.'),
          )
        : NaN;
