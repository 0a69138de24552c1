import { useState } from 'react';
import type { Plan } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { date, number } from '../../ui/format';
import { EveningBand } from './EveningBand';
import { EveningsForm } from './EveningsForm';
import { PlanNotes } from './PlanNotes';
import { StepForm } from './StepForm';
import { StepRow } from './StepRow';
import type { Outbox } from './useOutbox';
import { useWork } from './useWork';

/** Whether a step may change places with the one beside it: nothing links them. */
const mayPass = (plan: Plan, first: string, second: string) =>
    plan.steps.find((one) => one.id === second)?.before.every((link) => link.from !== first) ?? false;

/** The whole sequence, evening by evening. */
export function PlanLeaf({ plan }: { plan: Plan; outbox: Outbox }) {
    const { build } = useOpenBuild();
    const { tell, complaint } = useWork();
    const [form, setForm] = useState<'evenings' | 'step' | null>(null);
    const dated = new Set(plan.evenings.flatMap((one) => one.steps));
    const done = plan.steps.filter((step) => step.state === 'done');
    const undated = plan.steps.filter((step) => step.state !== 'done' && !dated.has(step.id));
    const open = plan.steps.filter((step) => step.state !== 'done').map((step) => step.id);
    const chain = new Set(plan.chain.steps);
    const move = (id: string, by: -1 | 1) => {
        const at = open.indexOf(id);
        const other = open[at + by];
        if (other === undefined) return;
        const order = [...open];
        order[at] = other;
        order[at + by] = id;
        void tell('order', { order });
    };
    const place = (id: string, before: string) => {
        const order = open.filter((one) => one !== id);
        order.splice(order.indexOf(before), 0, id);
        void tell('order', { order });
    };
    const row = (id: string) => {
        const step = plan.steps.find((one) => one.id === id);
        if (step === undefined) return null;
        const at = open.indexOf(id);
        return (
            <StepRow
                key={id}
                step={step}
                plan={plan}
                number={plan.steps.indexOf(step) + 1}
                decides={chain.has(id)}
                tell={tell}
                onMove={move}
                onPlace={place}
                canMoveUp={at > 0 && mayPass(plan, open[at - 1] ?? '', id)}
                canMoveDown={at >= 0 && at < open.length - 1 && mayPass(plan, id, open[at + 1] ?? '')}
            />
        );
    };
    return (
        <>
            <div className="mb-3 flex flex-wrap items-start justify-between gap-x-6 gap-y-2">
                <Summary plan={plan} />
                <div className="flex flex-wrap items-center gap-2">
                    <Button onClick={() => setForm('evenings')}>Evenings</Button>
                    <Button onClick={() => setForm('step')}>Add a step</Button>
                    {plan.isOwnOrder && <Button onClick={() => void tell('order', { order: [] })}>Let the order be found again</Button>}
                    <a className="min-h-9 py-1.5 text-sm font-semibold text-pen hover:underline" href={`/api/builds/${build.id}/evenings.ics`} download>
                        For a calendar (.ics)
                    </a>
                </div>
            </div>
            {complaint !== null && <p role="alert">{Object.values(complaint.fields)[0]?.[0] ?? complaint.message}</p>}
            <PlanNotes plan={plan} tell={tell} />
            {done.length > 0 && (
                <details className="mb-4 border-b border-line">
                    <summary className="min-h-10 cursor-pointer py-2 font-semibold text-pen">
                        {done.length} {done.length === 1 ? 'step' : 'steps'} done
                    </summary>
                    <ol>{done.map((step) => row(step.id))}</ol>
                </details>
            )}
            {plan.evenings.map((evening) => (
                <EveningBand key={evening.on} evening={evening}>
                    {evening.steps.map(row)}
                </EveningBand>
            ))}
            {undated.length > 0 && (
                <section className="mb-5">
                    <h3 className="border-b-2 border-dashed border-ink text-lg">Nobody knows when</h3>
                    <p className="text-sm text-pencil">They wait for something that has no day yet. Under Buy, an order or a day tells more.</p>
                    <ol>{undated.map((step) => row(step.id))}</ol>
                </section>
            )}
            {form === 'evenings' && <EveningsForm plan={plan} onClose={() => setForm(null)} />}
            {form === 'step' && <StepForm plan={plan} onClose={() => setForm(null)} />}
        </>
    );
}

/** When it is finished, what decides that, and how good the order is. */
function Summary({ plan }: { plan: Plan }) {
    const { build } = useOpenBuild();
    const parcel = build.lines.find((line) => line.id === plan.chain.parcel)?.part.name;
    const first = plan.steps.find((step) => step.id === plan.chain.steps[0])?.title;
    return (
        <div className="max-w-prose">
            <p className="text-lg">
                {plan.finish === null ? 'Nobody can name the last day yet' : <>Finished {date(plan.finish)}</>}, {plan.eveningsCount}{' '}
                {plan.eveningsCount === 1 ? 'evening' : 'evenings'}, about {number(plan.minutesLeft / 60)} h at the bench.
            </p>
            {plan.chain.steps.length > 0 && (
                <p className="text-sm text-pencil">
                    What decides the day begins with {parcel === undefined ? `“${first ?? ''}”` : `the parcel with ${parcel}`} and is marked with a heavy edge.
                </p>
            )}
            <p className="text-sm text-pencil">
                {plan.isOwnOrder
                    ? 'The order is yours, as far as the steps allow.'
                    : plan.isProved
                      ? 'No order is finished sooner, with fewer changes of tool or on fewer evenings: proved.'
                      : `The best order found: ${plan.changes} changes of tool. No order can be finished before ${date(plan.bound.finish)}, with fewer than ${plan.bound.changes} changes or in fewer than ${plan.bound.evenings} evenings.`}
            </p>
        </div>
    );
}
