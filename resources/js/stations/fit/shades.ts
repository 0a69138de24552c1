import { useSyncExternalStore } from 'react';
import type { FitPiece } from '../../api/client';

/** Shade and hatching of a piece by what it is; the name stands on it as well. */
export const shadeOf: Record<FitPiece['kind'], string> = {
    panel: 'color-mix(in srgb, var(--pen) 26%, var(--leaf))',
    control: 'color-mix(in srgb, var(--ink) 36%, var(--leaf))',
    cell: 'color-mix(in srgb, var(--tight) 34%, var(--leaf))',
    coil: 'color-mix(in srgb, var(--missing) 26%, var(--leaf))',
    hot: 'color-mix(in srgb, var(--clash) 22%, var(--leaf))',
    other: 'color-mix(in srgb, var(--edge) 20%, var(--leaf))',
};

export const kindWords: Record<FitPiece['kind'], string> = {
    panel: 'picture',
    control: 'controls',
    cell: 'cells',
    coil: 'coil',
    hot: 'gets warm',
    other: 'other',
};

const listen = (tell: () => void) => {
    const watch = new MutationObserver(tell);
    watch.observe(document.documentElement, { attributes: true, attributeFilter: ['data-light'] });
    return () => watch.disconnect();
};

/** "night" or "day", and anew whenever that is turned. */
export const useLight = () => useSyncExternalStore(listen, () => (document.documentElement.dataset.light === 'night' ? 'night' : 'day'));

/** A colour of the page as red, green and blue that a drawing in the round can use. */
export function inkOf(css: string): string {
    const probe = document.createElement('span');
    probe.style.color = css;
    document.body.append(probe);
    const ink = getComputedStyle(probe).color;
    probe.remove();
    const found = /^color\(srgb ([\d.]+) ([\d.]+) ([\d.]+)/.exec(ink);
    return found === null
        ? ink
        : `rgb(${found
              .slice(1, 4)
              .map((part) => Math.round(Number(part) * 255))
              .join(', ')})`;
}
