import { useQuery } from '@tanstack/react-query';
import { api, Problem, type Plan, type Step } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';

const keptUnder = (id: string) => `pocketplot.plan.${id}`;

function kept(id: string): Plan | undefined {
    try {
        return JSON.parse(localStorage.getItem(keptUnder(id)) ?? 'null') as Plan | undefined;
    } catch {
        return undefined;
    }
}

/** The plan of the open build. The last one that came is kept on this device, so that the bench goes on without the network. */
export function usePlan() {
    const { build } = useOpenBuild();
    const query = useQuery({
        queryKey: ['plan', build.id, build.version],
        queryFn: async () => {
            try {
                const plan = await api.get<Plan>(`/builds/${build.id}/plan`);
                localStorage.setItem(keptUnder(build.id), JSON.stringify(plan));
                return plan;
            } catch (error) {
                const last = kept(build.id);
                if (error instanceof Problem && error.code === 'away' && last != null) return last;
                throw error;
            }
        },
        placeholderData: (before) => before,
    });
    return { ...query, plan: query.data };
}

/** What steps are called: by the lines and by the other steps. */
export function useNames() {
    const { build } = useOpenBuild();
    return {
        line: (id: string) => build.lines.find((one) => one.id === id)?.part.name ?? id,
        arrives: (id: string) => build.lines.find((one) => one.id === id)?.arrivesOn ?? null,
    };
}

export const titleOf = (steps: Step[], id: string) => steps.find((step) => step.id === id)?.title ?? id;
