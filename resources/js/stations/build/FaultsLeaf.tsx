import { useQuery } from '@tanstack/react-query';
import { api, type Fault, type Plan } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { FaultCard } from './FaultCard';
import type { Outbox } from './useOutbox';

/** Tests that did not pass: who may have done it, what to look at next, and the way back to it. */
export function FaultsLeaf({ outbox }: { plan: Plan; outbox: Outbox }) {
    const { build } = useOpenBuild();
    const faults = useQuery({
        queryKey: ['faults', build.id, build.version],
        queryFn: () => api.get<{ faults: Fault[] }>(`/builds/${build.id}/faults`),
        placeholderData: (before) => before,
    });
    if (faults.isError) return <p role="alert">{faults.error.message}</p>;
    if (faults.data === undefined) return <p className="text-pencil">Looking …</p>;
    if (faults.data.faults.length === 0) {
        return (
            <p className="dot-grid border border-dashed border-edge p-6">
                No test has failed. When one does, it stands here: the likeliest causes, the one thing to measure next that halves them, and the fewest steps to
                take back to get there.
            </p>
        );
    }
    return (
        <ul className="grid gap-6">
            {faults.data.faults.map((fault) => (
                <li key={fault.id}>
                    <FaultCard fault={fault} outbox={outbox} />
                </li>
            ))}
        </ul>
    );
}
