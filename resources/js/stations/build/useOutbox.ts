import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { api, Problem, type Build, type StepEvent } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { newKey, putIn, refuse, takeOut, waiting, type Waiting } from './outbox';

export interface Result {
    id: string;
    result: 'taken' | 'already' | 'kept' | 'unread' | 'failed';
    says: string;
}

interface Answer {
    build: Build;
    results: Result[];
}

/** What was taken in, and the version of the build that holds it. */
type Taken = Waiting & { since: number };

const retryAfterMs = 8000;

const now = () => {
    const at = new Date();
    const two = (value: number) => String(value).padStart(2, '0');
    return { on: `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`, at: `${two(at.getHours())}:${two(at.getMinutes())}` };
};

const sendable = (id: string) => waiting(id).filter((one) => one.refused === null);

/** Sends what waits, in its order; what was refused stays, with the reason. */
async function sendWaiting(id: string, onBuild: (build: Build) => void): Promise<{ results: Result[]; counted: Taken[]; isAway: boolean }> {
    const results: Result[] = [];
    const counted: Taken[] = [];
    for (let next = sendable(id); next.length > 0; next = sendable(id)) {
        // One with a photograph goes alone, so that a large one holds up nothing else.
        const alone = next.findIndex((one) => one.event.photo !== undefined);
        const batch = alone === 0 ? next.slice(0, 1) : next.slice(0, alone === -1 ? 50 : Math.min(alone, 50));
        try {
            const answer = await api.post<Answer>(`/builds/${id}/record`, { events: batch.map((one) => one.event) });
            takeOut(
                id,
                batch.map((one) => one.event.id),
            );
            onBuild(answer.build);
            results.push(...answer.results);
            for (const { event } of batch) {
                const result = answer.results.find((one) => one.id === event.id)?.result;
                if (result === 'failed') counted.push({ event: { ...event, did: 'failed' }, refused: null, since: answer.build.version });
                else if (result === 'taken' || result === 'already') counted.push({ event, refused: null, since: answer.build.version });
            }
        } catch (error) {
            const problem = error instanceof Problem ? error : new Problem('broken', 'It could not be sent.');
            if (problem.code !== 'bad-input') return { results, counted, isAway: true };
            for (const one of batch) refuse(id, one.event.id, Object.values(problem.fields)[0]?.[0] ?? problem.message);
        }
    }
    return { results, counted, isAway: false };
}

/** Writes down what happens at the bench: at once when the network is there, else as soon as it is back. Nothing is sent twice that was taken. */
export function useOutbox() {
    const { build } = useOpenBuild();
    const cache = useQueryClient();
    const [open, setOpen] = useState<Waiting[]>(() => waiting(build.id));
    const [away, setAway] = useState(false);
    const [taken, setTaken] = useState<Taken[]>([]);
    const [told, setTold] = useState<Result[]>([]);
    const sending = useRef<Promise<Result[]> | null>(null);
    const id = build.id;

    const sendAll = useCallback(async (): Promise<Result[]> => {
        const { results, counted, isAway } = await sendWaiting(id, (after) => cache.setQueryData(['build', id], after));
        setAway(isAway);
        setTaken((before) => [...before, ...counted]);
        setTold((before) => [...before, ...results.filter((one) => one.says !== '')]);
        setOpen(waiting(id));
        if (results.length > 0) void cache.invalidateQueries({ queryKey: ['record', id] });
        return results;
    }, [cache, id]);

    /** One sending at a time; who asks meanwhile waits for it and sends what came since. */
    const send = useCallback((): Promise<Result[]> => {
        sending.current = (sending.current ?? Promise.resolve([])).then(sendAll, sendAll);
        return sending.current;
    }, [sendAll]);

    useEffect(() => {
        const again = () => void send();
        window.addEventListener('online', again);
        const timer = setInterval(() => waiting(id).some((one) => one.refused === null) && again(), retryAfterMs);
        if (waiting(id).length > 0) again();
        return () => {
            window.removeEventListener('online', again);
            clearInterval(timer);
        };
    }, [id, send]);

    const write = useCallback(
        async (events: Omit<StepEvent, 'id' | 'on' | 'at'>[]): Promise<Result[]> => {
            const ids = events.map((event) => {
                const key = newKey();
                putIn(id, { ...event, id: key, ...now() });
                return key;
            });
            setOpen(waiting(id));
            const results = await send();
            // Who wrote it is told there; only what comes of older entries is told above.
            setTold((before) => before.filter((one) => !ids.includes(one.id)));
            return results.filter((one) => ids.includes(one.id));
        },
        [id, send],
    );

    const forget = useCallback(
        (key: string) => {
            takeOut(id, [key]);
            setOpen(waiting(id));
        },
        [id],
    );

    /** What was taken counts on the page until the plan that holds it has come. */
    const arrived = useCallback(
        (version: number) => setTaken((before) => (before.some((one) => one.since <= version) ? before.filter((one) => one.since > version) : before)),
        [],
    );

    const hear = useCallback((key: string) => setTold((before) => before.filter((one) => one.id !== key)), []);

    return { waiting: open, taken, arrived, told, hear, away, write, forget, send };
}

export type Outbox = ReturnType<typeof useOutbox>;
