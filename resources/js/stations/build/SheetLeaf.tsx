import { useState } from 'react';
import type { Plan, Step } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { date } from '../../ui/format';
import { Labels } from './Labels';
import { useNames } from './usePlan';

const parts = [
    ['steps', 'Steps'],
    ['table', 'Tools and consumables'],
    ['cautions', 'Cautions'],
    ['labels', 'Labels for bags and wires'],
] as const;

type Part = (typeof parts)[number][0];

/** Sheets for the wall beside the bench. */
export function SheetLeaf({ plan }: { plan: Plan }) {
    const { build } = useOpenBuild();
    const [shown, setShown] = useState<Part[]>(['steps', 'table', 'cautions']);
    const open = plan.steps.filter((step) => step.state !== 'done');
    const cautions = [...new Set(open.flatMap((step) => step.cautions))];
    return (
        <>
            <div className="mb-4 flex flex-wrap items-center gap-x-5 gap-y-2 print:hidden">
                {parts.map(([part, words]) => (
                    <label key={part} className="flex min-h-10 items-center gap-2">
                        <input
                            type="checkbox"
                            className="size-5 accent-pen"
                            checked={shown.includes(part)}
                            onChange={(event) => setShown(event.target.checked ? [...shown, part] : shown.filter((one) => one !== part))}
                        />
                        {words}
                    </label>
                ))}
                <Button look="pen" onClick={() => window.print()}>
                    Print
                </Button>
            </div>
            <div className="wall-sheet">
                <h3 className="border-b-2 border-ink text-2xl">{build.name}</h3>
                {shown.includes('steps') && <Steps plan={plan} open={open} />}
                {shown.includes('table') && <OnTheTable open={open} />}
                {shown.includes('cautions') && cautions.length > 0 && (
                    <section className="mt-5 break-inside-avoid">
                        <h4 className="text-lg font-semibold">Where it can hurt</h4>
                        <ul>
                            {cautions.map((caution) => (
                                <li key={caution} className="my-1 border-l-4 border-ink pl-2">
                                    {caution}{' '}
                                    <span className="figures text-sm text-pencil">
                                        (steps{' '}
                                        {open
                                            .filter((step) => step.cautions.includes(caution))
                                            .map((step) => plan.steps.indexOf(step) + 1)
                                            .join(', ')}
                                        )
                                    </span>
                                </li>
                            ))}
                        </ul>
                    </section>
                )}
                {shown.includes('labels') && <Labels plan={plan} />}
            </div>
        </>
    );
}

function Steps({ plan, open }: { plan: Plan; open: Step[] }) {
    const evenings = new Map(plan.evenings.flatMap((evening) => evening.steps.map((id) => [id, evening.on] as const)));
    return (
        <table className="mt-2 w-full border-collapse text-left">
            <caption className="sr-only">Steps that are open, in their order</caption>
            <thead>
                <tr className="border-b border-ink text-sm">
                    <th className="w-8 py-1">done</th>
                    <th className="w-8 pr-2 text-right">no.</th>
                    <th>step</th>
                    <th className="w-20">evening</th>
                    <th className="w-14 text-right">min</th>
                </tr>
            </thead>
            <tbody>
                {open.map((step) => (
                    <tr key={step.id} className="break-inside-avoid border-b border-line align-top">
                        <td className="py-1.5">
                            <span className="block size-5 border-2 border-ink" aria-hidden="true" />
                        </td>
                        <td className="figures py-1.5 pr-2 text-right">{plan.steps.indexOf(step) + 1}</td>
                        <td className="py-1.5">
                            <span className="font-semibold">{step.title}</span>
                            {step.gate !== null && (
                                <span className="block text-sm">
                                    Test: {step.gate.map((one) => `${one.what}${one.passes === '' ? '' : `, ${one.passes}`} ____`).join('; ')}
                                </span>
                            )}
                            {step.cannotBeUndone !== '' && <span className="block text-sm font-semibold">Cannot be undone: {step.cannotBeUndone}.</span>}
                        </td>
                        <td className="py-1.5 text-sm">{evenings.has(step.id) ? date(evenings.get(step.id) ?? null) : '?'}</td>
                        <td className="figures py-1.5 text-right">{step.minutes.usual}</td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

function OnTheTable({ open }: { open: Step[] }) {
    const names = useNames();
    const all = (of: (step: Step) => string[]) => [...new Set(open.flatMap(of))];
    return (
        <section className="mt-5 break-inside-avoid">
            <h4 className="text-lg font-semibold">On the table</h4>
            <dl className="grid gap-x-4 sm:grid-cols-[9rem_minmax(0,1fr)] print:grid-cols-[9rem_minmax(0,1fr)]">
                {(
                    [
                        ['Tools', all((step) => step.tools)],
                        ['Used up', all((step) => step.consumables)],
                        ['Room and safety', all((step) => step.places)],
                        ['Parts', all((step) => step.lines).map(names.line)],
                    ] as const
                ).map(([words, things]) => (
                    <div key={words} className="contents">
                        <dt className="font-semibold">{words}</dt>
                        <dd className="mb-1">{things.join(', ') || 'none'}</dd>
                    </div>
                ))}
            </dl>
        </section>
    );
}
