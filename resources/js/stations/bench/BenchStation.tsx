import { useQuery } from '@tanstack/react-query';
import { Tabs } from 'radix-ui';
import { useSearchParams } from 'react-router';
import { api, type Bench } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Measure } from './Measure';
import { Readings } from './Readings';
import { Against } from './Against';

const leaves = [
    ['measure', 'Measure'],
    ['readings', 'Readings'],
    ['tests', 'Against the prediction'],
] as const;

/** Where figures come from: the meter's word beside the sheet's. Large enough to read at arm's length. */
export default function BenchStation() {
    const { build } = useOpenBuild();
    const [asked, setAsked] = useSearchParams();
    const leaf = asked.get('leaf') ?? 'measure';
    const bench = useQuery({
        queryKey: ['bench', build.id, build.version],
        queryFn: () => api.get<Bench>(`/builds/${build.id}/bench`),
        placeholderData: (before) => before,
    });
    const to = (next: string) => setAsked({ leaf: next }, { replace: true });
    return (
        <main className="px-4 sm:px-6">
            <h2 className="mb-2 text-xl">Bench</h2>
            <Tabs.Root value={leaf} onValueChange={to}>
                <Tabs.List aria-label="Leaves of Bench" className="mb-4 flex flex-wrap gap-x-5 gap-y-1 border-b border-ink">
                    {leaves.map(([value, words]) => (
                        <Tabs.Trigger
                            key={value}
                            value={value}
                            className="-mb-px min-h-11 border-b-[3px] border-transparent text-lg font-semibold text-pen data-[state=active]:border-pen data-[state=active]:text-ink"
                        >
                            {words}
                            {value === 'readings' && bench.data !== undefined && bench.data.readings.length > 0 && (
                                <span className="figures ml-1 text-sm">({bench.data.readings.length})</span>
                            )}
                        </Tabs.Trigger>
                    ))}
                </Tabs.List>
                <Tabs.Content value={leaf} tabIndex={-1}>
                    {bench.isError && <p role="alert">{bench.error.message}</p>}
                    {leaf === 'measure' && (
                        <Measure
                            profiles={bench.data?.profiles ?? []}
                            sweeps={bench.data?.sweeps ?? {}}
                            onWritten={() => setAsked((now) => ((now.get('leaf') ?? 'measure') === 'measure' ? { leaf: 'readings' } : now), { replace: true })}
                        />
                    )}
                    {leaf === 'readings' && bench.data !== undefined && <Readings bench={bench.data} />}
                    {leaf === 'tests' && bench.data !== undefined && <Against bench={bench.data} />}
                </Tabs.Content>
            </Tabs.Root>
        </main>
    );
}
