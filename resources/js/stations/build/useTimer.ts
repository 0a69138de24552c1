import { useEffect, useState } from 'react';

const keptUnder = (step: string) => `pocketplot.clock.${step}`;

/** A clock for a step; it goes on while the page is closed. */
export function useTimer(step: string) {
    const [since, setSince] = useState<number | null>(() => Number(localStorage.getItem(keptUnder(step))) || null);
    const [seconds, setSeconds] = useState(0);
    useEffect(() => {
        if (since === null) return;
        const tick = () => setSeconds(Math.max(0, Math.round((Date.now() - since) / 1000)));
        tick();
        const timer = setInterval(tick, 1000);
        return () => clearInterval(timer);
    }, [since]);
    return {
        running: since !== null,
        says: since === null && seconds === 0 ? '' : `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`,
        /** Null when the clock was never started. */
        minutes: () => (since === null && seconds === 0 ? null : Math.round(seconds / 60)),
        start: () => {
            const now = Date.now() - seconds * 1000;
            localStorage.setItem(keptUnder(step), String(now));
            setSince(now);
        },
        stop: () => {
            localStorage.removeItem(keptUnder(step));
            setSince(null);
        },
    };
}
