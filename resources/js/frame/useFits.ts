import { useQuery } from '@tanstack/react-query';
import { api, type Finding } from '../api/client';
import { useOpenBuild } from './useBuild';

/** What a finding says; the sentences of what fits are fetched once somebody wants to read them. */
export function useFits(): (finding: Finding) => string {
    const { build } = useOpenBuild();
    const found = useQuery({
        queryKey: ['fits', build.id, build.version],
        queryFn: () => api.get<{ fits: Record<string, string> }>(`/builds/${build.id}/fits`),
    });
    return (finding) => finding.says ?? found.data?.fits[finding.key] ?? (found.isError ? found.error.message : '…');
}
