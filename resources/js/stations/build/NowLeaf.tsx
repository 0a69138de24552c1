import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Plan } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { number } from '../../ui/format';
import { doable } from './overlay';
import { StepCard } from './StepCard';
import type { Outbox } from './useOutbox';
import { useNames } from './usePlan';

/** One step at a time, large enough for dirty fingers. */
export function NowLeaf({ plan, outbox }: { plan: Plan; outbox: Outbox }) {
    const { build } = useOpenBuild();
    const [asked, setAsked] = useSearchParams();
    const [later, setLater] = useState<string[]>([]);
    const [lies, setLies] = useState<string | null>(null);
    const open = doable(plan);
    const now = [...open.filter((step) => !later.includes(step.id)), ...open.filter((step) => later.includes(step.id))];
    const step = plan.steps.find((one) => one.id === asked.get('step')) ?? open.find((one) => one.id === lies) ?? now[0];
    // What lies on the bench stays there, even when a better order is found meanwhile.
    if (step !== undefined && step.id !== lies) setLies(step.id);
    const done = plan.steps.filter((one) => one.state === 'done').length;
    // Who has turned to another leaf or page meanwhile stays there; the address knows it first, before anything is drawn.
    const show = (id: string | null) => {
        const { pathname, search } = window.location;
        if (pathname.endsWith('/build') && !new URLSearchParams(search).has('leaf')) setAsked(id === null ? {} : { step: id }, { replace: true });
    };
    return (
        <div className="mx-auto max-w-2xl">
            <p className="mb-2 flex flex-wrap items-baseline justify-between gap-x-4 text-pencil">
                <span>
                    {done} of {plan.steps.length} steps done, about {number(Math.max(0, plan.minutesLeft / 60))} h left
                </span>
                {plan.steps.some((one) => one.state === 'failed') && (
                    <Link className="inline-block min-h-9 py-1.5 font-semibold text-clash underline" to="?leaf=faults">
                        Something failed: find the cause
                    </Link>
                )}
            </p>
            <div className="mb-3 h-2 border border-ink" aria-hidden="true">
                <div className="h-full bg-ink" style={{ width: `${(100 * done) / plan.steps.length}%` }} />
            </div>
            {step === undefined ? (
                <Nothing plan={plan} />
            ) : (
                <StepCard
                    key={step.id}
                    step={step}
                    plan={plan}
                    outbox={outbox}
                    onNext={() => show(null)}
                    onFailed={() => show(step.id)}
                    onLater={() => {
                        setLater((all) => [...all.filter((id) => id !== step.id), step.id]);
                        setLies(now.find((one) => one.id !== step.id)?.id ?? null);
                        show(null);
                    }}
                />
            )}
            {now.filter((one) => one.id !== step?.id).length > 0 && (
                <section className="mt-6">
                    <h3 className="mb-1 text-lg">Can be done now as well</h3>
                    <ul>
                        {now
                            .filter((one) => one.id !== step?.id)
                            .map((one) => (
                                <li key={one.id} className="border-t border-line">
                                    <button
                                        type="button"
                                        className="flex min-h-12 w-full items-center justify-between gap-3 text-left hover:text-pen"
                                        onClick={() => show(one.id)}
                                    >
                                        <span className="font-semibold">{one.title}</span>
                                        <span className="figures shrink-0 text-sm text-pencil">{one.minutes.usual} min</span>
                                    </button>
                                </li>
                            ))}
                    </ul>
                </section>
            )}
            <p className="mt-6 border-t border-line pt-2 text-sm text-pencil">
                Makers&rsquo; instructions and your local rules come before ours; mains wiring and doubtful packs are for a qualified person. {build.name} keeps
                what you write here under Record.
            </p>
        </div>
    );
}

/** Nothing can be done: all is, or everything waits. */
function Nothing({ plan }: { plan: Plan }) {
    const names = useNames();
    const waits = plan.steps.filter((step) => step.state === 'waits' && step.waitsFor.length > 0);
    if (plan.steps.every((step) => step.state === 'done')) {
        return <p className="dot-grid border border-edge p-6 text-lg">Everything is done. What was done, read and photographed stands under Record. Play.</p>;
    }
    return (
        <div className="dot-grid border border-dashed border-edge p-6">
            <p className="mb-2 text-lg font-semibold">Nothing can be done tonight.</p>
            <ul className="list-disc pl-5">
                {plan.steps
                    .filter((step) => step.state === 'failed')
                    .map((step) => (
                        <li key={step.id}>{step.title} did not pass; under Faults the cause is looked for.</li>
                    ))}
                {waits.slice(0, 6).map((step) => (
                    <li key={step.id}>
                        {step.title} waits for {step.waitsFor.map(names.line).join(', ')}
                    </li>
                ))}
            </ul>
            <Link to="?leaf=plan">
                <Button className="mt-3">See the plan</Button>
            </Link>
        </div>
    );
}
