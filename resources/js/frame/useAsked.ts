import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, type GridCell } from '../api/client';
import { useOpenBuild } from './useBuild';

/** What only one page looks at is asked for by that page, for the version of the build that is open; the last answer stays until the next is there. */
function useAsked<T>(what: string) {
    const { build } = useOpenBuild();
    return useQuery({ queryKey: [what, build.id, build.version], queryFn: () => api.get<T>(`/builds/${build.id}/${what}`), placeholderData: keepPreviousData });
}

export const useGrid = () => useAsked<{ grid: GridCell[] }>('grid');
