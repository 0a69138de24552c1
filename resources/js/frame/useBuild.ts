import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, useCallback, useContext, useRef } from 'react';
import { useNotices } from '../ui/Notices';
import { api, Problem, type Build, type Vitals } from '../api/client';

export type Edit = (version: number) => Promise<Build>;

/** The build on the page, and the one way to change it. */
export interface OpenBuild {
    build: Build;
    before: Vitals | null;
    /** Sends one edit; edits wait for each other, so that each is made on the newest version. Says false when it was not taken. */
    edit: (edit: (path: string, version: number) => Promise<Build>) => Promise<Build | Problem>;
    busy: boolean;
}

export const OpenBuildContext = createContext<OpenBuild | null>(null);

export function useOpenBuild(): OpenBuild {
    const open = useContext(OpenBuildContext);
    if (open === null) throw new Error('a station is shown without a build');
    return open;
}

export function useBuildQuery(id: string) {
    return useQuery({ queryKey: ['build', id], queryFn: () => api.get<Build>(`/builds/${id}`), staleTime: Infinity });
}

export function useEdit(id: string) {
    const cache = useQueryClient();
    const notices = useNotices();
    const before = useRef<Vitals | null>(null);
    const queue = useRef<Promise<unknown>>(Promise.resolve());
    const mutation = useMutation({
        mutationFn: async (edit: (path: string, version: number) => Promise<Build>) => {
            const current = cache.getQueryData<Build>(['build', id]);
            if (current === undefined) throw new Problem('away', 'The build is not loaded yet.');
            const after = await edit(`/builds/${id}`, current.version);
            before.current = current.appraisal.vitals;
            return after;
        },
        onSuccess: (after) => {
            cache.setQueryData(['build', id], after);
            void cache.invalidateQueries({ queryKey: ['builds'] });
        },
    });
    const { mutateAsync } = mutation;
    const edit = useCallback(
        (change: (path: string, version: number) => Promise<Build>): Promise<Build | Problem> => {
            const turn = queue.current.then(async () => {
                try {
                    return await mutateAsync(change);
                } catch (error) {
                    const problem = error instanceof Problem ? error : new Problem('broken', 'The page broke while saving. What you typed is still here.');
                    if (problem.fresh !== null) {
                        cache.setQueryData(['build', id], problem.fresh);
                    }
                    if (problem.code !== 'bad-input') {
                        notices.say(problem.message, 'bad');
                    }
                    return problem;
                }
            });
            queue.current = turn;
            return turn;
        },
        [cache, id, mutateAsync, notices],
    );
    return { edit, before, busy: mutation.isPending };
}
