import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, Problem, type Build, type Fit } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';

const keyOf = (id: string, version: number) => ['fit', id, version] as const;

/** Where the pieces of the open build lie; the last answer stays on the page while the next one comes. */
export function useFit() {
    const { build } = useOpenBuild();
    return useQuery({
        queryKey: keyOf(build.id, build.version),
        queryFn: () => api.get<Fit>(`/builds/${build.id}/fit`),
        placeholderData: (before) => before,
    });
}

export type Tell = (did: string, more?: Record<string, unknown>) => Promise<boolean>;

/** Whole arrangements are given up by these: they can be had back. */
const sweeping = ['take', 'clear', 'out', 'split'];

const written = (fit: Fit) =>
    fit.pieces.flatMap(({ line, piece, pose }) =>
        pose === null ? [] : [{ line, piece, xMm: pose.xMm, yMm: pose.yMm, zMm: pose.zMm, turn: pose.turn, pinned: pose.pinned }],
    );

/** Tells what is done with the pieces; the answer holds the build and its new dry fit. */
export function useTell(): { tell: Tell; busy: boolean; complaint: Problem | null; back: (() => void) | null } {
    const { build, edit, busy } = useOpenBuild();
    const cache = useQueryClient();
    const [complaint, setComplaint] = useState<Problem | null>(null);
    const [before, setBefore] = useState<Fit | null>(null);
    const tell: Tell = async (did, more = {}) => {
        const was = cache.getQueryData<Fit>(keyOf(build.id, build.version)) ?? null;
        const answer = await edit(async (path, version) => {
            const said = await api.post<{ build: Build; fit: Fit }>(`${path}/fit`, { version, did, ...more });
            cache.setQueryData(keyOf(build.id, said.build.version), said.fit);
            return said.build;
        });
        setComplaint(answer instanceof Problem ? answer : null);
        if (!(answer instanceof Problem)) setBefore(sweeping.includes(did) ? was : null);
        return !(answer instanceof Problem);
    };
    const isWorthIt = before?.pieces.some((piece) => piece.pose !== null) === true;
    return { tell, busy, complaint, back: before !== null && isWorthIt ? () => void tell('take', { poses: written(before), split: before.split }) : null };
}
