/** Volts, amps, watts and hours as they stand on the Power and Bench pages: three digits, unit behind. */
const short = (value: number): string =>
    value === 0 ? '0' : Math.abs(value) >= 100 ? value.toFixed(0) : Math.abs(value) >= 10 ? value.toFixed(1) : value.toFixed(2);

const withUnit = (value: number | null | undefined, unit: string): string => (value === null || value === undefined ? '–' : `${short(value)} ${unit}`);

export const volts = (value: number | null | undefined) => withUnit(value, 'V');

export const amps = (value: number | null | undefined) =>
    value !== null && value !== undefined && Math.abs(value) < 0.1 && value !== 0 ? withUnit(value * 1000, 'mA') : withUnit(value, 'A');

export const watts = (value: number | null | undefined, unit = true) =>
    value === null || value === undefined ? '–' : unit ? withUnit(value, 'W') : short(value);

export const percent = (share: number) => `${(share * 100).toFixed(share < 0.1 ? 1 : 0)} %`;

/** Hours and minutes, as one says them. */
export function hours(value: number | null | undefined): string {
    if (value === null || value === undefined) return 'unknown';
    const minutes = Math.round(value * 60);
    return minutes < 60
        ? `${minutes} min`
        : minutes >= 6000
          ? `${Math.round(value)} h`
          : minutes % 60 === 0
            ? `${minutes / 60} h`
            : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
}
