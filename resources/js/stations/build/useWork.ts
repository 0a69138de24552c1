import { useState } from 'react';
import { api, Problem, type Build } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';

/** Tells what is decided about the steps, and keeps the complaint when it cannot be. */
export function useWork() {
    const { edit, busy } = useOpenBuild();
    const [complaint, setComplaint] = useState<Problem | null>(null);
    const tell = async (did: string, more: Record<string, unknown> = {}): Promise<boolean> => {
        const answer = await edit((path, version) => api.post<Build>(`${path}/work`, { version, did, ...more }));
        setComplaint(answer instanceof Problem ? answer : null);
        return !(answer instanceof Problem);
    };
    return { tell, busy, complaint };
}
