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

const retryAfterMs = 8000;

const now = () => {
    const at = new Date();
    const two = (value: number) => String(value).padStart(2, '0');
    return { on: `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`, at: `${two(at.getHours())}:${two(at.getMinutes())}` };
};

const sendable = (id: string) => waiting(id).filter((one) => one.refused === null);

/** Sends what waits, in its order; what was refused stays, with the reason. */
async function sendWaiting(id: string, onBuild: (build: Build) => void): Promise<{ results: Result[]; isAway: boolean }> {
    const results: Result[] = [];
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
        } catch (error) {
            const problem = error instanceof Problem ? error : new Problem('broken', 'It could not be sent.');
            if (problem.code !== 'bad-input') return { results, isAway: true };
            for (const one of batch) refuse(id, one.event.id, Object.values(problem.fields)[0]?.[0] ?? problem.message);
        }
    }
    return { results, isAway: false };
}

/** Writes down what happens at the bench: at once when the network is there, else as soon as it is back. Nothing is sent twice that was taken. */
export function useOutbox() {
    const { build } = useOpenBuild();
    const cache = useQueryClient();
    const [open, setOpen] = useState<Waiting[]>(() => waiting(build.id));
    const [away, setAway] = useState(false);
    const sending = useRef<Promise<Result[]> | null>(null);
    const id = build.id;

    const sendAll = useCallback(async (): Promise<Result[]> => {
        const { results, isAway } = await sendWaiting(id, (after) => cache.setQueryData(['build', id], after));
        setAway(isAway);
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

    return { waiting: open, away, write, forget, send };
}

export type Outbox = ReturnType<typeof useOutbox>;
