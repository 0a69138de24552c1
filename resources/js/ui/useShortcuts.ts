import { useEffect } from 'react';

export const shortcutsOff = () => localStorage.getItem('pocketplot.shortcuts') === 'off';

export function setShortcutsOff(off: boolean): void {
    localStorage.setItem('pocketplot.shortcuts', off ? 'off' : 'on');
}

/** Single keys, heard only when nobody is typing and no leaf lies over the page. */
export function useShortcuts(keys: Record<string, () => void>): void {
    useEffect(() => {
        const hear = (event: KeyboardEvent) => {
            const at = event.target instanceof HTMLElement ? event.target : null;
            const typing = at?.closest('input, textarea, select, [contenteditable], [role=dialog]') != null;
            if (typing || event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
            if (shortcutsOff() && event.key !== '?') return;
            const run = keys[event.key];
            if (run !== undefined) {
                event.preventDefault();
                run();
            }
        };
        document.addEventListener('keydown', hear);
        return () => document.removeEventListener('keydown', hear);
    }, [keys]);
}
