import { api, Problem, type Build } from '../api/client';
import { useOpenBuild } from './useBuild';

/** Saves fields of a line; answers a complaint, or null when they were taken. */
export function useLineEdit(lineId: string) {
    const { edit } = useOpenBuild();
    return async (fields: Record<string, unknown>): Promise<string | null> => {
        const answer = await edit((path, version) => api.patch<Build>(`${path}/lines/${lineId}`, { version, ...fields }));
        if (!(answer instanceof Problem)) return null;
        return Object.values(answer.fields)[0]?.[0] ?? answer.message;
    };
}
