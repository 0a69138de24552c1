import { useCallback, useEffect, useRef, useState } from 'react';
import type { Arrangement, ArrangeLine, Thinner } from '../../api/client';
import { readLines } from '../../api/stream';
import { useOpenBuild } from '../../frame/useBuild';

export interface Looking {
    state: 'idle' | 'looking' | 'done' | 'stopped';
    styles: { style: Arrangement['style']; says: string }[];
    share: Partial<Record<Arrangement['style'], number>>;
    found: Arrangement[];
    same: Partial<Record<Arrangement['style'], Arrangement['style']>>;
    nowhere: string[];
    thinner: Thinner[];
    problem: string | null;
    /** The style of the best of them. */
    best: Arrangement['style'] | null;
    /** The version of the build that it looks at. */
    version: number;
}

const idle: Looking = { state: 'idle', styles: [], share: {}, found: [], same: {}, nowhere: [], thinner: [], problem: null, best: null, version: 0 };

/** Has arrangements looked for; what was found so far stays when it is stopped. */
export function useArrange() {
    const { build } = useOpenBuild();
    const [looking, setLooking] = useState<Looking>(idle);
    const stop = useRef<AbortController | null>(null);
    useEffect(() => () => stop.current?.abort(), []);
    const start = useCallback(
        (aim: Arrangement['aim'], seconds: number, seed: number) => {
            stop.current?.abort();
            const control = new AbortController();
            stop.current = control;
            setLooking({ ...idle, state: 'looking', version: build.version });
            const hear = (line: ArrangeLine) => setLooking((now) => heard(now, line));
            readLines<ArrangeLine>(`/builds/${build.id}/fit/arrangements?aim=${aim}&seconds=${seconds}&seed=${seed}`, hear, control.signal)
                .then(() => setLooking((now) => (now.state === 'looking' ? { ...now, state: 'done' } : now)))
                .catch((error: unknown) => {
                    if (control.signal.aborted) setLooking((now) => ({ ...now, state: 'stopped' }));
                    else setLooking((now) => ({ ...now, state: 'done', problem: error instanceof Error ? error.message : 'It was broken off.' }));
                });
        },
        [build.id, build.version],
    );
    return { looking, start, stop: () => stop.current?.abort(), isOld: looking.state !== 'idle' && looking.version !== build.version };
}

function heard(now: Looking, line: ArrangeLine): Looking {
    const next = { ...now };
    if (line.styles !== undefined) next.styles = line.styles;
    if (line.style !== undefined && line.share !== undefined) next.share = { ...now.share, [line.style]: line.share };
    if (line.style !== undefined && line.share === undefined) next.share = { ...now.share, [line.style]: 1 };
    if (line.found !== undefined) next.found = [...now.found, line.found];
    if (line.style !== undefined && line.sameAs !== undefined) next.same = { ...now.same, [line.style]: line.sameAs };
    if (line.goesNowhere !== undefined) next.nowhere = [...new Set([...now.nowhere, ...line.goesNowhere])];
    if (line.thinner != null) next.thinner = line.thinner;
    if (line.best != null) next.best = line.best;
    return next;
}
