import { useState } from 'react';
import { api, Problem, type Build } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';

/** Tells what happened to an order, and keeps the complaint when it cannot be. */
export function useOrder(id: string) {
    const { edit, busy } = useOpenBuild();
    const [complaint, setComplaint] = useState<string | null>(null);
    const tell = async (did: string, more: Record<string, unknown> = {}): Promise<boolean> => {
        const answer = await edit((path, version) => api.post<Build>(`${path}/orders/${id}/did`, { version, did, ...more }));
        setComplaint(answer instanceof Problem ? (Object.values(answer.fields)[0]?.[0] ?? answer.message) : null);
        return !(answer instanceof Problem);
    };
    return { tell, busy, complaint };
}
