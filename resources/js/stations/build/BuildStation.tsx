import { Tabs } from 'radix-ui';
import { useEffect } from 'react';
import { useSearchParams } from 'react-router';
import { useOpenBuild } from '../../frame/useBuild';
import { LeafTabs } from '../../ui/LeafTabs';
import { FaultsLeaf } from './FaultsLeaf';
import { NowLeaf } from './NowLeaf';
import { withWaiting } from './overlay';
import { PlanLeaf } from './PlanLeaf';
import { RecordLeaf } from './RecordLeaf';
import { SheetLeaf } from './SheetLeaf';
import { useOutbox } from './useOutbox';
import { usePlan } from './usePlan';
import { WaitingSlip } from './WaitingSlip';

const leaves = [
    ['now', 'Now', NowLeaf],
    ['plan', 'Plan', PlanLeaf],
    ['faults', 'Faults', FaultsLeaf],
    ['record', 'Record', RecordLeaf],
    ['sheet', 'On paper', SheetLeaf],
] as const;

/** The work at the bench: one step at a time, the whole plan, what failed, what was done, and sheets for the wall. */
export default function BuildStation() {
    const { build } = useOpenBuild();
    const [asked, setAsked] = useSearchParams();
    const leaf = asked.get('leaf') ?? 'now';
    const outbox = useOutbox();
    const { plan: sent, isError, error, isPlaceholderData } = usePlan();
    const { arrived } = outbox;
    useEffect(() => {
        if (!isPlaceholderData) arrived(build.version);
    }, [arrived, build.version, isPlaceholderData, sent]);
    const plan = sent === undefined ? undefined : withWaiting(sent, [...outbox.taken, ...(outbox.away ? outbox.waiting : [])]);
    return (
        <main className="px-4 sm:px-6">
            <h2 className="mb-2 text-xl print:hidden">Build</h2>
            <Tabs.Root value={leaf} onValueChange={(value) => setAsked(value === 'now' ? {} : { leaf: value }, { replace: true })}>
                <LeafTabs label="Leaves of Build" leaves={leaves} />
                <WaitingSlip outbox={outbox} />
                {isError && <p role="alert">{error.message}</p>}
                {plan === undefined && !isError && <p className="text-pencil">Putting the steps in order …</p>}
                {plan?.steps.length === 0 && (
                    <p className="dot-grid border border-dashed border-edge p-6">
                        No parts, no steps. Once there are parts, the steps stand here in an order that works: what to try first, what to test before going on,
                        which evening.
                    </p>
                )}
                {plan !== undefined &&
                    plan.steps.length > 0 &&
                    leaves.map(([value, , Leaf]) => (
                        <Tabs.Content key={value} value={value} tabIndex={-1}>
                            <Leaf key={build.id} plan={plan} outbox={outbox} />
                        </Tabs.Content>
                    ))}
            </Tabs.Root>
        </main>
    );
}
